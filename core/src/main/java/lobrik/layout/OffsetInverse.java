package lobrik.layout;

import lobrik.fault.Fault;
import lobrik.fault.FaultCode;
import lobrik.fault.Faults;
import lobrik.fault.Figure;
import lobrik.fault.Refused;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.shop.Tooling;

/**
 * Offsets the other way round: what marks that are there already will give, and what angle they need (handbook 4.3).
 *
 * <p>Symbols: {@code L} spacing of marks, {@code h} rise, {@code θ} angle, {@code R} radius.
 */
public record OffsetInverse(Tooling tooling, School school) {

    private static final int HALVINGS = 60;

    /** Less is no offset; and its angle would be none that a number can say. */
    private static final Length LEAST_RISE = Length.ofFraction(0, 1, 64);

    /**
     * The rise that marks give: {@code L / multiplier}, or exactly by {@link ExactOffset#rise}. Formula
     * {@code rise-of-marks}, handbook 4.3.
     *
     * @throws Refused for a spacing or an angle outside its range; as impossible if the arcs would overlap
     */
    public Length rise(Length spacing, Angle angle) {
        Faults faults = new Faults();
        faults.requirePositive("spacingIn", "the spacing of the marks", spacing, Length.LONGEST_ENTRY);
        faults.requireWithin("angleDeg", "the angle", angle, Angle.ofDegrees(1), Angle.RIGHT);
        faults.refuseIfAny();
        Length arc = tooling.arcLength(angle);
        if (spacing.isLessThan(arc)) {
            throw Refused.impossible(new Fault(
                    FaultCode.ARCS_OVERLAP,
                    "spacingIn",
                    "marks " + spacing.inWords() + " apart leave no room for a bend of " + angle.text()
                            + ", which takes " + arc.inWords() + " of conduit: set them at least that far apart",
                    new Figure("spacing", spacing),
                    new Figure("arc", arc)));
        }
        return switch (school.method()) {
            case CHART -> spacing.times(1 / school.chart().multiplier(angle));
            case EXACT -> ExactOffset.ofSpacing(tooling, spacing, angle).rise();
        };
    }

    /**
     * The angle with which marks give a rise: {@code asin(h / L)} by the card's rule, exactly by solving
     * {@link ExactOffset#spacing} for θ, which falls steadily as θ grows. Formula {@code angle-of-marks}, handbook 4.3.
     *
     * @throws Refused for figures outside their range; as impossible if the marks are too close for the rise
     */
    public Angle angle(Length spacing, Length rise) {
        Faults faults = new Faults();
        faults.requirePositive("spacingIn", "the spacing of the marks", spacing, Length.LONGEST_ENTRY);
        faults.requireWithin("riseIn", "the rise", rise, LEAST_RISE, Length.LONGEST_ENTRY);
        faults.refuseIfAny();
        Angle steepest = school.method() == Method.EXACT ? ExactOffset.largestAngle(tooling, rise) : Angle.RIGHT;
        Length least = spacingAt(rise, steepest);
        if (spacing.isLessThan(least)) {
            throw Refused.impossible(new Fault(
                    FaultCode.SPACING_IMPOSSIBLE,
                    "spacingIn",
                    "marks " + spacing.inWords() + " apart cannot give a rise of " + rise.inWords()
                            + ": set them at least " + least.inWords() + " apart",
                    new Figure("spacing", spacing),
                    new Figure("least spacing", least)));
        }
        return solved(spacing, rise, steepest);
    }

    private Angle solved(Length spacing, Length rise, Angle steepest) {
        if (school.method() == Method.CHART) {
            return Angle.ofRadians(Math.asin(Math.min(1, rise.inches() / spacing.inches())));
        }
        double low = 0;
        double high = steepest.degrees();
        for (int i = 0; i < HALVINGS; i++) {
            double middle = (low + high) / 2;
            if (middle > 0 && spacingAt(rise, Angle.ofDegrees(middle)).isMoreThan(spacing)) {
                low = middle;
            } else if (middle > 0) {
                high = middle;
            }
        }
        return Angle.ofDegrees(high);
    }

    private Length spacingAt(Length rise, Angle angle) {
        return switch (school.method()) {
            case CHART -> rise.times(MultiplierChart.cosecant(angle));
            case EXACT -> ExactOffset.of(tooling, rise, angle).spacing();
        };
    }
}
