package lobrik.server.drawing;

import lobrik.layout.Layout;
import lobrik.server.drawing.Sketch.Point;
import lobrik.shape.Piece;
import lobrik.shape.Pose;
import lobrik.shape.Vector3;

/**
 * Where a piece is on its drawing: y up, on the surface that it lies on.
 *
 * @param diameter of the conduit, inches
 */
record Stance(Pose pose, double diameter) {

    static Stance of(Layout layout) {
        return of(layout, layout.predicted());
    }

    /** How another piece of the same layout lies by itself. */
    static Stance of(Layout layout, Piece piece) {
        return new Stance(
                Pose.of(layout.job().bend(), piece),
                layout.job().tooling().conduit().outsideDiameter().inches());
    }

    /** Where a point of the piece's frame is on the drawing. */
    Point place(Vector3 point) {
        return new Point(pose.right(point), pose.above(point) + diameter / 2);
    }

    /** Where a direction of the piece's frame points on the drawing. */
    Point direction(Vector3 direction) {
        return new Point(direction.dot(pose.across()), direction.dot(pose.up()));
    }
}
