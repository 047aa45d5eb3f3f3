package lobrik.exercise;

import lobrik.bend.Input;
import lobrik.layout.Layout;
import lobrik.layout.Method;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.TapeDivision;
import lobrik.shape.Segment;

/**
 * How hard an exercise is for the one who bends it, in points. Only exercises of one kind are compared, so what their kind
 * makes hard does not count. Three things differ between variants:
 *
 * <ul>
 *   <li>arithmetic: how fine the given figures are, on average 0 for whole inches, 1 for halves, 2 for quarters, 3 for
 *       eighths, 4 for sixteenths, 5 for anything finer (whole centimetres 0, whole millimetres 2);
 *   <li>the multiplier: 0 for 30° on the card, 1 for another angle of it, 3 for an angle that is not on the card;
 *   <li>room: up to 3 where the tightest straight is at the shoe's least, none from two inches more.
 * </ul>
 *
 * @param points 0 or more
 */
public record Hardness(double points) {

    /** Exercises that differ by no more than this are called equally hard. */
    public static final double EQUAL = 1.0;

    private static final Angle EASIEST = Angle.ofDegrees(30);
    private static final double ROOMY_INCHES = 2;
    private static final double TIGHTEST = 3;

    /** Of a bend as it is laid out. */
    public static Hardness of(Layout layout) {
        return new Hardness(arithmetic(layout) + multiplier(layout) + room(layout));
    }

    /** Whether another is equally hard. */
    public boolean equals(Hardness other, double allowed) {
        return Math.abs(points - other.points) <= allowed;
    }

    private static double arithmetic(Layout layout) {
        boolean metric = layout.job().school().division().equals(TapeDivision.MILLIMETRE);
        return Input.of(layout.job().bend()).stream()
                .map(Input::current)
                .filter(Length.class::isInstance)
                .mapToInt(length -> metric ? metricFineness((Length) length) : inchFineness((Length) length))
                .average()
                .orElse(0);
    }

    private static int inchFineness(Length length) {
        long lines = 1;
        for (int fineness = 0; fineness <= 4; fineness++, lines *= 2) {
            if (length.picometres() % Length.ofFraction(0, 1, lines).picometres() == 0) {
                return fineness;
            }
        }
        return 5;
    }

    private static int metricFineness(Length length) {
        if (length.picometres() % Length.ofMillimetres(10).picometres() == 0) {
            return 0;
        }
        return length.picometres() % Length.ofMillimetres(1).picometres() == 0 ? 2 : 5;
    }

    private static double multiplier(Layout layout) {
        if (layout.job().school().method() == Method.EXACT) {
            return 0;
        }
        return Input.of(layout.job().bend()).stream()
                .map(Input::current)
                .filter(Angle.class::isInstance)
                .mapToDouble(angle -> multiplier(layout, (Angle) angle))
                .sum();
    }

    private static double multiplier(Layout layout, Angle angle) {
        if (angle.equals(EASIEST)) {
            return 0;
        }
        return layout.job().school().chart().has(angle) ? 1 : 3;
    }

    private static double room(Layout layout) {
        Length least = layout.job().tooling().tool().minSpacing();
        return layout.predicted().straights().stream()
                .map(Segment.Straight::length)
                .mapToDouble(straight ->
                        TIGHTEST * Math.clamp(1 - straight.minus(least).inches() / ROOMY_INCHES, 0, 1))
                .max()
                .orElse(0);
    }
}
