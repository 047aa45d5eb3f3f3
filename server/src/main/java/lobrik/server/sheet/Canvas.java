package lobrik.server.sheet;

import com.google.zxing.common.BitMatrix;
import java.awt.Color;
import java.io.IOException;
import java.util.List;
import lobrik.server.drawing.Sketch;
import lobrik.server.platform.CameraCode;
import org.openpdf.text.Element;
import org.openpdf.text.Image;
import org.openpdf.text.Phrase;
import org.openpdf.text.pdf.ColumnText;
import org.openpdf.text.pdf.PdfContentByte;

/** A page that is drawn on: points (1/72 in), x to the right, y up from the foot of the page. */
final class Canvas {

    static final Color INK = new Color(0x1D, 0x23, 0x27);
    private static final Color SOFT = new Color(0x6B, 0x74, 0x7B);
    private static final Color STEEL = new Color(0xE4, 0xE8, 0xEA);
    private static final Color HATCH = new Color(0xD3, 0xD8, 0xDB);

    private final PdfContentByte content;
    private final Typeface.Set fonts;

    Canvas(PdfContentByte content, Typeface.Set fonts) {
        this.content = content;
        this.fonts = fonts;
    }

    /** Where a text stands from its point. */
    enum Align {
        LEFT(Element.ALIGN_LEFT),
        CENTRE(Element.ALIGN_CENTER),
        RIGHT(Element.ALIGN_RIGHT);

        private final int element;

        Align(int element) {
            this.element = element;
        }
    }

    void text(Typeface face, float size, float x, float baseline, String text) {
        text(face, size, x, baseline, Align.LEFT, text);
    }

    void text(Typeface face, float size, float x, float baseline, Align align, String text) {
        content.setColorFill(INK);
        ColumnText.showTextAligned(content, align.element, fonts.phrase(face, size, text), x, baseline, 0);
    }

    /** A text that is made smaller until it fits. */
    void fitted(Typeface face, float size, float x, float baseline, float width, String text) {
        float natural = fonts.width(face, size, text);
        text(face, natural <= width ? size : Math.max(5f, size * width / natural), x, baseline, text);
    }

    float width(Typeface face, float size, String text) {
        return fonts.width(face, size, text);
    }

    /**
     * Text in lines of a column.
     *
     * @param top of the first line
     * @return the foot of the last line
     */
    float column(Typeface face, float size, float x, float top, float width, String text) {
        content.setColorFill(INK);
        ColumnText column = new ColumnText(content);
        Phrase phrase = fonts.phrase(face, size, text);
        column.setSimpleColumn(phrase, x, 0, x + width, top, size * 1.22f, Element.ALIGN_LEFT);
        column.go();
        return column.getYLine();
    }

    void line(float x1, float y1, float x2, float y2, float width) {
        content.setColorStroke(INK);
        content.setLineWidth(width);
        content.moveTo(x1, y1);
        content.lineTo(x2, y2);
        content.stroke();
    }

    void box(float x, float y, float width, float height, float line) {
        content.setColorStroke(INK);
        content.setLineWidth(line);
        content.rectangle(x, y, width, height);
        content.stroke();
    }

    /** Draws with everything so many times as large, from the lower left corner. */
    void enlarged(float scale, Runnable drawing) {
        content.saveState();
        content.concatCTM(scale, 0, 0, scale, 0, 0);
        drawing.run();
        content.restoreState();
    }

    /** A picture within a box, as large as it fits there. */
    void picture(byte[] file, float x, float y, float width, float height) {
        try {
            Image image = Image.getInstance(file);
            image.scaleToFit(width, height);
            image.setAbsolutePosition(x, y + (height - image.getScaledHeight()) / 2);
            content.addImage(image);
        } catch (IOException e) {
            throw new IllegalStateException("a picture that was drawn by us cannot be read", e);
        }
    }

    /** A pale line to write on. */
    void rule(float x1, float x2, float y) {
        content.setColorStroke(SOFT);
        content.setLineWidth(0.4f);
        content.setLineDash(1f, 2f, 0f);
        content.moveTo(x1, y);
        content.lineTo(x2, y);
        content.stroke();
        content.setLineDash(0f);
    }

    /** A code that a camera reads; black on white with its quiet zone. */
    void code(String text, float x, float y, float size) {
        BitMatrix matrix = CameraCode.of(text);
        float module = size / matrix.getWidth();
        content.setColorFill(Color.BLACK);
        for (int row = 0; row < matrix.getHeight(); row++) {
            for (int column = 0; column < matrix.getWidth(); column++) {
                if (matrix.get(column, row)) {
                    content.rectangle(x + column * module, y + size - (row + 1) * module, module, module);
                }
            }
        }
        content.fill();
    }

    /**
     * A sketch, as large as it fits.
     *
     * @param scale points for an inch of it
     */
    void sketch(Sketch sketch, float x, float y, float scale) {
        Sketch.Extent extent = sketch.extent();
        for (Sketch.Shape shape : sketch.shapes()) {
            switch (shape) {
                case Sketch.Shape.Path path -> path(path, extent, x, y, scale);
                case Sketch.Shape.Circle circle -> {
                    stroke(circle.layer());
                    content.setColorFill(HATCH);
                    content.circle(
                            x + (float) (circle.centre().x() - extent.left()) * scale,
                            y + (float) (circle.centre().y() - extent.bottom()) * scale,
                            (float) circle.radius() * scale);
                    content.fillStroke();
                }
                case Sketch.Shape.Text text -> written(text, extent, x, y, scale);
            }
        }
    }

    private void path(Sketch.Shape.Path path, Sketch.Extent extent, float x, float y, float scale) {
        stroke(path.layer());
        List<Sketch.Point> points = path.points();
        for (int i = 0; i < points.size(); i++) {
            float px = x + (float) (points.get(i).x() - extent.left()) * scale;
            float py = y + (float) (points.get(i).y() - extent.bottom()) * scale;
            if (i == 0) {
                content.moveTo(px, py);
            } else {
                content.lineTo(px, py);
            }
        }
        if (path.closed()) {
            content.setColorFill(path.layer() == Sketch.Layer.CONDUIT ? STEEL : HATCH);
            content.closePathFillStroke();
        } else {
            content.stroke();
        }
    }

    private void stroke(Sketch.Layer layer) {
        content.setColorStroke(layer == Sketch.Layer.CENTRELINE || layer == Sketch.Layer.DIMENSION ? SOFT : INK);
        content.setLineWidth(
                switch (layer) {
                    case RING -> 1.6f;
                    case CONDUIT, OBSTACLE, AROUND, SURFACE -> 0.8f;
                    case CENTRELINE, TAPE, DIMENSION, LABEL -> 0.45f;
                });
    }

    private void written(Sketch.Shape.Text text, Sketch.Extent extent, float x, float y, float scale) {
        float size = (float) text.size() * scale;
        Align align = switch (text.anchor()) {
            case START -> Align.LEFT;
            case MIDDLE -> Align.CENTRE;
            case END -> Align.RIGHT;
        };
        float width = fonts.width(Typeface.FIGURES, size, text.words());
        float start = x
                + (float) (text.at().x() - extent.left()) * scale
                - switch (align) {
                    case LEFT -> 0;
                    case CENTRE -> width / 2;
                    case RIGHT -> width;
                };
        // Lines end before a figure instead of running through it.
        content.setColorFill(Color.WHITE);
        content.rectangle(
                start - 1,
                y + (float) (text.at().y() - extent.bottom()) * scale - size * 0.45f,
                width + 2,
                size * 0.9f);
        content.fill();
        text(
                Typeface.FIGURES,
                size,
                x + (float) (text.at().x() - extent.left()) * scale,
                // Figures are about 0.7 of their size high; their middle stands on the point.
                y + (float) (text.at().y() - extent.bottom()) * scale - size * 0.35f,
                align,
                text.words());
    }
}
