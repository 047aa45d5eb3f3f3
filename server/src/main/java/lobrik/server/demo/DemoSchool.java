package lobrik.server.demo;

import jakarta.persistence.EntityManager;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.IntFunction;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import java.util.stream.Collectors;
import lobrik.feature.FeatureId;
import lobrik.feature.FeatureKind;
import lobrik.layout.Layout;
import lobrik.measure.Length;
import lobrik.measure.Quantity;
import lobrik.server.account.Account;
import lobrik.server.account.Role;
import lobrik.server.attempt.Attempt;
import lobrik.server.attempt.Bases;
import lobrik.server.calc.Calculations;
import lobrik.server.cohort.Centre;
import lobrik.server.cohort.Cohort;
import lobrik.server.cohort.Trainee;
import lobrik.server.cohort.TraineeGroup;
import lobrik.server.demo.DemoCalendar.Hours;
import lobrik.server.demo.DemoCast.DemoExercise;
import lobrik.server.demo.DemoRack.Racked;
import lobrik.server.exercise.Exercise;
import lobrik.server.giving.Assignment;
import lobrik.server.giving.Giving;
import lobrik.server.giving.SheetCode;
import lobrik.server.job.JobRecords;
import lobrik.server.shed.ConduitSize;
import lobrik.server.stock.RackContents;
import lobrik.server.study.StudyContents;
import lobrik.shop.ToolKind;
import lobrik.verdict.TolerancePreset;
import lobrik.wire.DivideRequest;
import lobrik.wire.Divided;

/** Tern Quay Apprentice School: eight weeks of two cohorts up to this morning, the same for the same seed and day. */
final class DemoSchool {

    private static final int WEEKS = 8;

    /** Codes have a chance of their own; of that of the pieces they use up what they did when they were eight letters of it. */
    private static final long CODES = 20_261_129;

    /** So has what is not bent by hand. */
    private static final long ELSEWHERE = 20_261_130;

    /** And what is bent from box to box. */
    private static final long RUNS = 20_261_140;

    /** And what several bend together. */
    private static final long JOBS = 20_261_160;

    /** And what lies on the rack. */
    private static final long STOCK = 20_261_202;

    /** And how people read. */
    private static final long STUDIES = 20_261_203;

    private static final int DRAWS_OF_A_CODE = 8;
    private static final double ABSENT = 0.07;
    /** Whoever is done before the others bends the same once more. */
    private static final double ONCE_MORE = 0.8;

    private static final Duration UNTIL_ONCE_MORE = Duration.ofMinutes(70);
    private static final Duration MORNING_SO_FAR = Duration.ofMinutes(47);

    /** A cohort with its people, its instructor and how strictly it is judged from when on. */
    private record Taught(
            String name,
            List<Trainee> trainees,
            List<DemoPerson> people,
            UUID instructor,
            List<DemoExercise> exercises,
            TolerancePreset early,
            TolerancePreset late) {}

    private final EntityManager entities;
    private final Bases bases;
    private final Calculations calculations;
    private final Ids ids;
    private final RandomGenerator random;
    private final RandomGenerator codes;
    private final Instant now;
    private final String passwordHash;
    private final UUID centreId;
    private final DemoFloor floor;
    private final DemoRecord record;
    private final DemoCalendar calendar;

    DemoSchool(
            EntityManager entities,
            Bases bases,
            Calculations calculations,
            Ids ids,
            RandomGenerator random,
            Instant now,
            String passwordHash) {
        this(entities, bases, calculations, new Streams(ids, random, drawnFrom(CODES)), now, passwordHash, ids.next());
    }

    private DemoSchool(
            EntityManager entities,
            Bases bases,
            Calculations calculations,
            Streams streams,
            Instant now,
            String passwordHash,
            UUID centreId) {
        this(
                entities,
                bases,
                calculations,
                streams,
                now,
                passwordHash,
                centreId,
                new DemoCalendar(entities, centreId, now));
    }

    /** What ids, people and codes are drawn from. */
    private record Streams(Ids ids, RandomGenerator random, RandomGenerator codes) {

        /** Others, so that those of everything else stay what they are. */
        static Streams elsewhere() {
            RandomGenerator random = drawnFrom(ELSEWHERE);
            return new Streams(new Ids(random), random, drawnFrom(ELSEWHERE + 1));
        }

        static Streams ofJobs() {
            RandomGenerator random = drawnFrom(JOBS);
            return new Streams(new Ids(random), random, drawnFrom(JOBS + 1));
        }

        static Streams ofRuns() {
            RandomGenerator random = drawnFrom(RUNS);
            return new Streams(new Ids(random), random, drawnFrom(RUNS + 1));
        }
    }

    private static RandomGenerator drawnFrom(long seed) {
        return RandomGeneratorFactory.of("L64X128MixRandom").create(seed);
    }

    private DemoSchool(
            EntityManager entities,
            Bases bases,
            Calculations calculations,
            Streams streams,
            Instant now,
            String passwordHash,
            UUID centreId,
            DemoCalendar calendar) {
        this.entities = entities;
        this.bases = bases;
        this.calculations = calculations;
        this.ids = streams.ids();
        this.random = streams.random();
        this.codes = streams.codes();
        this.now = now;
        this.passwordHash = passwordHash;
        this.centreId = centreId;
        this.calendar = calendar;
        this.floor = new DemoFloor(entities, bases, ids, now);
        this.record = new DemoRecord(entities, bases, ids, random, centreId);
    }

    void load() {
        Instant founded = now.minus(7L * (WEEKS + 2), ChronoUnit.DAYS);
        Centre centre = new Centre(centreId, "Tern Quay Apprentice School", founded);
        centre.lookedAt(founded);
        centre.payIn("tl");
        entities.persist(centre);
        UUID oskar = account("oskar", "Oskar Brindlemay", Role.LEAD, founded);
        UUID runa = account("runa", "Runa Tolvane", Role.INSTRUCTOR, founded);
        UUID dessa = account("dessa", "Dessa Quillow", Role.INSTRUCTOR, founded);
        DemoRack rack = DemoRack.fill(new GenericShed(entities, ids, centreId, founded));
        Taught first = cohort(
                "First year",
                runa,
                founded,
                DemoCast.FIRST_YEAR,
                DemoCast.FIRST_YEAR_TERM,
                TolerancePreset.LEARNING,
                TolerancePreset.SITE);
        Taught second = cohort(
                "Second year",
                dessa,
                founded,
                DemoCast.SECOND_YEAR,
                DemoCast.SECOND_YEAR_TERM,
                TolerancePreset.SITE,
                TolerancePreset.SITE);
        entities.persist(new TraineeGroup(
                ids.next(),
                first.trainees().getFirst().cohortId(),
                "Stubs once more",
                first.trainees().stream().limit(4).map(Trainee::id).collect(Collectors.toSet())));
        calendar.open();
        rack(rack, runa);
        studies(oskar, runa, dessa);
        List<UUID> byHand = List.of(idOf(rack.half()), idOf(rack.threeQuarters()), idOf(rack.worn()));
        term(first, rack::forSession, 2, attending(first, Hours.MORNING, byHand), true);
        term(second, rack::forSession, 2, attending(second, Hours.AFTERNOON, byHand), false);
        calendar.awayInAWeek(first.trainees().get(3), "driving test", runa);
        new DemoSchool(entities, bases, calculations, Streams.elsewhere(), now, passwordHash, centreId, calendar)
                .notByHand(runa, dessa, founded);
        new DemoSchool(entities, bases, calculations, Streams.ofRuns(), now, passwordHash, centreId, calendar)
                .runs(runa, founded, rack);
    }

    /** Those who go on to runs, on the same benders as the others. */
    private void runs(UUID runa, Instant founded, DemoRack rack) {
        Taught third = cohort(
                "Third year",
                runa,
                founded,
                DemoCast.THIRD_YEAR,
                DemoCast.THIRD_YEAR_TERM,
                TolerancePreset.LEARNING,
                TolerancePreset.LEARNING);
        DemoSchool jobs =
                new DemoSchool(entities, bases, calculations, Streams.ofJobs(), now, passwordHash, centreId, calendar);
        List<UUID> byHand = List.of(idOf(rack.half()), idOf(rack.threeQuarters()));
        term(
                third,
                rack::forSession,
                1,
                attending(third, Hours.BACK, byHand),
                false,
                () -> jobs.together(third, rack.forSession(0)));
    }

    /** Three days ago they bent a run together, a piece each. */
    private void together(Taught cohort, Racked bender) {
        Instant start = now.minus(3, ChronoUnit.DAYS).minus(MORNING_SO_FAR);
        DemoExercise set = DemoCast.TOGETHER;
        Exercise whole = exercise(cohort, set, bender, start);
        Divided divided = Divided.of(new DivideRequest(whole.definition(), null, null, null, null, null, null));
        List<Divided.Alone> pieces = divided.alone(whole.definition());
        Map<Integer, UUID> givings = new TreeMap<>();
        for (Divided.Alone piece : pieces) {
            piece.portion().run().ifPresent(run -> {
                int number = piece.portion().number();
                Exercise own = exercise(
                        cohort,
                        new DemoExercise(set.place() + ", piece " + number + " of " + pieces.size(), run),
                        bender,
                        start);
                Giving giving = new Giving(
                        ids.next(), centreId, own.id(), cohort.instructor(), start, Giving.Terms.OPEN, false);
                entities.persist(giving);
                givings.put(number, giving.id());
                int place = (number - 1) % cohort.trainees().size();
                Assignment assignment = new Assignment(
                        ids.next(),
                        giving,
                        own.id(),
                        cohort.trainees().get(place).id(),
                        code());
                entities.persist(assignment);
                Layout layout = calculations.question(own.definition()).layout();
                record.attempt(
                        cohort.instructor(),
                        assignment,
                        own,
                        layout,
                        start.plus(12 + 4L * number, ChronoUnit.MINUTES),
                        new DemoBend(random, cohort.people().get(place), 1).readings(layout, bender.inTruth()),
                        Integer.MAX_VALUE);
            });
        }
        JobRecords.keep(entities, ids.next(), centreId, whole.id(), cohort.instructor(), start, givings);
        entities.flush();
        entities.clear();
    }

    private Exercise exercise(Taught cohort, DemoExercise set, Racked bender, Instant start) {
        return record.exercise(
                set, bender, cohort.late(), cohort.name().toLowerCase(Locale.ROOT), cohort.instructor(), start);
    }

    /** In the evenings: one group at the machine, one with heat guns. */
    private void notByHand(UUID runa, UUID dessa, Instant founded) {
        DemoRack.Elsewhere rack = DemoRack.Elsewhere.fill(new GenericShed(entities, ids, centreId, founded));
        Taught machine = cohort(
                "Tuesday evening, machine",
                dessa,
                founded,
                DemoCast.AT_THE_MACHINE,
                DemoCast.MACHINE_TERM,
                TolerancePreset.LEARNING,
                TolerancePreset.SITE);
        Taught heat = cohort(
                "Tuesday evening, plastic",
                runa,
                founded,
                DemoCast.WITH_HEAT,
                DemoCast.HEAT_TERM,
                TolerancePreset.BY_HAND,
                TolerancePreset.BY_HAND);
        term(machine, _ -> rack.machine(), 1, attending(machine, Hours.EVENING, List.of(idOf(rack.machine()))), true);
        term(heat, _ -> rack.heat(), 1, attending(heat, Hours.HEAT, List.of(idOf(rack.heat()))), true);
    }

    private String code() {
        for (int i = 0; i < DRAWS_OF_A_CODE; i++) {
            random.nextInt();
        }
        return SheetCode.next(codes);
    }

    private UUID account(String signInName, String fullName, Role role, Instant at) {
        Account account = new Account(ids.next(), centreId, signInName, fullName, role, passwordHash, at);
        entities.persist(account);
        return account.id();
    }

    private Taught cohort(
            String name,
            UUID instructor,
            Instant at,
            List<DemoPerson> people,
            List<DemoExercise> exercises,
            TolerancePreset early,
            TolerancePreset late) {
        Cohort cohort = new Cohort(ids.next(), centreId, name, Set.of(instructor), at);
        entities.persist(cohort);
        List<Trainee> trainees = new ArrayList<>();
        for (DemoPerson person : people) {
            Trainee trainee = new Trainee(ids.next(), cohort.id(), person.name(), trainees.size() + 1);
            entities.persist(trainee);
            trainees.add(trainee);
        }
        return new Taught(name, trainees, people, instructor, exercises, early, late);
    }

    /** What lies on the rack: counted, with some left-overs, and too little of one size. */
    private void rack(DemoRack rack, UUID by) {
        Ids own = new Ids(drawnFrom(STOCK));
        RackContents contents = new RackContents(entities, centreId, by, own::next);
        Instant ordered = now.minus(7L * WEEKS, ChronoUnit.DAYS);
        Instant counted = now.minus(4, ChronoUnit.DAYS);
        Length stick = Length.ofInches(120);
        Length shortest = Length.ofInches(24);
        ConduitSize half = rack.half().conduit();
        contents.delivered(
                half, new ConduitSize.Keeping("steel", stick, 20, shortest, RackContents.price(620)), 120, ordered);
        contents.counted(half, 83, counted);
        contents.broughtBack(half, Length.ofFraction(88, 1, 2), 1, counted);
        contents.broughtBack(half, Length.ofInches(41), 2, counted);
        ConduitSize threeQuarters = rack.threeQuarters().conduit();
        contents.delivered(
                threeQuarters,
                new ConduitSize.Keeping("steel", stick, 25, shortest, RackContents.price(940)),
                150,
                ordered);
        contents.counted(threeQuarters, 132, counted);
        contents.broughtBack(threeQuarters, Length.ofFraction(96, 3, 8), 1, counted);
        contents.broughtBack(threeQuarters, Length.ofFraction(57, 3, 4), 3, counted);
        contents.broughtBack(threeQuarters, Length.ofInches(30), 2, counted);
    }

    /** How they read: one of them a little long, which nobody has drawn anything from yet; and a study that goes on. */
    private void studies(UUID oskar, UUID runa, UUID dessa) {
        RandomGenerator own = drawnFrom(STUDIES);
        Ids numbers = new Ids(own);
        StudyContents contents = new StudyContents(entities, centreId, own);
        contents.study(
                numbers.next(),
                "Stub nineties on the trestle",
                8,
                List.of(
                        new StudyContents.Read(FeatureKind.LEG, 1 / 8.0, 17, 2, 0.022, 1 / 32.0),
                        new StudyContents.Read(FeatureKind.ANGLE, 2, 90, 2.5, 0.35, 0.25)),
                List.of(
                        new StudyContents.Reader(oskar, -0.4),
                        new StudyContents.Reader(runa, 0),
                        new StudyContents.Reader(dessa, 1.7)),
                16,
                now.minus(9, ChronoUnit.DAYS));
        contents.study(
                numbers.next(),
                "Offsets, by two people",
                6,
                List.of(
                        new StudyContents.Read(FeatureKind.RISE, 1 / 8.0, 4, 1.5, 0.03, 1 / 32.0),
                        new StudyContents.Read(FeatureKind.ANGLE, 2, 30, 2, 0.35, 0.25)),
                List.of(new StudyContents.Reader(runa, 0), new StudyContents.Reader(oskar, 0)),
                5,
                now.minus(1, ChronoUnit.DAYS));
    }

    private static UUID idOf(Racked bender) {
        return bender.known().bender().id();
    }

    private DemoCalendar.Term attending(Taught cohort, Hours hours, List<UUID> benders) {
        return calendar.term(new DemoCalendar.Course(cohort.trainees(), cohort.instructor(), hours, benders));
    }

    /** All sessions of a cohort, the last of them going on since this morning. */
    private void term(
            Taught cohort, IntFunction<Racked> rack, int sessionsAWeek, DemoCalendar.Term term, boolean seated) {
        term(cohort, rack, sessionsAWeek, term, seated, () -> {});
    }

    /**
     * @param seated whether their benders of the coming weeks have been dealt out
     * @param beforeToday what else they did before the session that is going on
     */
    private void term(
            Taught cohort,
            IntFunction<Racked> rack,
            int sessionsAWeek,
            DemoCalendar.Term term,
            boolean seated,
            Runnable beforeToday) {
        int sessions = WEEKS * sessionsAWeek;
        for (int session = 0; session <= sessions; session++) {
            boolean today = session == sessions;
            if (today) {
                beforeToday.run();
            }
            int daysAgo = (sessions - session) * 7 / sessionsAWeek;
            Instant start = now.minus(daysAgo, ChronoUnit.DAYS).minus(MORNING_SO_FAR);
            double partOfTerm = (double) session / sessions;
            Racked bender = rack.apply(session);
            Set<UUID> away = session(cohort, session, bender, start, partOfTerm, today);
            term.held(daysAgo, start, idOf(bender), away);
        }
        term.toCome(sessionsAWeek, seated);
    }

    /** Those who were not there. */
    private Set<UUID> session(
            Taught cohort, int session, Racked bender, Instant start, double partOfTerm, boolean today) {
        Set<UUID> away = bent(cohort, session, bender, start, partOfTerm, today);
        // What is written is let go: else every later question looks through all of it for changes.
        entities.flush();
        entities.clear();
        return away;
    }

    private Set<UUID> bent(Taught cohort, int session, Racked bender, Instant start, double partOfTerm, boolean today) {
        Set<UUID> away = new HashSet<>();
        DemoExercise set = cohort.exercises().get(session % cohort.exercises().size());
        TolerancePreset preset = partOfTerm < 0.4 ? cohort.early() : cohort.late();
        Exercise exercise = record.exercise(
                set, bender, preset, cohort.name().toLowerCase(Locale.ROOT), cohort.instructor(), start);
        Giving giving =
                new Giving(ids.next(), centreId, exercise.id(), cohort.instructor(), start, Giving.Terms.OPEN, false);
        entities.persist(giving);
        Layout layout = calculations.question(exercise.definition()).layout();
        for (int i = 0; i < cohort.trainees().size(); i++) {
            boolean absent = !today && random.nextDouble() < ABSENT;
            // Somebody always joins late and has nothing yet.
            Trainee trainee = cohort.trainees().get(i);
            if (absent || (today && i == cohort.trainees().size() - 1)) {
                if (absent) {
                    away.add(trainee.id());
                }
                continue;
            }
            Assignment assignment = new Assignment(ids.next(), giving, exercise.id(), trainee.id(), code());
            entities.persist(assignment);
            Instant measuredAt = start.plus(12 + 4L * i, ChronoUnit.MINUTES);
            if (today && measuredAt.isAfter(now)) {
                floor.beforeMeasuring(assignment, exercise, layout, start, i);
                continue;
            }
            DemoBend bend = new DemoBend(random, cohort.people().get(i), partOfTerm);
            int readings = today && measuredAt.plus(5, ChronoUnit.MINUTES).isAfter(now) ? 2 : Integer.MAX_VALUE;
            Map<FeatureId, Quantity> read = bend.readings(layout, bender.inTruth());
            Attempt attempt =
                    record.attempt(cohort.instructor(), assignment, exercise, layout, measuredAt, read, readings);
            if (!today && bender.known().revision().tool().kind() != ToolKind.SHOE) {
                record.bentOn(attempt, layout, read, cohort.instructor(), measuredAt.plus(6, ChronoUnit.MINUTES));
            }
            if (today && readings > 2) {
                floor.lookedOver(attempt, layout, read, cohort.instructor(), measuredAt, i);
            }
            if (!today && random.nextDouble() < ONCE_MORE) {
                Map<FeatureId, Quantity> again = bend.readings(layout, bender.inTruth());
                record.attempt(
                        cohort.instructor(),
                        assignment,
                        exercise,
                        layout,
                        measuredAt.plus(UNTIL_ONCE_MORE),
                        again,
                        readings);
            }
        }
        return away;
    }
}
