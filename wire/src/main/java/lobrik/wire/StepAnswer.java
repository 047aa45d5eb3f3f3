package lobrik.wire;

import java.util.ArrayList;
import java.util.List;
import lobrik.bending.Stance;
import lobrik.bending.Standing;
import lobrik.layout.BendingStep;
import lobrik.layout.Review;
import lobrik.measure.Length;
import lobrik.shop.HookSide;
import org.jspecify.annotations.Nullable;

/**
 * One bend made.
 *
 * @param mark the ring's number
 * @param endForEnd whether the conduit is taken out and turned end for end first
 * @param turnDeg how far it is turned about its own axis since the bend before
 * @param leverDeg angle to pull to, so that it springs back to restDeg
 * @param pullToDeg of a machine: the same, by its protractor
 * @param travelIn of a machine: how far its ram is out then; null where its rows do not reach
 * @param heatFromIn where on the straight conduit warming begins, from its datum end; null where nothing is warmed
 * @param heatToIn where it ends
 * @param warmSeconds about how long until it is soft; null where nothing is warmed
 * @param coolSeconds about how long it is held until it is cold
 * @param standing how a hand bender stands so that nothing that is bent already is in its way; null where that was not looked at
 */
public record StepAnswer(
        int mark,
        double positionIn,
        OnRing reference,
        @Nullable HookSide hookTowards,
        boolean endForEnd,
        double turnDeg,
        double restDeg,
        double leverDeg,
        @Nullable Double pullToDeg,
        @Nullable Double travelIn,
        @Nullable Double heatFromIn,
        @Nullable Double heatToIn,
        @Nullable Integer warmSeconds,
        @Nullable Integer coolSeconds,
        @Nullable StandingAnswer standing) {

    /**
     * How a hand bender stands while a bend is made.
     *
     * @param leverLeanDeg how far the lever leans sideways, past what is bent already; 0 where it swings freely
     * @param overFloorIn the least that anything bent is over the floor; null where nothing bent comes near it
     */
    public record StandingAnswer(
            Stance stance, double leverLeanDeg, @Nullable Double overFloorIn) {

        static StandingAnswer of(Standing standing) {
            return new StandingAnswer(
                    standing.stance(),
                    standing.leverLean().degrees(),
                    standing.overFloor().map(Length::inches).orElse(null));
        }
    }

    /** The steps of a layout, with how the shoe stands at each where that was looked at. */
    static List<StepAnswer> of(Review review) {
        List<BendingStep> steps = review.layout().steps();
        List<StepAnswer> answers = new ArrayList<>(steps.size());
        for (int i = 0; i < steps.size(); i++) {
            StepAnswer answer = of(steps.get(i));
            answers.add(
                    review.standing().isEmpty()
                            ? answer
                            : answer.with(StandingAnswer.of(review.standing().get(i))));
        }
        return List.copyOf(answers);
    }

    private StepAnswer with(StandingAnswer how) {
        return new StepAnswer(
                mark,
                positionIn,
                reference,
                hookTowards,
                endForEnd,
                turnDeg,
                restDeg,
                leverDeg,
                pullToDeg,
                travelIn,
                heatFromIn,
                heatToIn,
                warmSeconds,
                coolSeconds,
                how);
    }

    private static StepAnswer of(BendingStep step) {
        return switch (step.by()) {
            case BendingStep.By.Line _ -> of(step, null, null, null);
            case BendingStep.By.Ram ram ->
                of(
                        step,
                        step.lever().degrees(),
                        ram.travel().map(Length::inches).orElse(null),
                        null);
            case BendingStep.By.Heat heat -> of(step, null, null, heat);
        };
    }

    private static StepAnswer of(
            BendingStep step, @Nullable Double pullTo, @Nullable Double travel, BendingStep.By.@Nullable Heat heat) {
        return new StepAnswer(
                step.mark().number(),
                step.mark().position().inches(),
                OnRing.of(step.mark().placing()),
                OnRing.hookOf(step.mark().placing()),
                step.endForEnd(),
                step.turn().degrees(),
                step.rest().degrees(),
                step.lever().degrees(),
                pullTo,
                travel,
                heat == null ? null : heat.from().inches(),
                heat == null ? null : heat.to().inches(),
                heat == null ? null : heat.warmSeconds(),
                heat == null ? null : heat.coolSeconds(),
                null);
    }
}
