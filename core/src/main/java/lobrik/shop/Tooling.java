package lobrik.shop;

import java.util.List;
import lobrik.fault.Fault;
import lobrik.fault.FaultCode;
import lobrik.fault.Refused;
import lobrik.measure.Angle;
import lobrik.measure.Length;

/**
 * A bender with the conduit it bends: the pair that decides where a bend lands (handbook 2).
 *
 * <p>Symbols: {@code d} outside diameter, {@code R} centreline radius, {@code T} take-up, {@code e} arrow lead,
 * {@code G} gain, {@code θ} angle of the bend at rest.
 */
public record Tooling(Conduit conduit, Bender bender) {

    /** @throws Refused if the radius is not more than half the diameter: the inside of the bend would fold */
    public Tooling {
        if (!bender.radius().isMoreThan(conduit.outsideDiameter().times(0.5))) {
            throw Refused.badInput(List.of(new Fault(
                    FaultCode.RADIUS_TOO_SMALL,
                    "bender/radiusIn",
                    "the bend radius is " + bender.radius().inWords() + "; it must be more than half the conduit's "
                            + conduit.outsideDiameter().inWords())));
        }
    }

    /** Arrow to the point where the arc starts: {@code e = T − R − d/2}. Formula {@code arrow-lead}, handbook 2. */
    public Length arrowLead() {
        return bender.takeUp().minus(backOfBend());
    }

    /**
     * How much shorter the conduit is than the two outside legs of a 90: {@code G = 2R + d − πR/2}. Formula
     * {@code gain}, handbook 2.
     */
    public Length gain() {
        return backOfBend().times(2).minus(arcLength(Angle.RIGHT));
    }

    /** Arrow to star: {@code σ = T − G}. Formula {@code star-offset}, handbook 2. */
    public Length starOffset() {
        return bender.takeUp().minus(gain());
    }

    /** Arrow to the middle of a 45° arc: {@code ν = e + πR/8}. Formula {@code notch-offset}, handbook 2. */
    public Length notchOffset() {
        return arrowLead().plus(arcLength(Angle.ofDegrees(22.5)));
    }

    /** Start of the arc to the back of a 90, along the leg: {@code R + d/2}. Formula {@code back-of-bend}, handbook 2. */
    public Length backOfBend() {
        return bender.radius().plus(conduit.outsideDiameter().times(0.5));
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
        return Length.ofInches((backOfBend().inches() - bender.radius().inches() * Math.cos(theta)) / Math.sin(theta));
    }

    /** Conduit that a bend uses: {@code Rθ}, θ in radians. Formula {@code arc-length}, handbook 2. */
    public Length arcLength(Angle angle) {
        return bender.radius().times(angle.radians());
    }

    /** How far the arrow stands from a reference mark of the shoe, towards the hook: 0, σ or ν (handbook 2). */
    public Length arrowAhead(Reference reference) {
        return switch (reference) {
            case ARROW -> Length.ZERO;
            case STAR -> starOffset();
            case NOTCH -> notchOffset();
        };
    }

    /** Position of the arrow when a shoe stands on a ring: the mark shifted towards the hook by {@link #arrowAhead}. */
    public Length arrowPosition(Length mark, ShoePlacing placing) {
        Length ahead = arrowAhead(placing.reference());
        return placing.hookTowards() == HookSide.DATUM ? mark.minus(ahead) : mark.plus(ahead);
    }

    /** The end of the arc that is nearer to the datum end, where a tool stands on a ring like this. */
    public Length arcStart(Length mark, Placing placing, Angle angle) {
        return switch (placing) {
            case ShoePlacing shoe -> arcStart(mark, shoe, angle);
        };
    }

    /**
     * Of a shoe with the arrow at {@code m} the arc covers {@code [m + e, m + e + Rθ]} with the hook towards the datum end and
     * {@code [m − e − Rθ, m − e]} with the hook towards the far end. Formula {@code arc-start}, handbook 2.
     */
    private Length arcStart(Length mark, ShoePlacing placing, Angle angle) {
        Length arrow = arrowPosition(mark, placing);
        return switch (placing.hookTowards()) {
            case DATUM -> arrow.plus(arrowLead());
            case FAR -> arrow.minus(arrowLead()).minus(arcLength(angle));
        };
    }

    /** The mark whose arc starts here: the inverse of {@link #arcStart(Length, Placing, Angle)}. */
    public Length markFor(Length arcStart, Placing placing, Angle angle) {
        return arcStart.minus(arcStart(Length.ZERO, placing, angle));
    }
}
