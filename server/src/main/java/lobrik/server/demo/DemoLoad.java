package lobrik.server.demo;

import jakarta.persistence.EntityManager;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.UUID;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import java.util.stream.Stream;
import lobrik.layout.Layout;
import lobrik.server.account.Account;
import lobrik.server.attempt.Bases;
import lobrik.server.calc.Calculations;
import lobrik.server.cohort.Centre;
import lobrik.server.cohort.Cohort;
import lobrik.server.cohort.Trainee;
import lobrik.server.demo.DemoCast.DemoExercise;
import lobrik.server.demo.DemoRack.Racked;
import lobrik.server.exercise.Exercise;
import lobrik.server.giving.Assignment;
import lobrik.server.giving.Giving;
import lobrik.server.giving.SheetCode;
import lobrik.server.progress.OutcomeBook;
import lobrik.verdict.TolerancePreset;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Makes a centre of any size, to see how the product stands up to it: {@code ./lobrik load}. A few made-up people bend a few thousand
 * pieces, each simulated, read, judged and diagnosed as any other; then as many trainees as are wanted each get a record of such pieces,
 * spread over two years, with ids of their own. So every piece is a real one, and a million of them take minutes.
 */
@Component
@ConditionalOnProperty("lobrik.load.attempts")
@Order(4) // After the first contents, what they came to, and their signatures.
class DemoLoad implements ApplicationRunner {

    private static final Logger LOG = LoggerFactory.getLogger(DemoLoad.class);
    private static final long SEED = 20_261_201;
    private static final int COHORT_SIZE = 20;
    private static final int DRAWS = 3;
    private static final Duration SPREAD_OVER = Duration.ofDays(730);
    private static final int ODD = 0x3C6EF35F;

    private final EntityManager entities;
    private final TransactionTemplate transaction;
    private final Calculations calculations;
    private final Bases bases;
    private final OutcomeBook outcomes;
    private final Clock clock;
    private final int trainees;
    private final int attempts;
    private final String url;
    private final String owner;
    private final String password;

    DemoLoad(
            EntityManager entities,
            TransactionTemplate transaction,
            Calculations calculations,
            Bases bases,
            OutcomeBook outcomes,
            Clock clock,
            @Value("${lobrik.load.trainees}") int trainees,
            @Value("${lobrik.load.attempts}") int attempts,
            @Value("${spring.datasource.url}") String url,
            @Value("${spring.flyway.user}") String owner,
            @Value("${spring.flyway.password}") String password) {
        this.entities = entities;
        this.transaction = transaction;
        this.calculations = calculations;
        this.bases = bases;
        this.outcomes = outcomes;
        this.clock = clock;
        this.trainees = trainees;
        this.attempts = attempts;
        this.url = url;
        this.owner = owner;
        this.password = password;
    }

    /** Where the seed people are, and to whom everything belongs. */
    private record Seed(UUID centre, UUID instructor, UUID cohort) {}

    @Override
    public void run(ApplicationArguments arguments) throws SQLException {
        Seed seed = transaction.execute(status -> seed());
        if (seed == null) {
            throw new IllegalStateException("there is no centre to load into");
        }
        outcomes.catchUpWith(seed.cohort());
        LOG.info("Bent the pieces that all others are like");
        multiply(seed);
    }

    private Seed seed() {
        RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom")
                .create(SEED ^ clock.instant().getEpochSecond());
        Ids ids = new Ids(random);
        Centre centre = entities.createQuery(
                        "from Centre where replacedBy is null order by createdAt, id", Centre.class)
                .getResultList()
                .getFirst();
        UUID instructor = entities.createQuery("from Account order by role desc, fullName", Account.class)
                .getResultList()
                .getFirst()
                .id();
        Instant now = clock.instant();
        String name = "Load " + now.getEpochSecond();
        DemoRack rack = DemoRack.like(new GenericShed(entities, ids, centre.id(), clock.instant()), name);
        Cohort cohort = new Cohort(ids.next(), centre.id(), name + ", seed", Set.of(instructor), now);
        entities.persist(cohort);
        DemoRecord record = new DemoRecord(entities, bases, ids, random, centre.id());
        List<GivenSet> sets = new ArrayList<>();
        // A small load needs no more exercises than each trainee has attempts.
        for (DemoExercise set : Stream.concat(DemoCast.FIRST_YEAR_TERM.stream(), DemoCast.SECOND_YEAR_TERM.stream())
                .limit(Math.ceilDiv(attempts, trainees))
                .toList()) {
            for (Racked bender : List.of(rack.half(), rack.threeQuarters(), rack.worn())) {
                Exercise exercise = record.exercise(
                        set, bender, TolerancePreset.SITE, name.toLowerCase(Locale.ROOT), instructor, now);
                Giving giving =
                        new Giving(ids.next(), centre.id(), exercise.id(), instructor, now, Giving.Terms.OPEN, false);
                entities.persist(giving);
                sets.add(new GivenSet(bender, exercise, giving));
            }
        }
        int bench = 1;
        for (DemoPerson person : Stream.concat(DemoCast.FIRST_YEAR.stream(), DemoCast.SECOND_YEAR.stream())
                .toList()) {
            Trainee trainee = new Trainee(ids.next(), cohort.id(), person.name(), bench++);
            entities.persist(trainee);
            for (GivenSet set : sets) {
                Layout layout =
                        calculations.question(set.exercise().definition()).layout();
                Assignment assignment = new Assignment(
                        ids.next(), set.giving(), set.exercise().id(), trainee.id(), SheetCode.next(random));
                entities.persist(assignment);
                for (int draw = 0; draw < DRAWS; draw++) {
                    DemoBend bend = new DemoBend(random, person, random.nextDouble());
                    record.attempt(
                            instructor,
                            assignment,
                            set.exercise(),
                            layout,
                            now.minus(draw + 1L, ChronoUnit.DAYS),
                            bend.readings(layout, set.bender().inTruth()),
                            Integer.MAX_VALUE);
                }
            }
        }
        return new Seed(centre.id(), instructor, cohort.id());
    }

    /** An exercise as it is given out, and the bender that it is bent on. */
    private record GivenSet(Racked bender, Exercise exercise, Giving giving) {}

    /** Each statement makes one kind of row for all new trainees; the pieces are those of the seed person that they are like. */
    private static final List<String> ROWS = List.of(
            """
            create temporary table seed_person as
              select row_number() over (order by id) - 1 as n, id from trainee where cohort_id = ?seed""",
            """
            create temporary table new_trainee as
              select i, gen_random_uuid() as id, (i - 1) / ?size as cohort, (i - 1) % ?size + 1 as bench,
                (select id from seed_person where n = i % (select count(*) from seed_person)) as seed
              from generate_series(1, ?trainees) i""",
            """
            create temporary table new_cohort as
              select distinct cohort, gen_random_uuid() as id from new_trainee group by cohort""",
            """
            insert into cohort
              select n.id, ?centre, replace(c.name, ', seed', ', ' || (n.cohort + 1)), now() - interval '730 days'
              from new_cohort n, cohort c where c.id = ?seed""",
            "insert into cohort_instructor select id, ?instructor from new_cohort",
            """
            insert into trainee (id, cohort_id, full_name, bench)
              select t.id, c.id, 'Trainee ' || lpad(t.i::text, 6, '0'), t.bench
              from new_trainee t join new_cohort c on c.cohort = t.cohort""",
            """
            create temporary table seed_attempt as
              select a.*, row_number() over (partition by a.trainee_id order by md5(a.id::text)) - 1 as n,
                count(*) over (partition by a.trainee_id) as all_of
              from attempt a join seed_person p on p.id = a.trainee_id""",
            "create unique index on seed_attempt (trainee_id, n)",
            """
            create temporary table new_attempt as
              select gen_random_uuid() as id, t.id as trainee_id, t.i, k.k, s.id as seed, s.exercise_id, s.assignment_id as seed_assignment,
                now() - ?spread * (1 - (k.k + random()) / ((?attempts + ?trainees - t.i) / ?trainees)) - s.started_at as shift
              from new_trainee t
              cross join lateral generate_series(0, (?attempts + ?trainees - t.i) / ?trainees - 1) k(k)
              join seed_attempt s on s.trainee_id = t.seed and s.n = (k.k + t.i) % s.all_of""",
            """
            create temporary table new_assignment as
              select gen_random_uuid() as id, a.trainee_id, a.seed_assignment, row_number() over () as n
              from (select distinct trainee_id, seed_assignment from new_attempt) a""",
            "create index on new_assignment (trainee_id, seed_assignment)",
            "analyze seed_attempt",
            "analyze new_attempt",
            "analyze new_assignment",
            "analyze new_trainee",
            """
            insert into assignment (id, exercise_id, trainee_id, given_by, given_at, giving_id, code)
              select n.id, a.exercise_id, n.trainee_id, a.given_by, now() - interval '730 days', a.giving_id,
                upper(lpad(to_hex((n.n * ?odd + ?offset) % 281474976710656), 12, '0'))
              from new_assignment n join assignment a on a.id = n.seed_assignment""",
            """
            insert into attempt (id, assignment_id, exercise_id, trainee_id, tolerances, started_by, started_at, readings, yardstick,
                basis_id, bender_revision_id, complete)
              select n.id, g.id, n.exercise_id, n.trainee_id, s.tolerances, s.started_by, s.started_at + n.shift, s.readings, s.yardstick,
                s.basis_id, s.bender_revision_id, s.complete
              from new_attempt n
              join new_assignment g on g.trainee_id = n.trainee_id and g.seed_assignment = n.seed_assignment
              join seed_attempt s on s.id = n.seed""",
            """
            insert into reading (id, attempt_id, feature, unit, value, typed, taken_by, taken_at, corrects, reason, taken_with,
                instrument, received_at, omitted, stage, by_level, as_found)
              select gen_random_uuid(), n.id, r.feature, r.unit, r.value, r.typed, r.taken_by,
                -- A correction stands here for what it corrects, which is not copied.
                coalesce((select first.taken_at from reading first where first.id = r.corrects), r.taken_at) + n.shift, null, null,
                r.taken_with, r.instrument, r.received_at + n.shift, r.omitted, r.stage, r.by_level, r.as_found
              from new_attempt n join reading r on r.attempt_id = n.seed
              where not exists (select 1 from reading x where x.corrects = r.id)""",
            """
            insert into outcome
              select n.id, o.centre_id, c.id, n.trainee_id, o.family, o.measured_at + n.shift, o.title, o.bender_label,
                o.conduit_label, o.preset, o.length_tolerance_pm, o.angle_tolerance_ndeg, o.twist_tolerance_ndeg, o.pass_mark,
                o.points, o.passed, o.arithmetic, o.rebent, o.cause, o.cause_bend, o.conduit_pm, o.wasted_pm, o.minutes,
                o.features, o.targets, o.deviations, o.planned, o.tolerances, o.angles_off, o.legs_off, o.rises_off, o.places_off,
                o.bender_revision_id, o.stands_for
              from new_attempt n join outcome o on o.attempt_id = n.seed
              join new_trainee t on t.id = n.trainee_id join new_cohort c on c.cohort = t.cohort""");

    private void multiply(Seed seed) throws SQLException {
        try (Connection connection = DriverManager.getConnection(url, owner, password)) {
            connection.setAutoCommit(false);
            for (String row : ROWS) {
                long begun = System.nanoTime();
                int rows = execute(connection, row, seed);
                LOG.info(
                        "{}: {} rows in {} s",
                        row.strip().lines().findFirst().orElse(""),
                        rows,
                        Duration.ofNanos(System.nanoTime() - begun).toSeconds());
            }
            connection.commit();
            connection.setAutoCommit(true);
            try (Statement statement = connection.createStatement()) {
                // So that the planner knows the new sizes, and indexes alone can answer.
                for (String table : List.of("outcome", "reading", "attempt", "assignment", "trainee", "cohort")) {
                    statement.execute("vacuum analyze " + table);
                }
            }
        }
    }

    private int execute(Connection connection, String template, Seed seed) throws SQLException {
        List<Object> values = new ArrayList<>();
        StringBuilder sql = new StringBuilder();
        int from = 0;
        for (int at = template.indexOf('?'); at >= 0; at = template.indexOf('?', from)) {
            int end = at + 1;
            while (end < template.length() && Character.isLetter(template.charAt(end))) {
                end++;
            }
            String name = template.substring(at + 1, end);
            sql.append(template, from, at).append(literal(name));
            values.add(value(name, seed));
            from = end;
        }
        sql.append(template.substring(from));
        try (PreparedStatement statement = connection.prepareStatement(sql.toString())) {
            for (int i = 0; i < values.size(); i++) {
                statement.setObject(i + 1, values.get(i));
            }
            return statement.executeUpdate();
        }
    }

    private static String literal(String name) {
        return name.equals("spread") ? "cast(? as interval)" : "?";
    }

    private Object value(String name, Seed seed) {
        return switch (name) {
            case "seed" -> seed.cohort();
            case "centre" -> seed.centre();
            case "instructor" -> seed.instructor();
            case "size" -> COHORT_SIZE;
            case "trainees" -> trainees;
            case "attempts" -> attempts;
            case "spread" -> SPREAD_OVER.toDays() + " days";
            case "odd" -> (long) ODD;
            case "offset" -> clock.instant().toEpochMilli();
            default -> throw new IllegalArgumentException(name);
        };
    }
}
