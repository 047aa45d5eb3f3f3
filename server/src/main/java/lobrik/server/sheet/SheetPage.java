package lobrik.server.sheet;

import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lobrik.bend.Input;
import lobrik.bend.Run;
import lobrik.derivation.Line;
import lobrik.layout.BendingStep;
import lobrik.layout.Layout;
import lobrik.layout.Method;
import lobrik.layout.Why;
import lobrik.server.drawing.ElevationSketch;
import lobrik.server.drawing.Sketch;
import lobrik.server.drawing.StripSketch;

/**
 * One sheet on one page, from the top: whose and what, the job with its sizes, room to work out the marks, the strip, boxes
 * for the readings, the inspection, the cautions. With answers, the room shows how it is worked out.
 */
final class SheetPage {

    private static final float MARGIN = 34;
    private static final float CODE = 84;
    private static final float DRAWING = 190;
    private static final float STRIP = 62;
    private static final float GIVEN_ROW = 37;
    private static final int MOST_BOXES = 6;
    private static final int RUN_COLUMNS = 4;
    private static final float RUN_ROW = 22;
    private static final float FIGURES = 10.5f;

    private static final DateTimeFormatter DATE = DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.ENGLISH);

    private final Canvas canvas;
    private final SheetContent sheet;
    private final boolean answers;
    private final SheetWords words;
    private final float left;
    private final float right;
    private final float top;
    private float y;

    SheetPage(Canvas canvas, Paper paper, SheetContent sheet, boolean answers) {
        this.canvas = canvas;
        this.sheet = sheet;
        this.answers = answers;
        this.words = new SheetWords(sheet);
        this.left = MARGIN;
        this.right = paper.width() - MARGIN;
        this.top = paper.height() - MARGIN;
        this.y = top;
    }

    void draw() {
        heading();
        drawing();
        given();
        // From the foot upwards what has its size; what is left between is room to work things out.
        float foot = new SheetFoot(canvas, sheet, answers, left, right).draw(MARGIN - 8);
        arithmetic(foot);
    }

    private Layout layout() {
        return sheet.question().layout();
    }

    private void heading() {
        float width = right - left - (sheet.whose() == null ? 0 : CODE + 10);
        canvas.fitted(Typeface.BOLD, 21, left, y - 18, width, sheet.exercise().title());
        String method = layout().job().school().method() == Method.CHART ? "by the chart" : "laid out exactly";
        String what = Stream.of(
                        layout().job().bend().kind().title(),
                        sheet.exercise().conduitLabel(),
                        sheet.exercise().benderLabel(),
                        method,
                        "judged at " + sheet.exercise().tolerances().preset())
                .collect(Collectors.joining("  ·  "));
        canvas.fitted(Typeface.TEXT, 11, left, y - 35, width, what + (answers ? "  ·  with answers" : ""));
        SheetContent.Whose whose = sheet.whose();
        if (whose == null) {
            canvas.text(Typeface.TEXT, 9, left, y - 63, "Name");
            canvas.line(left + 30, y - 65, left + 260, y - 65, 0.6f);
            canvas.text(Typeface.TEXT, 9, left + 280, y - 63, "Date");
            canvas.line(left + 306, y - 65, left + 420, y - 65, 0.6f);
            y -= 78;
            return;
        }
        canvas.fitted(Typeface.BOLD, 15, left, y - 60, width, whose.fullName() + ", bench " + whose.bench());
        canvas.text(Typeface.TEXT, 10, left, y - 77, terms(whose));
        canvas.code(whose.address(), right - CODE, y - CODE, CODE);
        canvas.text(Typeface.FIGURES, 11, right - CODE / 2, y - CODE - 8, Canvas.Align.CENTRE, whose.code());
        y -= CODE + 14;
    }

    private static String terms(SheetContent.Whose whose) {
        String due = whose.dueOn() == null ? "" : "Due " + DATE.format(whose.dueOn()) + ".  ";
        String tries =
                whose.tries() == null ? "" : whose.tries() == 1 ? "One try.  " : "Up to " + whose.tries() + " tries.  ";
        int extra = whose.needs().extraTimePct();
        String time = extra == 0 ? "" : extra + " % more time.  ";
        return due + tries + time + "The code opens the measuring of this piece.";
    }

    /** As large as it fits; figures keep their size on paper whatever the scale. */
    private void drawing() {
        float width = right - left;
        double textSize = 0.5;
        Sketch sketch = elevation(textSize);
        float scale = 1;
        for (int round = 0; round < 4; round++) {
            Sketch.Extent extent = sketch.extent();
            scale = (float) Math.min(width / extent.width(), DRAWING / extent.height());
            textSize = FIGURES / scale;
            sketch = elevation(textSize);
        }
        Sketch.Extent extent = sketch.extent();
        scale = (float) Math.min(width / extent.width(), DRAWING / extent.height());
        float height = (float) extent.height() * scale;
        canvas.sketch(sketch, left + (width - (float) extent.width() * scale) / 2, y - height, scale);
        y -= height + 10;
    }

    private Sketch elevation(double textSize) {
        return ElevationSketch.of(
                sheet.review(), sheet.question().around(), new ElevationSketch.Style(textSize, answers, this::given));
    }

    private Optional<String> given(Input input) {
        return Optional.of(toAdd(input).orElseGet(() -> sheet.exactly(input.current())));
    }

    /** What the trainee has still to add; an answer sheet has added it. */
    private Optional<String> toAdd(Input input) {
        return answers ? Optional.empty() : sheet.toTheFitting(input);
    }

    private void given() {
        layout().job().bend().run().ifPresentOrElse(this::given, this::givenInARow);
    }

    /** A run has many sizes: so many to a row. */
    private void given(Run run) {
        List<RunGiven> all = RunGiven.of(run, sheet::exactly);
        float column = (right - left) / RUN_COLUMNS;
        for (int i = 0; i < all.size(); i++) {
            float x = left + (i % RUN_COLUMNS) * column;
            float top = y - Math.floorDiv(i, RUN_COLUMNS) * RUN_ROW;
            canvas.fitted(Typeface.TEXT, 8, x, top - 7, column - 6, all.get(i).title());
            canvas.fitted(
                    Typeface.FIGURES, 11.5f, x, top - 18, column - 6, all.get(i).value());
        }
        y -= Math.ceilDiv(all.size(), RUN_COLUMNS) * RUN_ROW + 2;
        canvas.line(left, y, right, y, 0.6f);
    }

    private void givenInARow() {
        List<Input> inputs = Input.of(layout().job().bend());
        float width = (right - left) / Math.max(4, inputs.size());
        float x = left;
        for (Input input : inputs) {
            canvas.text(Typeface.TEXT, 8.5f, x, y - 8, input.field().title());
            Optional<String> toAdd = toAdd(input);
            canvas.fitted(
                    Typeface.FIGURES, 15, x, y - 23, width - 6, toAdd.orElseGet(() -> sheet.exactly(input.current())));
            String below = toAdd.isPresent()
                    ? "to the fitting + into it"
                    : sheet.takeOff(input).map("= "::concat).orElse("");
            canvas.fitted(Typeface.TEXT, 8, x, y - 33, width - 4, below);
            x += width;
        }
        y -= GIVEN_ROW;
        canvas.line(left, y, right, y, 0.6f);
    }

    private void arithmetic(float foot) {
        float stripTop = foot + stripHeight();
        strip(foot);
        float boxes = answers ? 0 : markBoxes();
        canvas.text(
                Typeface.BOLD,
                10,
                left,
                y - 13,
                answers ? "How it is worked out" : "Work out your marks here, before you bend");
        if (answers) {
            worked(stripTop);
            return;
        }
        for (float line = y - 36; line > stripTop + 6; line -= 20) {
            canvas.rule(left, right - boxes - 8, line);
        }
    }

    /** Boxes for the trainee's own marks; their width. */
    private float markBoxes() {
        float boxTop = y - 16;
        List<String> names = new ArrayList<>();
        layout().marks()
                .forEach(mark -> names.add("Mark " + mark.number()
                        + mark.back().map(SheetWords::fromBack).orElse("")));
        boolean anyBack = layout().marks().stream().anyMatch(mark -> mark.back().isPresent());
        float width = anyBack ? 218 : 150;
        if (layout().cutLength().isPresent()) {
            names.add("Cut length");
        }
        // A run has more than stand one below the other.
        int columns = names.size() > MOST_BOXES ? 2 : 1;
        int rows = Math.ceilDiv(names.size(), columns);
        for (int i = 0; i < names.size(); i++) {
            float x = right - width * (columns - Math.floorDiv(i, rows));
            float top = boxTop - (i % rows) * 19;
            canvas.text(Typeface.TEXT, 9, x, top - 2, names.get(i));
            canvas.box(x + width - 88, top - 7, columns == 1 ? 88 : 80, 16, 0.7f);
        }
        return width * columns;
    }

    /** How its marks are worked out, line by line. */
    List<Line> working() {
        return Why.of(layout()).stream()
                .filter(each -> !each.about().startsWith("predicted/"))
                .toList();
    }

    /** Whether how it is worked out has a page of its own. */
    boolean hasAnswerPage() {
        return answers && layout().job().bend().run().isPresent();
    }

    private void worked(float foot) {
        if (hasAnswerPage()) {
            canvas.text(Typeface.TEXT, 10, left, y - 30, "Its bends one by one, and every sum, are on the next page.");
            return;
        }
        float line = y - 28;
        List<Line> shown = working();
        for (Line each : shown) {
            canvas.fitted(Typeface.TEXT, 9.5f, left, line, (right - left) * 0.62f, words.sum(each));
            line -= 13;
        }
        float steps = y - 28;
        int number = 1;
        for (BendingStep step : layout().steps()) {
            canvas.fitted(
                    Typeface.TEXT,
                    9.5f,
                    left + (right - left) * 0.65f,
                    steps,
                    (right - left) * 0.35f,
                    words.step(number++, step));
            steps -= 13;
        }
        if (Math.min(line, steps) < foot - 14) {
            throw new IllegalStateException("there is no room for the answers");
        }
    }

    /** With answers every ring has a flag of its own height. */
    private float stripHeight() {
        return STRIP + (answers ? (layout().marks().size() - 1) * 14 : 0);
    }

    private void strip(float foot) {
        float width = right - left;
        double length = layout().predicted().length().inches();
        float scale = (float) (width / length);
        Sketch sketch = StripSketch.of(layout(), 9.5 / scale, answers);
        Sketch.Extent extent = sketch.extent();
        float fitted = (float) Math.min(width / extent.width(), (stripHeight() - 6) / extent.height());
        canvas.sketch(sketch, left, foot + 2, fitted);
    }
}
