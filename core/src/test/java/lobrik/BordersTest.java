package lobrik;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

/** Holds the borders of the core: what it may use, and that no room calls back up the stairs. */
class BordersTest {

    private static final JavaClasses CORE = new ClassFileImporter()
            .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
            .importPackages("lobrik");

    @Test
    void core_usesNothingButTheJavaLanguage_andProgressItsDistributions() {
        classes()
                .that()
                .resideInAnyPackage("lobrik.progress..", "lobrik.study..")
                .should()
                .onlyDependOnClassesThat()
                .resideInAnyPackage("lobrik..", "java.lang..", "java.util..", "java.math..", "org.hipparchus..")
                .check(CORE);
        classes()
                .that()
                .resideInAPackage("lobrik..")
                .and()
                .resideOutsideOfPackages("lobrik.progress..", "lobrik.study..")
                .should()
                .onlyDependOnClassesThat()
                .resideInAnyPackage("lobrik..", "java.lang..", "java.util..", "java.math..")
                .check(CORE);
    }

    @Test
    void core_neitherReflectsNorFormatsByLocaleNorReadsClocksOrRandomNumbers() {
        noClasses()
                .that()
                .resideInAPackage("lobrik..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("java.lang.reflect..", "java.io..", "java.nio..", "java.time..", "java.net..")
                .orShould()
                .dependOnClassesThat()
                .haveFullyQualifiedName("java.util.Locale")
                .orShould()
                .dependOnClassesThat()
                .haveFullyQualifiedName("java.util.Random")
                .orShould()
                .callMethod(String.class, "format", String.class, Object[].class)
                .check(CORE);
    }

    @Test
    void core_packagesFormNoCycle() {
        slices().matching("lobrik.(*)..").should().beFreeOfCycles().check(CORE);
    }
}
