package lobrik.shape;

import java.util.Optional;
import java.util.stream.Stream;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Quantity;

/** What is measured on a piece (handbook 6). The ids are stable; bends and marks are numbered from the datum end. */
public enum FeatureId {
    MARK_1("mark1", Family.MARK, 1),
    MARK_2("mark2", Family.MARK, 2),
    MARK_3("mark3", Family.MARK, 3),
    MARK_4("mark4", Family.MARK, 4),
    /** Datum end face to the back of the first ninety. */
    LEG("leg", Family.LENGTH, 0),
    /** Back of a stub to the far end face. */
    OTHER_LEG("otherLeg", Family.LENGTH, 0),
    /** Back to back of a U. */
    BETWEEN("between", Family.LENGTH, 0),
    /** Back of the second ninety to the far end face. */
    SECOND_LEG("secondLeg", Family.LENGTH, 0),
    /** How far an offset or a kick moves the conduit, square to the datum leg. */
    RISE("rise", Family.LENGTH, 0),
    /** The part of a rolling offset to the side. */
    ROLL("roll", Family.LENGTH, 0),
    /** How far a saddle lifts the conduit, square to the datum leg. */
    HEIGHT("height", Family.LENGTH, 0),
    /** Datum end face, along the datum leg, to the highest point of a three-point saddle. */
    CENTRE("centre", Family.LENGTH, 0),
    /** Distance between the inner rings of a four-point saddle. */
    FLAT("flat", Family.LENGTH, 0),
    /** Datum end face, along the datum leg, to the ring that has to land in its place. */
    LANDING("landing", Family.LENGTH, 0),
    ANGLE_1("angle1", Family.ANGLE, 1),
    ANGLE_2("angle2", Family.ANGLE, 2),
    ANGLE_3("angle3", Family.ANGLE, 3),
    ANGLE_4("angle4", Family.ANGLE, 4),
    /** How far the far end stands off the line of the datum leg, in the plane of the first bend; negative is below. */
    TAIL_LIFT("tailLift", Family.LENGTH, 0),
    /** Largest angle between the planes of two bends. */
    DOG_LEG("dogLeg", Family.DOG_LEG, 0),
    /** Datum end face to far end face along the datum leg. */
    OVERALL("overall", Family.LENGTH, 0);

    /** Features that are alike. */
    private enum Family {
        MARK,
        LENGTH,
        ANGLE,
        DOG_LEG
    }

    /** What it is measured in. */
    public enum Kind {
        LENGTH,
        ANGLE
    }

    private final String id;
    private final Family family;
    private final int number;

    FeatureId(String id, Family family, int number) {
        this.id = id;
        this.family = family;
        this.number = number;
    }

    public String id() {
        return id;
    }

    /** In a sentence: {@code the landing}, {@code angle 2}, {@code the distance back to back}. */
    public String words() {
        return switch (this) {
            case BETWEEN -> "the distance back to back";
            case OTHER_LEG -> "the other leg";
            case SECOND_LEG -> "the second leg";
            case TAIL_LIFT -> "the kick at the far end";
            case DOG_LEG -> "the dog leg";
            case OVERALL -> "the overall length";
            default ->
                switch (family) {
                    case MARK -> "mark " + number;
                    case ANGLE -> "angle " + number;
                    case LENGTH, DOG_LEG -> "the " + id;
                };
        };
    }

    public Kind kind() {
        return family == Family.ANGLE || family == Family.DOG_LEG ? Kind.ANGLE : Kind.LENGTH;
    }

    /** What this number of inches or degrees is, as this is measured. */
    public Quantity quantity(double number) {
        return switch (kind()) {
            case LENGTH -> Length.ofInches(number);
            case ANGLE -> Angle.ofDegrees(number);
        };
    }

    /**
     * Whether it belongs to the finished piece. A mark does not: it shows how a dimension came about, so by itself it fails
     * no piece.
     */
    public boolean isOfFinishedPiece() {
        return family != Family.MARK;
    }

    /** Whether it can be less than nothing. */
    public boolean isSigned() {
        return this == TAIL_LIFT;
    }

    /** Position of the mark with this number, from 1. */
    public static FeatureId mark(int number) {
        return numbered(Family.MARK, number);
    }

    /** Angle of the bend with this number, from 1. */
    public static FeatureId angle(int number) {
        return numbered(Family.ANGLE, number);
    }

    private static FeatureId numbered(Family family, int number) {
        for (FeatureId id : VALUES) {
            if (id.family == family && id.number == number) {
                return id;
            }
        }
        throw new IllegalArgumentException("no bend " + number);
    }

    private static final FeatureId[] VALUES = values();

    /** The feature with this id, if there is one. */
    public static Optional<FeatureId> withId(String id) {
        return Stream.of(values()).filter(feature -> feature.id.equals(id)).findFirst();
    }
}
