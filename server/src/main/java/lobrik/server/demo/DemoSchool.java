package lobrik.server.demo;

import jakarta.persistence.EntityManager;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.random.RandomGenerator;
import java.util.stream.Collectors;
import lobrik.layout.Layout;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Quantity;
import lobrik.measure.TapeDivision;
import lobrik.server.account.Account;
import lobrik.server.account.Role;
import lobrik.server.attempt.Attempt;
import lobrik.server.attempt.ReadingRow;
import lobrik.server.attempt.TakenWith;
import lobrik.server.calc.BendInput;
import lobrik.server.calc.BenderInput;
import lobrik.server.calc.Calculations;
import lobrik.server.calc.ConduitInput;
import lobrik.server.calc.LayoutRequest;
import lobrik.server.cohort.Centre;
import lobrik.server.cohort.Cohort;
import lobrik.server.cohort.Trainee;
import lobrik.server.cohort.TraineeGroup;
import lobrik.server.demo.DemoCast.DemoExercise;
import lobrik.server.demo.DemoRack.Racked;
import lobrik.server.exercise.Content;
import lobrik.server.exercise.Exercise;
import lobrik.server.exercise.LibraryEntry;
import lobrik.server.exercise.ReadingsAsked;
import lobrik.server.giving.Assignment;
import lobrik.server.giving.Giving;
import lobrik.server.giving.SheetCode;
import lobrik.server.shed.ToleranceFigures;
import lobrik.shape.FeatureId;
import lobrik.verdict.TolerancePreset;
import org.jspecify.annotations.Nullable;

/** Tern Quay Apprentice School: eight weeks of two cohorts up to this morning, the same for the same seed and day. */
final class DemoSchool {

    private static final int WEEKS = 8;
    private static final double ABSENT = 0.07;
    private static final double MISREAD = 0.01;

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
    private final Calculations calculations;
    private final Ids ids;
    private final RandomGenerator random;
    private final Instant now;
    private final String passwordHash;
    private final UUID centreId;
    private final DemoFloor floor;
    private final Map<String, UUID> entries = new HashMap<>();
    private final Map<String, Integer> versions = new HashMap<>();

    DemoSchool(
            EntityManager entities,
            Calculations calculations,
            Ids ids,
            RandomGenerator random,
            Instant now,
            String passwordHash) {
        this.entities = entities;
        this.calculations = calculations;
        this.ids = ids;
        this.random = random;
        this.now = now;
        this.passwordHash = passwordHash;
        this.centreId = ids.next();
        this.floor = new DemoFloor(entities, ids, now);
    }

    void load() {
        Instant founded = now.minus(7L * (WEEKS + 2), ChronoUnit.DAYS);
        entities.persist(new Centre(centreId, "Tern Quay Apprentice School", founded));
        account("oskar", "Oskar Brindlemay", Role.LEAD, founded);
        UUID runa = account("runa", "Runa Tolvane", Role.INSTRUCTOR, founded);
        UUID dessa = account("dessa", "Dessa Quillow", Role.INSTRUCTOR, founded);
        DemoRack rack = DemoRack.fill(new GenericShed(entities, ids, centreId));
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
        term(first, rack, 2);
        term(second, rack, 2);
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

    /** All sessions of a cohort, the last of them going on since this morning. */
    private void term(Taught cohort, DemoRack rack, int sessionsAWeek) {
        int sessions = WEEKS * sessionsAWeek;
        for (int session = 0; session <= sessions; session++) {
            boolean today = session == sessions;
            int daysAgo = (sessions - session) * 7 / sessionsAWeek;
            Instant start = now.minus(daysAgo, ChronoUnit.DAYS).minus(MORNING_SO_FAR);
            double partOfTerm = (double) session / sessions;
            session(cohort, session, rack.forSession(session), start, partOfTerm, today);
        }
    }

    private void session(Taught cohort, int session, Racked bender, Instant start, double partOfTerm, boolean today) {
        DemoExercise set = cohort.exercises().get(session % cohort.exercises().size());
        TolerancePreset preset = partOfTerm < 0.4 ? cohort.early() : cohort.late();
        Exercise exercise = exercise(set, bender, preset, cohort, start);
        Giving giving =
                new Giving(ids.next(), centreId, exercise.id(), cohort.instructor(), start, Giving.Terms.OPEN, false);
        entities.persist(giving);
        Layout layout = calculations.question(exercise.definition()).layout();
        for (int i = 0; i < cohort.trainees().size(); i++) {
            boolean absent = !today && random.nextDouble() < ABSENT;
            // Somebody always joins late and has nothing yet.
            if (absent || (today && i == cohort.trainees().size() - 1)) {
                continue;
            }
            Trainee trainee = cohort.trainees().get(i);
            Assignment assignment =
                    new Assignment(ids.next(), giving, exercise.id(), trainee.id(), SheetCode.next(random));
            entities.persist(assignment);
            Instant measuredAt = start.plus(12 + 4L * i, ChronoUnit.MINUTES);
            if (today && measuredAt.isAfter(now)) {
                floor.beforeMeasuring(assignment, exercise, start, i);
                continue;
            }
            DemoBend bend = new DemoBend(random, cohort.people().get(i), partOfTerm);
            int readings = today && measuredAt.plus(5, ChronoUnit.MINUTES).isAfter(now) ? 2 : Integer.MAX_VALUE;
            Map<FeatureId, Quantity> read = bend.readings(layout, bender.inTruth());
            Attempt attempt = attempt(cohort, assignment, preset, measuredAt, read, readings);
            if (today && readings > 2) {
                floor.lookedOver(attempt, layout, read, cohort.instructor(), measuredAt, i);
            }
            if (!today && random.nextDouble() < ONCE_MORE) {
                Map<FeatureId, Quantity> again = bend.readings(layout, bender.inTruth());
                attempt(cohort, assignment, preset, measuredAt.plus(UNTIL_ONCE_MORE), again, readings);
            }
        }
    }

    private Exercise exercise(DemoExercise set, Racked bender, TolerancePreset preset, Taught cohort, Instant at) {
        UUID instructor = cohort.instructor();
        var figures = bender.profile().figures();
        LayoutRequest definition = new LayoutRequest(
                // A kick's mark by the chart is off by most of an inch: that is for a lesson on methods, not for a
                // judged piece.
                set.bend() instanceof BendInput.Kick ? LayoutRequest.Method.EXACT : LayoutRequest.Method.CHART,
                TapeDivision.SIXTEENTH.step().inches(),
                new ConduitInput(bender.conduit().outsideDiameter().inches()),
                new BenderInput(
                        figures.takeUp().inches(),
                        figures.radius().inches(),
                        figures.minSpacing().inches(),
                        figures.minStub().inches(),
                        figures.minStanding().inches(),
                        figures.springback().degrees()),
                set.bend(),
                null,
                null,
                null,
                new LayoutRequest.PlaceInput(set.situation().id(), null));
        Content content = new Content(
                set.place(),
                set.level(),
                List.of(cohort.name().toLowerCase(Locale.ROOT), bender.conduit().label()),
                bender.conduit().label(),
                bender.profile().label(),
                definition,
                null,
                ToleranceFigures.of(preset),
                ReadingsAsked.ALL,
                null);
        Exercise exercise = new Exercise(
                ids.next(), centreId, entry(set, instructor, at), nextVersion(set), content, instructor, at);
        entities.persist(exercise);
        return exercise;
    }

    /** The library's entry of what was set; the same exercise later in the term is a new version of it. */
    private UUID entry(DemoExercise set, UUID instructor, Instant at) {
        return entries.computeIfAbsent(set.place(), _ -> {
            LibraryEntry entry = new LibraryEntry(ids.next(), centreId, instructor, at);
            entities.persist(entry);
            return entry.id();
        });
    }

    private int nextVersion(DemoExercise set) {
        return versions.merge(set.place(), 1, Integer::sum);
    }

    private Attempt attempt(
            Taught cohort,
            Assignment assignment,
            TolerancePreset preset,
            Instant at,
            Map<FeatureId, Quantity> read,
            int howMany) {
        Attempt attempt = new Attempt(
                ids.next(), assignment, ToleranceFigures.of(preset), ReadingsAsked.ALL, cohort.instructor(), at);
        entities.persist(attempt);
        Instant taken = at;
        for (Map.Entry<FeatureId, Quantity> reading :
                read.entrySet().stream().limit(howMany).toList()) {
            taken = taken.plus(5, ChronoUnit.SECONDS);
            keep(attempt, reading.getKey(), reading.getValue(), cohort.instructor(), taken);
        }
        return attempt;
    }

    /** Keeps a reading; now and then it was first read a sixteenth off and then corrected. */
    private void keep(Attempt attempt, FeatureId feature, Quantity value, UUID by, Instant at) {
        if (value instanceof Length length && random.nextDouble() < MISREAD) {
            Length misread = length.plus(TapeDivision.SIXTEENTH.step());
            UUID first = ids.next();
            keep(attempt, feature, first, misread, taken(by, at), null);
            ReadingRow.Correction correction = new ReadingRow.Correction(first, "Read the wrong line of the tape");
            keep(attempt, feature, ids.next(), length, taken(by, at.plus(2, ChronoUnit.MINUTES)), correction);
        } else {
            keep(attempt, feature, ids.next(), value, taken(by, at), null);
        }
    }

    private void keep(
            Attempt attempt,
            FeatureId feature,
            UUID id,
            Quantity value,
            ReadingRow.Taken taken,
            ReadingRow.@Nullable Correction correction) {
        String typed = switch (value) {
            case Length length -> TapeDivision.SIXTEENTH.text(length);
            case Angle angle -> angle.text();
        };
        entities.persist(ReadingRow.read(id, attempt.id(), feature, value, typed, taken, correction));
    }

    private static ReadingRow.Taken taken(UUID by, Instant at) {
        return new ReadingRow.Taken(by, TakenWith.KEYS, null, at, at);
    }
}
