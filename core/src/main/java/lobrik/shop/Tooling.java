package lobrik.shop;

import java.util.List;
import java.util.Optional;
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

    /**
     * Middle of the curve of a 90 to its back, along the conduit and on: {@code R + d/2 − πR/4}. Formula {@code middle-to-back}, handbook
     * 4.10.
     */
    public Length middleToBack() {
        return backOfBend().minus(arcLength(Angle.RIGHT).times(0.5));
    }

    /** From a leading ring to the back of a 90, along the leg: the take-up of a shoe, or {@link #middleToBack()}. */
    public Length takenOff() {
        return switch (tool) {
            case ShoeTool shoe -> shoe.takeUp();
            case Former _ -> middleToBack();
        };
    }

    /** Conduit that a bend uses: {@code Rθ}, θ in radians. Formula {@code arc-length}, handbook 2. */
    public Length arcLength(Angle angle) {
        return tool.radius().times(angle.radians());
    }

    /** What only a shoe has: its marks, its take-up, and what it holds. Nothing for a tool without one. */
    public Optional<ShoeFigures> shoe() {
        return switch (tool) {
            case ShoeTool shoe -> Optional.of(new ShoeFigures(shoe, this));
            case Former _ -> Optional.empty();
        };
    }

    /** How thick the wall of what is bent with heat stays outside, as a part of what it was; nothing said of metal. */
    public Optional<Double> wallLeft() {
        return switch (tool) {
            case ShoeTool _ -> Optional.empty();
            case Former former -> Optional.of(former.wallLeft(conduit));
        };
    }

    /** The same conduit bent tighter, or wider. */
    public Tooling withRadius(Length radius) {
        return new Tooling(conduit, tool.withRadius(radius));
    }

    /** What to set on a ring and which way round, as people at this tool say it: {@code arrow, hook to the datum end}. */
    public String words(Placing placing) {
        return switch (tool) {
            case Shoe _, Former _ -> placing.words();
            case Machine _ ->
                placing.onShoe()
                        .map(shoe -> switch (shoe.reference()) {
                                    case ARROW -> "front of the shoe";
                                    case STAR -> "back mark of the shoe";
                                    case NOTCH -> "middle of the shoe";
                                }
                                + (shoe.hookTowards() == HookSide.DATUM
                                        ? ", front to the datum end"
                                        : ", front to the far end"))
                        .orElse(placing.words());
        };
    }

    /** What a ring is laid out for: the arrow of a shoe, or the middle of a curve that has no shoe. */
    public Placing leading(HookSide hookTowards) {
        return switch (tool) {
            case ShoeTool _ -> Placing.arrow(hookTowards);
            case Former _ -> Placing.middle();
        };
    }

    /** What stands on the ring of a bend that is laid out by its middle: the notch of a shoe, or the middle itself. */
    public Placing middle(HookSide hookTowards) {
        return switch (tool) {
            case ShoeTool _ -> Placing.notch(hookTowards);
            case Former _ -> Placing.middle();
        };
    }

    /**
     * From the ring of a {@link #leading} placing with the hook to the datum end, on to the start of its arc: the arrow lead, or back by
     * half an arc.
     */
    public Length lead(Angle angle) {
        return arcStart(Length.ZERO, leading(HookSide.DATUM), angle);
    }

    /**
     * The end of the arc that is nearer to the datum end, where a tool stands on a ring like this.
     *
     * @throws IllegalArgumentException for what this tool does not have: an arrow on a former, the middle of a curve on a shoe
     */
    public Length arcStart(Length mark, Placing placing, Angle angle) {
        return switch (placing) {
            case ShoePlacing onShoe ->
                shoe().orElseThrow(() -> new IllegalArgumentException("a former has no " + onShoe.words()))
                        .arcStart(mark, onShoe, angle);
            case WarmPlacing warm ->
                mark.minus(arcLength(angle)
                        .times(
                                switch (warm.on()) {
                                    case MIDDLE -> 0.5;
                                    case START -> 0;
                                    case END -> 1;
                                }));
        };
    }

    /** The mark whose arc starts here: the inverse of {@link #arcStart(Length, Placing, Angle)}. */
    public Length markFor(Length arcStart, Placing placing, Angle angle) {
        return arcStart.minus(arcStart(Length.ZERO, placing, angle));
    }
}
