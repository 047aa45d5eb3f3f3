package lobrik.server;

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
                .dependOnClassesThat()
                .resideInAnyPackage(
                        "lobrik.server.account..",
                        "lobrik.server.calc..",
                        "lobrik.server.cohort..",
                        "lobrik.server.exercise..",
                        "lobrik.server.attempt..")
                .check(ALL);
    }

    @Test
    void core_knowsNoServer() {
        noClasses()
                .that()
                .resideInAnyPackage("lobrik.measure..", "lobrik.shop..", "lobrik.bend..", "lobrik.layout..")
                .or()
                .resideInAnyPackage("lobrik.shape..", "lobrik.verdict..", "lobrik.progress..", "lobrik.fault..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("lobrik.server..", "org.springframework..", "jakarta..", "tools.jackson..")
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
