package lobrik.exercise;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import lobrik.fault.Refused;
import lobrik.measure.Length;
import org.junit.jupiter.api.Test;

class ConduitPlanTest {

    private static final Length STICK = Length.ofInches(120);

    private static List<Length> inches(double... lengths) {
        return Arrays.stream(lengths).mapToObj(Length::ofInches).toList();
    }

    /** By hand: three of 36 1/4 and their cuts leave 120 − 108 3/4 − 3/16 = 11 1/16. */
    @Test
    void equalPieces_fillOneStickAfterTheOther() {
        ConduitPlan plan =
                ConduitPlan.of(Collections.nCopies(4, Length.ofFraction(36, 1, 4)), STICK, ConduitPlan.USUAL_KERF);
        assertThat(plan.sticks()).hasSize(2);
        assertThat(plan.sticks().getFirst().cuts()).hasSize(3);
        assertThat(plan.sticks().getFirst().offcut()).isEqualTo(Length.ofFraction(11, 1, 16));
        assertThat(plan.fewest()).isEqualTo(2);
    }

    @Test
    void twoHalvesOfAStick_doNotFitBecauseOfTheSaw_butOneWholeDoes() {
        assertThat(ConduitPlan.of(inches(60, 60), STICK, ConduitPlan.USUAL_KERF).sticks())
                .hasSize(2);
        assertThat(ConduitPlan.of(inches(60, 60), STICK, Length.ZERO).sticks()).hasSize(1);
        assertThat(ConduitPlan.of(inches(120), STICK, ConduitPlan.USUAL_KERF)
                        .sticks()
                        .getFirst()
                        .offcut())
                .isEqualTo(Length.ZERO);
    }

    @Test
    void randomPieces_areAllCutOnce_withinTheirSticks_andNearTheFewest() {
        Random random = new Random(11);
        for (int round = 0; round < 200; round++) {
            List<Length> pieces = new ArrayList<>();
            for (int i = 0; i < 1 + random.nextInt(40); i++) {
                pieces.add(Length.ofFraction(8 + random.nextInt(112), random.nextInt(16), 16));
            }
            pieces.replaceAll(piece -> piece.isMoreThan(STICK) ? STICK : piece);
            ConduitPlan plan = ConduitPlan.of(pieces, STICK, ConduitPlan.USUAL_KERF);
            List<Integer> owners = plan.sticks().stream()
                    .flatMap(stick -> stick.cuts().stream().map(ConduitPlan.Cut::owner))
                    .sorted()
                    .toList();
            assertThat(owners)
                    .isEqualTo(IntStream.range(0, pieces.size()).boxed().toList());
            plan.sticks().forEach(stick -> {
                Length cut = stick.cuts().stream().map(ConduitPlan.Cut::length).reduce(Length.ZERO, Length::plus);
                assertThat(cut.plus(stick.offcut()).isMoreThan(STICK)).isFalse();
            });
            // The bound of the method, on pieces that are each a kerf longer.
            double withKerf = pieces.stream()
                    .mapToDouble(piece -> piece.inches() + 0.0625)
                    .sum();
            assertThat(plan.sticks().size()).isLessThanOrEqualTo((int) Math.ceil(withKerf / 120 * 2));
            assertThat(plan.sticks().size()).isGreaterThanOrEqualTo(plan.fewest());
        }
    }

    /** By hand: 50 into the left-over of 51, 40 into that of 45; 30 fits nothing that is left, and begins a stick. */
    @Test
    void leftOvers_areUsedFirst_theShortestThatHolds() {
        ConduitPlan plan = ConduitPlan.of(inches(30, 50, 40), STICK, ConduitPlan.USUAL_KERF, inches(51, 45, 90, 12));
        assertThat(plan.sticks())
                .extracting(ConduitPlan.Stick::length, ConduitPlan.Stick::isLeftOver)
                .containsExactly(
                        tuple(Length.ofInches(51), true),
                        tuple(Length.ofInches(45), true),
                        tuple(Length.ofInches(90), true));
        assertThat(plan.newSticks()).isZero();
        ConduitPlan more = ConduitPlan.of(inches(30, 50, 40), STICK, ConduitPlan.USUAL_KERF, inches(51, 45, 12));
        assertThat(more.newSticks()).isEqualTo(1);
        assertThat(more.sticks().getLast().offcut()).isEqualTo(Length.ofFraction(89, 15, 16));
    }

    @Test
    void pieceLongerThanAStick_isRefused() {
        assertThatThrownBy(() -> ConduitPlan.of(inches(40, 121), STICK, Length.ZERO))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("121 in");
    }
}
