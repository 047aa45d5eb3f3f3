package lobrik.server.attempt;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import lobrik.measure.Quantity;
import lobrik.server.account.SignedIn;
import lobrik.server.calc.Calculations;
import lobrik.server.cohort.Cohorts;
import lobrik.server.cohort.Trainee;
import lobrik.server.exercise.Exercise;
import lobrik.server.exercise.Library;
import lobrik.server.giving.Assignment;
import lobrik.server.giving.Giving;
import lobrik.server.giving.Givings;
import lobrik.server.platform.TurnedDown;
import lobrik.server.platform.Turns;
import lobrik.shape.FeatureId;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Opens attempts, keeps their readings, and has them judged. */
@Service
public class Attempts {

    /** An attempt with its exercise, its readings from the oldest, and what the core says. */
    public record Measured(Attempt attempt, Exercise exercise, List<ReadingRow> readings, Verdict verdict) {

        /** The current reading of each feature: the last of its corrections. */
        static Map<FeatureId, ReadingRow> current(List<ReadingRow> readings) {
            Map<FeatureId, ReadingRow> current = new EnumMap<>(FeatureId.class);
            readings.forEach(row -> current.put(row.feature(), row));
            return current;
        }
    }

    private final EntityManager entities;
    private final Cohorts cohorts;
    private final Givings givings;
    private final Library library;
    private final Calculations calculations;
    private final Turns turns;
    private final Clock clock;

    Attempts(
            EntityManager entities,
            Cohorts cohorts,
            Givings givings,
            Library library,
            Calculations calculations,
            Turns turns,
            Clock clock) {
        this.entities = entities;
        this.cohorts = cohorts;
        this.givings = givings;
        this.library = library;
        this.calculations = calculations;
        this.turns = turns;
        this.clock = clock;
    }

    /**
     * Opens an attempt at what the trainee is on, or goes on with the one that is not complete yet.
     *
     * @param id made by the client; an attempt that exists is returned as it is
     * @param assignmentId what was given to the trainee; whatever was given last if null
     * @throws TurnedDown if nothing was given, or if all tries are used up
     */
    @Transactional
    public Measured open(SignedIn who, UUID id, UUID traineeId, @Nullable UUID assignmentId) {
        Trainee trainee = cohorts.trainee(who, traineeId);
        turns.take(traineeId);
        Attempt already = entities.find(Attempt.class, id);
        if (already != null) {
            return get(who, id);
        }
        Assignment assignment = assignmentId == null
                ? givings.currentOf(List.of(traineeId)).get(traineeId)
                : givings.assignment(assignmentId);
        if (assignment == null || !assignment.traineeId().equals(traineeId)) {
            throw TurnedDown.conflict(
                    "nothing-given", trainee.fullName() + " has no such exercise yet; set one and give it first");
        }
        List<Attempt> before = attemptsAt(List.of(assignment.id()));
        if (!before.isEmpty()) {
            Measured last = measured(before).getLast();
            if (!last.verdict().isComplete()) {
                return last;
            }
        }
        requireTryLeft(trainee, before.size(), givings.terms(assignment));
        Exercise exercise = library.byId(List.of(assignment.exerciseId())).get(assignment.exerciseId());
        if (exercise == null) {
            throw TurnedDown.notFound("exercise");
        }
        Attempt attempt = new Attempt(id, assignment, exercise.tolerances(), who.accountId(), clock.instant());
        entities.persist(attempt);
        return measured(List.of(attempt)).getFirst();
    }

    private static void requireTryLeft(Trainee trainee, int used, Giving.Terms terms) {
        Integer tries = terms.tries();
        if (tries != null && used >= tries) {
            throw TurnedDown.conflict(
                    "tries-used",
                    trainee.fullName() + " has used " + (tries == 1 ? "the one try" : "all " + tries + " tries")
                            + " at this exercise; give it again to go on");
        }
    }

    /**
     * The attempt with this id.
     *
     * @throws TurnedDown if there is none for the one who asks
     */
    @Transactional(readOnly = true)
    public Measured get(SignedIn who, UUID id) {
        return measured(List.of(require(who, id))).getFirst();
    }

    private Attempt require(SignedIn who, UUID id) {
        Attempt attempt = entities.find(Attempt.class, id);
        if (attempt == null) {
            throw TurnedDown.notFound("attempt");
        }
        cohorts.trainee(who, attempt.traineeId());
        return attempt;
    }

    /**
     * Keeps a reading. When this returns it is on disk.
     *
     * @param row its id is made by the client; a row that says the same under the same id is not kept twice
     * @throws TurnedDown if the feature is not measured on this piece, if it was measured or corrected meanwhile, or if
     *     the id was used for something else
     */
    @Transactional
    public Measured keep(SignedIn who, ReadingRow row) {
        Attempt attempt = require(who, row.attemptId());
        turns.take(attempt.id());
        Measured before = measured(List.of(attempt)).getFirst();
        ReadingRow same = entities.find(ReadingRow.class, row.id());
        if (same != null) {
            if (!same.saysTheSameAs(row)) {
                throw TurnedDown.conflict("key-used", "This key was used for another reading; make a new one");
            }
            return before;
        }
        requireMeasurable(before.verdict(), row.feature());
        requireCorrectable(Measured.current(before.readings()).get(row.feature()), row.corrects());
        entities.persist(row);
        List<ReadingRow> readings = new ArrayList<>(before.readings());
        readings.add(row);
        return judged(attempt, before.exercise(), before.verdict().question(), readings);
    }

    private static void requireMeasurable(Verdict verdict, FeatureId feature) {
        if (verdict.features().stream().noneMatch(measured -> measured.id() == feature)) {
            throw TurnedDown.badInput(
                    "/feature", "unknown-value", "“" + feature.id() + "” is not measured on this piece");
        }
    }

    private static void requireCorrectable(@Nullable ReadingRow current, @Nullable UUID corrects) {
        if (current == null && corrects != null) {
            throw TurnedDown.conflict("nothing-to-correct", "This feature was not measured yet; enter it as a reading");
        }
        if (current != null && corrects == null) {
            throw TurnedDown.conflict(
                    "measured-already", "This was measured already; to change it, correct it with a reason");
        }
        if (current != null && !current.id().equals(corrects)) {
            throw TurnedDown.conflict(
                    "corrected-already", "Somebody corrected this reading meanwhile; look at it and correct it again");
        }
    }

    /** Attempts at these assignments, from the oldest. */
    private List<Attempt> attemptsAt(Collection<UUID> assignmentIds) {
        return entities.createQuery("from Attempt where assignmentId in :ids order by startedAt, id", Attempt.class)
                .setParameter("ids", assignmentIds)
                .getResultList();
    }

    /** The last attempt at each of these assignments, by assignment. */
    @Transactional(readOnly = true)
    public Map<UUID, Measured> lastAt(Collection<UUID> assignmentIds) {
        Map<UUID, Attempt> last = new HashMap<>();
        attemptsAt(assignmentIds).forEach(attempt -> last.put(attempt.assignmentId(), attempt));
        return measured(List.copyOf(last.values())).stream()
                .collect(Collectors.toMap(measured -> measured.attempt().assignmentId(), Function.identity()));
    }

    /** All attempts of these trainees, from the oldest. The one who asks must be allowed to see them. */
    @Transactional(readOnly = true)
    public List<Measured> of(Collection<UUID> traineeIds) {
        return measured(
                entities.createQuery("from Attempt where traineeId in :ids order by startedAt, id", Attempt.class)
                        .setParameter("ids", traineeIds)
                        .getResultList());
    }

    private List<Measured> measured(List<Attempt> attempts) {
        Map<UUID, Exercise> byId =
                library.byId(attempts.stream().map(Attempt::exerciseId).collect(Collectors.toSet()));
        Map<UUID, List<ReadingRow>> readings = readingsOf(
                        attempts.stream().map(Attempt::id).toList())
                .stream()
                .collect(Collectors.groupingBy(ReadingRow::attemptId));
        Map<UUID, Calculations.Question> questions = new HashMap<>();
        List<Measured> measured = new ArrayList<>();
        for (Attempt attempt : attempts) {
            Exercise exercise = byId.get(attempt.exerciseId());
            if (exercise == null) {
                throw TurnedDown.notFound("exercise");
            }
            Calculations.Question question =
                    questions.computeIfAbsent(exercise.id(), id -> calculations.question(exercise.definition()));
            measured.add(judged(attempt, exercise, question, readings.getOrDefault(attempt.id(), List.of())));
        }
        return List.copyOf(measured);
    }

    private static Measured judged(
            Attempt attempt, Exercise exercise, Calculations.Question question, List<ReadingRow> readings) {
        Map<FeatureId, Quantity> values = new EnumMap<>(FeatureId.class);
        Measured.current(readings).forEach((feature, row) -> values.put(feature, row.value()));
        Verdict verdict = Verdict.of(question, attempt.tolerances().toCore(), values);
        return new Measured(attempt, exercise, List.copyOf(readings), verdict);
    }

    /** Readings from the oldest; a correction always comes after what it corrects. */
    private List<ReadingRow> readingsOf(Collection<UUID> attemptIds) {
        List<ReadingRow> rows = entities.createQuery("from ReadingRow where attemptId in :ids", ReadingRow.class)
                .setParameter("ids", attemptIds)
                .getResultList();
        Map<UUID, ReadingRow> byId = rows.stream().collect(Collectors.toMap(ReadingRow::id, Function.identity()));
        return rows.stream()
                .sorted(Comparator.comparingInt((ReadingRow row) -> corrections(row, byId))
                        .thenComparing(ReadingRow::takenAt))
                .toList();
    }

    /** How many corrections led to a row. Clocks may be set back; the chain cannot. */
    private static int corrections(ReadingRow row, Map<UUID, ReadingRow> byId) {
        int depth = 0;
        for (ReadingRow at = row; at != null && at.corrects() != null; at = byId.get(at.corrects())) {
            depth++;
        }
        return depth;
    }
}
