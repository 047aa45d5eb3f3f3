package lobrik.server.transfer;

import jakarta.persistence.EntityManager;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import lobrik.server.account.SignedIn;
import lobrik.server.cohort.Cohort;
import lobrik.server.cohort.Cohorts;
import lobrik.server.platform.Rows;
import org.apache.commons.csv.CSVPrinter;
import org.hibernate.jpa.HibernateHints;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Every reading as a row, and what each column means. */
@Service
class ReadingsFile {

    /** A column: its name, what it is in, and what it means. */
    record Column(String name, String unit, String meaning) {}

    static final List<Column> COLUMNS = List.of(
            new Column("reading_id", "id", "Made by the device that took it; the same in every file."),
            new Column("attempt_id", "id", "The piece."),
            new Column("cohort", "text", "Of the trainee."),
            new Column("trainee_id", "id", "The trainee."),
            new Column(
                    "trainee",
                    "text",
                    "Full name. A name that a spreadsheet would take for a formula has a ' before it."),
            new Column("exercise", "text", "Title of what was set."),
            new Column(
                    "bend",
                    "id",
                    "Kind of bend: stub90, backToBack90, boxOffset, offset, rollingOffset, kick, saddle3, saddle4."),
            new Column("conduit", "text", "Size and sort."),
            new Column("bender", "text", "Bender's label."),
            new Column(
                    "feature",
                    "id",
                    "What was measured, as docs/using.md explains: mark1, leg, rise, angle2, dogLeg and so on."),
            new Column("unit", "in | deg", "Of target, value, deviation and tolerance."),
            new Column("target", "number", "What was asked. Empty while the piece is not measured to the end."),
            new Column("value", "number", "What was read. Empty where it was not measured."),
            new Column(
                    "deviation",
                    "number",
                    "Value less target. Empty where the reading does not count, or the piece is not finished."),
            new Column("tolerance", "number", "By which it was judged. Empty while the piece is not finished."),
            new Column("counts", "true | false", "Whether it counts: not corrected, not set aside."),
            new Column("not_measured", "text", "Why it was not measured."),
            new Column("typed", "text", "As it was typed."),
            new Column("corrects", "id", "The reading that it replaces."),
            new Column("reason", "text", "Why it was corrected."),
            new Column(
                    "taken_at",
                    "time",
                    "ISO 8601 with offset: when it was taken, put right where the device's clock was wrong."),
            new Column("received_at", "time", "When it reached the server."),
            new Column("taken_by", "text", "Name of who took it."),
            new Column("taken_with", "keys | pad | wedge | gauge | asAsked", "How it was entered."),
            new Column("instrument", "text", "Of a gauge: its name."),
            new Column(
                    "device_said",
                    "time",
                    "What the device's clock said when it was taken. Empty where it is not known."),
            new Column(
                    "device_ahead_s",
                    "number",
                    "Seconds by which the device's clock was ahead of the server's, below 0 behind it. Empty where it is not"
                            + " known."));

    private static final String QUERY = """
            select r.id, r.attempt_id, c.name, t.id, t.full_name, e.title, e.kind, e.conduit_label, e.bender_label, r.feature,
              r.unit, o.targets[array_position(o.features, r.feature)], r.value,
              o.tolerances[array_position(o.features, r.feature)],
              not exists (select 1 from reading x where x.corrects = r.id)
                and not exists (select 1 from set_aside s where s.record_id = r.id),
              r.omitted, r.typed, r.corrects, r.reason, r.taken_at, r.received_at, a.full_name, r.taken_with, r.instrument,
              r.said_at, r.device_ahead_ms
            from cohort c
            join trainee t on t.cohort_id = c.id
            join attempt p on p.trainee_id = t.id
            join exercise e on e.id = p.exercise_id
            join reading r on r.attempt_id = p.id
            join account a on a.id = r.taken_by
            left join outcome o on o.attempt_id = p.id
            where c.id = any (:cohorts)
            """;

    /** Rows that are fetched at once. */
    static final int FETCHED = 1_000;

    private final EntityManager entities;
    private final Cohorts cohorts;

    ReadingsFile(EntityManager entities, Cohorts cohorts) {
        this.entities = entities;
        this.cohorts = cohorts;
    }

    /** The cohorts of a file: the one that is named, or all that one may see. */
    List<Cohort> cohorts(SignedIn who, @Nullable UUID cohortId) {
        return cohortId == null ? cohorts.visibleTo(who) : List.of(cohorts.cohort(who, cohortId));
    }

    /** Writes every reading of these cohorts, however many, in constant memory. */
    @Transactional(readOnly = true)
    public void write(List<Cohort> of, Writer to) throws IOException {
        try (CSVPrinter printer = Cells.csv(to);
                Stream<Object[]> rows = Rows.of(entities.createNativeQuery(QUERY, Object[].class)
                        .setParameter("cohorts", of.stream().map(Cohort::id).toArray(UUID[]::new))
                        .setHint(HibernateHints.HINT_FETCH_SIZE, FETCHED))) {
            printer.printRecord(COLUMNS.stream().map(Column::name));
            rows.forEach(row -> print(printer, row));
        } catch (UncheckedIOException broken) {
            throw broken.getCause();
        }
    }

    private static void print(CSVPrinter printer, Object[] row) {
        String unit = (String) row[10];
        Long target = (Long) row[11];
        Long value = (Long) row[12];
        boolean counts = (Boolean) row[14];
        Long deviation = counts && target != null && value != null ? Long.valueOf(value - target) : null;
        try {
            Cells.print(
                    printer,
                    Arrays.asList(
                            row[0],
                            row[1],
                            row[2],
                            row[3],
                            row[4],
                            row[5],
                            row[6],
                            row[7],
                            row[8],
                            row[9],
                            unit == null ? null : unit.equals("ndeg") ? "deg" : "in",
                            Cells.number(target, unit),
                            Cells.number(value, unit),
                            Cells.number(deviation, unit),
                            Cells.number((Long) row[13], unit),
                            counts,
                            row[15],
                            row[16],
                            row[17],
                            row[18],
                            Cells.moment((Instant) row[19]),
                            Cells.moment((Instant) row[20]),
                            row[21],
                            row[22],
                            row[23],
                            Cells.moment((Instant) row[24]),
                            row[25] == null ? null : (Long) row[25] / 1000));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Writes what each column means. */
    static void dictionary(Writer to) throws IOException {
        try (CSVPrinter printer = Cells.csv(to)) {
            printer.printRecord("column", "unit", "meaning");
            for (Column column : COLUMNS) {
                printer.printRecord(column.name(), column.unit(), column.meaning());
            }
        }
    }
}
