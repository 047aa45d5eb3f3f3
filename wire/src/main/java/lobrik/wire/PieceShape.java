package lobrik.wire;

import java.util.ArrayList;
import java.util.List;
import lobrik.bend.Bend;
import lobrik.shape.Piece;
import lobrik.shape.Pose;
import lobrik.shape.Segment;
import lobrik.shape.Vector3;
import org.jspecify.annotations.Nullable;

/**
 * The shape of a piece, for drawing.
 *
 * @param lengthIn developed length
 * @param centreline points in the piece's frame: x along the datum leg, y where a bend of roll 0 turns
 * @param arcs where the arcs lie on the straight conduit
 * @param pose how it lies in its place
 */
public record PieceShape(double lengthIn, List<List<Double>> centreline, List<ArcSpan> arcs, PoseAnswer pose) {

    /** Fine enough that the chords of a 90 on any radius of a hand bender look round on a wall. */
    private static final int STEPS_PER_ARC = 24;

    /** The part of the straight conduit that an arc uses. */
    public record ArcSpan(double startIn, double endIn) {}

    /**
     * How a piece lies, in its own frame.
     *
     * @param across direction that runs to the right
     * @param up direction that is up
     * @param origin point of its axis that all pieces of its kind have in common, inches; the surface is half a diameter below
     * @param onDatumLeg whether the datum leg lies on the surface
     * @param surfaceFromIn where the surface begins, to the right of the origin; null where it goes on to both sides
     */
    public record PoseAnswer(
            List<Double> across,
            List<Double> up,
            List<Double> origin,
            boolean onDatumLeg,
            @Nullable Double surfaceFromIn) {

        static PoseAnswer of(Pose pose) {
            return new PoseAnswer(
                    point(pose.across()),
                    point(pose.up()),
                    point(pose.origin()),
                    pose.isOnDatumLeg(),
                    pose.surfaceFrom().isPresent() ? pose.surfaceFrom().getAsDouble() : null);
        }
    }

    /** The shape of a piece of a bend. */
    public static PieceShape of(Bend bend, Piece piece) {
        List<ArcSpan> arcs = new ArrayList<>();
        double at = 0;
        for (int i = 0; i < piece.arcs().size(); i++) {
            Segment.Arc arc = piece.arcs().get(i);
            at += piece.straights().get(i).length().inches();
            arcs.add(new ArcSpan(at, at + arc.length().inches()));
            at += arc.length().inches();
        }
        return new PieceShape(piece.length().inches(), points(piece), arcs, PoseAnswer.of(Pose.of(bend, piece)));
    }

    /** What is seen of it: without its length and where its arcs lie on the straight conduit. */
    PieceShape asSeen() {
        return new PieceShape(0, centreline, List.of(), pose);
    }

    static List<List<Double>> points(Piece piece) {
        return piece.centreline(STEPS_PER_ARC).stream().map(PieceShape::point).toList();
    }

    /** How many points of a centreline lie on one arc. */
    static int perArc() {
        return STEPS_PER_ARC + 1;
    }

    static List<Double> point(Vector3 point) {
        return List.of(point.x(), point.y(), point.z());
    }

    static Vector3 vector(List<Double> point) {
        return new Vector3(point.get(0), point.get(1), point.get(2));
    }
}
