package lobrik.server.transfer;

import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import org.jspecify.annotations.Nullable;

/** What is written into a cell of a table. */
final class Cells {

    private static final String BEGINS_A_FORMULA = "=+-@\t\r";
    private static final DateTimeFormatter MOMENT = DateTimeFormatter.ISO_OFFSET_DATE_TIME;

    private Cells() {}

    /** Words that somebody typed: a spreadsheet must not take them for a formula. */
    static @Nullable String words(@Nullable String text) {
        boolean formula = text != null && !text.isEmpty() && BEGINS_A_FORMULA.indexOf(text.charAt(0)) >= 0;
        return formula ? "'" + text : text;
    }

    /** A moment with its offset, as it is here. */
    static @Nullable String moment(@Nullable Instant at) {
        return at == null
                ? null
                : MOMENT.format(at.atZone(ZoneId.systemDefault()).toOffsetDateTime());
    }

    /** A stored count in the unit that is written beside it: inches or degrees. */
    static @Nullable Double number(@Nullable Long count, @Nullable String unit) {
        if (count == null) {
            return null;
        }
        return "ndeg".equals(unit) ? new Angle(count).degrees() : new Length(count).inches();
    }
}
