package lobrik.server.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import lobrik.bend.Run;
import lobrik.feature.FeatureId;
import lobrik.layout.GivenDimension;
import lobrik.layout.Layout;
import lobrik.layout.Mark;
import lobrik.layout.Review;
import lobrik.measure.Length;
import lobrik.server.drawing.Sketch.Anchor;
import lobrik.server.drawing.Sketch.Extent;
import lobrik.server.drawing.Sketch.Layer;
import lobrik.server.drawing.Sketch.Point;
import lobrik.shape.Frame;
import lobrik.shape.Piece;
import lobrik.shape.Vector3;
import lobrik.shape.WallOfRun;

/** A run as a fitter sketches it: the plan of each wall that it goes along, side by side and to one scale. */
public final class WallsSketch {

    private static final int STEPS_PER_ARC = 24;

    /** Between two walls, in heights of figures. */
    private static final double BETWEEN = 3;

    /** How far a dimension is beside its leg, in heights of figures. */
    private static final double BESIDE = 1.6;

    private final Layout layout;
    private final List<WallOfRun> walls;
    private final ElevationSketch.Style style;
    private final double half;

    private WallsSketch(Layout layout, Run run, ElevationSketch.Style style) {
        this.layout = layout;
        this.walls = WallOfRun.of(run);
        this.style = style;
        this.half = layout.job().tooling().conduit().outsideDiameter().inches() / 2;
    }

    /** The plans of a run with the sizes that are given; of anything else there are none. */
    public static Optional<Sketch> of(Review review, ElevationSketch.Style style) {
        return of(review, style, List.of());
    }

    /**
     * The same with its couplings.
     *
     * @param couplings places along the straight conduit, from the datum end
     */
    static Optional<Sketch> of(Review review, ElevationSketch.Style style, List<Length> couplings) {
        Layout layout = review.layout();
        return layout.job().bend().run().map(run -> {
            WallsSketch drawing = new WallsSketch(layout, run, style);
            return drawing.sideBySide(drawing.walls.stream()
                    .map(wall -> {
                        Sketch plan = drawing.plan(wall, layout.predicted(), review.dimensions());
                        drawing.couplings(plan, wall, couplings);
                        return plan;
                    })
                    .toList());
        });
    }

    /**
     * What was asked of a run as lines, and what was made of it, its difference drawn larger.
     *
     * @param made empty where that is not known
     */
    public static Optional<Sketch> overlaid(Layout layout, Optional<Piece> made, double times) {
        return layout.job().bend().run().map(run -> {
            WallsSketch drawing =
                    new WallsSketch(layout, run, new ElevationSketch.Style(1.6, false, _ -> Optional.empty()));
            return drawing.sideBySide(drawing.walls.stream()
                    .map(wall -> drawing.overlay(wall, made, times))
                    .toList());
        });
    }

    private Sketch sideBySide(List<Sketch> plans) {
        Sketch all = new Sketch();
        double at = 0;
        double top =
                plans.stream().mapToDouble(plan -> plan.extent().height()).max().orElse(0);
        for (int i = 0; i < plans.size(); i++) {
            Extent extent = plans.get(i).extent();
            plans.get(i).addTo(all, at - extent.left(), top - extent.top());
            String title = walls.get(i).view().title();
            double width = Math.max(extent.width(), title.length() * style.textSize() * 0.6);
            all.text(Layer.LABEL, new Point(at, top + style.textSize() * 1.6), style.textSize(), Anchor.START, title);
            at += width + BETWEEN * style.textSize();
        }
        return all;
    }

    private Sketch plan(WallOfRun wall, Piece piece, List<GivenDimension> dimensions) {
        Sketch sketch = new Sketch();
        List<Point> middle = line(wall, piece);
        List<Point> outline = new ArrayList<>(ElevationSketch.beside(middle, half));
        outline.addAll(ElevationSketch.beside(middle, -half).reversed());
        sketch.path(Layer.CONDUIT, outline, true);
        sketch.path(Layer.CENTRELINE, middle, false);
        if (style.rings()) {
            layout.marks().stream().filter(mark -> wall.has(mark.number())).forEach(mark -> ring(sketch, wall, mark));
        }
        ends(sketch, wall, middle);
        Extent extent = sketch.extent();
        Point centre = new Point((extent.left() + extent.right()) / 2, (extent.bottom() + extent.top()) / 2);
        for (GivenDimension dimension : dimensions) {
            if (wallOf(dimension) == walls.indexOf(wall)) {
                style.words()
                        .apply(dimension.input())
                        .ifPresent(words -> beside(sketch, wall, dimension, centre, words));
            }
        }
        return sketch;
    }

    private Sketch overlay(WallOfRun wall, Optional<Piece> made, double times) {
        Sketch sketch = new Sketch();
        List<Point> asked = line(wall, layout.wanted().orElse(layout.predicted()));
        made.map(piece -> OverlaySketch.larger(asked, line(wall, piece), times)).ifPresent(line -> {
            List<Point> outline = new ArrayList<>(ElevationSketch.beside(line, half));
            outline.addAll(ElevationSketch.beside(line, -half).reversed());
            sketch.path(Layer.CONDUIT, outline, true);
        });
        sketch.path(Layer.CENTRELINE, ElevationSketch.beside(asked, half), false);
        sketch.path(Layer.CENTRELINE, ElevationSketch.beside(asked, -half), false);
        ends(sketch, wall, asked);
        return sketch;
    }

    /** What of a piece is on a wall: with the ends of the ninetys that lead onto it and off it. */
    private static List<Point> line(WallOfRun wall, Piece piece) {
        List<Vector3> points = piece.centreline(STEPS_PER_ARC);
        int perArc = STEPS_PER_ARC + 1;
        int first = wall.before().isEmpty() ? 0 : wall.firstArc() * perArc;
        int end = wall.after().isEmpty() ? points.size() : 2 + wall.arcsEnd() * perArc;
        return points.subList(first, end).stream()
                .map(point -> place(wall, point))
                .toList();
    }

    private static Point place(WallOfRun wall, Vector3 point) {
        return new Point(point.dot(wall.across()), point.dot(wall.up()));
    }

    private void ring(Sketch sketch, WallOfRun wall, Mark mark) {
        Frame frame = layout.predicted().at(mark.position());
        Point at = place(wall, frame.origin());
        Point along = place(wall, frame.along());
        double out = half * 1.3;
        Point one = at.plus(-along.y() * out, along.x() * out);
        Point other = at.plus(along.y() * out, -along.x() * out);
        sketch.line(Layer.RING, one, other);
        sketch.text(
                Layer.LABEL,
                other.plus(along.y() * style.textSize() * 0.7, -along.x() * style.textSize() * 0.7),
                style.textSize() * 0.8,
                Anchor.MIDDLE,
                Integer.toString(mark.number()));
    }

    /** A sleeve over both ends, with the numbers of the pieces that meet in it. */
    private void couplings(Sketch sketch, WallOfRun wall, List<Length> places) {
        for (int i = 0; i < places.size(); i++) {
            int straight = straight(places.get(i));
            if (straight < wall.firstArc() || straight > wall.arcsEnd()) {
                continue;
            }
            Frame frame = layout.predicted().at(places.get(i));
            Point at = place(wall, frame.origin());
            Point along = place(wall, frame.along());
            double out = Math.max(half * 1.6, style.textSize() * 0.35);
            double long2 = style.textSize() * 0.6;
            Point across = new Point(-along.y(), along.x());
            List<Point> sleeve = new ArrayList<>();
            for (int[] corner : new int[][] {{-1, -1}, {1, -1}, {1, 1}, {-1, 1}}) {
                sleeve.add(at.plus(
                        along.x() * corner[0] * long2 + across.x() * corner[1] * out,
                        along.y() * corner[0] * long2 + across.y() * corner[1] * out));
            }
            sketch.path(Layer.OBSTACLE, sleeve, true);
            double beside = out + style.textSize() * (Math.abs(along.y()) > 0.5 ? 1.1 : 0.8);
            sketch.text(
                    Layer.LABEL,
                    at.plus(-across.x() * beside, -across.y() * beside),
                    style.textSize() * 0.9,
                    Anchor.MIDDLE,
                    (i + 1) + "·" + (i + 2));
        }
    }

    /** Number of the straight that a place is on, from 0. */
    private int straight(Length place) {
        Piece piece = layout.predicted();
        Length end = piece.straights().getFirst().length();
        int straight = 0;
        while (straight < piece.arcs().size() && place.isMoreThan(end)) {
            end = end.plus(piece.arcs().get(straight).length())
                    .plus(piece.straights().get(straight + 1).length());
            straight++;
        }
        return straight;
    }

    /** Where the run goes on out of the plan: a dot towards who looks, a cross away from there; its datum end is named. */
    private void ends(Sketch sketch, WallOfRun wall, List<Point> line) {
        wall.before()
                .ifPresentOrElse(
                        side -> goesOn(sketch, line.getFirst(), side),
                        () -> sketch.text(
                                Layer.LABEL,
                                line.getFirst().plus(0, -half - style.textSize() * 0.8),
                                style.textSize() * 0.8,
                                Anchor.MIDDLE,
                                "datum"));
        wall.after().ifPresent(side -> goesOn(sketch, line.getLast(), side));
    }

    private void goesOn(Sketch sketch, Point at, WallOfRun.Side side) {
        double radius = Math.max(half, style.textSize() * 0.45);
        sketch.circle(Layer.CONDUIT, at, radius);
        switch (side) {
            case TOWARDS -> sketch.circle(Layer.RING, at, radius * 0.25);
            case AWAY -> {
                double across = radius * Math.sqrt(0.5);
                sketch.line(Layer.RING, at.plus(-across, -across), at.plus(across, across));
                sketch.line(Layer.RING, at.plus(-across, across), at.plus(across, -across));
            }
        }
    }

    /** The first wall that has the leg, or the box, that a size is of. */
    private int wallOf(GivenDimension dimension) {
        Optional<FeatureId> feature = FeatureId.withId(dimension.at());
        int leg = feature.map(FeatureId::number).orElse(0);
        if (leg > 0) {
            OptionalInt found = IntStream.range(0, walls.size())
                    .filter(i -> walls.get(i).legs().contains(leg))
                    .findFirst();
            return found.orElse(0);
        }
        return feature.filter(FeatureId.END_RISE::equals).isPresent() ? walls.size() - 1 : 0;
    }

    /** Beside its leg, on the side that is away from the middle of the plan. */
    private void beside(Sketch sketch, WallOfRun wall, GivenDimension dimension, Point centre, String words) {
        Point from = place(wall, dimension.from());
        Point to = place(wall, dimension.to());
        double length = Math.hypot(to.x() - from.x(), to.y() - from.y());
        if (length < 1e-6) {
            return;
        }
        Point normal = new Point(-(to.y() - from.y()) / length, (to.x() - from.x()) / length);
        double away = ((from.x() + to.x()) / 2 - centre.x()) * normal.x()
                                + ((from.y() + to.y()) / 2 - centre.y()) * normal.y()
                        >= 0
                ? 1
                : -1;
        double off = away * BESIDE * style.textSize();
        Point one = from.plus(normal.x() * off, normal.y() * off);
        Point other = to.plus(normal.x() * off, normal.y() * off);
        sketch.line(Layer.DIMENSION, from, one);
        sketch.line(Layer.DIMENSION, to, other);
        sketch.line(Layer.DIMENSION, one, other);
        double slash = style.textSize() * 0.3;
        for (Point end : List.of(one, other)) {
            sketch.line(Layer.DIMENSION, end.plus(-slash, -slash), end.plus(slash, slash));
        }
        boolean upright = Math.abs(normal.x()) > Math.abs(normal.y());
        double out = away * style.textSize() * (upright ? 0.5 : 0.9);
        sketch.text(
                Layer.LABEL,
                new Point((one.x() + other.x()) / 2 + normal.x() * out, (one.y() + other.y()) / 2 + normal.y() * out),
                style.textSize(),
                !upright ? Anchor.MIDDLE : normal.x() * away > 0 ? Anchor.START : Anchor.END,
                words);
    }
}
