package lobrik.server.sheet;

import java.io.ByteArrayOutputStream;
import java.util.List;
import java.util.Locale;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.measure.TapeDivision;
import lobrik.server.shed.Rack;
import org.openpdf.text.Document;
import org.openpdf.text.pdf.PdfWriter;

/** Labels to stick on benders: what each is called, what it takes, and a code that leads to its card. Ten to the page. */
final class BenderLabels {

    private static final float MARGIN = 36;
    private static final float PADDING = 10;
    private static final float CODE = 92;
    private static final int COLUMNS = 2;
    private static final int ROWS = 5;

    private BenderLabels() {}

    /**
     * The labels of some benders.
     *
     * @param base address of the application, such as {@code https://bench.example}
     */
    static byte[] pdf(List<Rack.Racked> benders, String base, Paper paper, LengthUnit unit) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        float width = (paper.width() - 2 * MARGIN) / COLUMNS;
        float height = (paper.height() - 2 * MARGIN) / ROWS;
        try (Document document = new Document(paper.size())) {
            PdfWriter writer = PdfWriter.getInstance(document, out);
            document.addTitle("Labels of benders");
            document.addCreator("Lobrik");
            document.open();
            Typeface.Set fonts = new Typeface.Set();
            for (int i = 0; i < benders.size(); i++) {
                int onPage = i % (COLUMNS * ROWS);
                if (i > 0 && onPage == 0) {
                    document.newPage();
                }
                Canvas canvas = new Canvas(writer.getDirectContent(), fonts);
                float x = MARGIN + onPage % COLUMNS * width;
                float y = paper.height() - MARGIN - (Math.floorDiv(onPage, COLUMNS) + 1) * height;
                canvas.box(x, y, width, height, 0.3f);
                label(canvas, benders.get(i), base, unit, x + PADDING, y + PADDING, width - 2 * PADDING, height);
            }
        }
        return out.toByteArray();
    }

    private static void label(
            Canvas canvas,
            Rack.Racked racked,
            String base,
            LengthUnit unit,
            float x,
            float y,
            float width,
            float height) {
        float top = y + height - 2 * PADDING;
        float words = width - CODE - PADDING;
        canvas.code(base + "/shed?side=benders&bender=" + racked.bender().id(), x + width - CODE, top - CODE, CODE);
        canvas.fitted(Typeface.BOLD, 24, x, top - 22, words, racked.bender().label());
        canvas.fitted(
                Typeface.TEXT,
                11,
                x,
                top - 40,
                words,
                racked.conduit().label() + ", "
                        + racked.revision().tool().kind().title().toLowerCase(Locale.ROOT));
        racked.tooling().shoe().ifPresent(shoe -> {
            canvas.text(Typeface.TEXT, 10, x, top - 66, "takes");
            canvas.fitted(Typeface.FIGURES, 20, x + 34, top - 66, words - 34, onTape(shoe.takeUp(), unit));
        });
        canvas.text(Typeface.TEXT, 10, x, top - 88, "radius");
        canvas.fitted(
                Typeface.FIGURES,
                14,
                x + 34,
                top - 88,
                words - 34,
                onTape(racked.revision().tool().radius(), unit));
        canvas.text(Typeface.TEXT, 7.5f, x, y, "figures " + racked.revision().revision());
    }

    private static String onTape(Length length, LengthUnit unit) {
        return (unit == LengthUnit.INCH ? TapeDivision.THIRTY_SECOND : TapeDivision.MILLIMETRE).text(length);
    }
}
