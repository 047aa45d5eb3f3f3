package lobrik.inbrowser;

import static org.assertj.core.api.Assertions.assertThat;

import java.beans.Introspector;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javax.annotation.processing.AbstractProcessor;
import javax.annotation.processing.RoundEnvironment;
import javax.annotation.processing.SupportedAnnotationTypes;
import javax.lang.model.AnnotatedConstruct;
import javax.lang.model.SourceVersion;
import javax.lang.model.element.AnnotationValue;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.type.TypeKind;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.util.ElementFilter;
import javax.tools.JavaCompiler;
import javax.tools.StandardJavaFileManager;
import javax.tools.ToolProvider;
import org.junit.jupiter.api.Test;

/**
 * Makes the types of the browser's core for TypeScript from {@link BenchCore} and its comments, and holds the stored ones to that;
 * {@code -Dlobrik.write-types} writes them anew.
 */
class TypesTest {

    private static final Path SOURCES = Path.of("src/main/java/lobrik/inbrowser");
    private static final Path STORED = Path.of("../web/src/benchcore/bench-core.d.ts");

    @Test
    void types_areThoseOfTheFunctions() throws IOException {
        Declaring declaring = new Declaring();
        JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
        try (StandardJavaFileManager files = compiler.getStandardFileManager(null, null, null);
                Stream<Path> sources = Files.list(SOURCES)) {
            JavaCompiler.CompilationTask task = compiler.getTask(
                    null,
                    files,
                    null,
                    List.of("-proc:only", "-classpath", System.getProperty("java.class.path")),
                    null,
                    files.getJavaFileObjectsFromPaths(sources.sorted().toList()));
            task.setProcessors(List.of(declaring));
            assertThat(task.call()).isTrue();
        }
        if (Boolean.getBoolean("lobrik.write-types")) {
            Files.writeString(STORED, declaring.types());
        }
        assertThat(STORED).content().isEqualTo(declaring.types());
    }

    /** Writes what is exported, and the types that it names. */
    @SupportedAnnotationTypes("org.teavm.jso.JSExport")
    private static final class Declaring extends AbstractProcessor {

        private final StringBuilder functions = new StringBuilder();
        private final Map<String, String> interfaces = new LinkedHashMap<>();
        private String about = "";

        @Override
        public SourceVersion getSupportedSourceVersion() {
            return SourceVersion.latest();
        }

        @Override
        public boolean process(Set<? extends TypeElement> annotations, RoundEnvironment round) {
            for (TypeElement annotation : annotations) {
                for (Element exported : round.getElementsAnnotatedWith(annotation)) {
                    about = comment(Objects.requireNonNull(exported.getEnclosingElement()), "");
                    functions.append(function((ExecutableElement) exported));
                }
            }
            return false;
        }

        String types() {
            return "// Made from the module inbrowser: see its TypesTest.\n\n"
                    + about
                    + "declare module 'bench-core' {\n"
                    + functions
                    + String.join("", interfaces.values())
                    + "}\n";
        }

        private String function(ExecutableElement function) {
            String parameters = function.getParameters().stream()
                    .map(each -> each.getSimpleName() + ": " + type(each.asType(), each))
                    .collect(Collectors.joining(", "));
            return comment(function, "  ")
                    + "  export function " + function.getSimpleName() + "(" + parameters + "): "
                    + type(function.getReturnType(), function) + ";\n\n";
        }

        private String type(TypeMirror type, Element holder) {
            String ids = ids(holder);
            if (!ids.isEmpty()) {
                return ids;
            }
            if (type.getKind().isPrimitive()) {
                return type.getKind() == TypeKind.BOOLEAN ? "boolean" : "number";
            }
            TypeElement named = (TypeElement) ((DeclaredType) type).asElement();
            boolean orNull = isNullable(type) || isNullable(holder);
            return name(named) + (orNull ? " | null" : "");
        }

        private String name(TypeElement type) {
            String name = type.getSimpleName().toString();
            if (name.equals("String")) {
                return "string";
            }
            if (!interfaces.containsKey(name)) {
                interfaces.put(name, "");
                interfaces.put(name, declaration(type, name));
            }
            return name;
        }

        private String declaration(TypeElement type, String name) {
            if (type.getModifiers().contains(Modifier.SEALED)) {
                String cases = type.getPermittedSubclasses().stream()
                        .map(each -> name((TypeElement) ((DeclaredType) each).asElement()))
                        .collect(Collectors.joining(" | "));
                return comment(type, "  ") + "  export type " + name + " = " + cases + ";\n\n";
            }
            assertThat(type.getKind()).isEqualTo(ElementKind.INTERFACE);
            String properties = ElementFilter.methodsIn(type.getEnclosedElements()).stream()
                    .map(getter -> "    " + property(getter) + ": " + type(getter.getReturnType(), getter) + ";\n")
                    .collect(Collectors.joining());
            return comment(type, "  ") + "  export interface " + name + " {\n" + properties + "  }\n\n";
        }

        private static String property(ExecutableElement getter) {
            return Introspector.decapitalize(getter.getSimpleName().toString().substring("get".length()));
        }

        private static boolean isNullable(AnnotatedConstruct annotated) {
            return annotated.getAnnotationMirrors().stream()
                    .anyMatch(each -> each.toString().endsWith("Nullable"));
        }

        /** The ids of the enum that {@link OneOf} names; empty where it stands not there. */
        private static String ids(Element holder) {
            return holder.getAnnotationMirrors().stream()
                    .filter(each -> each.getAnnotationType().toString().equals(OneOf.class.getName()))
                    .flatMap(each -> each.getElementValues().values().stream())
                    .map(AnnotationValue::getValue)
                    .map(type -> (TypeElement) ((DeclaredType) type).asElement())
                    .flatMap(Declaring::constants)
                    .map(id -> "'" + id + "'")
                    .collect(Collectors.joining(" | "));
        }

        private static Stream<String> constants(TypeElement type) {
            String outer = type.getEnclosingElement() instanceof TypeElement around
                    ? around.getQualifiedName() + "$" + type.getSimpleName()
                    : type.getQualifiedName().toString();
            try {
                Class<?> loaded = Class.forName(outer);
                return Stream.of(loaded.getEnumConstants()).map(Declaring::id);
            } catch (ClassNotFoundException e) {
                throw new LinkageError(e.getMessage(), e);
            }
        }

        private static String id(Object constant) {
            try {
                return (String)
                        ((Enum<?>) constant).getDeclaringClass().getMethod("id").invoke(constant);
            } catch (ReflectiveOperationException e) {
                throw new LinkageError(e.getMessage(), e);
            }
        }

        private String comment(Element element, String indent) {
            String text = Objects.requireNonNull(
                            processingEnv.getElementUtils().getDocComment(element), element + " has no comment")
                    .strip()
                    .replaceAll("\\s+", " ");
            return indent + "/** " + text + " */\n";
        }
    }
}
