package lobrik.shape;

import java.util.Optional;
import java.util.OptionalDouble;
import lobrik.bend.BackToBack90;
import lobrik.bend.Bend;
import lobrik.bend.BoxOffset;
import lobrik.bend.Kick;
import lobrik.bend.Offset;
import lobrik.bend.OverBent90;
import lobrik.bend.RollingOffset;
import lobrik.bend.Run;
import lobrik.bend.Saddle3;
import lobrik.bend.Saddle4;
import lobrik.bend.Stub90;

/**
 * How a piece lies in its place, as whoever bends it sees it: on which of its legs, and which way round. Every piece lies on
 * its own leg, so that what was asked for and what was made can be laid over one another. Screens, paper and plotter draw it so.
 *
 * @param across direction of the piece's frame that runs to the right
 * @param up direction of the piece's frame that is up, square to that
 * @param origin point of the piece's axis that all pieces of its kind have in common, inches; the surface that the piece
 *     lies on is half a diameter below it
 * @param surfaceFrom where that surface begins, inches to the right of the origin; empty where it goes on to both sides
 */
public record Pose(Vector3 across, Vector3 up, Vector3 origin, OptionalDouble surfaceFrom) {

    private static final Pose ON_DATUM_LEG =
            new Pose(Vector3.X, new Vector3(0, 1, 0), Vector3.ORIGIN, OptionalDouble.empty());

    /** How the piece of a bend lies. */
    public static Pose of(Bend bend, Piece piece) {
        return switch (bend) {
            case Stub90 _, BackToBack90 _ -> standing(piece, 1);
            case OverBent90 _ -> overTheEdge(piece);
            case BoxOffset _ -> onTheWall(piece);
            case Offset _, RollingOffset _, Kick _, Saddle3 _, Saddle4 _ -> ON_DATUM_LEG;
            case Run run -> inTheRoom(run, piece);
        };
    }

    /** As it hangs, seen facing the wall where it begins; the floor is wherever its lowest part is. */
    private static Pose inTheRoom(Run run, Piece piece) {
        RoomFrame room = RoomFrame.of(run);
        double lowest = piece.centreline(8).stream()
                .mapToDouble(point -> point.dot(room.up()))
                .min()
                .orElse(0);
        return new Pose(room.right(), room.up(), room.up().times(lowest), OptionalDouble.empty());
    }

    /** On a leg that is not the datum leg: that lies level and runs to the right, and the datum leg stands up or hangs down. */
    private static Pose standing(Piece piece, int leg) {
        Frame start = piece.straights().get(leg).start();
        Vector3 along = new Vector3(start.along().x(), start.along().y(), 0);
        double size = along.norm();
        if (size < 1e-9) {
            // Bent right out of its plane: it lies on nothing.
            return ON_DATUM_LEG;
        }
        Vector3 across = along.times(1 / size);
        Vector3 up = new Vector3(-across.y(), across.x(), 0);
        return new Pose(across, up, corner(start.origin(), across).orElse(start.origin()), OptionalDouble.empty());
    }

    /** On top of what it goes over, which begins where its last leg does. */
    private static Pose overTheEdge(Piece piece) {
        Pose pose = standing(piece, 2);
        double edge = pose.right(piece.straights().getLast().start().origin());
        return new Pose(pose.across, pose.up, pose.origin, OptionalDouble.of(edge));
    }

    /** Where the axis of a leg meets that of the datum leg; nowhere where they are parallel. */
    private static Optional<Vector3> corner(Vector3 start, Vector3 across) {
        return Math.abs(across.y()) < 1e-9
                ? Optional.empty()
                : Optional.of(Vector3.X.times(start.x() - start.y() * across.x() / across.y()));
    }

    /** The far leg lies on the wall; the end that enters the box stands off it. */
    private static Pose onTheWall(Piece piece) {
        double wall = piece.centreline(1).stream().mapToDouble(Vector3::y).max().orElse(0);
        return new Pose(Vector3.X, new Vector3(0, -1, 0), new Vector3(0, wall, 0), OptionalDouble.empty());
    }

    /** Whether the datum leg lies on the surface, so that lengths along it are level. */
    public boolean isOnDatumLeg() {
        return up.equals(ON_DATUM_LEG.up);
    }

    /** To the right of the origin, inches. */
    public double right(Vector3 point) {
        return point.minus(origin).dot(across);
    }

    /** Above the axis of the leg that it lies on, inches. */
    public double above(Vector3 point) {
        return point.minus(origin).dot(up);
    }
}
