package lobrik.shop;

import lobrik.measure.Angle;
import lobrik.measure.Length;

/**
 * A shoe with the conduit it bends (handbook 2).
 *
 * <p>Symbols: {@code d} outside diameter, {@code R} centreline radius, {@code T} take-up, {@code e} arrow lead,
 * {@code G} gain, {@code θ} angle of the bend at rest.
 */
public record ShoeFigures(ShoeTool shoe, Tooling tooling) {

    /** {@code T}: arrow to the back of a 90. */
    public Length takeUp() {
        return shoe.takeUp();
    }

    /** Least conduit on the hook's side of the arrow that the shoe can hold. */
    public Length minGrip() {
        return shoe.minGrip();
    }

    /** Arrow to the point where the arc starts: {@code e = T − R − d/2}. Formula {@code arrow-lead}, handbook 2. */
    public Length arrowLead() {
        return shoe.takeUp().minus(tooling.backOfBend());
    }

    /** Arrow to star: {@code σ = T − G}. Formula {@code star-offset}, handbook 2. */
    public Length starOffset() {
        return shoe.takeUp().minus(tooling.gain());
    }

    /** Arrow to the middle of a 45° arc: {@code ν = e + πR/8}. Formula {@code notch-offset}, handbook 2. */
    public Length notchOffset() {
        return arrowLead().plus(tooling.arcLength(Angle.ofDegrees(22.5)));
    }

    /** How far the arrow stands from a reference mark of the shoe, towards the hook: 0, σ or ν (handbook 2). */
    public Length arrowAhead(Reference reference) {
        return switch (reference) {
            case ARROW -> Length.ZERO;
            case STAR -> starOffset();
            case NOTCH -> notchOffset();
        };
    }

    /** Position of the arrow when the shoe stands on a ring: the mark shifted towards the hook by {@link #arrowAhead}. */
    public Length arrowPosition(Length mark, ShoePlacing placing) {
        Length ahead = arrowAhead(placing.reference());
        return placing.hookTowards() == HookSide.DATUM ? mark.minus(ahead) : mark.plus(ahead);
    }

    /**
     * With the arrow at {@code m} the arc covers {@code [m + e, m + e + Rθ]} with the hook towards the datum end and
     * {@code [m − e − Rθ, m − e]} with the hook towards the far end. Formula {@code arc-start}, handbook 2.
     */
    Length arcStart(Length mark, ShoePlacing placing, Angle angle) {
        Length arrow = arrowPosition(mark, placing);
        return switch (placing.hookTowards()) {
            case DATUM -> arrow.plus(arrowLead());
            case FAR -> arrow.minus(arrowLead()).minus(tooling.arcLength(angle));
        };
    }
}
