package lobrik.server.shed;

import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Percentage;
import lobrik.measure.Quantity;
import lobrik.measure.QuantityKind;
import lobrik.verdict.Tolerance;

/** How much more and how much less a reading of one feature may be: inches for a length, degrees for an angle, per cent for a percentage. */
public record LimitFigures(double over, double under) {

    static LimitFigures of(Tolerance limits) {
        return new LimitFigures(inUnits(limits.over()), inUnits(limits.under()));
    }

    private static double inUnits(Quantity size) {
        return switch (size) {
            case Length length -> length.inches();
            case Angle angle -> angle.degrees();
            case Percentage part -> part.perCent();
        };
    }

    /**
     * The limits as the core has them.
     *
     * @throws IllegalArgumentException if a figure is no such size at all
     */
    Tolerance toCore(QuantityKind measured) {
        return new Tolerance(measured.of(over), measured.of(under));
    }
}
