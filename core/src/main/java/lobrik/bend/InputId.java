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
    OVER_BEND("overBendDeg", "the over-bend"),
    LENGTH("lengthIn", "the length"),
    READ_FROM("readFromIn", "the first reading"),
    READ_TO("readToIn", "the second reading"),
    PLAY("playIn", "the play"),
    START_INSERTION("startInsertionIn", "the insertion at the start"),
    END_INSERTION("endInsertionIn", "the insertion at the end"),
    LAST_MARK("lastMarkIn", "the last mark"),
    AT("atIn", "the place");

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

    /** The input at the end of a path such as {@code legs/0/lengthIn}, if there is one. */
    public static Optional<InputId> ofPath(String path) {
        return withId(path.substring(path.lastIndexOf('/') + 1));
    }

    /** The input with this id, if there is one. */
    public static Optional<InputId> withId(String id) {
        return Stream.of(values()).filter(input -> input.id.equals(id)).findFirst();
    }
}
