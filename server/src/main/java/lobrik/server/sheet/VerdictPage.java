package lobrik.server.sheet;

import java.io.ByteArrayOutputStream;
import java.math.BigDecimal;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import lobrik.assessment.Assessment;
import lobrik.assessment.Assessment.Assessed;
import lobrik.feature.FeatureId;
import lobrik.layout.Caution;
import lobrik.layout.Mark;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.measure.Percentage;
import lobrik.measure.Quantity;
import lobrik.measure.TapeDivision;
import lobrik.server.drawing.OverlaySketch;
import lobrik.server.drawing.Sketch;
import lobrik.server.judging.Judgement;
import lobrik.server.judging.Judging;
import lobrik.server.judging.MarksheetView;
import lobrik.shape.Piece;
import lobrik.verdict.Judged;
import lobrik.verdict.Tolerance;
import lobrik.wire.DiagnoseAnswer;
import lobrik.wire.Numbers;
import org.openpdf.text.Document;
import org.openpdf.text.pdf.PdfName;
import org.openpdf.text.pdf.PdfString;
import org.openpdf.text.pdf.PdfWriter;

/**
 * A verdict on one page: whose and what, the points, the piece over what was asked, the readings, what happened, what to do
 * with the piece and next time, room to sign.
 */
final class VerdictPage {

    private static final float MARGIN = 40;
    private static final float DRAWING = 180;
    private static final float ROW = 16.5f;

    /** Of a deviation's parts, inches or degrees: less rounds to nothing. */
    private static final double WORTH_SAYING = 1.0 / 32;

    private static final float[] COLUMNS = {0, 140, 222, 304, 386, 468};

    private static final DateTimeFormatter DATE = DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.ENGLISH);

    private final Canvas canvas;
    private final Judging.Judged judged;
    private final String trainee;
    private final float left = MARGIN;
    private final float width;
    private float y;

    private VerdictPage(Canvas canvas, Paper paper, Judging.Judged judged, String trainee) {
        this.canvas = canvas;
        this.judged = judged;
        this.trainee = trainee;
        this.width = paper.width() - 2 * MARGIN;
        this.y = paper.height() - MARGIN;
    }

    /** Writes the page as PDF. */
    static byte[] pdf(Judging.Judged judged, String trainee, Paper paper) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (Document document = new Document(paper.size())) {
            PdfWriter writer = PdfWriter.getInstance(document, out);
            document.addTitle("Verdict: " + trainee);
            document.addCreator("Lobrik");
            writer.getExtraCatalog().put(PdfName.LANG, new PdfString("en"));
            document.open();
            new VerdictPage(new Canvas(writer.getDirectContent(), new Typeface.Set()), paper, judged, trainee).draw();
        }
        return out.toByteArray();
    }

    private void draw() {
        heading();
        drawing();
        readings();
        happened();
        piece();
        nextTime();
        foot();
    }

    private Assessment assessment() {
        return judged.measured().assessment();
    }

    private Judgement judgement() {
        return judged.judgement();
    }

    private void heading() {
        var exercise = judged.measured().exercise();
        var attempt = judged.measured().attempt();
        MarksheetView sheet = judgement().marksheet();
        canvas.fitted(Typeface.BOLD, 22, left, y - 18, width - 170, trainee);
        canvas.fitted(Typeface.TEXT, 12, left, y - 36, width - 170, exercise.title());
        String what = exercise.conduitLabel() + "  ·  " + exercise.benderLabel() + "  ·  judged by “"
                + attempt.tolerances().preset() + "”  ·  "
                + DATE.format(attempt.startedAt().atZone(ZoneId.systemDefault()));
        canvas.fitted(Typeface.TEXT, 10, left, y - 51, width - 170, what);
        if (sheet == null) {
            canvas.text(Typeface.BOLD, 13, left + width, y - 18, Canvas.Align.RIGHT, "not measured to the end");
        } else {
            canvas.text(Typeface.BOLD, 34, left + width, y - 28, Canvas.Align.RIGHT, points(sheet.points()));
            canvas.text(
                    Typeface.BOLD,
                    13,
                    left + width,
                    y - 46,
                    Canvas.Align.RIGHT,
                    "of 100: " + (sheet.passed() ? "pass" : "not yet"));
        }
        y -= 62;
        canvas.line(left, y, left + width, y, 0.8f);
        y -= 8;
    }

    private void drawing() {
        Optional<Piece> made = judged.measured().made();
        int times = judged.measured().drawnTimes(made);
        Sketch sketch = OverlaySketch.of(
                judged.measured().question().layout(), made, judged.measured().madeFirst(), times);
        Sketch.Extent extent = sketch.extent();
        float scale = (float) Math.min(width / extent.width(), DRAWING / extent.height());
        float height = (float) extent.height() * scale;
        canvas.sketch(sketch, left + (width - (float) extent.width() * scale) / 2, y - height, scale);
        y -= height + 12;
        canvas.text(
                Typeface.TEXT,
                8.5f,
                left,
                y,
                "Outline: as asked. Filled: as bent"
                        + (judged.measured().stages() > 1 ? " since. Dashed: as first bent" : "")
                        + (times == 1 ? "." : ", the difference drawn " + times + " times as large."));
        y -= 16;
    }

    private void readings() {
        List<String> heads = List.of("", "right", "read", "off by", "tolerance", "points lost");
        for (int i = 0; i < heads.size(); i++) {
            cell(Typeface.TEXT, 9, i, heads.get(i));
        }
        y -= 3;
        canvas.line(left, y, left + width, y, 0.5f);
        for (Assessed feature : assessment().features()) {
            y -= ROW;
            row(feature);
        }
        for (MarksheetView.LostPoints lost : lost()) {
            if (lost.feature() == null) {
                y -= ROW;
                cell(Typeface.TEXT, 12, 0, lost.point() == null ? "Bent again" : "Looked over: " + lost.fault());
                cell(Typeface.FIGURES, 12, 5, "−" + points(lost.points()));
            }
        }
        y -= 8;
        canvas.line(left, y, left + width, y, 0.5f);
        y -= 6;
    }

    private List<MarksheetView.LostPoints> lost() {
        MarksheetView sheet = judgement().marksheet();
        return sheet == null ? List.of() : sheet.lost();
    }

    private void row(Assessed feature) {
        String back = judged.measured()
                .markFromBack(feature.id())
                .flatMap(Mark::back)
                .map(datum -> ", from back " + datum.bend())
                .orElse("");
        Quantity target = judged.measured().targetAsTaken(feature);
        cell(Typeface.TEXT, 12, 0, feature.id().title() + back + level(feature.id()));
        cell(Typeface.FIGURES, 12, 1, say(target));
        Optional<Judged> reading = feature.judged();
        if (reading.isEmpty()) {
            cell(Typeface.TEXT, 12, 2, feature.state() == Assessment.State.OMITTED ? "not measured" : "open");
            return;
        }
        Quantity deviation = reading.get().deviation();
        Quantity read = deviation.withCount(target.count() + deviation.count());
        boolean outside = reading.get().band() == Judged.Band.OUTSIDE;
        cell(Typeface.FIGURES, 12, 2, say(read));
        cell(outside ? Typeface.BOLD : Typeface.FIGURES, 12, 3, signed(deviation) + (outside ? "  out" : ""));
        cell(Typeface.FIGURES, 12, 4, say(feature.tolerance()));
        lost().stream()
                .filter(lost -> feature.id().id().equals(lost.feature()))
                .findFirst()
                .ifPresent(lost -> cell(Typeface.FIGURES, 12, 5, "−" + points(lost.points())));
    }

    /** What the level read, where the floor is taken off. */
    private String level(FeatureId feature) {
        return judged.measured()
                .byLevel(feature)
                .map(level -> ": level " + level.read().text() + ", floor "
                        + level.floor().tilt().signedText())
                .orElse("");
    }

    private void cell(Typeface face, float size, int column, String text) {
        float x = left + COLUMNS[column];
        if (column == 0) {
            canvas.fitted(face, size, x, y, COLUMNS[1] + 10, text);
        } else {
            canvas.text(face, size, x + 60, y, Canvas.Align.RIGHT, text);
        }
    }

    private static String points(double points) {
        return BigDecimal.valueOf(Math.round(points * 10), 1)
                .stripTrailingZeros()
                .toPlainString();
    }

    private String say(Tolerance tolerance) {
        return tolerance.isEven()
                ? "±" + say(tolerance.over())
                : "+" + say(tolerance.over()) + " −" + say(tolerance.under());
    }

    private String say(Quantity quantity) {
        return switch (quantity) {
            case Length length -> length.inWords(judged.unit());
            case Angle angle -> angle.text();
            case Percentage part -> part.text();
        };
    }

    private String signed(Quantity deviation) {
        return switch (deviation) {
            case Length length ->
                (judged.unit() == LengthUnit.MILLIMETRE ? TapeDivision.MILLIMETRE : TapeDivision.SIXTEENTH)
                        .signedText(length);
            case Angle angle -> angle.signedText();
            case Percentage part -> part.signedText();
        };
    }

    private void section(String title, float size, String text) {
        y -= 18;
        canvas.text(Typeface.BOLD, 12, left, y, title);
        y = canvas.column(Typeface.TEXT, size, left, y - 1, width, text) - 3;
    }

    private void happened() {
        DiagnoseAnswer diagnosis = judgement().diagnosis();
        if (assessment().readings().isEmpty()) {
            return;
        }
        Judgement.FindingWords finding = judgement().finding();
        if (judged.measured().stages() > 1) {
            section("Bent again", 12.5f, bentAgain());
        }
        section(
                "What happened: " + finding.headline(),
                12.5f,
                finding.named() && diagnosis != null
                        ? finding.sentence() + " "
                                + diagnosis.causes().getFirst().evidence()
                        : finding.sentence());
        Judgement.BenderNote bender = judgement().bender();
        if (bender != null) {
            section(
                    "The bender",
                    12.5f,
                    bender.sentence() + (bender.leftOut() ? " The points leave that out." : " The points count it."));
        }
        judgement().budgets().stream()
                .max((one, other) -> Double.compare(worth(one), worth(other)))
                .filter(budget -> worth(budget) > 1)
                .ifPresent(budget -> section("Where it came from", 12.5f, parts(budget)));
    }

    /** What each time that it was bent again cost and brought. */
    private String bentAgain() {
        double each =
                judged.measured().attempt().tolerances().toCore().rebending().pointsEach();
        String came = IntStream.rangeClosed(1, judged.measured().stages())
                .mapToObj(stage -> (stage == 1 ? "as first bent " : "then ")
                        + judged.measured()
                                .inStage(stage)
                                .score()
                                .map(score -> points(score.points()) + " points")
                                .orElse("not measured to the end"))
                .collect(Collectors.joining(", "));
        return "It came to " + came + (each == 0 ? "." : "; each time took " + points(each) + " off.");
    }

    /** A deviation in tolerances. */
    private double worth(Judgement.BudgetView budget) {
        return assessment().features().stream()
                .filter(feature -> feature.id().id().equals(budget.feature()))
                .findFirst()
                .map(feature -> {
                    double over = Numbers.of(feature.tolerance().over());
                    double under = Numbers.of(feature.tolerance().under());
                    return Math.abs(budget.deviation()) / (budget.deviation() < 0 ? under : over);
                })
                .orElse(0.0);
    }

    private String parts(Judgement.BudgetView budget) {
        FeatureId feature = FeatureId.withId(budget.feature()).orElseThrow();
        String stages = budget.parts().stream()
                .filter(part -> Math.abs(part.change()) > WORTH_SAYING)
                .map(part -> stage(part.stage()) + " " + signed(Numbers.of(feature, part.change())))
                .collect(Collectors.joining(", "));
        return feature.title() + " is off by " + signed(Numbers.of(feature, budget.deviation())) + ": " + stages + ".";
    }

    private static String stage(Judgement.StageName stage) {
        return switch (stage) {
            case PLAN -> "method and rounding";
            case ARITHMETIC -> "own arithmetic";
            case RINGS -> "rings";
            case BENDER -> "bender";
            case ANGLES -> "angles";
            case PLANE -> "plane";
            case REST -> "left over";
        };
    }

    private void piece() {
        Judgement.AdviceView advice = judgement().advice();
        if (advice != null) {
            String steps =
                    advice.steps().stream().map(Judgement.AdviceStep::words).collect(Collectors.joining(" "));
            section("This piece", 12.5f, advice.words() + " " + steps);
        }
    }

    private void nextTime() {
        Judgement.NextTimeView next = judgement().nextTime();
        if (next != null) {
            section("Next time", 12.5f, next.sentence());
        }
    }

    private void foot() {
        float line = MARGIN + 26;
        canvas.line(left, line, left + 200, line, 0.6f);
        canvas.text(Typeface.TEXT, 8.5f, left, line - 10, "Instructor, date");
        canvas.line(left + 240, line, left + 440, line, 0.6f);
        canvas.text(Typeface.TEXT, 8.5f, left + 240, line - 10, "Trainee");
        canvas.fitted(Typeface.TEXT, 8, left, MARGIN, width, Caution.LOCAL_CODE.text());
    }
}
