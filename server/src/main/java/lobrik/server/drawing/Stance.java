package lobrik.server.drawing;

import java.util.List;
import lobrik.bend.BendKind;
import lobrik.layout.Layout;
import lobrik.server.drawing.Sketch.Point;
import lobrik.shape.Piece;
import lobrik.shape.Vector3;

/**
 * How a piece is seen in its elevation: nineties stand on their far or middle leg, a box offset lies with its far leg on the
 * wall, everything else lies on its datum leg.
 *
 * @param lowest height of the lowest underside before it is put on the ground
 */
record Stance(BendKind kind, double lowest, double diameter) {

    static Stance of(Layout layout) {
        return of(layout, layout.predicted());
    }

    /** How another piece of the same layout stands by itself. */
    static Stance of(Layout layout, Piece piece) {
        BendKind kind = layout.job().bend().kind();
        double diameter = layout.job().tooling().conduit().outsideDiameter().inches();
        List<Vector3> line = piece.centreline(1);
        double lowest = switch (kind) {
            case STUB_90, BACK_TO_BACK_90 ->
                line.stream().mapToDouble(Vector3::x).max().orElseThrow();
            case BOX_OFFSET -> line.stream().mapToDouble(Vector3::y).max().orElseThrow();
            case OFFSET, ROLLING_OFFSET, KICK, SADDLE_3, SADDLE_4 -> 0;
        };
        return new Stance(kind, lowest, diameter);
    }

    /** Where a point of the piece's frame stands on the drawing. */
    Point place(Vector3 point) {
        double half = diameter / 2;
        return switch (kind) {
            case STUB_90, BACK_TO_BACK_90 -> new Point(point.y(), lowest - point.x() + half);
            case BOX_OFFSET -> new Point(point.x(), lowest - point.y() + half);
            case OFFSET, ROLLING_OFFSET, KICK, SADDLE_3, SADDLE_4 -> new Point(point.x(), point.y() + half);
        };
    }

    /** Where a direction of the piece's frame points on the drawing. */
    Point direction(Vector3 direction) {
        Point from = place(new Vector3(0, 0, 0));
        Point to = place(direction);
        return new Point(to.x() - from.x(), to.y() - from.y());
    }
}
