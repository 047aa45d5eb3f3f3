package lobrik.layout;

import lobrik.fault.Fault;
import lobrik.fault.FaultCode;
import lobrik.fault.Figure;
import lobrik.fault.Refused;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.shop.Tooling;

/**
 * An offset on this bender's radius (handbook 4.3): two arcs of {@code θ} with a straight {@code t} between them. The two
 * halves of a three-point saddle and of a four-point saddle are the same curve.
 *
 * <p>Symbols: {@code R} centreline radius, {@code h} rise, {@code L} spacing of marks, all lengths in one unit; {@code θ}
 * in radians, more than 0 and at most π/2.
 *
 * @param angle {@code θ}
 * @param straight {@code t}, between the arcs; negative where they would overlap
 */
public record ExactOffset(Tooling tooling, Angle angle, Length straight) {

    /** Rounding of calculated lengths must not make a spacing impossible. */
    private static final Length ROUNDING = Length.ofInches(1e-9);

    /**
     * The offset of a rise: {@code t = (h − 2R(1 − cos θ)) / sin θ}. Formula {@code offset-straight}, handbook 4.3.
     *
     * @throws Refused as impossible if the arcs alone rise more than {@code h}
     */
    public static ExactOffset of(Tooling tooling, Length rise, Angle angle) {
        Length least = leastRise(tooling, angle);
        if (rise.plus(ROUNDING).isLessThan(least)) {
            throw Refused.impossible(new Fault(
                    FaultCode.SPACING_IMPOSSIBLE,
                    "bend/riseIn",
                    "a rise of " + rise.inWords() + " cannot be bent at " + angle.text() + " on a radius of "
                            + tooling.tool().radius().inWords() + ": the two bends alone rise " + least.inWords(),
                    new Figure("rise", rise),
                    new Figure("least rise at this angle", least),
                    new Figure("largest angle for this rise", largestAngle(tooling, rise))));
        }
        double straight = rise.minus(least).inches() / Math.sin(angle.radians());
        return new ExactOffset(tooling, angle, Length.ofInches(straight));
    }

    /** The offset whose marks stand this far apart: {@code t = L − Rθ}. */
    public static ExactOffset ofSpacing(Tooling tooling, Length spacing, Angle angle) {
        return new ExactOffset(tooling, angle, spacing.minus(tooling.arcLength(angle)));
    }

    /** What two arcs rise with no straight between: {@code 2R(1 − cos θ)}. Formula {@code least-rise}, handbook 4.3. */
    public static Length leastRise(Tooling tooling, Angle angle) {
        return tooling.tool().radius().times(2 * (1 - Math.cos(angle.radians())));
    }

    /** The angle at which the arcs alone rise {@code h}: the inverse of {@link #leastRise}, at most 90°. */
    public static Angle largestAngle(Tooling tooling, Length rise) {
        double cosine = 1 - rise.inches() / (2 * tooling.tool().radius().inches());
        return Angle.ofRadians(Math.acos(Math.max(0, cosine)));
    }

    /** {@code L = t + Rθ}. Formula {@code offset-spacing}, handbook 4.3. */
    public Length spacing() {
        return straight.plus(tooling.arcLength(angle));
    }

    /** {@code h = t sin θ + 2R(1 − cos θ)}. Formula {@code offset-rise}, handbook 4.3. */
    public Length rise() {
        return straight.times(Math.sin(angle.radians())).plus(leastRise(tooling, angle));
    }

    /**
     * {@code t + 2Rθ − 2R sin θ − t cos θ}: what the conduit is longer than the distance it covers. Formula
     * {@code offset-shrink}, handbook 4.3.
     */
    public Length shrink() {
        double theta = angle.radians();
        double radius = tooling.tool().radius().inches();
        double t = straight.inches();
        return Length.ofInches(t * (1 - Math.cos(theta)) + 2 * radius * (theta - Math.sin(theta)));
    }

    /** Spacing and shrink. */
    public OffsetFigures figures() {
        return new OffsetFigures(spacing(), shrink());
    }
}
