package lobrik.layout;

import java.util.List;
import lobrik.bend.Bend;
import lobrik.bend.BendKind;
import lobrik.fault.Fault;
import lobrik.fault.FaultCode;
import lobrik.measure.Length;

/** Which input of a bend a fault of its marks or arcs concerns. */
final class InputsConcerned {

    private InputsConcerned() {}

    /** The fault with its input named as the bend names it; what to do about marks is no advice about inputs. */
    static Fault name(Bend bend, Fault fault) {
        BendKind kind = bend.kind();
        String input = switch (fault.code()) {
            case ARCS_OVERLAP, SPACING_IMPOSSIBLE, MARKS_TOO_CLOSE -> size(kind);
            case MARK_OFF_CONDUIT -> isBeforeDatumEnd(fault) ? place(kind) : farEnd(kind);
            case ARC_OFF_CONDUIT -> fault.input().equals("lengthIn") ? farEnd(kind) : place(kind);
            default -> fault.input();
        };
        return fault.at(input).curedBy(List.of());
    }

    private static boolean isBeforeDatumEnd(Fault fault) {
        return fault.code() == FaultCode.MARK_OFF_CONDUIT
                && fault.figures().getFirst().value() instanceof Length mark
                && !mark.isMoreThan((Length) fault.figures().getLast().value());
    }

    /** What makes the bends come close together. */
    static String size(BendKind kind) {
        return switch (kind) {
            case STUB_90 -> "bend/legIn";
            case BACK_TO_BACK_90 -> "bend/betweenIn";
            case OFFSET, BOX_OFFSET, ROLLING_OFFSET, KICK -> "bend/riseIn";
            case SADDLE_3, SADDLE_4 -> "bend/heightIn";
        };
    }

    /** What decides where the bends lie from the datum end. */
    static String place(BendKind kind) {
        return switch (kind) {
            case STUB_90 -> "bend/legIn";
            case BACK_TO_BACK_90 -> "bend/firstLegIn";
            case OFFSET, ROLLING_OFFSET, KICK, SADDLE_4 -> "bend/distanceIn";
            case BOX_OFFSET -> "bend/firstMarkIn";
            case SADDLE_3 -> "bend/centreIn";
        };
    }

    /** What decides how much conduit there is beyond the bends. */
    static String farEnd(BendKind kind) {
        return switch (kind) {
            case STUB_90 -> "bend/otherLegIn";
            case BACK_TO_BACK_90 -> "bend/secondLegIn";
            case OFFSET, BOX_OFFSET, ROLLING_OFFSET, SADDLE_3, SADDLE_4 -> "bend/overallIn";
            case KICK -> "bend/riseIn";
        };
    }
}
