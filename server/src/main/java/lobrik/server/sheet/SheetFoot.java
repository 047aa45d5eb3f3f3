package lobrik.server.sheet;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import lobrik.layout.BeforeBending;
import lobrik.layout.Caution;
import lobrik.layout.Layout;
import lobrik.layout.PlannedFeature;
import lobrik.layout.ReadyMade;
import lobrik.verdict.InspectionPoint;

/**
 * What a sheet has at its foot, which is as high as it has to be: boxes for the readings, what is looked over, the cautions.
 *
 * @param answers whether the right figures stand in it
 * @param left where it begins, in points
 * @param right where it ends
 */
record SheetFoot(Canvas canvas, SheetContent sheet, boolean answers, float left, float right) {

    private static final float READING_ROW = 16;
    /** More readings stand in three columns. */
    private static final int MOST_IN_TWO = 20;

    private static final float INSPECTION_ROW = 13;
    private static final float SIGNATURE_ROW = 20;

    /** Draws it from there upwards; returns its top. */
    float draw(float bottom) {
        return readings(inspection(beforeBending(cautions(bottom))));
    }

    /** The boxes for what is measured; returns their top. */
    private float readings(float foot) {
        List<PlannedFeature> features = sheet.question().layout().features();
        int columns = features.size() > MOST_IN_TWO ? 3 : 2;
        int rows = Math.ceilDiv(features.size(), columns);
        float row = columns == 2 ? READING_ROW : READING_ROW - 2;
        float column = (right - left) / columns;
        float tableTop = foot + rows * row;
        for (int i = 0; i < features.size(); i++) {
            PlannedFeature feature = features.get(i);
            float x = left + Math.floorDiv(i, rows) * column;
            float base = tableTop - (i % rows + 1) * row + 4;
            canvas.fitted(
                    Typeface.TEXT,
                    9.5f,
                    x,
                    base,
                    column * (columns == 2 ? 0.34f : 0.27f),
                    feature.id().title());
            boolean shown = answers || feature.id().isOfFinishedPiece();
            canvas.text(
                    Typeface.FIGURES,
                    9.5f,
                    x + column * 0.54f,
                    base,
                    Canvas.Align.RIGHT,
                    shown ? "asked " + sheet.onTape(feature.asked()) : "your mark");
            canvas.box(x + column * 0.58f, base - 4, column * 0.36f, row - 1.5f, 0.6f);
        }
        canvas.text(Typeface.BOLD, 10, left, tableTop + 5, "Measured");
        canvas.text(
                Typeface.TEXT,
                8.5f,
                left + 56,
                tableTop + 5,
                "Fill in your own readings first; the instructor measures after you.");
        return tableTop + 20;
    }

    /** The trainee ticks first, the instructor after them; both sign. */
    private float inspection(float foot) {
        List<InspectionPoint> points = sheet.question().lookedOver();
        float listFoot = foot;
        // Nobody signs the answers.
        if (!answers) {
            float line = foot + 4;
            float x = signed("Date", left, line, 84);
            x = signed("Trainee", x, line, 150);
            signed("Instructor", x, line, right - x);
            listFoot += SIGNATURE_ROW;
        }
        int columns = 3;
        int rows = (points.size() + columns - 1) / columns;
        float column = (right - left) / columns;
        float listTop = listFoot + rows * INSPECTION_ROW;
        for (int i = 0; i < points.size(); i++) {
            float at = left + (i % columns) * column;
            float base = listTop - (Math.floorDiv(i, columns) + 1) * INSPECTION_ROW + 3;
            canvas.box(at, base - 1, 8, 8, 0.6f);
            canvas.box(at + 11, base - 1, 8, 8, 1.2f);
            canvas.fitted(
                    Typeface.TEXT,
                    9.5f,
                    at + 24,
                    base,
                    column - 28,
                    points.get(i).good());
        }
        canvas.text(Typeface.BOLD, 10, left, listTop + 4, "Look it over");
        canvas.text(Typeface.TEXT, 8.5f, left + 66, listTop + 4, "First box: you. Second box, bold: your instructor.");
        return listTop + 18;
    }

    /** What is looked over before the first bend with a machine or with heat, and whether a ready-made elbow does; returns its top. */
    private float beforeBending(float foot) {
        Layout layout = sheet.question().layout();
        List<BeforeBending> points =
                BeforeBending.with(layout.job().tooling().tool().kind());
        Optional<ReadyMade> elbow = ReadyMade.of(layout);
        if (points.isEmpty()) {
            return foot;
        }
        float listFoot = foot;
        if (elbow.isPresent()) {
            canvas.fitted(
                    Typeface.TEXT, 9, left, foot + 3, right - left, elbow.get().words(sheet.unit()));
            listFoot += INSPECTION_ROW;
        }
        int rows = (points.size() + 1) / 2;
        float column = (right - left) / 2;
        float listTop = listFoot + rows * INSPECTION_ROW;
        for (int i = 0; i < points.size(); i++) {
            float at = left + (i % 2) * column;
            float base = listTop - (Math.floorDiv(i, 2) + 1) * INSPECTION_ROW + 3;
            canvas.box(at, base - 1, 8, 8, 0.6f);
            canvas.fitted(
                    Typeface.TEXT,
                    9.5f,
                    at + 14,
                    base,
                    column - 18,
                    points.get(i).words());
        }
        canvas.text(Typeface.BOLD, 10, left, listTop + 4, "Before you bend");
        return listTop + 18;
    }

    /** A word with a line to write on; returns where the next begins. */
    private float signed(String what, float x, float line, float width) {
        float word = 8 + 4.6f * what.length();
        canvas.text(Typeface.TEXT, 9, x, line, what);
        canvas.line(x + word, line - 2, x + width - 8, line - 2, 0.6f);
        return x + width;
    }

    private float cautions(float foot) {
        String all = Caution.of(sheet.question().layout().job().tooling().tool().kind()).stream()
                .map(Caution::text)
                .collect(Collectors.joining("  "));
        float height = 30;
        canvas.text(Typeface.BOLD, 9, left, foot + height - 9, "Take care");
        canvas.column(Typeface.TEXT, 8.8f, left + 48, foot + height + 3, right - left - 48, all);
        return foot + height + 8;
    }
}
