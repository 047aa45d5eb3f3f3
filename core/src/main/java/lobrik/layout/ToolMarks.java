package lobrik.layout;

import java.util.function.UnaryOperator;
import lobrik.bend.Placement;
import lobrik.derivation.Sum;
import lobrik.fault.Fault;
import lobrik.fault.FaultCode;
import lobrik.fault.Refused;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.shop.Former;
import lobrik.shop.Machine;
import lobrik.shop.Placing;
import lobrik.shop.Reference;
import lobrik.shop.Shoe;
import lobrik.shop.ShoePlacing;
import lobrik.shop.Tooling;
import lobrik.shop.WarmPlacing;

/** How what a tool has on a ring is laid out, and how it is said. */
final class ToolMarks {

    private ToolMarks() {}

    /**
     * Arrow or star, as a bend asks for it.
     *
     * @return makes of what leads on this tool what the bend asks for
     * @throws Refused as impossible for a star on a tool that has none
     */
    static UnaryOperator<Placing> placed(Placement placement, Tooling tooling) {
        if (placement == Placement.STAR && tooling.shoe().isEmpty()) {
            throw Refused.impossible(new Fault(
                    FaultCode.TOOL_WITHOUT_MARK,
                    "bend/placement",
                    "there is no star where conduit is bent with heat: a ring is the middle of its curve"));
        }
        return leading -> switch (leading) {
            case ShoePlacing shoe ->
                switch (placement) {
                    case ARROW -> shoe;
                    case STAR -> shoe.by(Reference.STAR);
                };
            case WarmPlacing middle -> middle;
        };
    }

    /** What is taken off a leg to its mark, as people of this tool call it. */
    static String takeUp(Tooling tooling) {
        return switch (tooling.tool()) {
            case Shoe _ -> "take-up";
            case Machine _ -> "deduct";
            case Former _ -> "middle of the curve to the back";
        };
    }

    /** From where a curve begins to its ring. */
    static Sum backToRing(Sum toCurve, Tooling tooling, Angle angle) {
        return tooling.shoe()
                .map(shoe -> toCurve.minus("arrow ahead of the curve", shoe.arrowLead()))
                .orElseGet(() -> toCurve.plus("half of its curve", half(tooling, angle)));
    }

    /** From a ring to where its curve ends, with the hook to the datum end. */
    static Sum throughCurve(Sum toRing, Tooling tooling, Angle angle, String curve) {
        return tooling.shoe()
                .map(shoe -> toRing.plus("arrow ahead of the curve", shoe.arrowLead())
                        .plus(curve, tooling.arcLength(angle)))
                .orElseGet(() -> toRing.plus("half of the " + curve, half(tooling, angle)));
    }

    private static Length half(Tooling tooling, Angle angle) {
        return tooling.arcLength(angle).times(0.5);
    }
}
