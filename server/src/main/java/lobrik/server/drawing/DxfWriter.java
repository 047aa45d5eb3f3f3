package lobrik.server.drawing;

import java.util.List;
import lobrik.server.drawing.Sketch.Layer;
import lobrik.server.drawing.Sketch.Point;
import lobrik.server.drawing.Sketch.Shape;

/**
 * Writes a sketch as DXF of release 12, the plainest that every CAD program and plotter reads: ASCII, full size in inches,
 * one layer for each layer of the sketch, lines as LINE, runs of lines as POLYLINE.
 */
public final class DxfWriter {

    private final StringBuilder dxf = new StringBuilder();

    private DxfWriter() {}

    /** The whole file. */
    public static String write(Sketch sketch) {
        DxfWriter writer = new DxfWriter();
        writer.header();
        writer.layers();
        writer.pair(0, "SECTION");
        writer.pair(2, "ENTITIES");
        sketch.shapes().forEach(writer::entity);
        writer.pair(0, "ENDSEC");
        writer.pair(0, "EOF");
        return writer.dxf.toString();
    }

    private void pair(int code, String value) {
        dxf.append(code).append("\r\n").append(value).append("\r\n");
    }

    private void number(int code, double value) {
        pair(code, SvgWriter.number(value));
    }

    private void point(int xCode, Point point) {
        number(xCode, point.x());
        number(xCode + 10, point.y());
    }

    private void header() {
        pair(0, "SECTION");
        pair(2, "HEADER");
        pair(9, "$ACADVER");
        pair(1, "AC1009");
        // 1 is the inch; release 12 does not know the variable yet, later readers do.
        pair(9, "$INSUNITS");
        pair(70, "1");
        pair(0, "ENDSEC");
    }

    private void layers() {
        pair(0, "SECTION");
        pair(2, "TABLES");
        pair(0, "TABLE");
        pair(2, "LAYER");
        pair(70, Integer.toString(Layer.values().length));
        for (Layer layer : Layer.values()) {
            pair(0, "LAYER");
            pair(2, layer.name());
            pair(70, "0");
            pair(62, "7");
            pair(6, "CONTINUOUS");
        }
        pair(0, "ENDTAB");
        pair(0, "ENDSEC");
    }

    private void entity(Shape shape) {
        switch (shape) {
            case Shape.Path path -> path(path);
            case Shape.Circle circle -> {
                begin("CIRCLE", circle.layer());
                point(10, circle.centre());
                number(40, circle.radius());
            }
            case Shape.Text text -> text(text);
        }
    }

    private void begin(String entity, Layer layer) {
        pair(0, entity);
        pair(8, layer.name());
    }

    private void path(Shape.Path path) {
        List<Point> points = path.points();
        if (points.size() == 2 && !path.closed()) {
            begin("LINE", path.layer());
            point(10, points.get(0));
            point(11, points.get(1));
            return;
        }
        begin("POLYLINE", path.layer());
        pair(66, "1");
        point(10, new Point(0, 0));
        pair(70, path.closed() ? "1" : "0");
        for (Point point : points) {
            begin("VERTEX", path.layer());
            point(10, point);
        }
        begin("SEQEND", path.layer());
    }

    private void text(Shape.Text text) {
        begin("TEXT", text.layer());
        point(10, text.at());
        number(40, text.size());
        pair(1, plain(text.words()));
        pair(72, justification(text.anchor()));
        pair(73, "2");
        point(11, text.at());
    }

    private static String justification(Sketch.Anchor anchor) {
        return switch (anchor) {
            case START -> "0";
            case MIDDLE -> "1";
            case END -> "2";
        };
    }

    /** Release 12 is ASCII; what lies beyond is written by its code. */
    private static String plain(String text) {
        StringBuilder plain = new StringBuilder();
        text.codePoints().forEach(c -> {
            switch (c) {
                case '°' -> plain.append("%%d");
                case '−' -> plain.append('-');
                default -> {
                    if (c >= 32 && c < 127) {
                        plain.appendCodePoint(c);
                    } else if (c > 127 && c <= 0xFFFF) {
                        plain.append("\\U+%04X".formatted(c));
                    }
                }
            }
        });
        return plain.toString();
    }
}
