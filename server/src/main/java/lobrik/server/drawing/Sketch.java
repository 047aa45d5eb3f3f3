package lobrik.server.drawing;

import java.util.ArrayList;
import java.util.List;

/** A drawing before it is written in some format: shapes on named layers, in the order in which they are drawn. */
public final class Sketch {

    /** What a shape belongs to; DXF has a layer, SVG a group for each. */
    public enum Layer {
        SURFACE,
        AROUND,
        OBSTACLE,
        CONDUIT,
        CENTRELINE,
        RING,
        TAPE,
        DIMENSION,
        LABEL
    }

    /** A point in inches. */
    public record Point(double x, double y) {

        Point plus(double dx, double dy) {
            return new Point(x + dx, y + dy);
        }
    }

    /** Where a text stands from its point; its middle is always on the height of the point. */
    public enum Anchor {
        START,
        MIDDLE,
        END
    }

    /** Something drawn. */
    public sealed interface Shape {

        Layer layer();

        /** A line through points, or round them. */
        record Path(Layer layer, List<Point> points, boolean closed) implements Shape {}

        /** A circle. */
        record Circle(Layer layer, Point centre, double radius) implements Shape {}

        /** Words or figures, as high as {@code size}, inches. */
        record Text(Layer layer, Point at, double size, Anchor anchor, String words) implements Shape {}
    }

    /** What a drawing takes up. */
    public record Extent(double left, double bottom, double right, double top) {

        public double width() {
            return right - left;
        }

        public double height() {
            return top - bottom;
        }
    }

    private final List<Shape> shapes = new ArrayList<>();

    void line(Layer layer, Point... points) {
        path(layer, List.of(points), false);
    }

    void path(Layer layer, List<Point> points, boolean closed) {
        shapes.add(new Shape.Path(layer, List.copyOf(points), closed));
    }

    void rectangle(Layer layer, double left, double bottom, double right, double top) {
        path(
                layer,
                List.of(new Point(left, bottom), new Point(right, bottom), new Point(right, top), new Point(left, top)),
                true);
    }

    void circle(Layer layer, Point centre, double radius) {
        shapes.add(new Shape.Circle(layer, centre, radius));
    }

    void text(Layer layer, Point at, double size, Anchor anchor, String words) {
        shapes.add(new Shape.Text(layer, at, size, anchor, words));
    }

    /** Puts all of it on another drawing, moved by inches. */
    void addTo(Sketch other, double dx, double dy) {
        for (Shape shape : shapes) {
            other.shapes.add(
                    switch (shape) {
                        case Shape.Path path ->
                            new Shape.Path(
                                    path.layer(),
                                    path.points().stream()
                                            .map(point -> point.plus(dx, dy))
                                            .toList(),
                                    path.closed());
                        case Shape.Circle circle ->
                            new Shape.Circle(circle.layer(), circle.centre().plus(dx, dy), circle.radius());
                        case Shape.Text text ->
                            new Shape.Text(
                                    text.layer(), text.at().plus(dx, dy), text.size(), text.anchor(), text.words());
                    });
        }
    }

    /** All shapes, from the back. */
    public List<Shape> shapes() {
        return List.copyOf(shapes);
    }

    /** What it takes up; texts by an estimate of their width. */
    public Extent extent() {
        double left = Double.POSITIVE_INFINITY;
        double bottom = Double.POSITIVE_INFINITY;
        double right = Double.NEGATIVE_INFINITY;
        double top = Double.NEGATIVE_INFINITY;
        for (Shape shape : shapes) {
            for (Point corner : corners(shape)) {
                left = Math.min(left, corner.x());
                right = Math.max(right, corner.x());
                bottom = Math.min(bottom, corner.y());
                top = Math.max(top, corner.y());
            }
        }
        return new Extent(left, bottom, right, top);
    }

    private static List<Point> corners(Shape shape) {
        return switch (shape) {
            case Shape.Path path -> path.points();
            case Shape.Circle circle ->
                List.of(
                        circle.centre().plus(-circle.radius(), -circle.radius()),
                        circle.centre().plus(circle.radius(), circle.radius()));
            case Shape.Text text -> {
                double width = text.words().length() * text.size() * 0.56;
                double before = switch (text.anchor()) {
                    case START -> 0;
                    case MIDDLE -> width / 2;
                    case END -> width;
                };
                yield List.of(
                        text.at().plus(-before, -text.size() * 0.7), text.at().plus(width - before, text.size() * 0.7));
            }
        };
    }
}
