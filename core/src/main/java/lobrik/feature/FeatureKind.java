package lobrik.feature;

import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lobrik.measure.QuantityKind;

/**
 * What sort of thing is measured on a piece (handbook 6), in the order of a sheet. Ids are stable. A piece has one mark and one angle
 * for each of its bends; of everything else it has one.
 */
public enum FeatureKind {
    /** Where a pencil ring stands on the straight conduit, from its datum end. */
    MARK("mark", "Mark", "mark", QuantityKind.LENGTH, "Datum end to the ring"),
    /** Datum end face to the back of the first ninety; of a run, each leg from end to back, back to back, or back to end. */
    LEG("leg", "Leg", "the leg", QuantityKind.LENGTH, "Datum end face to the back of the bend"),
    /** Back of a stub to the far end face. */
    OTHER_LEG("otherLeg", "Other leg", "the other leg", QuantityKind.LENGTH, "Back of the bend to the far end face"),
    /** Back to back of a U. */
    BETWEEN(
            "between",
            "Back to back",
            "the distance back to back",
            QuantityKind.LENGTH,
            "Back of the first bend to the back of the second"),
    /** Back of the second ninety to the far end face. */
    SECOND_LEG(
            "secondLeg",
            "Second leg",
            "the second leg",
            QuantityKind.LENGTH,
            "Back of the second bend to the far end face"),
    /** Datum end face to the underside of the run of an over-bent ninety, along the plumb leg. */
    DROP(
            "drop",
            "Drop",
            "the drop",
            QuantityKind.LENGTH,
            "Datum end face up the plumb leg to the underside of the run"),
    /** How far an over-bent ninety stands off its plumb leg. */
    SET_BACK(
            "setBack",
            "Set-back",
            "the set-back",
            QuantityKind.LENGTH,
            "Axis of the plumb leg to the axis where the conduit is furthest out"),
    /** How far an offset or a kick moves the conduit, square to the datum leg. */
    RISE("rise", "Rise", "the rise", QuantityKind.LENGTH, "Underside to underside, square to the datum leg"),
    /** How far the offset at the box moves a run that begins there. */
    START_RISE(
            "startRise",
            "Rise at the start",
            "the rise at the start",
            QuantityKind.LENGTH,
            "Underside to underside, square to the first straight"),
    /** The same of the box that a run ends in. */
    END_RISE(
            "endRise",
            "Rise at the end",
            "the rise at the end",
            QuantityKind.LENGTH,
            "Underside to underside, square to the straight before"),
    /** The part of a rolling offset to the side. */
    ROLL("roll", "Roll", "the roll", QuantityKind.LENGTH, "To the side, square to the datum leg"),
    /** How far a saddle lifts the conduit, square to the datum leg. */
    HEIGHT(
            "height",
            "Height",
            "the height",
            QuantityKind.LENGTH,
            "Underside to underside at the top, square to the datum leg"),
    /** Datum end face, along the datum leg, to the highest point of a three-point saddle. */
    CENTRE("centre", "Centre", "the centre", QuantityKind.LENGTH, "Datum end along the leg to below the highest point"),
    /** Distance between the inner rings of a four-point saddle. */
    FLAT("flat", "Flat", "the flat", QuantityKind.LENGTH, "Inner ring to inner ring"),
    /** Datum end face, along the datum leg, to the ring that has to land in its place. */
    LANDING(
            "landing",
            "Landing",
            "the landing",
            QuantityKind.LENGTH,
            "Datum end along the leg to the ring that has to land"),
    /** Angle of a bend, at rest. */
    ANGLE("angle", "Angle", "angle", QuantityKind.ANGLE, "At rest, by the level on the leg"),
    /** How far the plane of a ninety is turned from that of the one before it, clockwise seen from the datum end. */
    TURN(
            "turn",
            "Turn",
            "turn",
            QuantityKind.ANGLE,
            "Seen from the datum end, clockwise from one ninety's plane to the next"),
    /** How far the far end stands off the line of the datum leg, in the plane of the first bend; negative is below. */
    TAIL_LIFT(
            "tailLift",
            "Far-end kick",
            "the kick at the far end",
            QuantityKind.LENGTH,
            "How far the far end kicks up off the line of the datum leg; − where it dips"),
    /** Largest angle between the planes of two bends. */
    DOG_LEG("dogLeg", "Dog leg", "the dog leg", QuantityKind.ANGLE, "Angle between the planes of the bends"),
    /** Datum end face to far end face along the datum leg. */
    OVERALL(
            "overall",
            "Overall",
            "the overall length",
            QuantityKind.LENGTH,
            "End face to end face along the datum leg"),
    /** Far end face of a run from its datum end face, to the right as seen facing the wall at its start; negative is left. */
    REACH_RIGHT(
            "reachRight",
            "Reach to the right",
            "the reach to the right",
            QuantityKind.LENGTH,
            "Datum end to far end, to the right; − to the left"),
    /** The same upwards; negative is down. */
    REACH_UP("reachUp", "Reach up", "the reach up", QuantityKind.LENGTH, "Datum end to far end, up; − down"),
    /** The same out of the wall; negative is into it. */
    REACH_OUT(
            "reachOut",
            "Reach out of the wall",
            "the reach out of the wall",
            QuantityKind.LENGTH,
            "Datum end to far end, out of the wall; − into it"),
    /** How much a bend that was made with heat is flatter than the conduit was round. */
    FLATTENING(
            "flattening",
            "Flattening",
            "flattening",
            QuantityKind.PERCENTAGE,
            "Caliper across the flattest place, of the diameter beside the bend");

    /** Every row of a record is read by it. */
    private static final Map<String, FeatureKind> BY_ID =
            Stream.of(values()).collect(Collectors.toUnmodifiableMap(FeatureKind::id, kind -> kind));

    private final String id;
    private final String title;
    private final String words;
    private final QuantityKind measured;
    private final String hint;

    FeatureKind(String id, String title, String words, QuantityKind measured, String hint) {
        this.id = id;
        this.title = title;
        this.words = words;
        this.measured = measured;
        this.hint = hint;
    }

    /** As programs see it: {@code dogLeg}. */
    public String id() {
        return id;
    }

    /** On a form or a drawing, without a number: {@code Dog leg}. */
    public String title() {
        return title;
    }

    /** In a sentence, without a number: {@code the landing}, {@code angle}. */
    public String words() {
        return words;
    }

    /** Where to hold the tape or the level. */
    public String hint() {
        return hint;
    }

    public QuantityKind measured() {
        return measured;
    }

    /** Whether a piece may have several: one for each of its bends, of its legs, or of what lies on its legs. */
    public boolean isNumbered() {
        return this == MARK || this == ANGLE || this == FLATTENING || this == TURN || mayBeNumbered();
    }

    /** Whether there is one of it on most pieces, and several on a run. */
    public boolean mayBeNumbered() {
        return this == LEG || this == RISE || this == HEIGHT;
    }

    /** Whether it is taken to the far end face, so that it depends on the length of the conduit. */
    public boolean reachesFarEnd() {
        return this == OTHER_LEG || this == SECOND_LEG || this == TAIL_LIFT || this == OVERALL || isReach();
    }

    /** Whether it can be less than nothing. */
    public boolean isSigned() {
        return this == TAIL_LIFT || isReach();
    }

    /** Whether it says where the far end of a run is. */
    public boolean isReach() {
        return this == REACH_RIGHT || this == REACH_UP || this == REACH_OUT;
    }

    /**
     * Whether it belongs to the finished piece. A mark does not: it shows how a dimension came about, so by itself it fails
     * no piece.
     */
    public boolean isOfFinishedPiece() {
        return this != MARK;
    }

    /** Whether a level may read it, which knows only the horizontal: then the slope of the floor is in the reading. */
    public boolean isReadByLevel() {
        return this == ANGLE;
    }

    /** The kind with this id, if there is one. */
    public static Optional<FeatureKind> withId(String id) {
        return Optional.ofNullable(BY_ID.get(id));
    }
}
