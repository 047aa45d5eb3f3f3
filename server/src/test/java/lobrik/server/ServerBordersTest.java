package lobrik.server;

import static com.tngtech.archunit.base.DescribedPredicate.not;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAPackage;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAnyPackage;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.domain.JavaField;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.List;
import lobrik.bend.BendKind;
import lobrik.server.platform.Needs;
import lobrik.server.platform.WireJson;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;

/** Holds the borders of the server: packages by feature, without cycles, over a core that knows nothing of it. */
class ServerBordersTest {

    private static final JavaClasses ALL = new ClassFileImporter()
            .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
            .importPackages("lobrik");

    @Test
    void features_formNoCycle() {
        slices().matching("lobrik.server.(*)..").should().beFreeOfCycles().check(ALL);
    }

    /** What servers tell each other is the ground that the platform itself stands on. */
    @Test
    void together_knowsNothingElseOfOurs() {
        noClasses()
                .that()
                .resideInAPackage("lobrik.server.together..")
                .should()
                .dependOnClassesThat(
                        resideInAPackage("lobrik..").and(not(resideInAPackage("lobrik.server.together.."))))
                .check(ALL);
    }

    @Test
    void onlyASchoolThatIsBroughtIn_concernsRowsOfOthers() {
        assertThat(ALL.stream()
                        .flatMap(type -> type.getMethods().stream())
                        .filter(method -> method.isAnnotatedWith(Needs.class)
                                && method.getAnnotationOfType(Needs.class).beyondOnesSchool()))
                .singleElement()
                .extracting(method -> method.getOwner().getSimpleName() + "." + method.getName())
                .isEqualTo("SchoolFileResource.in");
    }

    @Test
    void platform_knowsNoFeature() {
        noClasses()
                .that()
                .resideInAPackage("lobrik.server.platform..")
                .should()
                .dependOnClassesThat(resideInAPackage("lobrik.server..")
                        .and(not(resideInAPackage("lobrik.server.platform..")))
                        .and(not(resideInAPackage("lobrik.server.together.."))))
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

    /** So that a build for the browser can have it: no framework, and nothing of the server. */
    @Test
    void wire_isPlainJavaOverTheCore() {
        classes()
                .that()
                .resideInAPackage("lobrik.wire..")
                .should()
                .onlyDependOnClassesThat(resideInAnyPackage("java.lang..", "java.util..", "org.jspecify.annotations..")
                        .or(resideInAPackage("lobrik..").and(not(resideInAPackage("lobrik.server..")))))
                .check(ALL);
        noClasses()
                .that()
                .resideInAPackage("lobrik.wire..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("java.lang.reflect..", "java.util.concurrent..")
                .orShould()
                .dependOnClassesThat()
                .haveFullyQualifiedName("java.util.Locale")
                .check(ALL);
    }

    /** A mapper that does not know the wire would write its enums by their names in Java. */
    @Test
    void wire_isWrittenByMappersThatKnowIt() {
        noClasses()
                .that()
                .resideInAPackage("lobrik.server..")
                .should()
                .callMethod(JsonMapper.class, "shared")
                .check(ALL);
        List<String> unknown = ALL.stream()
                .filter(type -> type.isRecord() && type.getPackageName().equals("lobrik.wire"))
                .flatMap(type -> type.getFields().stream())
                .map(JavaField::getRawType)
                .filter(JavaClass::isEnum)
                .filter(type -> !type.isEquivalentTo(BendKind.class))
                .map(JavaClass::getName)
                .distinct()
                .filter(name -> WireJson.BY_ID.stream().map(Class::getName).noneMatch(name::equals))
                .toList();
        assertThat(unknown).isEmpty();
    }
}
