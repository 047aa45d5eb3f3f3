package lobrik.wire;

import lobrik.layout.BendingStep;
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
        @Nullable Integer coolSeconds) {

    static StepAnswer of(BendingStep step) {
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
                heat == null ? null : heat.coolSeconds());
    }
}
