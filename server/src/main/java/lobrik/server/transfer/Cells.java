package lobrik.server.transfer;

import java.io.IOException;
import java.io.Writer;
import java.text.Normalizer;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import lobrik.measure.QuantityKind;
import lobrik.wire.Numbers;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.QuoteMode;
import org.jspecify.annotations.Nullable;

/**
 * What is written into a cell of a table. Nothing that somebody typed is taken for a formula by whatever opens the file: with
 * any separator, in any width of its characters, whatever invisible stands before it.
 */
final class Cells {

    private static final String BEGINS_A_FORMULA = "=+-@";

    /** What a program may take for the border of a cell, besides the comma, which is never within a field that is quoted. */
    private static final String OTHER_SEPARATORS = ";|\t\r\n";

    private static final CSVFormat CSV =
            CSVFormat.RFC4180.builder().setQuoteMode(QuoteMode.NON_NUMERIC).get();

    private static final DateTimeFormatter MOMENT = DateTimeFormatter.ISO_OFFSET_DATE_TIME;

    private Cells() {}

    /** A table of text: comma separated, every text quoted. */
    static CSVPrinter csv(Writer to) throws IOException {
        return new CSVPrinter(to, CSV);
    }

    /** Writes a row; all text in it through {@link #words}. */
    static void print(CSVPrinter table, Iterable<? extends @Nullable Object> cells) throws IOException {
        for (Object cell : cells) {
            table.print(cell instanceof String text ? words(text) : cell);
        }
        table.println();
    }

    /** Words that somebody typed, with a ' wherever a program would take what follows for a formula. */
    static @Nullable String words(@Nullable String text) {
        if (text == null) {
            return null;
        }
        StringBuilder safe = new StringBuilder();
        for (int i = 0; i < text.length(); i++) {
            boolean begins = i == 0 || OTHER_SEPARATORS.indexOf(text.charAt(i - 1)) >= 0;
            if (begins && isFormula(text, i)) {
                safe.append('\'');
            }
            safe.append(text.charAt(i));
        }
        return safe.toString();
    }

    /** Whether the first that is seen from here on begins a formula. */
    private static boolean isFormula(String text, int from) {
        for (int i = from; i < text.length(); ) {
            int c = text.codePointAt(i);
            if (!isUnseen(c)) {
                String plain = Normalizer.normalize(Character.toString(c), Normalizer.Form.NFKC);
                return BEGINS_A_FORMULA.indexOf(plain.charAt(0)) >= 0;
            }
            i += Character.charCount(c);
        }
        return false;
    }

    /** Blanks, controls, marks without width, and the quotes that a program takes away. */
    private static boolean isUnseen(int c) {
        return switch (Character.getType(c)) {
            case Character.CONTROL,
                    Character.FORMAT,
                    Character.SPACE_SEPARATOR,
                    Character.LINE_SEPARATOR,
                    Character.PARAGRAPH_SEPARATOR,
                    Character.NON_SPACING_MARK,
                    Character.UNASSIGNED,
                    Character.PRIVATE_USE -> true;
            // Letters that show nothing: Hangul's fillers and Braille's blank.
            default -> c == '"' || c == '\'' || c == 0x115f || c == 0x1160 || c == 0x3164 || c == 0xffa0 || c == 0x2800;
        };
    }

    /** A moment with its offset, as it is here. */
    static @Nullable String moment(@Nullable Instant at) {
        return at == null
                ? null
                : MOMENT.format(at.atZone(ZoneId.systemDefault()).toOffsetDateTime());
    }

    /** A stored unit as it is written: {@code in}, {@code deg} or {@code %}. */
    static @Nullable String unit(@Nullable String stored) {
        return stored == null ? null : kind(stored).written;
    }

    /** A stored count in the unit that is written beside it; none where there is no unit. */
    static @Nullable Double number(@Nullable Long count, @Nullable String stored) {
        return count == null || stored == null
                ? null
                : Numbers.of(kind(stored).measured.ofCount(count));
    }

    /** What is counted in a stored unit, and what it is written in. */
    private enum Counted {
        PM(QuantityKind.LENGTH, "in"),
        NDEG(QuantityKind.ANGLE, "deg"),
        NPCT(QuantityKind.PERCENTAGE, "%");

        private final QuantityKind measured;
        private final String written;

        Counted(QuantityKind measured, String written) {
            this.measured = measured;
            this.written = written;
        }
    }

    private static Counted kind(String stored) {
        return Counted.valueOf(stored.toUpperCase(Locale.ROOT));
    }
}
