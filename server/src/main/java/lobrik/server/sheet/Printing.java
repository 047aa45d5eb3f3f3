package lobrik.server.sheet;

import java.io.ByteArrayOutputStream;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CancellationException;
import java.util.function.BooleanSupplier;
import java.util.function.IntConsumer;
import lobrik.server.calc.Calculations;
import lobrik.server.cohort.School;
import lobrik.server.exercise.Content;
import lobrik.server.giving.Givings;
import lobrik.server.giving.SheetCode;
import org.openpdf.text.Document;
import org.openpdf.text.Rectangle;
import org.openpdf.text.pdf.PdfName;
import org.openpdf.text.pdf.PdfString;
import org.openpdf.text.pdf.PdfWriter;
import org.springframework.stereotype.Component;

/** Writes sheets as PDF. */
@Component
class Printing {

    private final Calculations calculations;

    Printing(Calculations calculations) {
        this.calculations = calculations;
    }

    /** The sheet of an exercise that has no name on it. */
    byte[] blank(Content exercise, Paper paper, boolean answers, School.Letterhead school) {
        return pdf(
                exercise.title(),
                paper,
                List.of(SheetContent.of(exercise, calculations, null)),
                answers,
                school,
                _ -> {},
                () -> false);
    }

    /**
     * The sheets of what was given out, one page each.
     *
     * @param benches where trainees sit on the day that it is for, by id; the others at their own
     * @param base address of the application, such as {@code https://bench.example}
     * @param progress is told the number of pages that are done
     * @param cancelled is asked before every page
     * @throws CancellationException if it was
     */
    byte[] sheets(
            Givings.Given given,
            List<Givings.Sheet> chosen,
            Map<UUID, Integer> benches,
            String base,
            Paper paper,
            boolean answers,
            School.Letterhead school,
            IntConsumer progress,
            BooleanSupplier cancelled) {
        List<SheetContent> contents = chosen.stream()
                .map(sheet -> SheetContent.of(
                        content(given, sheet),
                        calculations,
                        new SheetContent.Whose(
                                sheet.trainee().fullName(),
                                benches.getOrDefault(
                                        sheet.trainee().id(), sheet.trainee().bench()),
                                SheetCode.printed(sheet.assignment().code()),
                                base + "/sheet/" + sheet.assignment().code(),
                                given.giving().terms().dueOn(),
                                given.giving().terms().tries(),
                                sheet.trainee().needs())))
                .toList();
        return pdf(given.exercise().title(), paper, contents, answers, school, progress, cancelled);
    }

    /** A variant's sizes were dealt, and somebody may have another bender: everybody's own exercise says what was. */
    private static Content content(Givings.Given given, Givings.Sheet sheet) {
        boolean asSet = sheet.exercise().id().equals(given.exercise().id());
        return asSet ? given.exercise().content() : sheet.exercise().content();
    }

    private static Rectangle size(Paper paper, SheetContent sheet) {
        return sheet.isInLargerPrint() ? paper.largerSize() : paper.size();
    }

    /** Larger print is the same page on larger paper. */
    private static void draw(
            Document document,
            Canvas canvas,
            Paper paper,
            SheetContent sheet,
            boolean answers,
            School.Letterhead school) {
        float scale = sheet.isInLargerPrint() ? paper.enlargement() : 1;
        SheetPage page = new SheetPage(canvas, paper, sheet, answers);
        canvas.enlarged(scale, () -> {
            page.draw();
            Letterheads.draw(canvas, paper, school);
        });
        if (page.hasAnswerPage()) {
            document.newPage();
            canvas.enlarged(
                    scale,
                    () -> new RunAnswerPage(canvas, paper, sheet)
                            .draw(sheet.exercise().title(), page.working()));
        }
    }

    private static byte[] pdf(
            String title,
            Paper paper,
            List<SheetContent> sheets,
            boolean answers,
            School.Letterhead school,
            IntConsumer progress,
            BooleanSupplier cancelled) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (Document document = new Document(size(paper, sheets.getFirst()))) {
            PdfWriter writer = PdfWriter.getInstance(document, out);
            document.addTitle(title);
            document.addCreator("Lobrik");
            writer.getExtraCatalog().put(PdfName.LANG, new PdfString("en"));
            document.open();
            Typeface.Set fonts = new Typeface.Set();
            for (int i = 0; i < sheets.size(); i++) {
                if (cancelled.getAsBoolean()) {
                    throw new CancellationException();
                }
                if (i > 0) {
                    document.setPageSize(size(paper, sheets.get(i)));
                    document.newPage();
                }
                draw(document, new Canvas(writer.getDirectContent(), fonts), paper, sheets.get(i), answers, school);
                progress.accept(i + 1);
            }
        }
        return out.toByteArray();
    }
}
