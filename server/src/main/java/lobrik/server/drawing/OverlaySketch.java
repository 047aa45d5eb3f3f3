package lobrik.server.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lobrik.layout.Layout;
import lobrik.server.drawing.Sketch.Layer;
import lobrik.server.drawing.Sketch.Point;
import lobrik.shape.Piece;

/** A piece as it was bent over the one that was asked for, with its difference drawn larger. */
public final class OverlaySketch {

    private static final int STEPS_PER_ARC = 32;

    /** Inches of a dash, and of what is left between two. */
    private static final double DASH = 0.3;

    private static final double TINY = 1e-9;

    private OverlaySketch() {}

    /**
     * Draws them.
     *
     * @param made as it was bent; only what was asked for is drawn where that is not known
     * @param first as it was first bent, dashed, where it was bent again since
     * @param times how much larger the difference is drawn
     */
    public static Sketch of(Layout layout, Optional<Piece> made, Optional<Piece> first, double times) {
        Optional<Sketch> walls = WallsSketch.overlaid(layout, made, times);
        if (walls.isPresent()) {
            return walls.get();
        }
        List<Point> asked = placed(layout, layout.wanted().orElse(layout.predicted()));
        double half = layout.job().tooling().conduit().outsideDiameter().inches() / 2;
        Sketch sketch = new Sketch();
        made.map(piece -> larger(asked, placed(layout, piece), times)).ifPresent(line -> {
            List<Point> outline = new ArrayList<>(ElevationSketch.beside(line, half));
            outline.addAll(ElevationSketch.beside(line, -half).reversed());
            sketch.path(Layer.CONDUIT, outline, true);
        });
        sketch.path(Layer.CENTRELINE, ElevationSketch.beside(asked, half), false);
        sketch.path(Layer.CENTRELINE, ElevationSketch.beside(asked, -half), false);
        first.map(piece -> larger(asked, placed(layout, piece), times)).ifPresent(line -> {
            dashed(sketch, ElevationSketch.beside(line, half));
            dashed(sketch, ElevationSketch.beside(line, -half));
        });
        Sketch.Extent extent = sketch.extent();
        double from = Stance.of(layout).pose().surfaceFrom().orElse(extent.left() - 1);
        sketch.line(Layer.SURFACE, new Point(from, 0), new Point(extent.right() + 1, 0));
        return sketch;
    }

    /** A line in dashes, whatever the lengths of its parts. */
    private static void dashed(Sketch sketch, List<Point> line) {
        double walked = 0;
        for (int i = 1; i < line.size(); i++) {
            Point from = line.get(i - 1);
            double x = line.get(i).x() - from.x();
            double y = line.get(i).y() - from.y();
            double length = Math.hypot(x, y);
            for (double at = 0; at < length; ) {
                double left = DASH - walked % DASH;
                double to = Math.min(length, at + left);
                if (Math.floorMod((long) (walked / DASH), 2) == 0) {
                    sketch.line(
                            Layer.RING,
                            from.plus(x * at / length, y * at / length),
                            from.plus(x * to / length, y * to / length));
                }
                walked += to - at + TINY;
                at = to;
            }
        }
    }

    /** Each stands on its own foot, as on the bench. */
    private static List<Point> placed(Layout layout, Piece piece) {
        Stance stance = Stance.of(layout, piece);
        return piece.centreline(STEPS_PER_ARC).stream().map(stance::place).toList();
    }

    static List<Point> larger(List<Point> asked, List<Point> made, double times) {
        List<Point> larger = new ArrayList<>();
        for (int i = 0; i < made.size(); i++) {
            Point from = asked.get(Math.min(i, asked.size() - 1));
            larger.add(from.plus(
                    times * (made.get(i).x() - from.x()), times * (made.get(i).y() - from.y())));
        }
        return larger;
    }
}
