package lobrik.shape;

import java.util.Optional;
import java.util.stream.Stream;

/** What is measured on a piece (handbook 6). The ids are stable. */
public enum FeatureId {
    /** Position of the first mark from the datum end. */
    MARK_1("mark1", Kind.LENGTH, false),
    /** Datum end face to the back of the bend. */
    LEG("leg", Kind.LENGTH, true),
    /** Angle of the first bend at rest. */
    ANGLE_1("angle1", Kind.ANGLE, true),
    /** Back of the bend to the far end face. */
    OTHER_LEG("otherLeg", Kind.LENGTH, true);

    /** What it is measured in. */
    public enum Kind {
        LENGTH,
        ANGLE
    }

    private final String id;
    private final Kind kind;
    private final boolean finished;

    FeatureId(String id, Kind kind, boolean finished) {
        this.id = id;
        this.kind = kind;
        this.finished = finished;
    }

    public String id() {
        return id;
    }

    public Kind kind() {
        return kind;
    }

    /**
     * Whether it belongs to the finished piece. A mark does not: it shows how a dimension came about, so by itself it fails
     * no piece.
     */
    public boolean isOfFinishedPiece() {
        return finished;
    }

    /** The feature with this id, if there is one. */
    public static Optional<FeatureId> withId(String id) {
        return Stream.of(values()).filter(feature -> feature.id.equals(id)).findFirst();
    }
}
