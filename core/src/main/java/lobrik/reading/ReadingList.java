package lobrik.reading;

import java.util.List;
import lobrik.bend.BendKind;
import lobrik.feature.FeatureId;
import lobrik.feature.FeatureKind;

/** Which features of a piece are read. What is not on the list counts neither for the piece nor against it. */
public enum ReadingList {
    /** Everything that can be measured on the piece. */
    ALL("all"),
    /** The finished piece only, without marks; of a saddle without its angles, which its height and its lines answer for. */
    SHORT("short");

    private final String id;

    ReadingList(String id) {
        this.id = id;
    }

    /** As programs see it. */
    public String id() {
        return id;
    }

    /**
     * The features that are read, in their order.
     *
     * @param measurable all that can be measured on the piece, in the order in which hands go
     */
    public List<FeatureId> of(BendKind kind, List<FeatureId> measurable) {
        return measurable.stream().filter(feature -> reads(kind, feature)).toList();
    }

    private boolean reads(BendKind kind, FeatureId feature) {
        boolean left = kind.isReadWithoutAngles() && feature.kind() == FeatureKind.ANGLE;
        return this == ALL || (feature.isOfFinishedPiece() && !left);
    }
}
