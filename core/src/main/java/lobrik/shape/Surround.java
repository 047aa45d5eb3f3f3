package lobrik.shape;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
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
        BOX("box"),
        WALL("wall");

        private final String id;

        Kind(String id) {
            this.id = id;
        }

        /** As programs see it: {@code box}. */
        public String id() {
            return id;
        }
    }

    /** How far a conduit usually enters a fitting (handbook 4.9). */
    public static final Length USUAL_INSERTION = Length.ofFraction(0, 5, 8);

    /**
     * The fittings that a piece begins and ends in.
     *
     * @param start how far its datum end stands within one; empty where it does not
     * @param end the same of its far end
     */
    public static List<Surround> fittings(Piece piece, Optional<Length> start, Optional<Length> end) {
        List<Surround> fittings = new ArrayList<>();
        start.ifPresent(insertion -> fittings.add(atDatumEnd(insertion)));
        end.ifPresent(insertion -> fittings.add(atFarEnd(piece, insertion)));
        return List.copyOf(fittings);
    }

    private static Surround atDatumEnd(Length insertion) {
        return new Surround(Kind.BOX, Frame.DATUM.ahead(insertion.inches()).origin(), new Vector3(-1, 0, 0));
    }

    private static Surround atFarEnd(Piece piece, Length insertion) {
        Frame end = piece.straights().getLast().end();
        return new Surround(Kind.BOX, end.ahead(-insertion.inches()).origin(), end.along());
    }

    /** The walls of a situation that has some; fittings are a matter of their own. */
    public static List<Surround> walls(Situation situation, Piece piece) {
        return situation.around() == Situation.Around.WALL_BEHIND_EACH_LEG ? walls(piece) : List.of();
    }

    /**
     * What a situation puts around a piece.
     *
     * @param insertion how far an end stands within its box
     */
    public static List<Surround> of(Situation situation, Piece piece, Length insertion) {
        return switch (situation.around()) {
            case NOTHING -> List.of();
            case BOX_AT_DATUM_END -> List.of(atDatumEnd(insertion));
            case BOX_AT_FAR_END -> List.of(atFarEnd(piece, insertion));
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
