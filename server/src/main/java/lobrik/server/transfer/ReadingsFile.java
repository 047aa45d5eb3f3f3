package lobrik.server.transfer;

import jakarta.persistence.EntityManager;
import jakarta.persistence.Tuple;
import java.io.IOException;
import java.io.Writer;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lobrik.assessment.Entry;
import lobrik.assessment.WhatCounts;
import lobrik.reading.FloorReading;
import lobrik.server.account.SignedIn;
import lobrik.server.attempt.FloorsUnder;
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
                    "Kind of bend: stub90, backToBack90, boxOffset, offset, rollingOffset, kick, saddle3, saddle4, overBent90."),
            new Column("tool", "id", "What it was bent with: shoe, machine, former."),
            new Column("conduit", "text", "Size and sort."),
            new Column("bender", "text", "Bender's label."),
            new Column(
                    "feature",
                    "id",
                    "What was measured, as docs/using.md explains: mark1, leg, rise, angle2, dogLeg and so on."),
            new Column("unit", "in | deg | %", "Of target, value, deviation and tolerance."),
            new Column(
                    "stage",
                    "number",
                    "1 as the piece was first bent, one more after each time that it was bent again."),
            new Column("target", "number", "What was asked. Empty while the piece is not measured to the end."),
            new Column("value", "number", "What was read. Empty where it was not measured."),
            new Column(
                    "floor",
                    "number",
                    "Of an angle by level: degrees that the level read on the floor, which are taken off. Empty where nothing is."),
            new Column(
                    "deviation",
                    "number",
                    "Value less floor less target. Empty where the reading does not count, or the piece is not finished."),
            new Column("tolerance", "number", "By which it was judged. Empty while the piece is not finished."),
            new Column("counts", "true | false", "Whether it counts in its stage: not corrected, not set aside."),
            new Column(
                    "as_found",
                    "true | false",
                    "Whether a mark was found on the part-bent piece and not worked out: then it is held to nothing."),
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

    /** One piece after the other, so that what counts of one is known when its rows are written. */
    private static final String QUERY = """
            select r.id, r.attempt_id, c.name as cohort, t.id as trainee_id, t.full_name as trainee, e.title, e.kind,
              coalesce(e.definition #>> '{bender,kind}', 'shoe') as tool, e.conduit_label,
              e.bender_label, r.feature, r.unit, r.stage, r.by_level, r.as_found, o.targets[array_position(o.features, r.feature)] as target, r.value,
              o.tolerances[array_position(o.features, r.feature)] as tolerance,
              exists (select 1 from set_aside s where s.record_id = r.id) as set_aside,
              r.omitted, r.typed, r.corrects, r.reason, r.taken_at, r.received_at, a.full_name as taken_by, r.taken_with,
              r.instrument, r.said_at, r.device_ahead_ms, r.entry_no
            from cohort c
            join trainee t on t.cohort_id = c.id
            join attempt p on p.trainee_id = t.id
            join exercise e on e.id = p.exercise_id
            join reading r on r.attempt_id = p.id
            join account a on a.id = r.taken_by
            left join outcome o on o.attempt_id = p.id
            where c.id = any (:cohorts)
            order by r.attempt_id, r.entry_no
            """;

    /** A reading with all that is told of it. */
    private record Row(Tuple columns) implements Entry {

        private <T> @Nullable T get(String column, Class<T> type) {
            return columns.get(column, type);
        }

        @Override
        public UUID id() {
            return columns.get("id", UUID.class);
        }

        UUID attemptId() {
            return columns.get("attempt_id", UUID.class);
        }

        String feature() {
            return columns.get("feature", String.class);
        }

        boolean isSetAside() {
            return columns.get("set_aside", Boolean.class);
        }

        @Override
        public Optional<UUID> correctionOf() {
            return Optional.ofNullable(get("corrects", UUID.class));
        }

        @Override
        public long takenAtMicros() {
            return ChronoUnit.MICROS.between(Instant.EPOCH, columns.get("taken_at", Instant.class));
        }

        @Override
        public Optional<Long> number() {
            return Optional.ofNullable(get("entry_no", Long.class));
        }

        int stage() {
            return columns.get("stage", Integer.class);
        }

        private Optional<FloorReading> floor(List<Row> piece, FloorsUnder.Known floors) {
            return columns.get("by_level", Boolean.class) && get("value", Long.class) != null
                    ? floors.under(attemptId(), WhatCounts.origin(this, piece))
                    : Optional.empty();
        }

        List<@Nullable Object> cells(boolean counts, Optional<FloorReading> under) {
            String unit = get("unit", String.class);
            Long floor = under.map(read -> read.tilt().count()).orElse(null);
            Long target = get("target", Long.class);
            Long value = get("value", Long.class);
            Long deviation = counts && target != null && value != null
                    ? Long.valueOf(value - (floor == null ? 0 : floor) - target)
                    : null;
            Long ahead = get("device_ahead_ms", Long.class);
            return Arrays.asList(
                    id(),
                    attemptId(),
                    get("cohort", String.class),
                    get("trainee_id", UUID.class),
                    get("trainee", String.class),
                    get("title", String.class),
                    get("kind", String.class),
                    get("tool", String.class),
                    get("conduit_label", String.class),
                    get("bender_label", String.class),
                    feature(),
                    Cells.unit(unit),
                    stage(),
                    Cells.number(target, unit),
                    Cells.number(value, unit),
                    Cells.number(floor, unit),
                    Cells.number(deviation, unit),
                    Cells.number(get("tolerance", Long.class), unit),
                    counts,
                    columns.get("as_found", Boolean.class),
                    get("omitted", String.class),
                    get("typed", String.class),
                    get("corrects", UUID.class),
                    get("reason", String.class),
                    Cells.moment(get("taken_at", Instant.class)),
                    Cells.moment(get("received_at", Instant.class)),
                    get("taken_by", String.class),
                    get("taken_with", String.class),
                    get("instrument", String.class),
                    Cells.moment(get("said_at", Instant.class)),
                    ahead == null ? null : ahead / 1000);
        }
    }

    /** Rows that are fetched at once. */
    static final int FETCHED = 1_000;

    private final EntityManager entities;
    private final Cohorts cohorts;
    private final FloorsUnder floors;

    ReadingsFile(EntityManager entities, Cohorts cohorts, FloorsUnder floors) {
        this.entities = entities;
        this.cohorts = cohorts;
        this.floors = floors;
    }

    /** The cohorts of a file: the one that is named, or all that one may see. */
    List<Cohort> cohorts(SignedIn who, @Nullable UUID cohortId) {
        return cohortId == null ? cohorts.visibleTo(who) : List.of(cohorts.cohort(who, cohortId));
    }

    /** Writes every reading of these cohorts, however many, in constant memory. */
    @Transactional(readOnly = true)
    public void write(List<Cohort> of, Writer to) throws IOException {
        FloorsUnder.Known under = floors.of(of.stream().map(Cohort::id).toList());
        try (CSVPrinter printer = Cells.csv(to);
                Stream<Tuple> rows = Rows.named(entities.createNativeQuery(QUERY, Tuple.class)
                        .setParameter("cohorts", of.stream().map(Cohort::id).toArray(UUID[]::new))
                        .setHint(HibernateHints.HINT_FETCH_SIZE, FETCHED))) {
            printer.printRecord(COLUMNS.stream().map(Column::name));
            List<Row> piece = new ArrayList<>();
            for (Tuple columns : (Iterable<Tuple>) rows::iterator) {
                Row row = new Row(columns);
                if (!piece.isEmpty() && !piece.getFirst().attemptId().equals(row.attemptId())) {
                    print(printer, piece, under);
                    piece.clear();
                }
                piece.add(row);
            }
            print(printer, piece, under);
        }
    }

    /** A feature in a stage of its piece. */
    private record Place(String feature, int stage) {}

    /** The readings of one piece, in the order in which they were written down. */
    private static void print(CSVPrinter printer, List<Row> piece, FloorsUnder.Known floors) throws IOException {
        Set<UUID> aside = piece.stream().filter(Row::isSetAside).map(Row::id).collect(Collectors.toSet());
        Set<UUID> counting =
                piece.stream()
                        .collect(Collectors.groupingBy(row -> new Place(row.feature(), row.stage())))
                        .values()
                        .stream()
                        .flatMap(about -> WhatCounts.standing(about, aside).stream())
                        .map(Row::id)
                        .collect(Collectors.toSet());
        for (Row row : piece) {
            Cells.print(printer, row.cells(counting.contains(row.id()), row.floor(piece, floors)));
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
