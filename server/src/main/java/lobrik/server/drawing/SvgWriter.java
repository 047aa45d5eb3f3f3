package lobrik.server.drawing;

import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import lobrik.server.drawing.Sketch.Extent;
import lobrik.server.drawing.Sketch.Layer;
import lobrik.server.drawing.Sketch.Point;
import lobrik.server.drawing.Sketch.Shape;

/**
 * Writes a sketch as SVG at full size: one unit is one inch, y runs down, and what was drawn at (x, y) stands at (x, −y). A
 * group for each layer carries {@code data-layer}.
 */
public final class SvgWriter {

    private static final double MARGIN = 0.25;

    private SvgWriter() {}

    /** The whole file. */
    public static String write(Sketch sketch, String title) {
        Extent extent = sketch.extent();
        double width = extent.width() + 2 * MARGIN;
        double height = extent.height() + 2 * MARGIN;
        StringBuilder svg = new StringBuilder("<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n");
        svg.append("<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"%sin\" height=\"%sin\" viewBox=\"%s %s %s %s\""
                .formatted(
                        number(width),
                        number(height),
                        number(extent.left() - MARGIN),
                        number(-extent.top() - MARGIN),
                        number(width),
                        number(height)));
        svg.append(" font-family=\"Barlow Semi Condensed, sans-serif\" fill=\"none\" stroke=\"#1d2327\""
                + " stroke-linejoin=\"round\">\n");
        svg.append("<title>").append(escaped(title)).append("</title>\n");
        for (Layer layer : Layer.values()) {
            List<Shape> shapes = sketch.shapes().stream()
                    .filter(shape -> shape.layer() == layer)
                    .toList();
            if (!shapes.isEmpty()) {
                svg.append("<g data-layer=\"")
                        .append(layer.name().toLowerCase(Locale.ROOT))
                        .append("\" stroke-width=\"")
                        .append(number(stroke(layer)))
                        .append("\">\n");
                shapes.forEach(shape -> svg.append(element(shape)).append('\n'));
                svg.append("</g>\n");
            }
        }
        return svg.append("</svg>\n").toString();
    }

    private static double stroke(Layer layer) {
        return switch (layer) {
            case RING -> 0.06;
            case CONDUIT, OBSTACLE, AROUND, SURFACE -> 0.035;
            case CENTRELINE, TAPE, DIMENSION, LABEL -> 0.018;
        };
    }

    private static String element(Shape shape) {
        return switch (shape) {
            case Shape.Path path ->
                "<%s points=\"%s\"/>"
                        .formatted(
                                path.closed() ? "polygon" : "polyline",
                                path.points().stream().map(SvgWriter::pair).collect(Collectors.joining(" ")));
            case Shape.Circle circle ->
                "<circle cx=\"%s\" cy=\"%s\" r=\"%s\"/>"
                        .formatted(
                                number(circle.centre().x()),
                                number(-circle.centre().y()),
                                number(circle.radius()));
            case Shape.Text text ->
                "<text x=\"%s\" y=\"%s\" font-size=\"%s\" text-anchor=\"%s\" dominant-baseline=\"central\" stroke=\"#ffffff\" stroke-width=\"%s\" paint-order=\"stroke\" fill=\"#1d2327\">%s</text>"
                        .formatted(
                                number(text.at().x()),
                                number(-text.at().y()),
                                number(text.size()),
                                text.anchor().name().toLowerCase(Locale.ROOT),
                                number(text.size() * 0.25),
                                escaped(text.words()));
        };
    }

    private static String pair(Point point) {
        return number(point.x()) + "," + number(-point.y());
    }

    /** Inches to five places, without a minus before nothing. */
    static String number(double value) {
        String text = String.format(Locale.ROOT, "%.5f", value + 0.0);
        return text.equals("-0.00000") ? "0.00000" : text;
    }

    private static String escaped(String text) {
        return text.replace("&", "&amp;").replace("<", "&lt;").replace(">", "&gt;");
    }
}
