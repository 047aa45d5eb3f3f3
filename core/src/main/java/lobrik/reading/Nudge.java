package lobrik.reading;

import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.measure.Percentage;
import lobrik.measure.Quantity;
import lobrik.measure.TapeDivision;

/** The next line of the tape, or the next half degree of the level. */
public final class Nudge {

    /** What a level shows, and what an angle is set by. */
    public static final Angle ANGLE_STEP = Angle.ofDegrees(0.5);

    /** A caliper shows more, but nobody bends by it. */
    private static final Percentage PERCENTAGE_STEP = Percentage.of(0.5);

    private Nudge() {}

    /**
     * A reading moved to the next line up or down, as a text to be typed; it stays at nothing where the feature cannot be
     * less.
     *
     * @param division the lines of the tape; sixteenths if it has none
     * @param steps how many lines, downwards if less than 0
     * @param shown the unit in which the text is written
     */
    public static String text(FeatureId feature, Quantity from, TapeDivision division, int steps, LengthUnit shown) {
        return switch (from) {
            case Length length -> {
                TapeDivision lines = lines(division, shown);
                long moved = moved(length.picometres(), lines.step().picometres(), steps);
                yield lines.text(new Length(feature.isSigned() ? moved : Math.max(0, moved)));
            }
            case Angle angle ->
                new Angle(Math.max(0, moved(angle.nanodegrees(), ANGLE_STEP.nanodegrees(), steps)))
                        .text()
                        .replace("°", "");
            case Percentage part ->
                new Percentage(Math.max(0, moved(part.billionths(), PERCENTAGE_STEP.billionths(), steps)))
                        .text()
                        .replace(" %", "");
        };
    }

    /** Somebody who works in millimetres has a tape with millimetres, whatever the exercise is marked with. */
    private static TapeDivision lines(TapeDivision division, LengthUnit shown) {
        if (shown == LengthUnit.MILLIMETRE) {
            return TapeDivision.MILLIMETRE;
        }
        return division.isInchFraction() ? division : TapeDivision.SIXTEENTH;
    }

    private static long moved(long count, long step, int steps) {
        long below = Math.floorDiv(count, step) * step;
        // From between two lines, the first step only goes to the next line.
        long from = steps < 0 && below != count ? below + step : below;
        return from + steps * step;
    }
}
