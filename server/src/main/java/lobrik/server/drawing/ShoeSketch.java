package lobrik.server.drawing;

import java.util.ArrayList;
import java.util.List;
import lobrik.bending.ShownBend;
import lobrik.server.drawing.Sketch.Anchor;
import lobrik.server.drawing.Sketch.Layer;
import lobrik.server.drawing.Sketch.Point;
import lobrik.shape.Vector3;

/** A small picture of one bend as the person who makes it sees it: the part-bent piece in the shoe, bent. */
public final class ShoeSketch {

    /** A little from the left of where the person stands, and from above, radians. */
    private static final double ROUND = Math.toRadians(-24);

    private static final double UP = Math.toRadians(20);

    /** So much of the lever is drawn, inches. */
    private static final double LEVER = 24;

    private ShoeSketch() {}

    /**
     * Draws a bend.
     *
     * @param turn clockwise as the person sees it, degrees; drawn as an arrow round the conduit
     * @param half of the conduit's diameter, inches
     * @param textSize of what is written, inches
     */
    public static Sketch of(ShownBend bend, double turn, double half, double textSize) {
        Sketch sketch = new Sketch();
        ShownBend.Moment last = bend.moments().getLast();
        List<Point> line = last.centreline().stream().map(ShoeSketch::seen).toList();
        double left = last.centreline().stream().mapToDouble(Vector3::x).min().orElse(0);
        double right = last.centreline().stream().mapToDouble(Vector3::x).max().orElse(0);
        // Where it lies on the floor.
        sketch.line(Layer.SURFACE, seen(new Vector3(left, 0, 0)), seen(new Vector3(right + 6, 0, 0)));
        sketch.path(Layer.CONDUIT, ElevationSketch.beside(line, half), false);
        sketch.path(Layer.CONDUIT, ElevationSketch.beside(line, -half), false);
        last.lever().ifPresent(lever -> {
            Vector3 way = lever.end().minus(lever.centre());
            double part = way.y() < 0 ? 1 : Math.min(1, LEVER / Math.max(1e-9, way.norm()));
            sketch.line(Layer.RING, seen(lever.centre()), seen(lever.centre().plus(way.times(part))));
        });
        if (Math.abs(turn) > 0.01) {
            arrow(sketch, turn, right + 4, half, textSize);
        }
        sketch.text(Layer.LABEL, line.getFirst().plus(0, textSize), textSize * 0.8, Anchor.MIDDLE, "datum");
        return sketch;
    }

    private static void arrow(Sketch sketch, double turn, double at, double half, double textSize) {
        double radius = textSize * 1.6;
        double sweep = Math.signum(turn) * Math.toRadians(Math.min(300, Math.max(60, Math.abs(turn))));
        List<Point> arc = new ArrayList<>();
        int steps = 16;
        for (int i = 0; i <= steps; i++) {
            double angle = sweep * i / steps;
            arc.add(seen(new Vector3(at, half + radius * Math.cos(angle), -radius * Math.sin(angle))));
        }
        sketch.path(Layer.RING, arc, false);
        Point tip = arc.getLast();
        Point before = arc.get(steps - 3);
        double length = Math.hypot(tip.x() - before.x(), tip.y() - before.y());
        double ux = (tip.x() - before.x()) / length;
        double uy = (tip.y() - before.y()) / length;
        double size = textSize * 0.7;
        for (int side : new int[] {1, -1}) {
            sketch.line(
                    Layer.RING,
                    tip,
                    tip.plus(-size * ux + side * size * 0.6 * uy, -size * uy - side * size * 0.6 * ux));
        }
    }

    /** From where the person stands: z is to the left, x towards them. */
    private static Point seen(Vector3 point) {
        double away = point.x() * Math.cos(ROUND) + point.z() * Math.sin(ROUND);
        return new Point(
                -point.z() * Math.cos(ROUND) + point.x() * Math.sin(ROUND),
                point.y() * Math.cos(UP) - away * Math.sin(UP));
    }
}
