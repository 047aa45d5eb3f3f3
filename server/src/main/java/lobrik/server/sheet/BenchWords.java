package lobrik.server.sheet;

import lobrik.bend.BendKind;
import lobrik.bend.InputId;
import lobrik.shop.HookSide;

/** What things are called on a sheet. */
public final class BenchWords {

    private BenchWords() {}

    static String of(BendKind kind) {
        return Character.toUpperCase(kind.words().charAt(0)) + kind.words().substring(1);
    }

    /** {@code riseIn} as {@code Rise}. */
    public static String of(InputId input) {
        return switch (input) {
            case LEG -> "Leg";
            case OTHER_LEG -> "Other leg";
            case FIRST_LEG -> "First leg";
            case BETWEEN -> "Back to back";
            case SECOND_LEG -> "Second leg";
            case RISE -> "Rise";
            case ROLL -> "Roll";
            case HEIGHT -> "Height";
            case WIDTH -> "Width";
            case ANGLE -> "Angle";
            case OUTER_ANGLE -> "Outer angle";
            case DISTANCE -> "Distance";
            case CENTRE -> "Centre";
            case FIRST_MARK -> "First mark";
            case CLEARANCE -> "Clearance";
            case EDGE_CLEARANCE -> "Edge clearance";
            case OVERALL -> "Overall";
        };
    }

    static String of(HookSide side) {
        return side == HookSide.DATUM ? "hook to the datum end" : "hook to the far end";
    }
}
