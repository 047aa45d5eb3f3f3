package lobrik.server.sheet;

import java.io.ByteArrayOutputStream;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.Optional;
import lobrik.layout.MultiplierChart;
import lobrik.layout.SpacingTable;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.measure.TapeDivision;
import lobrik.server.shed.Rack;
import lobrik.shop.Former;
import lobrik.shop.Machine;
import lobrik.shop.Shoe;
import lobrik.shop.Tooling;
import org.openpdf.text.Document;
import org.openpdf.text.pdf.PdfWriter;

/**
 * The card that a trainee carries: on its face what one bender takes and the multipliers, on its back the rings by height. Four of
 * them fill a page, and their backs the next.
 */
final class PocketCard {

    private static final float MARGIN = 36;
    private static final float PADDING = 14;
    private static final int MOST_ANGLES = 3;

    private PocketCard() {}

    static byte[] pdf(Rack.Racked racked, Paper paper, LengthUnit unit) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (Document document = new Document(paper.size())) {
            PdfWriter writer = PdfWriter.getInstance(document, out);
            document.addTitle("Card of " + racked.bender().label());
            document.addCreator("Lobrik");
            document.open();
            Canvas canvas = new Canvas(writer.getDirectContent(), new Typeface.Set());
            float width = (paper.width() - 2 * MARGIN) / 2;
            float height = (paper.height() - 2 * MARGIN) / 2;
            four(width, height, (x, y) -> card(canvas, racked, unit, new Spot(x, y, width, height)));
            document.newPage();
            Canvas backs = new Canvas(writer.getDirectContent(), new Typeface.Set());
            SpacingTable offsets = SpacingTable.offsets(racked.tooling(), MultiplierChart.USUAL, unit);
            SpacingTable saddles = SpacingTable.saddles(racked.tooling(), MultiplierChart.USUAL, unit);
            Tables tables = new Tables(offsets, saddles, unit);
            four(width, height, (x, y) -> back(backs, racked, tables, new Spot(x, y, width, height)));
        }
        return out.toByteArray();
    }

    /** Draws a card with its lower left corner there. */
    private interface At {
        void draw(float x, float y);
    }

    private record Spot(float x, float y, float width, float height) {}

    private static void four(float width, float height, At card) {
        for (int row = 0; row < 2; row++) {
            card.draw(MARGIN, MARGIN + row * height);
            card.draw(MARGIN + width, MARGIN + row * height);
        }
    }

    /** What stands on the back, and in which unit. */
    private record Tables(SpacingTable offsets, SpacingTable saddles, LengthUnit unit) {

        String onTape(Length length) {
            return division(unit).text(length);
        }

        String onTape(Optional<Length> spacing) {
            return spacing.map(this::onTape).orElse("–");
        }
    }

    private static TapeDivision division(LengthUnit unit) {
        return unit == LengthUnit.INCH ? TapeDivision.SIXTEENTH : TapeDivision.MILLIMETRE;
    }

    /** From ring to ring by height, by the card and exactly with this bender. */
    private static void back(Canvas canvas, Rack.Racked racked, Tables tables, Spot spot) {
        canvas.box(spot.x(), spot.y(), spot.width(), spot.height(), 0.4f);
        float left = spot.x() + PADDING;
        float inner = spot.width() - 2 * PADDING;
        float line = spot.y() + spot.height() - PADDING - 12;
        canvas.fitted(
                Typeface.BOLD,
                13,
                left,
                line,
                inner,
                "From ring to ring, " + racked.bender().label());
        line = table(canvas, "Offset, by its rise", tables, tables.offsets(), new Spot(left, line - 20, inner, 0));
        line = table(
                canvas,
                "Three-point saddle 22½–45–22½, by its height",
                tables,
                tables.saddles(),
                new Spot(left, line - 16, inner, 0));
        canvas.fitted(
                Typeface.TEXT,
                8.5f,
                left,
                line - 16,
                inner,
                "Bold: by the card. Beside it: exactly, with this bender. –: bends too near.");
        canvas.fitted(
                Typeface.TEXT,
                8,
                left,
                spot.y() + PADDING - 2,
                inner,
                "Local code and the licensed person in charge decide.");
    }

    private static float table(Canvas canvas, String name, Tables tables, SpacingTable table, Spot spot) {
        float left = spot.x();
        float inner = spot.width();
        float top = spot.y();
        float line = top;
        canvas.fitted(Typeface.BOLD, 9.5f, left, line, inner, name);
        line -= 13;
        float head = 28;
        float column = (inner - head) / MOST_ANGLES;
        canvas.text(Typeface.TEXT, 8.5f, left, line, tables.unit() == LengthUnit.INCH ? "inches" : "mm");
        for (int i = 0; i < table.angles().size(); i++) {
            float right = left + head + (i + 1) * column;
            canvas.text(
                    Typeface.TEXT,
                    8.5f,
                    right - column / 2,
                    line,
                    Canvas.Align.CENTRE,
                    table.angles().get(i).text());
        }
        for (SpacingTable.Row row : table.rows()) {
            line -= 13;
            canvas.text(Typeface.FIGURES, 10.5f, left, line, tables.onTape(row.height()));
            for (int i = 0; i < row.spacings().size(); i++) {
                SpacingTable.Spacing spacing = row.spacings().get(i);
                float right = left + head + (i + 1) * column;
                canvas.text(
                        Typeface.BOLD, 10.5f, right - 35, line, Canvas.Align.RIGHT, tables.onTape(spacing.byCard()));
                canvas.text(
                        Typeface.FIGURES, 8.5f, right - 2, line, Canvas.Align.RIGHT, tables.onTape(spacing.exactly()));
            }
        }
        for (int i = 0; i < table.angles().size(); i++) {
            float x = left + head + i * column + 2;
            canvas.line(x, top - 8, x, line - 3, 0.3f);
        }
        canvas.line(left, line - 5, left + inner, line - 5, 0.5f);
        return line - 5;
    }

    private static void card(Canvas canvas, Rack.Racked racked, LengthUnit unit, Spot spot) {
        canvas.box(spot.x(), spot.y(), spot.width(), spot.height(), 0.4f);
        float left = spot.x() + PADDING;
        float inner = spot.width() - 2 * PADDING;
        float line = spot.y() + spot.height() - PADDING - 14;
        canvas.fitted(Typeface.BOLD, 17, left, line, inner, racked.bender().label());
        line -= 15;
        canvas.fitted(Typeface.TEXT, 11, left, line, inner, racked.conduit().label());
        line -= 12;
        Tooling tooling = racked.tooling();
        for (Row row : figures(tooling, unit)) {
            line -= 16;
            canvas.text(Typeface.TEXT, 11, left, line, row.name());
            canvas.text(Typeface.FIGURES, 13, left + inner, line, Canvas.Align.RIGHT, row.figure());
        }
        line -= 14;
        canvas.line(left, line, left + inner, line, 0.8f);
        line -= 14;
        float[] columns = {left, left + inner * 0.5f, left + inner * 0.75f, left + inner};
        canvas.text(Typeface.TEXT, 9, columns[0], line, "Angle");
        canvas.text(Typeface.TEXT, 9, columns[1], line, Canvas.Align.RIGHT, "× rise");
        canvas.text(Typeface.TEXT, 9, columns[2], line, Canvas.Align.RIGHT, "exactly");
        canvas.text(
                Typeface.TEXT,
                9,
                columns[3],
                line,
                Canvas.Align.RIGHT,
                unit == LengthUnit.INCH ? "shrink an inch" : "shrink × rise");
        for (MultiplierChart.Row row : MultiplierChart.USUAL.rows()) {
            line -= 17;
            canvas.text(Typeface.FIGURES, 13, columns[0], line, row.angle().text());
            canvas.text(Typeface.BOLD, 14, columns[1], line, Canvas.Align.RIGHT, decimal(row.multiplier(), 1));
            canvas.text(
                    Typeface.FIGURES,
                    11,
                    columns[2],
                    line,
                    Canvas.Align.RIGHT,
                    decimal(MultiplierChart.cosecant(row.angle()), 3));
            canvas.text(Typeface.FIGURES, 13, columns[3], line, Canvas.Align.RIGHT, shrink(row, unit));
        }
        line -= 20;
        canvas.fitted(
                Typeface.TEXT,
                9,
                left,
                line,
                inner,
                "Three-point saddle 22½–45–22½: outer marks " + decimal(MultiplierChart.SADDLE_FACTOR, 1)
                        + " × height from the middle");
        canvas.fitted(
                Typeface.TEXT,
                8,
                left,
                spot.y() + PADDING - 2,
                inner,
                "Local code and the licensed person in charge decide.");
    }

    private record Row(String name, String figure) {}

    /** What a tool takes: five figures, whatever tool it is. */
    private static List<Row> figures(Tooling tooling, LengthUnit unit) {
        Row gain = new Row("Gain of a ninety", said(tooling.gain(), unit));
        Row radius = new Row("Centreline radius", said(tooling.tool().radius(), unit));
        return switch (tooling.tool()) {
            case Shoe _ ->
                List.of(
                        new Row("Take-up", said(tooling.takenOff(), unit)),
                        gain,
                        radius,
                        new Row(
                                "Arrow to star",
                                said(tooling.shoe().orElseThrow().starOffset(), unit)),
                        new Row(
                                "Arrow to notch",
                                said(tooling.shoe().orElseThrow().notchOffset(), unit)));
            case Machine machine ->
                List.of(
                        new Row("Deduct", said(machine.takeUp(), unit)),
                        gain,
                        radius,
                        new Row("Least stub", said(machine.minStub(), unit)),
                        new Row(
                                "Springback of a ninety",
                                machine.springback(Angle.RIGHT).text()));
            case Former former ->
                List.of(
                        new Row("Middle of the curve to the back", said(tooling.middleToBack(), unit)),
                        gain,
                        radius,
                        new Row(
                                "Heated for a ninety",
                                said(tooling.arcLength(Angle.RIGHT).plus(Former.WARMED_BESIDE.times(2)), unit)),
                        new Row("Wall left outside", decimal(100 * former.wallLeft(tooling.conduit()), 0) + " %"));
        };
    }

    private static String said(Length length, LengthUnit unit) {
        return unit == LengthUnit.INCH ? TapeDivision.THIRTY_SECOND.text(length) : length.inWords(unit);
    }

    /** For each inch of the rise a fraction of an inch; of any other rise its share. */
    private static String shrink(MultiplierChart.Row row, LengthUnit unit) {
        return unit == LengthUnit.INCH
                ? TapeDivision.SIXTEENTH.text(Length.ofInches(row.shrinkPerInch()))
                : decimal(row.shrinkPerInch(), 2);
    }

    private static String decimal(double value, int places) {
        return BigDecimal.valueOf(value).setScale(places, RoundingMode.HALF_UP).toPlainString();
    }
}
