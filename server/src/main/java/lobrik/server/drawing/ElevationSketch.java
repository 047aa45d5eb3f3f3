package lobrik.server.drawing;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import lobrik.bend.Input;
import lobrik.layout.GivenDimension;
import lobrik.layout.Layout;
import lobrik.layout.Mark;
import lobrik.layout.Review;
import lobrik.measure.QuantityKind;
import lobrik.server.drawing.Sketch.Anchor;
import lobrik.server.drawing.Sketch.Extent;
import lobrik.server.drawing.Sketch.Layer;
import lobrik.server.drawing.Sketch.Point;
import lobrik.shape.Frame;
import lobrik.shape.Obstacle;
import lobrik.shape.Surround;

/** The bent piece in its place, with the sizes that the exercise gives. */
public final class ElevationSketch {

    private static final int STEPS_PER_ARC = 48;
    private static final double BOX_DEPTH = 2.125;
    private static final double BOX_HALF = 2;
    private static final double WALL = 0.75;

    /**
     * What to draw.
     *
     * @param textSize height of figures, inches at full size
     * @param rings whether the rings are drawn: they are part of the answer
     * @param words what is written at a given size; empty leaves its dimension out
     */
    public record Style(double textSize, boolean rings, Function<Input, Optional<String>> words) {}

    private final Review review;
    private final Layout layout;
    private final Stance stance;
    private final Style style;
    private final Sketch sketch = new Sketch();

    private ElevationSketch(Review review, Style style) {
        this.review = review;
        this.layout = review.layout();
        this.stance = Stance.of(layout);
        this.style = style;
    }

    /** Draws a reviewed layout with what stands around it; a run as the plans of its walls. */
    public static Sketch of(Review review, List<Surround> around, Style style) {
        return WallsSketch.of(review, style).orElseGet(() -> inOnePlane(review, around, style));
    }

    private static Sketch inOnePlane(Review review, List<Surround> around, Style style) {
        ElevationSketch drawing = new ElevationSketch(review, style);
        drawing.conduit();
        Extent piece = drawing.sketch.extent();
        drawing.surface(piece);
        drawing.review.obstacle().ifPresent(obstacle -> drawing.obstacle(obstacle, piece));
        around.forEach(surround -> drawing.surround(surround, piece));
        if (style.rings()) {
            drawing.layout.marks().forEach(drawing::ring);
        }
        drawing.dimensions(piece);
        return drawing.sketch;
    }

    private void conduit() {
        List<Point> middle = layout.predicted().centreline(STEPS_PER_ARC).stream()
                .map(stance::place)
                .toList();
        double half = stance.diameter() / 2;
        List<Point> outline = new ArrayList<>(beside(middle, half));
        outline.addAll(beside(middle, -half).reversed());
        sketch.path(Layer.CONDUIT, outline, true);
        sketch.path(Layer.CENTRELINE, middle, false);
    }

    /** The line beside a line, to its left; where it turns, square to the mean direction. */
    static List<Point> beside(List<Point> line, double distance) {
        List<Point> result = new ArrayList<>();
        for (int i = 0; i < line.size(); i++) {
            Point before = line.get(Math.max(0, i - 1));
            Point after = line.get(Math.min(line.size() - 1, i + 1));
            double length = Math.hypot(after.x() - before.x(), after.y() - before.y());
            double dx = length == 0 ? 1 : (after.x() - before.x()) / length;
            double dy = length == 0 ? 0 : (after.y() - before.y()) / length;
            result.add(line.get(i).plus(-dy * distance, dx * distance));
        }
        return result;
    }

    private void surface(Extent piece) {
        double from = stance.pose().surfaceFrom().orElse(piece.left() - 1);
        sketch.line(Layer.SURFACE, new Point(from, 0), new Point(piece.right() + 1, 0));
    }

    private void obstacle(Obstacle obstacle, Extent piece) {
        switch (obstacle) {
            case Obstacle.Round round -> {
                double radius = round.diameter().inches() / 2;
                sketch.circle(Layer.OBSTACLE, new Point(round.centre().inches(), radius), radius);
            }
            case Obstacle.Rectangular block -> {
                double from = block.from().inches();
                double to = Math.min(from + block.width().inches(), piece.right() + 1);
                if (to > from) {
                    sketch.rectangle(Layer.OBSTACLE, from, 0, to, block.height().inches());
                }
            }
            case Obstacle.InRoom _ -> {
                // What stands in a room is drawn with the walls of a run.
            }
        }
    }

    private void surround(Surround surround, Extent piece) {
        Point at = stance.place(surround.at());
        Point into = stance.direction(surround.into());
        switch (surround.kind()) {
            case BOX -> box(at, into);
            case WALL ->
                sketch.rectangle(
                        Layer.AROUND,
                        Math.min(at.x(), at.x() + into.x() * WALL),
                        0,
                        Math.max(at.x(), at.x() + into.x() * WALL),
                        piece.top() + 1);
        }
    }

    /** A box with its side across the conduit. */
    private void box(Point at, Point into) {
        Point across = new Point(-into.y() * BOX_HALF, into.x() * BOX_HALF);
        Point depth = new Point(into.x() * BOX_DEPTH, into.y() * BOX_DEPTH);
        List<Point> corners = List.of(
                at.plus(across.x(), across.y()),
                at.plus(across.x() + depth.x(), across.y() + depth.y()),
                at.plus(depth.x() - across.x(), depth.y() - across.y()),
                at.plus(-across.x(), -across.y()));
        sketch.path(Layer.AROUND, corners, true);
    }

    private void ring(Mark mark) {
        Frame frame = layout.predicted().at(mark.position());
        Point at = stance.place(frame.origin());
        Point along = stance.direction(frame.along());
        double half = stance.diameter() * 0.65;
        Point one = at.plus(-along.y() * half, along.x() * half);
        Point other = at.plus(along.y() * half, -along.x() * half);
        sketch.line(Layer.RING, one, other);
        Point lower = one.y() < other.y() ? one : other;
        sketch.text(
                Layer.LABEL,
                lower.plus(0, -style.textSize() * 0.75),
                style.textSize() * 0.8,
                Anchor.MIDDLE,
                Integer.toString(mark.number()));
    }

    /** Lengths along the run below it, the shortest nearest; heights where they are; angles over their bends. */
    private void dimensions(Extent piece) {
        // What hangs over an edge reaches below the surface that it lies on.
        double row = Math.min(0, piece.bottom()) - style.textSize() * 1.9;
        List<GivenDimension> level = review.dimensions().stream()
                .filter(this::isLevel)
                .sorted(Comparator.comparingDouble(this::span))
                .toList();
        for (GivenDimension dimension : level) {
            if (words(dimension).isPresent()) {
                level(dimension, row);
                row -= style.textSize() * 2.1;
            }
        }
        for (GivenDimension dimension : review.dimensions()) {
            words(dimension).filter(_ -> !isLevel(dimension)).ifPresent(words -> {
                if (dimension.input().id().measured() == QuantityKind.ANGLE) {
                    angle(dimension, words, piece);
                } else {
                    upright(dimension, words, piece);
                }
            });
        }
    }

    private Optional<String> words(GivenDimension dimension) {
        return style.words().apply(dimension.input());
    }

    private boolean isLevel(GivenDimension dimension) {
        Point from = stance.place(dimension.from());
        Point to = stance.place(dimension.to());
        return dimension.input().id().measured() == QuantityKind.LENGTH
                && Math.abs(to.x() - from.x()) > Math.abs(to.y() - from.y());
    }

    private double span(GivenDimension dimension) {
        return Math.abs(stance.place(dimension.to()).x()
                - stance.place(dimension.from()).x());
    }

    private void level(GivenDimension dimension, double y) {
        Point from = stance.place(dimension.from());
        Point to = stance.place(dimension.to());
        double lead = style.textSize() * 0.3;
        for (Point end : List.of(from, to)) {
            sketch.line(Layer.DIMENSION, new Point(end.x(), Math.min(end.y(), 0) - lead), new Point(end.x(), y - lead));
            slash(new Point(end.x(), y));
        }
        sketch.line(Layer.DIMENSION, new Point(from.x(), y), new Point(to.x(), y));
        write(dimension, new Point((from.x() + to.x()) / 2, y + style.textSize() * 0.8), Anchor.MIDDLE);
    }

    private void upright(GivenDimension dimension, String words, Extent piece) {
        Point from = stance.place(dimension.from());
        Point to = stance.place(dimension.to());
        boolean besidePiece = layout.job().bend().bends() <= 2 && !stance.pose().isOnDatumLeg();
        boolean left = (from.x() + to.x()) / 2 < (piece.left() + piece.right()) / 2;
        double x = to.x();
        if (besidePiece) {
            x = left ? piece.left() - style.textSize() * 2 : piece.right() + style.textSize() * 2;
            for (Point end : List.of(from, to)) {
                sketch.line(Layer.DIMENSION, end, new Point(x, end.y()));
            }
        }
        Point low = new Point(x, Math.min(from.y(), to.y()));
        Point high = new Point(x, Math.max(from.y(), to.y()));
        sketch.line(Layer.DIMENSION, low, high);
        slash(low);
        slash(high);
        // A short one has no room for its figure beside the next one's.
        boolean before = besidePiece ? left : high.y() - low.y() < style.textSize() * 1.6;
        sketch.text(
                Layer.LABEL,
                new Point(x + (before ? -1 : 1) * style.textSize() * 0.5, (low.y() + high.y()) / 2),
                style.textSize(),
                before ? Anchor.END : Anchor.START,
                words);
    }

    private void angle(GivenDimension dimension, String words, Extent piece) {
        Point at = stance.place(dimension.from());
        Point label = new Point(at.x(), piece.top() + style.textSize() * 1.4);
        sketch.line(Layer.DIMENSION, at, label.plus(0, -style.textSize() * 0.7));
        sketch.text(Layer.LABEL, label, style.textSize(), Anchor.MIDDLE, words);
    }

    private void write(GivenDimension dimension, Point at, Anchor anchor) {
        words(dimension).ifPresent(words -> sketch.text(Layer.LABEL, at, style.textSize(), anchor, words));
    }

    private void slash(Point at) {
        double half = style.textSize() * 0.3;
        sketch.line(Layer.DIMENSION, at.plus(-half, -half), at.plus(half, half));
    }
}
