package lobrik.shop;

import java.util.List;
import lobrik.fault.Fault;
import lobrik.fault.FaultCode;
import lobrik.fault.Refused;
import lobrik.measure.Angle;
import lobrik.measure.Length;

/**
 * A tool with the conduit it bends: the pair that decides where a bend lands (handbook 2).
 *
 * <p>Symbols: {@code d} outside diameter, {@code R} centreline radius, {@code G} gain, {@code θ} angle of the bend at rest.
 */
public record Tooling(Conduit conduit, Tool tool) {

    /** @throws Refused if the radius is not more than half the diameter: the inside of the bend would fold */
    public Tooling {
        if (!tool.radius().isMoreThan(conduit.outsideDiameter().times(0.5))) {
            throw Refused.badInput(List.of(new Fault(
                    FaultCode.RADIUS_TOO_SMALL,
                    "bender/radiusIn",
                    "the bend radius is " + tool.radius().inWords() + "; it must be more than half the conduit's "
                            + conduit.outsideDiameter().inWords())));
        }
    }

    /**
     * How much shorter the conduit is than the two outside legs of a 90: {@code G = 2R + d − πR/2}. Formula
     * {@code gain}, handbook 2.
     */
    public Length gain() {
        return backOfBend().times(2).minus(arcLength(Angle.RIGHT));
    }

    /** Start of the arc to the back of a 90, along the leg: {@code R + d/2}. Formula {@code back-of-bend}, handbook 2. */
    public Length backOfBend() {
        return tool.radius().plus(conduit.outsideDiameter().times(0.5));
    }

    /**
     * The same for a bend that is not exactly 90°: from the end of its arc, along one leg's axis, to the outer surface line
     * of the other leg, {@code ((R + d/2) − R cos θ) / sin θ}. Formula {@code back-of-bend-at-angle}; it follows from
     * handbook 2 by meeting the leg's axis with the line {@code d/2} outside the other leg.
     *
     * @param angle more than 0° and less than 180°
     */
    public Length backOfBend(Angle angle) {
        double theta = angle.radians();
        return Length.ofInches((backOfBend().inches() - tool.radius().inches() * Math.cos(theta)) / Math.sin(theta));
    }

    /** Conduit that a bend uses: {@code Rθ}, θ in radians. Formula {@code arc-length}, handbook 2. */
    public Length arcLength(Angle angle) {
        return tool.radius().times(angle.radians());
    }

    /** What only a shoe has: its marks, its take-up, and what it holds. */
    public ShoeFigures shoe() {
        return switch (tool) {
            case Shoe shoe -> new ShoeFigures(shoe, this);
        };
    }

    /** The end of the arc that is nearer to the datum end, where a tool stands on a ring like this. */
    public Length arcStart(Length mark, Placing placing, Angle angle) {
        return switch (placing) {
            case ShoePlacing onShoe -> shoe().arcStart(mark, onShoe, angle);
        };
    }

    /** The mark whose arc starts here: the inverse of {@link #arcStart(Length, Placing, Angle)}. */
    public Length markFor(Length arcStart, Placing placing, Angle angle) {
        return arcStart.minus(arcStart(Length.ZERO, placing, angle));
    }
}
