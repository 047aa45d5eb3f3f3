package lobrik.server.sheet;

import java.io.ByteArrayOutputStream;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import lobrik.feature.FeatureId;
import lobrik.layout.Caution;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.TapeDivision;
import lobrik.progress.Family;
import lobrik.server.progress.Achievement;
import lobrik.server.progress.SignOff;
import lobrik.server.progress.SignOffFigures;
import lobrik.server.progress.SignOffView;
import lobrik.wire.Unit;
import org.openpdf.text.Document;
import org.openpdf.text.pdf.PdfName;
import org.openpdf.text.pdf.PdfString;
import org.openpdf.text.pdf.PdfWriter;

/**
 * A record of achievement: a first page to hand over, with who was signed off in what, by whom and when; behind it the evidence of each
 * signature as it was when it was given. Signatures that were withdrawn stay, and say so.
 */
final class RecordPages {

    private static final float MARGIN = 48;
    private static final float ROW = 15;
    private static final float FOOT = MARGIN + 22;
    private static final float[] SIGNED = {0, 150, 290, 395};
    private static final float[] PIECE = {0, 62, 218, 278, 338, 398, 440};
    private static final DateTimeFormatter DATE = DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.ENGLISH);
    private static final DateTimeFormatter SHORT = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);
    private static final DateTimeFormatter MOMENT = DateTimeFormatter.ofPattern("d MMMM yyyy, HH:mm", Locale.ENGLISH);

    private final Document document;
    private final PdfWriter writer;
    private final Typeface.Set fonts = new Typeface.Set();
    private final Achievement achievement;
    private final Instant written;
    private final Paper paper;
    private final float width;
    private Canvas canvas;
    private float y;
    private int page = 1;

    private RecordPages(Document document, PdfWriter writer, Achievement achievement, Instant written, Paper paper) {
        this.document = document;
        this.writer = writer;
        this.achievement = achievement;
        this.written = written;
        this.paper = paper;
        this.width = paper.width() - 2 * MARGIN;
        this.canvas = new Canvas(writer.getDirectContent(), fonts);
        this.y = paper.height() - MARGIN;
    }

    /**
     * Writes the record as PDF.
     *
     * @param written when that is
     */
    static byte[] pdf(Achievement achievement, Instant written, Paper paper) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (Document document = new Document(paper.size())) {
            PdfWriter writer = PdfWriter.getInstance(document, out);
            document.addTitle("Record of achievement: " + achievement.fullName());
            document.addCreator("Lobrik");
            writer.getExtraCatalog().put(PdfName.LANG, new PdfString("en"));
            document.open();
            new RecordPages(document, writer, achievement, written, paper).draw();
        }
        return out.toByteArray();
    }

    private static String date(DateTimeFormatter format, Instant at) {
        return format.format(at.atZone(ZoneId.systemDefault()));
    }

    private void draw() {
        certificate();
        for (SignOffView signature : achievement.signOffs()) {
            evidence(signature);
        }
        foot();
    }

    private void certificate() {
        float ruled = paper.height() - 26;
        canvas.line(26, ruled, paper.width() - 26, ruled, 2.4f);
        canvas.line(26, ruled - 5, paper.width() - 26, ruled - 5, 0.6f);
        tape(ruled - 5);
        y -= 34;
        canvas.text(Typeface.TEXT, 13, MARGIN, y, achievement.centreName());
        y -= 46;
        canvas.text(Typeface.BOLD, 32, MARGIN, y, "Record of achievement");
        y -= 44;
        canvas.fitted(Typeface.BOLD, 25, MARGIN, y, width, achievement.fullName());
        y -= 19;
        canvas.fitted(
                Typeface.TEXT,
                12,
                MARGIN,
                y,
                width,
                achievement.cohortName()
                        + Optional.ofNullable(achievement.number())
                                .map(number -> "  ·  number " + number)
                                .orElse(""));
        y -= 30;
        List<SignOffView> standing = achievement.signOffs().stream()
                .filter(signature -> signature.withdrawal() == null)
                .toList();
        y = canvas.column(
                        Typeface.TEXT,
                        12.5f,
                        MARGIN,
                        y,
                        width,
                        standing.isEmpty()
                                ? "Nothing is signed off yet. Below is what was bent and measured so far."
                                : "The instructors named here have signed that this person bends the following by themselves, on the "
                                        + "evidence that is attached.")
                - 14;
        if (!achievement.signOffs().isEmpty()) {
            signatures();
        }
        bent();
        canvas.line(MARGIN, FOOT + 34, MARGIN + 200, FOOT + 34, 0.6f);
        canvas.text(Typeface.TEXT, 8.5f, MARGIN, FOOT + 24, "For the school, date");
        canvas.line(MARGIN + 240, FOOT + 34, MARGIN + 440, FOOT + 34, 0.6f);
        canvas.text(Typeface.TEXT, 8.5f, MARGIN + 240, FOOT + 24, "Stamp");
    }

    /** A tape along the rule: the house's mark, not a measure. */
    private void tape(float at) {
        for (int i = 0; i <= 64; i++) {
            float x = 26 + (paper.width() - 52) * i / 64;
            canvas.line(x, at, x, at - (i % 8 == 0 ? 9 : i % 4 == 0 ? 6 : 3.5f), 0.5f);
        }
    }

    private void signatures() {
        cells(Typeface.TEXT, 9, SIGNED, "bend", "signed by", "on", "");
        y -= 4;
        canvas.line(MARGIN, y, MARGIN + width, y, 0.6f);
        for (SignOffView signature : achievement.signOffs()) {
            y -= 21;
            SignOffView.WithdrawalView withdrawal = signature.withdrawal();
            cells(
                    Typeface.BOLD,
                    13.5f,
                    SIGNED,
                    family(signature).title(),
                    signature.signedBy(),
                    date(SHORT, signature.signedAt()),
                    withdrawal != null ? "withdrawn" : "");
            if (withdrawal != null) {
                canvas.line(MARGIN, y + 4.5f, MARGIN + SIGNED[3] - 14, y + 4.5f, 0.9f);
                y -= 13;
                canvas.fitted(
                        Typeface.TEXT,
                        9.5f,
                        MARGIN,
                        y,
                        width,
                        "Withdrawn by " + withdrawal.by() + " on " + date(DATE, withdrawal.at()) + ": "
                                + withdrawal.reason());
            }
        }
        y -= 8;
        canvas.line(MARGIN, y, MARGIN + width, y, 0.6f);
        y -= 28;
    }

    private void bent() {
        if (achievement.pieces().isEmpty()) {
            return;
        }
        canvas.text(Typeface.BOLD, 12, MARGIN, y, "Bent and measured");
        String all = achievement.pieces().entrySet().stream()
                .map(each -> each.getValue() + " "
                        + (each.getValue() == 1
                                ? each.getKey().words()
                                : each.getKey().plural()))
                .collect(Collectors.joining(", "));
        y = canvas.column(Typeface.TEXT, 11.5f, MARGIN, y - 2, width, all + ".") - 20;
    }

    private static Family family(SignOffView signature) {
        return Family.withId(signature.family()).orElseThrow();
    }

    private void evidence(SignOffView signature) {
        nextPage();
        canvas.text(Typeface.BOLD, 17, MARGIN, y - 14, family(signature).title());
        y -= 32;
        canvas.fitted(
                Typeface.TEXT,
                11,
                MARGIN,
                y,
                width,
                "Signed by " + signature.signedBy() + ", " + date(MOMENT, signature.signedAt()));
        y = canvas.column(Typeface.TEXT, 10.5f, MARGIN, y - 3, width, "Asked: " + rule(signature.rule())) - 2;
        if (!signature.met()) {
            y = canvas.column(
                            Typeface.TEXT,
                            10.5f,
                            MARGIN,
                            y,
                            width,
                            "That was not all there; signed on the instructor's own judgement: " + signature.remark())
                    - 2;
        } else if (!signature.remark().isEmpty()) {
            y = canvas.column(Typeface.TEXT, 10.5f, MARGIN, y, width, "Remark: " + signature.remark()) - 2;
        }
        y -= 18;
        cells(Typeface.TEXT, 9, PIECE, "day", "exercise", "conduit", "bender", "judged by", "score", "re-bent");
        y -= 4;
        canvas.line(MARGIN, y, MARGIN + width, y, 0.6f);
        for (SignOff.Evidence piece : signature.evidence()) {
            piece(piece);
        }
    }

    private void piece(SignOff.Evidence piece) {
        if (y < FOOT + 4 * ROW) {
            nextPage();
        }
        y -= ROW + 3;
        cells(
                Typeface.BOLD,
                11,
                PIECE,
                date(SHORT, piece.measuredAt()),
                piece.title(),
                piece.conduitLabel(),
                piece.benderLabel(),
                piece.preset(),
                String.valueOf(Math.round(piece.points())) + (piece.passed() ? "" : " ✕"),
                piece.rebent() == 0 ? "no" : piece.rebent() + "×");
        String off = piece.features().stream().map(RecordPages::deviation).collect(Collectors.joining("  ·  "));
        y = canvas.column(Typeface.TEXT, 9.5f, MARGIN + PIECE[1], y - 2, width - PIECE[1], off) - 3;
        canvas.fitted(Typeface.TEXT, 7, MARGIN + PIECE[1], y - 5, width - PIECE[1], "piece " + piece.attemptId());
        y -= 9;
    }

    private static String deviation(SignOff.EvidenceFeature feature) {
        String name = FeatureId.withId(feature.feature()).map(FeatureId::title).orElse(feature.feature());
        return name + ":"
                + (feature.unit() == Unit.DEGREE
                        ? " " + Angle.ofDegrees(feature.deviation()).signedText() + " of ±"
                                + Angle.ofDegrees(feature.tolerance()).text()
                        : " " + TapeDivision.THIRTY_SECOND.signedText(Length.ofInches(feature.deviation())) + " of ±"
                                + TapeDivision.THIRTY_SECOND.text(Length.ofInches(feature.tolerance())));
    }

    private static String rule(SignOffFigures rule) {
        return rule.passes() + " passes in the last " + rule.of() + " pieces, on at least " + rule.days()
                + (rule.days() == 1 ? " day" : " days") + ", within ±"
                + TapeDivision.THIRTY_SECOND.text(Length.ofInches(rule.lengthIn())) + " in, ±"
                + Angle.ofDegrees(rule.angleDeg()).text() + ", dog leg "
                + Angle.ofDegrees(rule.dogLegDeg()).text() + " or closer; at least "
                + rule.withoutRebending() + " without re-bending.";
    }

    private void cells(Typeface face, float size, float[] columns, String... texts) {
        for (int i = 0; i < texts.length; i++) {
            float room = (i + 1 < columns.length ? columns[i + 1] : width) - columns[i] - 6;
            canvas.fitted(face, size, MARGIN + columns[i], y, room, texts[i]);
        }
    }

    private void nextPage() {
        foot();
        document.newPage();
        page++;
        canvas = new Canvas(writer.getDirectContent(), fonts);
        y = paper.height() - MARGIN;
        canvas.fitted(Typeface.TEXT, 9, MARGIN, y, width, "Evidence  ·  " + achievement.fullName());
        y -= 6;
        canvas.line(MARGIN, y, MARGIN + width, y, 0.6f);
        y -= 12;
    }

    private void foot() {
        canvas.line(MARGIN, FOOT - 6, MARGIN + width, FOOT - 6, 0.5f);
        canvas.fitted(Typeface.TEXT, 8, MARGIN, FOOT - 17, width - 60, Caution.LOCAL_CODE.text());
        canvas.fitted(
                Typeface.TEXT,
                8,
                MARGIN,
                FOOT - 27,
                width - 60,
                "Written by Lobrik on " + date(MOMENT, written) + " from the records of " + achievement.centreName()
                        + ".");
        canvas.text(Typeface.TEXT, 8, MARGIN + width, FOOT - 17, Canvas.Align.RIGHT, "page " + page);
    }
}
