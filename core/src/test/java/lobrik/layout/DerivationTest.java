package lobrik.layout;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import lobrik.bend.BackToBack90;
import lobrik.bend.Bend;
import lobrik.bend.BendKind;
import lobrik.bend.Kick;
import lobrik.bend.Offset;
import lobrik.bend.OffsetLayout;
import lobrik.derivation.Derivation;
import lobrik.derivation.Line;
import lobrik.derivation.Part;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.TapeDivision;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** What is marked and cut is what the sums come to, rightly and with a slip in them. */
class DerivationTest {

    private static final int CASES = 40;

    static Stream<Arguments> kindsAndMethods() {
        return Stream.of(BendKind.values())
                .flatMap(kind -> Stream.of(Method.values()).map(method -> Arguments.of(kind, method)));
    }

    private static Layout layout(Bend bend) {
        return Layout.of(new Job(bend, Jobs.threeQuarters(), School.of(Method.CHART, TapeDivision.NONE)));
    }

    private static Offset offset(OffsetLayout layout, Optional<Length> overall) {
        return new Offset(Length.ofInches(6), Length.ZERO, Angle.ofDegrees(30), Length.ofInches(36), layout, overall);
    }

    @ParameterizedTest
    @MethodSource("kindsAndMethods")
    void rightlyWorked_marksAndCutAreThoseOfThePlan(BendKind kind, Method method) {
        Jobs jobs = new Jobs(44);
        for (int i = 0; i < CASES; i++) {
            Job job = jobs.next(kind, method, TapeDivision.SIXTEENTH);
            Plan plan = Layout.plan(job);
            Derivation.Outcome worked = Layout.of(job).worked();
            assertThat(worked.marks())
                    .isEqualTo(plan.marks().stream().map(Mark::position).toList());
            assertThat(worked.cut()).isEqualTo(plan.cutLength());
            assertThat(plan.derivation().angles())
                    .as("how each bend's angle follows")
                    .hasSize(plan.marks().size());
            double asked = plan.marks().getFirst().angle().degrees();
            for (Mark mark : plan.marks()) {
                assertThat(plan.derivation().angles().get(mark.number() - 1).whereBentTo(asked))
                        .isEqualTo(mark.angle().degrees());
            }
        }
    }

    /** 6 in at 30° by the card: spacing 12, shrink 1 1/2. */
    @Test
    void shrinkLeftOut_movesWhatIsWorkedOutFromIt() {
        Layout before = layout(offset(OffsetLayout.BEFORE_OBSTACLE, Optional.of(Length.ofInches(90))));
        Derivation.Outcome without = before.derivation().with(Part.SHRINK, _ -> Length.ZERO);
        assertThat(without.marks()).containsExactly(Length.ofInches(24), Length.ofInches(36));
        assertThat(without.cut()).contains(Length.ofInches(90));
        Layout edge = layout(offset(OffsetLayout.FROM_EDGE, Optional.empty()));
        assertThat(edge.derivation().with(Part.SHRINK, _ -> Length.ZERO))
                .as("a distance to the near side needs none")
                .isEqualTo(edge.worked());
    }

    @Test
    void spacingOfAnotherSize_movesTheRingThatIsMeasuredFromTheOther() {
        Length other = Length.ofInches(8);
        assertThat(layout(offset(OffsetLayout.BEFORE_OBSTACLE, Optional.empty()))
                        .derivation()
                        .with(Part.SPACING, _ -> other)
                        .marks())
                .containsExactly(Length.ofInches(29.5), Length.ofInches(37.5));
        assertThat(layout(offset(OffsetLayout.FROM_EDGE, Optional.empty()))
                        .derivation()
                        .with(Part.SPACING, _ -> other)
                        .marks())
                .containsExactly(Length.ofInches(36), Length.ofInches(44));
    }

    /** A kick's conduit ends where its leg does: what moves its ring moves the cut, but for a leg of another length. */
    @Test
    void cutFollowsTheRing_whereItIsWorkedOutFromIt() {
        Kick kick =
                new Kick(Length.ofInches(9), Angle.ofDegrees(30), Length.ofInches(44), OffsetLayout.BEFORE_OBSTACLE);
        Layout layout = layout(kick);
        Derivation.Outcome right = layout.worked();
        Derivation.Outcome without = layout.derivation().with(Part.SHRINK, _ -> Length.ZERO);
        assertThat(right.cut().orElseThrow().minus(without.cut().orElseThrow())).isEqualTo(layout.shrink());
        Derivation.Outcome shorter = layout.derivation().with(Part.SPACING, leg -> leg.minus(Length.ofInches(1)));
        assertThat(shorter.marks().getFirst().minus(right.marks().getFirst())).isEqualTo(Length.ofInches(1));
        assertThat(shorter.cut()).isEqualTo(right.cut());
    }

    /** 10 + 30 + 12 on ¾ in: take-up 6; only the first ring is worked out with it. */
    @Test
    void takeUpLeftOut_movesOnlyTheRingThatItIsTakenOff() {
        Layout u = layout(new BackToBack90(Length.ofInches(10), Length.ofInches(30), Length.ofInches(12)));
        Derivation.Outcome right = u.worked();
        Derivation.Outcome without = u.derivation().with(Part.TAKE_UP, _ -> Length.ZERO);
        assertThat(without.marks())
                .containsExactly(Length.ofInches(10), right.marks().getLast());
        assertThat(without.cut()).isEqualTo(right.cut());
        Derivation.Outcome withoutGain = u.derivation().with(Part.GAIN, _ -> Length.ZERO);
        assertThat(withoutGain.cut()).as("10 + 30 + 12").contains(Length.ofInches(52));
    }

    @Test
    void linesAreInTheOrderInWhichTheyAreWorkedOut() {
        List<String> about =
                layout(offset(OffsetLayout.BEFORE_OBSTACLE, Optional.of(Length.ofInches(90))))
                        .derivation()
                        .lines()
                        .stream()
                        .map(Line::about)
                        .toList();
        assertThat(about).containsExactly("spacing", "shrink", "mark2", "mark1", "cutLength");
    }
}
