package lobrik.layout;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import lobrik.bend.Leg;
import lobrik.bend.OrderedBend;
import lobrik.bend.Placement;
import lobrik.bend.Run;
import lobrik.bend.Stub90;
import lobrik.bend.Towards;
import lobrik.bending.Standing;
import lobrik.fault.Cure;
import lobrik.fault.FaultCode;
import lobrik.measure.Length;
import lobrik.measure.TapeDivision;
import lobrik.shop.HookSide;
import org.junit.jupiter.api.Test;

class RunOrderTest {

    private static Run run(double first, double second, double third) {
        return Run.of(List.of(leg(first, Towards.UP), leg(second, Towards.RIGHT), leg(third, Towards.OUT)));
    }

    private static Leg leg(double length, Towards towards) {
        return new Leg(Length.ofInches(length), towards, Length.ZERO);
    }

    private static Job job(Run run) {
        return new Job(run, Jobs.threeQuarters(), School.of(Method.EXACT, TapeDivision.SIXTEENTH));
    }

    @Test
    void anOrder_isProposed_whereNobodySaidOne_andKept_whereSomebodyDid() {
        Run proposed = RunOrder.proposed(job(run(20, 30, 20))).bend().run().orElseThrow();
        assertThat(proposed.order()).extracting(OrderedBend::bend).containsExactlyInAnyOrder(1, 2);
        Run own =
                run(20, 30, 20).inOrder(List.of(new OrderedBend(2, HookSide.FAR), new OrderedBend(1, HookSide.DATUM)));
        assertThat(RunOrder.proposed(job(own)).bend()).isEqualTo(own);
        Job stub = job(run(20, 30, 20)).with(new Stub90(Length.ofInches(20), Optional.empty(), Placement.ARROW));
        assertThat(RunOrder.proposed(stub)).isEqualTo(stub);
    }

    @Test
    void aReview_saysHowTheShoeStands_atEachStep() {
        Review review = Review.of(RunOrder.proposed(job(run(20, 30, 20))), Optional.empty());
        assertThat(review.warnings()).isEmpty();
        assertThat(review.standing())
                .extracting(Standing::bend)
                .isEqualTo(review.layout().steps().stream()
                        .map(step -> step.mark().number())
                        .toList());
    }

    /** Both legs beyond the second corner are higher than the ceiling, whichever of them rises. */
    @Test
    void whatCannotBeBent_isSaid_withTheNearestLegsThatCan_eachOfThemTried() {
        Job job = job(run(20, 130, 130));
        Review review = Review.of(job, Optional.empty());
        Warning blocked = review.warnings().stream()
                .filter(warning -> warning.fault().code() == FaultCode.BEND_BLOCKED)
                .findFirst()
                .orElseThrow();
        assertThat(blocked.fault().input()).isEqualTo("bend/legs/1/lengthIn");
        assertThat(blocked.fault().message()).contains("bend 2", "above the ceiling", "make the length of leg");
        assertThat(blocked.fault().cures()).isNotEmpty().allSatisfy(cure -> {
            Cure.Size size = (Cure.Size) cure;
            Run cured = size.input().equals("bend/legs/1/lengthIn")
                    ? run(20, ((Length) size.value()).inches(), 130)
                    : run(20, 130, ((Length) size.value()).inches());
            assertThat(Review.concerns(Layout.of(job(cured)), Optional.empty())).doesNotContain(FaultCode.BEND_BLOCKED);
        });
    }
}
