package lobrik.bend;

import java.util.Optional;
import java.util.stream.Stream;
import lobrik.measure.QuantityKind;

/** The sizes that bends take. Ids are stable; several kinds share them. */
public enum InputId {
    LEG("legIn", "the leg"),
    OTHER_LEG("otherLegIn", "the other leg"),
    FIRST_LEG("firstLegIn", "the first leg"),
    BETWEEN("betweenIn", "the distance back to back"),
    SECOND_LEG("secondLegIn", "the second leg"),
    RISE("riseIn", "the rise"),
    ROLL("rollIn", "the roll"),
    HEIGHT("heightIn", "the height"),
    WIDTH("widthIn", "the width"),
    ANGLE("angleDeg", "the angle"),
    OUTER_ANGLE("outerAngleDeg", "the angle"),
    DISTANCE("distanceIn", "the distance"),
    CENTRE("centreIn", "the distance to the centre"),
    FIRST_MARK("firstMarkIn", "the first mark"),
    CLEARANCE("clearanceIn", "the clearance"),
    EDGE_CLEARANCE("edgeClearanceIn", "the edge clearance"),
    OVERALL("overallIn", "the overall length"),
    DROP("dropIn", "the drop"),
    SET_BACK("setBackIn", "the set-back"),
    OVER_BEND("overBendDeg", "the over-bend");

    private final String id;
    private final String words;

    InputId(String id, String words) {
        this.id = id;
        this.words = words;
    }

    /** As programs see it, with its unit: {@code riseIn}. */
    public String id() {
        return id;
    }

    /** What its size is measured as. */
    public QuantityKind measured() {
        return this == ANGLE || this == OUTER_ANGLE || this == OVER_BEND ? QuantityKind.ANGLE : QuantityKind.LENGTH;
    }

    /** In a sentence: {@code the rise}. */
    public String words() {
        return words;
    }

    /** The input with this id, if there is one. */
    public static Optional<InputId> withId(String id) {
        return Stream.of(values()).filter(input -> input.id.equals(id)).findFirst();
    }
}
