package lobrik.verdict;

import java.util.Optional;
import java.util.stream.Stream;
import lobrik.feature.FeatureId;
import lobrik.layout.PlannedFeature;
import lobrik.measure.Quantity;

/** What the readings of a piece are judged against (handbook 7). It is frozen with an attempt. */
public enum Yardstick {
    /**
     * The right piece: what the rightly worked out and rounded marks of the set method give on this bender. Who does exactly
     * what was set has full points; what the method itself misses is charged to nobody.
     */
    RIGHT_PIECE("rightPiece"),
    /** What was asked of the finished piece. The method was the trainee's to choose, so marks are not judged. */
    FREE_METHOD("freeMethod"),
    /** What was asked, of marks too: so were pieces judged whose measuring began before the right piece was the yardstick. */
    AS_ASKED("asAsked");

    private final String id;

    Yardstick(String id) {
        this.id = id;
    }

    /** As programs see it. */
    public String id() {
        return id;
    }

    /** The yardstick with this id, if there is one. */
    public static Optional<Yardstick> withId(String id) {
        return Stream.of(values()).filter(each -> each.id.equals(id)).findFirst();
    }

    /** Whether a feature is judged at all. */
    public boolean judges(FeatureId feature) {
        return switch (this) {
            case RIGHT_PIECE, AS_ASKED -> true;
            case FREE_METHOD -> feature.isOfFinishedPiece();
        };
    }

    /** What a reading of a feature is held to. */
    public Quantity target(PlannedFeature feature) {
        return switch (this) {
            case RIGHT_PIECE -> feature.right();
            case FREE_METHOD, AS_ASKED -> feature.asked();
        };
    }
}
