package lobrik.server;

import static com.tngtech.archunit.base.DescribedPredicate.not;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAPackage;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

/** Holds the borders of the server: packages by feature, without cycles, over a core that knows nothing of it. */
class ServerBordersTest {

    private static final JavaClasses ALL = new ClassFileImporter()
            .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
            .importPackages("lobrik");

    @Test
    void features_formNoCycle() {
        slices().matching("lobrik.server.(*)..").should().beFreeOfCycles().check(ALL);
    }

    @Test
    void platform_knowsNoFeature() {
        noClasses()
                .that()
                .resideInAPackage("lobrik.server.platform..")
                .should()
                .dependOnClassesThat(
                        resideInAPackage("lobrik.server..").and(not(resideInAPackage("lobrik.server.platform.."))))
                .check(ALL);
    }

    /** The way of a value goes on from here: what is worked out from the record is never needed to write it down. */
    @Test
    void record_knowsNothingOfWhatIsMadeOfIt() {
        noClasses()
                .that()
                .resideInAPackage("lobrik.server.attempt..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(
                        "lobrik.server.progress..",
                        "lobrik.server.judging..",
                        "lobrik.server.sheet..",
                        "lobrik.server.transfer..")
                .check(ALL);
    }

    @Test
    void calculation_keepsNothing() {
        noClasses()
                .that()
                .resideInAPackage("lobrik.server.calc..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("jakarta.persistence..", "org.hibernate..")
                .check(ALL);
    }
}
