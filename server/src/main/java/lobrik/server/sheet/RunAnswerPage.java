package lobrik.server.sheet;

import java.util.List;
import lobrik.bending.ShownBend;
import lobrik.bending.Workplace;
import lobrik.derivation.Line;
import lobrik.layout.BendingStep;
import lobrik.layout.Layout;
import lobrik.layout.Mark;
import lobrik.measure.Angle;
import lobrik.server.drawing.ShoeSketch;
import lobrik.server.drawing.Sketch;

/** The second page of a run's answers: a small picture of every bend with its words, and below them how the marks are worked out. */
final class RunAnswerPage {

    private static final float MARGIN = 34;
    private static final int IN_A_ROW = 4;
    private static final float PICTURE = 88;
    private static final float WORDS = 34;
    private static final float LARGEST_LINE = 12;

    private final Canvas canvas;
    private final SheetWords words;
    private final Layout layout;
    private final float left;
    private final float width;
    private float y;

    RunAnswerPage(Canvas canvas, Paper paper, SheetContent sheet) {
        this.canvas = canvas;
        this.words = new SheetWords(sheet);
        this.layout = sheet.question().layout();
        this.left = MARGIN;
        this.width = paper.width() - 2 * MARGIN;
        this.y = paper.height() - MARGIN;
    }

    void draw(String title, List<Line> working) {
        canvas.fitted(Typeface.BOLD, 15, left, y - 14, width, title + ": bending, and how it is worked out");
        y -= 26;
        pictures();
        working(working);
    }

    private void pictures() {
        List<BendingStep> steps = layout.steps();
        List<ShownBend> bends = ShownBend.of(
                Workplace.USUAL,
                layout.job().tooling(),
                layout.predicted().length(),
                layout.marks().stream().map(Mark::asMarked).toList(),
                steps.stream().map(step -> step.mark().number()).toList());
        float column = width / IN_A_ROW;
        for (int i = 0; i < steps.size(); i++) {
            float x = left + (i % IN_A_ROW) * column;
            float top = y - Math.floorDiv(i, IN_A_ROW) * (PICTURE + WORDS);
            picture(steps.get(i), bends.get(i), x, top, column - 10);
            canvas.fitted(Typeface.BOLD, 9.5f, x, top - PICTURE - 9, column - 10, words.step(i + 1, steps.get(i)));
            canvas.fitted(Typeface.TEXT, 9, x, top - PICTURE - 20, column - 10, turned(steps.get(i), bends.get(i)));
        }
        y -= Math.ceilDiv(steps.size(), IN_A_ROW) * (PICTURE + WORDS) + 6;
    }

    private void picture(BendingStep step, ShownBend bend, float x, float top, float room) {
        double half = layout.job().tooling().conduit().outsideDiameter().inches() / 2;
        double turn = seen(step, bend);
        Sketch sketch = ShoeSketch.of(bend, turn, half, 3);
        float scale = 1;
        for (int round = 0; round < 3; round++) {
            Sketch.Extent extent = sketch.extent();
            scale = (float) Math.min(room / extent.width(), (PICTURE - 6) / extent.height());
            sketch = ShoeSketch.of(bend, turn, half, 8 / scale);
        }
        Sketch.Extent extent = sketch.extent();
        scale = (float) Math.min(room / extent.width(), (PICTURE - 6) / extent.height());
        canvas.sketch(sketch, x, top - (float) extent.height() * scale, scale);
    }

    /** Clockwise as seen from where the person stands, degrees. */
    private static double seen(BendingStep step, ShownBend bend) {
        return bend.isSeenFromDatumEnd() ? step.turn().degrees() : -step.turn().degrees();
    }

    private static String turned(BendingStep step, ShownBend bend) {
        double turn = seen(step, bend);
        String end = bend.isSeenFromDatumEnd() ? "stand at the datum end" : "stand at the far end";
        if (Math.abs(turn) < 0.01) {
            return end + ", no turn";
        }
        String way = Math.abs(turn) > 179.99 ? "" : turn > 0 ? " clockwise" : " anticlockwise";
        return end + ", turn " + Angle.ofDegrees(Math.abs(turn)).text() + way;
    }

    /** In one column where there is room for all of it, else in two, as large as it fits. */
    private void working(List<Line> working) {
        canvas.text(Typeface.BOLD, 10, left, y - 8, "How it is worked out");
        y -= 22;
        int columns = working.size() * LARGEST_LINE <= y - MARGIN ? 1 : 2;
        int rows = Math.max(1, Math.ceilDiv(working.size(), columns));
        float line = Math.min(LARGEST_LINE, (y - MARGIN) / rows);
        for (int i = 0; i < working.size(); i++) {
            float x = left + Math.floorDiv(i, rows) * width / columns;
            canvas.fitted(
                    Typeface.TEXT,
                    Math.min(9, line * 0.8f),
                    x,
                    y - (i % rows) * line,
                    width / columns - 8,
                    words.sum(working.get(i)));
        }
    }
}
