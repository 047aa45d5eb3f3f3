package lobrik.cause;

import java.util.List;
import lobrik.cause.FarEnd.Share;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.measure.TapeDivision;
import lobrik.shape.RoomWords;

/** Says where along a run the error at its far end came in. */
public record FarEndWords(FarEnd farEnd, LengthUnit unit) {

    /** In a sentence: the place that stands out, the two that there are, or that none stands out. */
    public String sentence() {
        if (isThere()) {
            return "The far end is where it should be.";
        }
        return farEnd.most()
                .map(most -> "Most of it came in at " + inSentence(most) + ", which brings the far end "
                        + moves().of(most.moves()) + ".")
                .orElseGet(this::severalPlaces);
    }

    private boolean isThere() {
        return moves().of(farEnd.off()).isEmpty();
    }

    /** Places that move it by what a tape reads; none where it is where it should be, whatever readings that contradict each other say. */
    public List<Share> places() {
        return isThere()
                ? List.of()
                : farEnd.shares().stream()
                        .filter(share -> !brings(share).isEmpty())
                        .toList();
    }

    private String severalPlaces() {
        List<Share> places = places();
        return places.size() == 2
                ? "It came in at " + inSentence(places.getFirst()) + " and " + inSentence(places.getLast()) + "."
                : "It adds up along the run: no single place stands out.";
    }

    /** What a place is called: {@code Leg 2}, {@code Bend 3, angle}. */
    public String name(Share share) {
        return switch (share.part()) {
            case LEG -> "Leg " + share.number();
            case PLANE -> "Bend " + share.number() + ", plane";
            case ANGLE -> "Bend " + share.number() + ", angle";
        };
    }

    /** Where a place brings the far end; empty where that is less than what a tape reads. */
    public String brings(Share share) {
        return moves().of(share.moves());
    }

    /** How far that is in all. */
    public Length far(Share share) {
        return Length.ofInches(share.moves().norm()).nearest(TapeDivision.SIXTEENTH);
    }

    private static String inSentence(Share share) {
        return switch (share.part()) {
            case LEG -> "leg " + share.number();
            case PLANE -> "the plane of bend " + share.number();
            case ANGLE -> "the angle of bend " + share.number();
        };
    }

    private RoomWords moves() {
        return new RoomWords(unit, "up", "down");
    }
}
