package lobrik.server.sheet;

import java.io.ByteArrayOutputStream;
import java.util.List;
import lobrik.measure.Length;
import lobrik.server.drawing.GivenSketch;
import lobrik.server.drawing.Sketch;
import lobrik.wire.Question;
import org.openpdf.text.Document;
import org.openpdf.text.pdf.PdfWriter;

/** The page of a whole job: the run along its walls, its pieces with who bends them, what is cut from what, and what is needed besides. */
public final class JobPage {

    private static final float MARGIN = 36;
    private static final float LINE = 17;

    /** Height of the drawing, of the page. */
    private static final float DRAWING = 0.42f;

    /**
     * What stands on it.
     *
     * @param run the whole of it, for the drawing
     * @param couplings where it is coupled, along the straight conduit
     * @param pieces a row each
     * @param cuts a line for every stick
     * @param needs what is needed besides conduit, a line each
     * @param notes what is to be minded
     */
    public record Contents(
            String title,
            String madeFrom,
            Question run,
            List<Length> couplings,
            List<PieceRow> pieces,
            List<String> cuts,
            List<String> needs,
            List<String> notes) {}

    /** A piece: its number and cut length, where it begins, its bends, and who bends it with which sheet. */
    public record PieceRow(String number, String cut, String begins, String bends, String who, String code) {}

    private static final PieceRow HEAD = new PieceRow("Piece", "cut to", "begins", "bends", "bent by", "sheet");

    /** Where columns begin, of the width. */
    private static final float[] COLUMNS = {0, 0.08f, 0.22f, 0.52f, 0.64f, 0.88f};

    private final Canvas canvas;
    private final float left;
    private final float width;
    private float y;

    private JobPage(Canvas canvas, Paper paper) {
        this.canvas = canvas;
        this.left = MARGIN;
        this.width = paper.width() - 2 * MARGIN;
        this.y = paper.height() - MARGIN;
    }

    /** The page as a PDF file. */
    public static byte[] pdf(Contents contents, Paper paper) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (Document document = new Document(paper.size())) {
            PdfWriter writer = PdfWriter.getInstance(document, out);
            document.addTitle(contents.title());
            document.addCreator("Lobrik");
            document.open();
            new JobPage(new Canvas(writer.getDirectContent(), new Typeface.Set()), paper).draw(contents, paper);
        }
        return out.toByteArray();
    }

    private void draw(Contents contents, Paper paper) {
        canvas.fitted(Typeface.BOLD, 19, left, y - 16, width, contents.title());
        canvas.fitted(Typeface.TEXT, 10.5f, left, y - 31, width, contents.madeFrom());
        y -= 42;
        drawing(GivenSketch.coupled(contents.run(), contents.couplings()), paper.height() * DRAWING);
        row(HEAD, Typeface.TEXT, 9);
        for (PieceRow piece : contents.pieces()) {
            canvas.line(left, y + LINE - 5, left + width, y + LINE - 5, 0.3f);
            row(piece, Typeface.BOLD, 11.5f);
        }
        y -= 6;
        float half = width / 2 - 8;
        float top = y;
        list("Cut list", contents.cuts(), left, half);
        float after = y;
        y = top;
        list("Besides conduit", contents.needs(), left + half + 16, half);
        y = Math.min(y, after) - 4;
        for (String note : contents.notes()) {
            y = canvas.column(Typeface.TEXT, 9.5f, left, y, width, note) - 3;
        }
    }

    private void drawing(Sketch sketch, float height) {
        Sketch.Extent extent = sketch.extent();
        float scale = (float) Math.min(width / extent.width(), height / extent.height());
        canvas.sketch(
                sketch,
                left + (width - (float) extent.width() * scale) / 2,
                y - (float) extent.height() * scale,
                scale);
        y -= (float) extent.height() * scale + 24;
    }

    private void row(PieceRow piece, Typeface first, float size) {
        String[] texts = {piece.number(), piece.cut(), piece.begins(), piece.bends(), piece.who(), piece.code()};
        for (int i = 0; i < texts.length; i++) {
            float to = i + 1 < COLUMNS.length ? COLUMNS[i + 1] : 1;
            canvas.fitted(
                    i < 2 ? first : Typeface.TEXT,
                    size,
                    left + COLUMNS[i] * width,
                    y,
                    (to - COLUMNS[i]) * width - 4,
                    texts[i]);
        }
        y -= LINE;
    }

    private void list(String title, List<String> lines, float x, float room) {
        canvas.text(Typeface.BOLD, 11.5f, x, y, title);
        y -= LINE;
        for (String line : lines) {
            canvas.fitted(Typeface.TEXT, 10.5f, x, y, room, line);
            y -= LINE - 2;
        }
    }
}
