package lobrik.server.sheet;

import java.io.ByteArrayOutputStream;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.time.format.FormatStyle;
import java.util.Locale;
import lobrik.server.account.Invitations;
import org.openpdf.text.Document;
import org.openpdf.text.pdf.PdfWriter;

/** The slip with which somebody takes up their account: who it is for, a code to scan or to type, and how long it works. */
final class InvitationSlip {

    private static final float MARGIN = 54;
    private static final float CODE = 150;
    private static final float GAP = 24;

    private InvitationSlip() {}

    /** @param base address of the application, such as {@code https://bench.example} */
    static byte[] pdf(Invitations.Slip slip, String base, Paper paper) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (Document document = new Document(paper.size())) {
            PdfWriter writer = PdfWriter.getInstance(document, out);
            document.addTitle("Invitation");
            document.addCreator("Lobrik");
            document.open();
            draw(new Canvas(writer.getDirectContent(), new Typeface.Set()), slip, base, paper);
        }
        return out.toByteArray();
    }

    private static void draw(Canvas canvas, Invitations.Slip slip, String base, Paper paper) {
        Invitations.Opened who = slip.opened();
        float top = paper.height() - MARGIN;
        float width = paper.width() - 2 * MARGIN;
        canvas.fitted(Typeface.TEXT, 13, MARGIN, top - 12, width, who.schoolName());
        canvas.fitted(Typeface.BOLD, 26, MARGIN, top - 42, width, who.fullName());
        canvas.code(base + "/join/" + slip.code(), MARGIN, top - 70 - CODE, CODE);
        float right = MARGIN + CODE + GAP;
        float column = width - CODE - GAP;
        float y = canvas.column(
                Typeface.TEXT,
                13,
                right,
                top - 70,
                column,
                who.fresh()
                        ? "Scan this, or type the address and the code, and choose a password. You sign in as"
                        : "Scan this, or type the address and the code, and choose another password. You sign in as");
        canvas.fitted(Typeface.BOLD, 18, right, y - 18, column, who.signInName());
        canvas.fitted(Typeface.TEXT, 12, right, y - 46, column, base + "/join");
        canvas.fitted(Typeface.FIGURES, 20, right, y - 70, column, slip.code());
        String until = DateTimeFormatter.ofLocalizedDate(FormatStyle.LONG)
                .withLocale(Locale.ENGLISH)
                .format(slip.expiresAt().atZone(ZoneId.systemDefault()));
        canvas.fitted(
                Typeface.TEXT,
                12,
                right,
                y - 96,
                column,
                "It works once, until " + until + ". Show it to nobody else.");
        canvas.rule(MARGIN, paper.width() - MARGIN, top - 90 - CODE);
    }
}
