package lobrik.server.transfer;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.IntStream;
import lobrik.server.platform.TurnedDown;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;

/**
 * A table as somebody brings it: separated by commas, semicolons or tabs, with a line of names at the top.
 *
 * @param columns their names
 * @param rows without the line of names
 */
record RosterTable(List<String> columns, List<CSVRecord> rows) {

    /** Columns, from 0; null where a table has none. */
    record Mapping(
            @Nullable Integer name,
            @Nullable Integer number,
            @Nullable Integer cohort,
            @Nullable Integer bench) {}

    private static final int MOST_ROWS = 1_000;

    private static final Map<String, List<String>> USUAL_NAMES = Map.of(
            "name", List.of("name", "full name", "trainee", "apprentice", "student", "learner"),
            "number", List.of("number", "no", "id", "student number", "trainee number", "reference"),
            "cohort", List.of("cohort", "class", "year", "course"),
            "bench", List.of("bench", "place", "seat"));

    /**
     * Reads it.
     *
     * @throws TurnedDown if it is no table, or one of too many rows
     */
    static RosterTable of(@Nullable String text) {
        List<CSVRecord> records = records(text);
        return new RosterTable(
                records.getFirst().stream().map(String::strip).toList(), records.subList(1, records.size()));
    }

    private static List<CSVRecord> records(@Nullable String text) {
        String plain = text == null ? "" : text.startsWith("\uFEFF") ? text.substring(1) : text;
        String first = plain.lines().findFirst().orElse("");
        char delimiter = first.indexOf('\t') >= 0 ? '\t' : first.indexOf(';') >= 0 ? ';' : ',';
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setDelimiter(delimiter)
                .setIgnoreEmptyLines(true)
                .get();
        try (CSVParser parser = CSVParser.parse(new StringReader(plain), format)) {
            List<CSVRecord> records = parser.getRecords();
            if (records.size() < 2) {
                throw TurnedDown.badInput(
                        "/text", "missing", "give a table with a line of names at the top and a row for each trainee");
            }
            if (records.size() - 1 > MOST_ROWS) {
                throw TurnedDown.badInput(
                        "/text",
                        "out-of-range",
                        "give at most " + MOST_ROWS + " rows at once; these are " + (records.size() - 1));
            }
            return records;
        } catch (IOException | UncheckedIOException | IllegalStateException unreadable) {
            throw TurnedDown.badInput(
                    "/text", "unreadable", "this is no table that can be read: " + unreadable.getMessage());
        }
    }

    /** What the names of the columns suggest. */
    Mapping suggested() {
        return new Mapping(column("name"), column("number"), column("cohort"), column("bench"));
    }

    private @Nullable Integer column(String what) {
        return IntStream.range(0, columns.size())
                .filter(i -> USUAL_NAMES
                        .getOrDefault(what, List.of())
                        .contains(folded(columns.get(i)).replace('_', ' ')))
                .boxed()
                .findFirst()
                .orElse(null);
    }

    /** What a row has in a column; nothing where it has none. */
    static String cell(CSVRecord record, @Nullable Integer column) {
        return column == null || column < 0 || column >= record.size()
                ? ""
                : record.get(column).strip();
    }

    /** Names are the same whatever their case. */
    static String folded(String name) {
        return name.strip().toLowerCase(Locale.ROOT);
    }
}
