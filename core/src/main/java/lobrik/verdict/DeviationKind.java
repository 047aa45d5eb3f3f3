package lobrik.verdict;

import java.util.Optional;
import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Quantity;

/** Deviations that a bender's figures move alike, in every kind of bend: what benders are compared by. */
public enum DeviationKind {
    /** All bend angles: the springback, or a worn shoe. */
    ANGLES("angles", Angle.ofDegrees(0.5)),
    /** Outside legs: the take-up. */
    LEGS("legs", Length.ofFraction(0, 1, 32)),
    /** Rise and height: the radius, besides the angles. */
    RISES("rises", Length.ofFraction(0, 1, 32)),
    /** Where rings land: where the arrow stands on the shoe. */
    PLACES("places", Length.ofFraction(0, 1, 32));

    private final String id;
    private final Quantity worthTelling;

    DeviationKind(String id, Quantity worthTelling) {
        this.id = id;
        this.worthTelling = worthTelling;
    }

    public String id() {
        return id;
    }

    /** Less than this is no reason to take a bender off the rack: a quarter of the site tolerance. */
    public Quantity worthTelling() {
        return worthTelling;
    }

    /** The kind that a feature's deviation belongs to; marks, and what follows from several others, belong to none. */
    public static Optional<DeviationKind> of(FeatureId feature) {
        return Optional.ofNullable(
                switch (feature.kind()) {
                    case ANGLE -> ANGLES;
                    case LEG, BETWEEN, SECOND_LEG, DROP -> LEGS;
                    case RISE, ROLL, HEIGHT, SET_BACK, START_RISE, END_RISE -> RISES;
                    case LANDING, CENTRE -> PLACES;
                    case MARK,
                            OTHER_LEG,
                            FLAT,
                            TURN,
                            TAIL_LIFT,
                            DOG_LEG,
                            OVERALL,
                            REACH_RIGHT,
                            REACH_UP,
                            REACH_OUT,
                            FLATTENING -> null;
                });
    }
}
