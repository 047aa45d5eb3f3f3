package lobrik.fault;

/** Every fault and warning of the core. Codes are stable: programs may rely on them. */
public enum FaultCode {
    MISSING("missing"),
    NOT_POSITIVE("not-positive"),
    OUT_OF_RANGE("out-of-range"),
    UNKNOWN_VALUE("unknown-value"),
    DUPLICATE("duplicate"),
    NOT_INCREASING("not-increasing"),
    WRONG_NUMBER_OF_BENDS("wrong-number-of-bends"),
    RADIUS_TOO_SMALL("radius-too-small"),
    LEG_SHORTER_THAN_BEND("leg-shorter-than-bend"),
    MARK_OFF_CONDUIT("mark-off-conduit"),
    ARC_OFF_CONDUIT("arc-off-conduit"),
    ARCS_OVERLAP("arcs-overlap"),
    NOT_A_NINETY("not-a-ninety"),
    GRIP_TOO_SHORT("grip-too-short"),
    STANDING_TOO_SHORT("standing-too-short"),
    STUB_TOO_SHORT("stub-too-short"),
    END_FLATTENS("end-flattens"),
    TOOL_WITHOUT_MARK("tool-without-mark"),
    OUTSIDE_TABLE("outside-table"),
    ARROW_LEAD_NEGATIVE("arrow-lead-negative"),
    LONGER_THAN_STICK("longer-than-stick"),
    SPACING_IMPOSSIBLE("spacing-impossible"),
    MARKS_TOO_CLOSE("marks-too-close"),
    RADIUS_UNDER_LEAST("radius-under-least"),
    DEGREES_OVER_LIMIT("degrees-over-limit"),
    ANGLE_NOT_ON_CHART("angle-not-on-chart"),
    NOTCH_OFF_CENTRE("notch-off-centre"),
    OBSTACLE_TOUCHED("obstacle-touched"),
    BEND_BLOCKED("bend-blocked"),
    NOT_DETERMINED("not-determined"),
    TOO_FEW_VARIANTS("too-few-variants");

    private final String id;

    FaultCode(String id) {
        this.id = id;
    }

    /** The code as programs see it, such as {@code leg-shorter-than-bend}. */
    public String id() {
        return id;
    }
}
