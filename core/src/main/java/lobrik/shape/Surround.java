package lobrik.shape;

import java.util.List;
import lobrik.bend.Situation;
import lobrik.measure.Length;

/**
 * Something that stands around a piece and is drawn with it, in the piece's frame (inches).
 *
 * @param at on a box, where the conduit's axis goes through its side; on a wall, a point of its surface
 * @param into unit vector into the box or the wall
 */
public record Surround(Kind kind, Vector3 at, Vector3 into) {

    /** What it is. */
    public enum Kind {
        BOX,
        WALL
    }

    /** How far a conduit usually enters a fitting (handbook 4.9). */
    public static final Length USUAL_INSERTION = Length.ofFraction(0, 5, 8);

    /**
     * What a situation puts around a piece.
     *
     * @param insertion how far an end stands within its box
     */
    public static List<Surround> of(Situation situation, Piece piece, Length insertion) {
        return switch (situation.around()) {
            case NOTHING -> List.of();
            case BOX_AT_DATUM_END ->
                List.of(new Surround(
                        Kind.BOX, Frame.DATUM.ahead(insertion.inches()).origin(), new Vector3(-1, 0, 0)));
            case BOX_AT_FAR_END -> {
                Frame end = piece.straights().getLast().end();
                yield List.of(
                        new Surround(Kind.BOX, end.ahead(-insertion.inches()).origin(), end.along()));
            }
            case WALL_BEHIND_EACH_LEG -> walls(piece);
        };
    }

    /** Behind the backs of the two outer legs, which look away from one another. */
    private static List<Surround> walls(Piece piece) {
        double half = piece.tooling().conduit().outsideDiameter().inches() / 2;
        Vector3 outward = new Vector3(0, 1, 0);
        Vector3 far = piece.straights().getLast().end().origin();
        return List.of(
                new Surround(Kind.WALL, outward.times(-half), outward.times(-1)),
                new Surround(Kind.WALL, far.plus(outward.times(half)), outward));
    }
}
