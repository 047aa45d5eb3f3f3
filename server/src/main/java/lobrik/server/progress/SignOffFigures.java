package lobrik.server.progress;

import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.progress.SignOffRule;
import lobrik.progress.Strictness;
import lobrik.server.platform.TurnedDown;

/**
 * A sign-off rule as it is sent and stored.
 *
 * @param passes how many of the last pieces have to pass
 * @param of how many pieces are looked at
 * @param days on how many different days
 * @param lengthIn only passes that were judged by such limits or closer ones count
 * @param withoutRebending how many of the passes without re-bending
 * @param steadyPasses how many passes of the last pieces, by any limits, make steady
 */
public record SignOffFigures(
        int passes,
        int of,
        int days,
        double lengthIn,
        double angleDeg,
        double dogLegDeg,
        int withoutRebending,
        int steadyPasses) {

    static SignOffFigures of(SignOffRule rule) {
        return new SignOffFigures(
                rule.passes(),
                rule.of(),
                rule.days(),
                rule.strictness().length().inches(),
                rule.strictness().angle().degrees(),
                rule.strictness().dogLeg().degrees(),
                rule.withoutRebending(),
                rule.steadyPasses());
    }

    /** @throws lobrik.fault.Refused if no piece could meet it */
    SignOffRule toCore() {
        requireLimit("/lengthIn", lengthIn, 12, "in");
        requireLimit("/angleDeg", angleDeg, 45, "°");
        requireLimit("/dogLegDeg", dogLegDeg, 45, "°");
        return new SignOffRule(
                passes,
                of,
                days,
                new Strictness(Length.ofInches(lengthIn), Angle.ofDegrees(angleDeg), Angle.ofDegrees(dogLegDeg)),
                withoutRebending,
                steadyPasses);
    }

    private static void requireLimit(String pointer, double value, double most, String unit) {
        if (!(value > 0 && value <= most)) {
            throw TurnedDown.badInput(
                    pointer,
                    "out-of-range",
                    "this limit is " + value + " " + unit + "; it must be more than 0 and at most " + most + " "
                            + unit);
        }
    }
}
