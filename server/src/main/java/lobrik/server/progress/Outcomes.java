package lobrik.server.progress;

import jakarta.persistence.EntityManager;
import jakarta.persistence.Query;
import jakarta.persistence.Tuple;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.TreeMap;
import java.util.UUID;
import lobrik.cause.CauseId;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.progress.Family;
import lobrik.progress.Outcome;
import lobrik.progress.Slip;
import lobrik.progress.Strictness;
import lobrik.server.platform.Rows;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * Reads what finished pieces came to. Every question is bounded by how much of the answer is shown, not by how much there is: the
 * last few of each cell are found by one descent of an index each.
 */
@Component
class Outcomes {

    /** Only some pieces; what is null takes all. */
    record Filter(
            @Nullable LocalDate from,
            @Nullable LocalDate to,
            @Nullable UUID bender,
            @Nullable String conduit,
            @Nullable String preset) {

        static final Filter ALL = new Filter(null, null, null, null, null);

        /** The same up to the end of a day at most; no day changes nothing. */
        Filter upTo(@Nullable LocalDate day) {
            boolean earlier = day != null && (to == null || day.isBefore(to));
            return earlier ? new Filter(from, day, bender, conduit, preset) : this;
        }

        boolean takesAll() {
            return equals(ALL);
        }
    }

    /** A piece in a cell of the matrix. */
    record Dot(UUID traineeId, UUID attemptId, Instant measuredAt, Outcome outcome) {}

    /** How often something went wrong, and with how many people. */
    record SlipCount(CauseId cause, int pieces, int people) {}

    /** How many of somebody's pieces had each cause; those with none that is clear are among them. */
    record SlipRecord(Map<CauseId, Integer> slips) {

        int pieces() {
            return slips.values().stream().mapToInt(Integer::intValue).sum();
        }
    }

    /** What somebody did in one family of bends, all in all. */
    record Total(int pieces, int passes, Length used, Length wasted, Instant last) {}

    private static final String CELLS = """
            select o.* from unnest(cast(:trainees as uuid[])) t(id)
            cross join unnest(cast(:families as text[])) f(family)
            cross join lateral (
              select %s from outcome o
              where o.trainee_id = t.id and o.family = f.family %s
              order by o.measured_at desc, o.attempt_id limit :most) o
            order by o.measured_at, o.attempt_id
            """;

    private static final String NARROW = """
            o.trainee_id, o.attempt_id, o.family, o.measured_at, cast(o.bender_revision_id as text) as bender, o.points, o.passed,
            o.length_tolerance_pm, o.angle_tolerance_ndeg, o.twist_tolerance_ndeg, o.rebent, o.cause, o.cause_bend
            """;

    private final EntityManager entities;

    Outcomes(EntityManager entities) {
        this.entities = entities;
    }

    /** By day as it is here. */
    static ZoneId zone() {
        return ZoneId.systemDefault();
    }

    /** The last pieces of some trainees in each family of bends, from the oldest, without their features. */
    Map<UUID, Map<Family, List<Dot>>> dots(Collection<UUID> trainees, Filter filter, int most) {
        Query query = entities.createNativeQuery(CELLS.formatted(NARROW, conditions(filter)), Tuple.class);
        bind(query, trainees, filter, most);
        Map<UUID, Map<Family, List<Dot>>> dots = new HashMap<>();
        Rows.named(query)
                .map(Outcomes::dot)
                .forEach(dot -> dots.computeIfAbsent(dot.traineeId(), id -> new TreeMap<>())
                        .computeIfAbsent(dot.outcome().family(), family -> new ArrayList<>())
                        .add(dot));
        return dots;
    }

    /** The last pieces of some trainees in each family of bends, from the oldest, with everything. */
    Map<UUID, Map<Family, List<OutcomeRow>>> rows(Collection<UUID> trainees, Filter filter, int most) {
        Query query = entities.createNativeQuery(CELLS.formatted("o.*", conditions(filter)), OutcomeRow.class);
        bind(query, trainees, filter, most);
        Map<UUID, Map<Family, List<OutcomeRow>>> rows = new HashMap<>();
        for (Object found : query.getResultList()) {
            OutcomeRow row = (OutcomeRow) found;
            rows.computeIfAbsent(row.traineeId(), id -> new TreeMap<>())
                    .computeIfAbsent(row.family(), family -> new ArrayList<>())
                    .add(row);
        }
        return rows;
    }

    private static String conditions(Filter filter) {
        StringBuilder conditions = new StringBuilder();
        if (filter.from() != null) {
            conditions.append(" and o.measured_at >= :from");
        }
        if (filter.to() != null) {
            conditions.append(" and o.measured_at < :until");
        }
        if (filter.bender() != null) {
            conditions.append(
                    " and o.bender_revision_id in (select id from bender_revision where bender_id = :bender)");
        }
        if (filter.conduit() != null) {
            conditions.append(" and o.conduit_label = :conduit");
        }
        if (filter.preset() != null) {
            conditions.append(" and o.preset = :preset");
        }
        return conditions.toString();
    }

    private static void bind(Query query, Collection<UUID> trainees, Filter filter, int most) {
        query.setParameter("trainees", trainees.toArray(UUID[]::new));
        query.setParameter("families", Family.all().stream().map(Family::id).toArray(String[]::new));
        query.setParameter("most", most);
        if (filter.from() != null) {
            query.setParameter("from", filter.from().atStartOfDay(zone()).toInstant());
        }
        if (filter.to() != null) {
            query.setParameter(
                    "until", filter.to().plusDays(1).atStartOfDay(zone()).toInstant());
        }
        if (filter.bender() != null) {
            query.setParameter("bender", filter.bender());
        }
        if (filter.conduit() != null) {
            query.setParameter("conduit", filter.conduit());
        }
        if (filter.preset() != null) {
            query.setParameter("preset", filter.preset());
        }
    }

    private static Dot dot(Tuple row) {
        Instant measuredAt = row.get("measured_at", Instant.class);
        Integer bend = row.get("cause_bend", Integer.class);
        Optional<Slip> slip = Optional.ofNullable(row.get("cause", String.class))
                .flatMap(CauseId::withId)
                .map(id -> new Slip(id, bend == null ? OptionalInt.empty() : OptionalInt.of(bend)));
        UUID attempt = row.get("attempt_id", UUID.class);
        return new Dot(
                row.get("trainee_id", UUID.class),
                attempt,
                measuredAt,
                new Outcome(
                        attempt.toString(),
                        measuredAt.atZone(zone()).toLocalDate().toEpochDay(),
                        Family.withId(row.get("family", String.class)).orElseThrow(),
                        Objects.requireNonNullElse(row.get("bender", String.class), ""),
                        row.get("points", Double.class),
                        row.get("passed", Boolean.class),
                        new Strictness(
                                new Length(row.get("length_tolerance_pm", Long.class)),
                                new Angle(row.get("angle_tolerance_ndeg", Long.class)),
                                new Angle(row.get("twist_tolerance_ndeg", Long.class))),
                        row.get("rebent", Integer.class),
                        slip,
                        List.of()));
    }

    /** When each of some trainees was measured last; whoever never was is left out. */
    Map<UUID, Instant> lastOf(Collection<UUID> trainees) {
        Map<UUID, Instant> last = new HashMap<>();
        Rows.named(entities.createNativeQuery("""
                        select t.id, o.measured_at from unnest(cast(:trainees as uuid[])) t(id)
                        cross join lateral (select measured_at from outcome
                          where trainee_id = t.id order by measured_at desc limit 1) o""", Tuple.class).setParameter("trainees", trainees.toArray(UUID[]::new)))
                .forEach(row -> last.put(row.get("id", UUID.class), row.get("measured_at", Instant.class)));
        return last;
    }

    /** What went wrong in a cohort since then, the commonest first. */
    List<SlipCount> slips(UUID cohortId, Instant since) {
        List<SlipCount> counts = new ArrayList<>();
        Rows.named(entities.createNativeQuery("""
                        select cause, count(*) as times, count(distinct trainee_id) as people from outcome
                        where cohort_id = :cohort and measured_at >= :since and cause is not null
                        group by cause order by 2 desc, 1""", Tuple.class)
                        .setParameter("cohort", cohortId)
                        .setParameter("since", since))
                .forEach(row -> CauseId.withId(row.get("cause", String.class))
                        .filter(CauseId::isFault)
                        .ifPresent(cause -> counts.add(new SlipCount(
                                cause,
                                Math.toIntExact(row.get("times", Long.class)),
                                Math.toIntExact(row.get("people", Long.class))))));
        return counts;
    }

    /** What went wrong with each of a cohort since then. */
    Map<UUID, SlipRecord> slipsOf(UUID cohortId, Instant since) {
        Map<UUID, SlipRecord> records = new HashMap<>();
        Rows.named(entities.createNativeQuery("""
                        select trainee_id, cause, count(*) as times from outcome
                        where cohort_id = :cohort and measured_at >= :since group by trainee_id, cause""", Tuple.class)
                        .setParameter("cohort", cohortId)
                        .setParameter("since", since))
                .forEach(row -> records.computeIfAbsent(
                                row.get("trainee_id", UUID.class), id -> new SlipRecord(new EnumMap<>(CauseId.class)))
                        .slips()
                        .merge(
                                CauseId.withId(String.valueOf(row.get("cause", String.class)))
                                        .orElse(CauseId.UNCLEAR),
                                Math.toIntExact(row.get("times", Long.class)),
                                Integer::sum));
        return records;
    }

    /** How many pieces a cohort finished since then. */
    int pieces(UUID cohortId, Instant since) {
        return ((Long) entities.createNativeQuery(
                                "select count(*) from outcome where cohort_id = :cohort and measured_at >= :since",
                                Long.class)
                        .setParameter("cohort", cohortId)
                        .setParameter("since", since)
                        .getSingleResult())
                .intValue();
    }

    /** What somebody did in all, by family of bends. */
    Map<Family, Total> totals(UUID traineeId) {
        Map<Family, Total> totals = new TreeMap<>();
        Rows.named(entities.createNativeQuery("""
                        select family, count(*) as pieces, count(*) filter (where passed) as passes,
                          cast(sum(conduit_pm) as bigint) as used_pm, cast(sum(wasted_pm) as bigint) as wasted_pm,
                          max(measured_at) as last
                        from outcome where trainee_id = :trainee group by family""", Tuple.class).setParameter("trainee", traineeId))
                .forEach(row -> totals.put(
                        Family.withId(row.get("family", String.class)).orElseThrow(),
                        new Total(
                                Math.toIntExact(row.get("pieces", Long.class)),
                                Math.toIntExact(row.get("passes", Long.class)),
                                new Length(row.get("used_pm", Long.class)),
                                new Length(row.get("wasted_pm", Long.class)),
                                row.get("last", Instant.class))));
        return totals;
    }
}
