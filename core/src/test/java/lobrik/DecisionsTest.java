package lobrik;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.BindingPatternTree;
import com.sun.source.tree.CaseLabelTree;
import com.sun.source.tree.CaseTree;
import com.sun.source.tree.CompilationUnitTree;
import com.sun.source.tree.ConstantCaseLabelTree;
import com.sun.source.tree.DeconstructionPatternTree;
import com.sun.source.tree.DefaultCaseLabelTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.InstanceOfTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.PatternCaseLabelTree;
import com.sun.source.tree.PatternTree;
import com.sun.source.tree.SwitchExpressionTree;
import com.sun.source.tree.SwitchTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.JavacTask;
import com.sun.source.util.TreeScanner;
import com.sun.source.util.Trees;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javax.tools.JavaCompiler;
import javax.tools.StandardJavaFileManager;
import javax.tools.ToolProvider;
import lobrik.bend.Bend;
import lobrik.bend.BendKind;
import lobrik.feature.FeatureKind;
import lobrik.shop.Placing;
import lobrik.shop.Tool;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Whoever adds a kind of bend, of tool or of feature is told by the compiler where to decide: no switch about kinds has a default, and
 * nobody asks whether a bend, a tool or what stands on a ring is an instance of one, or compares a kind with one.
 */
class DecisionsTest {

    private static final Set<String> MEMBERS = Stream.of(Bend.class, Tool.class, Placing.class)
            .flatMap(DecisionsTest::members)
            .map(Class::getSimpleName)
            .collect(Collectors.toUnmodifiableSet());

    private static final List<Set<String>> CONSTANTS = List.of(names(BendKind.values()), names(FeatureKind.values()));

    /** All that a family permits, those that are families themselves with theirs. */
    private static Stream<Class<?>> members(Class<?> family) {
        return Arrays.stream(family.getPermittedSubclasses())
                .flatMap(member ->
                        member.isSealed() ? Stream.concat(Stream.of(member), members(member)) : Stream.of(member));
    }

    private static Set<String> names(Enum<?>[] constants) {
        return Arrays.stream(constants).map(Enum::name).collect(Collectors.toUnmodifiableSet());
    }

    private static List<Path> sources(Path module) throws IOException {
        try (Stream<Path> files = Files.walk(module.resolve(Path.of("src", "main", "java")))) {
            return files.filter(file -> file.toString().endsWith(".java")).toList();
        }
    }

    /** File and line of every decision that passes over kinds. */
    private static List<String> passedOver(List<Path> files) throws IOException {
        JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
        List<String> found = new ArrayList<>();
        try (StandardJavaFileManager manager = compiler.getStandardFileManager(null, null, null)) {
            JavacTask task = (JavacTask) compiler.getTask(
                    null, manager, null, List.of("-proc:none"), null, manager.getJavaFileObjectsFromPaths(files));
            Trees trees = Trees.instance(task);
            for (CompilationUnitTree unit : task.parse()) {
                new Decisions(unit, trees, found).scan(unit, null);
            }
        }
        return found;
    }

    /** Looks through one file. */
    private static final class Decisions extends TreeScanner<Void, Void> {

        private final CompilationUnitTree unit;
        private final Trees trees;
        private final List<String> found;

        Decisions(CompilationUnitTree unit, Trees trees, List<String> found) {
            this.unit = unit;
            this.trees = trees;
            this.found = found;
        }

        @Override
        public Void visitSwitch(SwitchTree tree, Void nothing) {
            decide(tree, tree.getCases());
            return super.visitSwitch(tree, null);
        }

        @Override
        public Void visitSwitchExpression(SwitchExpressionTree tree, Void nothing) {
            decide(tree, tree.getCases());
            return super.visitSwitchExpression(tree, null);
        }

        @Override
        public Void visitInstanceOf(InstanceOfTree tree, Void nothing) {
            String type = tree.getType() != null ? tree.getType().toString() : type(tree.getPattern());
            if (MEMBERS.contains(type)) {
                found(tree, "instanceof " + type);
            }
            return super.visitInstanceOf(tree, null);
        }

        @Override
        public Void visitBinary(BinaryTree tree, Void nothing) {
            boolean compares = tree.getKind() == Tree.Kind.EQUAL_TO || tree.getKind() == Tree.Kind.NOT_EQUAL_TO;
            if (compares && (isKindOfBend(tree.getLeftOperand()) || isKindOfBend(tree.getRightOperand()))) {
                found(tree, "compared with one kind");
            }
            return super.visitBinary(tree, null);
        }

        private static boolean isKindOfBend(ExpressionTree operand) {
            return operand instanceof MemberSelectTree constant
                    && constant.getExpression().toString().equals(BendKind.class.getSimpleName());
        }

        private void decide(Tree tree, List<? extends CaseTree> cases) {
            List<CaseLabelTree> labels = cases.stream()
                    .flatMap(each -> each.getLabels().stream())
                    .map(CaseLabelTree.class::cast)
                    .toList();
            if (labels.stream().anyMatch(DefaultCaseLabelTree.class::isInstance) && isAboutKinds(labels)) {
                found(tree, "switch with a default");
            }
        }

        private static boolean isAboutKinds(List<CaseLabelTree> labels) {
            Set<String> constants = labels.stream()
                    .filter(ConstantCaseLabelTree.class::isInstance)
                    .map(CaseLabelTree::toString)
                    .collect(Collectors.toSet());
            boolean bends = labels.stream()
                    .filter(PatternCaseLabelTree.class::isInstance)
                    .anyMatch(label -> MEMBERS.contains(type(((PatternCaseLabelTree) label).getPattern())));
            return bends
                    || (!constants.isEmpty() && CONSTANTS.stream().anyMatch(family -> family.containsAll(constants)));
        }

        private static String type(PatternTree pattern) {
            return switch (pattern) {
                case BindingPatternTree binding ->
                    binding.getVariable().getType().toString();
                case DeconstructionPatternTree record ->
                    record.getDeconstructor().toString();
                default -> "";
            };
        }

        private void found(Tree tree, String what) {
            String file = unit.getSourceFile().getName().replace('\\', '/').replaceAll(".*/([^/]+/[^/]+)$", "$1");
            long at = trees.getSourcePositions().getStartPosition(unit, tree);
            found.add(file + ":" + unit.getLineMap().getLineNumber(at) + " " + what);
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"core", "server", "inbrowser"})
    void everyDecisionAboutKinds_namesThemAll(String module) throws IOException {
        List<Path> files = sources(Path.of("..", module));
        assertThat(files).isNotEmpty();
        assertThat(passedOver(files)).isEmpty();
    }

    @Test
    void whatIsPassedOver_isFound() throws IOException {
        Path file = Files.createTempFile("Decision", ".java");
        Files.writeString(file, """
                class Decision {
                    int of(Bend bend) { return switch (bend) { case Kick _ -> 1; default -> 2; }; }
                    int of(BendKind kind) { switch (kind) { case KICK: return 1; default: return 2; } }
                    int of(FeatureKind kind) { return switch (kind) { case MARK, RISE -> 1; default -> 2; }; }
                    boolean is(Bend bend) { return bend instanceof Saddle4 || bend instanceof Offset(_, _); }
                    boolean is(BendKind kind) { return kind == BendKind.KICK; }
                    int other(Unit unit) { return switch (unit) { case METRE -> 1; default -> 2; }; }
                }
                """);
        try {
            assertThat(passedOver(List.of(file))).hasSize(6);
        } finally {
            Files.delete(file);
        }
    }
}
