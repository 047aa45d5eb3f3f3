package lobrik.verdict;

import java.util.List;
import java.util.Optional;
import lobrik.layout.Layout;
import lobrik.shape.Piece;
import lobrik.shape.Vector3;

/** How far a piece lies from the one that was asked for, and how much larger that is best drawn. */
public final class Difference {

    /** What the eye would not see is drawn this many times as large. */
    public static final int LARGER = 4;

    /** A piece that is further off than this, inches, is only distorted if its difference is drawn larger. */
    private static final double PLAIN_TO_SEE = 1.5;

    private Difference() {}

    /** How many times as large the difference of a piece is best drawn: once for what is plain to see. */
    public static int drawnTimes(Layout layout, Optional<Piece> made) {
        Piece asked = layout.wanted().orElse(layout.predicted());
        return made.filter(piece -> furthest(asked, piece) > PLAIN_TO_SEE).isPresent() ? 1 : LARGER;
    }

    /** The largest distance between points that correspond, inches: the ends of all arcs, and of the conduit. */
    private static double furthest(Piece asked, Piece made) {
        List<Vector3> one = asked.centreline(1);
        List<Vector3> other = made.centreline(1);
        double furthest = 0;
        for (int i = 0; i < one.size(); i++) {
            furthest = Math.max(furthest, other.get(i).minus(one.get(i)).norm());
        }
        return furthest;
    }
}
