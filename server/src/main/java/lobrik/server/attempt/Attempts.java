package lobrik.server.attempt;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.persistence.EntityManager;
import jakarta.persistence.Tuple;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lobrik.bend.BendKind;
import lobrik.feature.FeatureId;
import lobrik.layout.Layout;
import lobrik.layout.Mark;
import lobrik.layout.MarkDatum;
import lobrik.layout.PlannedFeature;
import lobrik.layout.TakenMark;
import lobrik.measure.Length;
import lobrik.measure.Quantity;
import lobrik.server.account.SignedIn;
import lobrik.server.calc.Calculations;
import lobrik.server.calc.DatumName;
import lobrik.server.cohort.Cohorts;
import lobrik.server.cohort.Trainee;
import lobrik.server.exercise.Exercise;
import lobrik.server.exercise.Library;
import lobrik.server.platform.TurnedDown;
import lobrik.server.platform.Turns;
import lobrik.verdict.InspectionPoint;
import lobrik.verdict.Tolerances;
import lobrik.verdict.Yardstick;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Finds attempts and has them judged; {@link Keeping} writes down what is found on them. */
@Service
public class Attempts {

    /** An attempt with its exercise, all that was written down of it, and what the core says. */
    public record Measured(Attempt attempt, Exercise exercise, Ledger ledger, Verdict verdict) {

        /** What it would have been under other tolerances. */
        public Verdict under(Tolerances other) {
            return Verdict.of(rules(attempt, other), verdict.question(), ledger.said());
        }

        /** The trainee's own figures for the marks, by number; empty where they are not known. */
        public Map<Integer, Length> own() {
            return ledger.said().ownFigures();
        }

        /**
         * The marks that were measured from the back of an earlier bend. Where nobody said, as they are taught; what was begun
         * before that was asked was measured from the end.
         */
        public Set<Integer> fromBack() {
            Map<FeatureId, DatumName> said = ledger.said().takenFrom();
            DatumName usual = attempt.yardstick() == Yardstick.AS_ASKED ? DatumName.END : DatumName.BACK;
            return verdict.question().layout().marks().stream()
                    .filter(mark -> mark.back().isPresent())
                    .map(Mark::number)
                    .filter(number -> said.getOrDefault(FeatureId.mark(number), usual) == DatumName.BACK)
                    .collect(Collectors.toSet());
        }

        /** A mark that was measured from the back of an earlier bend; empty for any other, and for what is no mark. */
        public Optional<Mark> markFromBack(FeatureId feature) {
            Set<Integer> fromBack = fromBack();
            return verdict.question().layout().marks().stream()
                    .filter(mark -> FeatureId.mark(mark.number()).equals(feature) && fromBack.contains(mark.number()))
                    .findFirst();
        }

        /** What a feature is held to, as the tape reads it: a mark from where it was measured. */
        public Quantity targetAsTaken(Verdict.MeasuredFeature feature) {
            return markFromBack(feature.id())
                    .<Quantity>map(mark -> mark.onBack((Length) feature.target()))
                    .orElse(feature.target());
        }

        /** A figure of a mark that may be measured from either end; empty for any other. */
        Optional<TakenMark> takenFromEitherEnd(FeatureId feature, Length figure, Optional<MarkDatum> said) {
            Layout layout = verdict.question().layout();
            BendKind kind = layout.job().bend().kind();
            Length near =
                    (Length) attempt.tolerances().toCore().of(kind, feature).widest();
            return layout.marks().stream()
                    .filter(mark -> FeatureId.mark(mark.number()).equals(feature)
                            && mark.back().isPresent())
                    .findFirst()
                    .map(mark -> TakenMark.of(mark, figure, said, mark.position(), near));
        }

        /** The points that were found faulty. */
        public Set<InspectionPoint> faulty() {
            return ledger.said().faulty();
        }

        /** How often a bend went back into the shoe. */
        public int rebent() {
            return ledger.rework().size();
        }

        /** Whether it is verified and locked. */
        public boolean isSealed() {
            return ledger.isSealed();
        }

        /** What the trainee last said to be doing. */
        public Optional<StepRow> lastStep() {
            return ledger.lastStep();
        }

        /** The trainee's own figures for the marks, once they are in. */
        public Optional<List<BenchNotes.OwnFigureView>> ownFigures() {
            return BenchNotes.ownFigures(this);
        }

        /** What the trainee would cut the conduit to, once that is in. */
        public Optional<BenchNotes.OwnCutView> ownCut() {
            return BenchNotes.ownCut(this);
        }

        /** What is looked over on this piece, and whether the trainee found it good; of what was not looked at, nothing. */
        public Map<InspectionPoint, Optional<Boolean>> ownLook() {
            Map<InspectionPoint, Boolean> found = ledger.ownLook();
            Map<InspectionPoint, Optional<Boolean>> look = new LinkedHashMap<>();
            BenchNotes.lookedOver(this).forEach(point -> look.put(point, Optional.ofNullable(found.get(point))));
            return look;
        }

        /** What became of the conduit that was spoilt for it; nothing where nobody wrote that down. */
        public Length wasted() {
            return ledger.newest("waste")
                    .map(row -> ((Fact.Waste) row.said()).lengthIn())
                    .map(Length::ofInches)
                    .orElse(Length.ZERO);
        }

        /** How long it took in minutes, where that is known. */
        public Optional<Integer> minutes() {
            return Optional.ofNullable(BenchNotes.minutes(this));
        }

        /** When it was measured: its first reading, so that a later correction does not move it. */
        public Optional<Instant> measuredAt() {
            return ledger.readings().stream().map(ReadingRow::takenAt).min(Comparator.naturalOrder());
        }

        /** When something was last done about it, by whoever it was; never before it was begun. */
        public Instant workedAt() {
            return Stream.of(
                            ledger.readings().stream().map(ReadingRow::receivedAt),
                            ledger.facts().stream().map(FactRow::receivedAt),
                            ledger.steps().stream().map(StepRow::setAt))
                    .flatMap(Function.identity())
                    .reduce(attempt.startedAt(), (one, other) -> one.isAfter(other) ? one : other);
        }

        /** Whether something was read on it since this step. */
        public boolean isReadSince(StepRow step) {
            return ledger.readings().stream().anyMatch(row -> Kept.isAfter(row.entryNo(), step.entryNo()));
        }

        /** When something was last read on it. */
        public Optional<Instant> lastReadAt() {
            return ledger.readings().stream().map(ReadingRow::receivedAt).max(Comparator.naturalOrder());
        }
    }

    /**
     * An attempt that somebody may write on, and with what was written down of it so far.
     *
     * @param givenAt when its exercise was handed out
     */
    record Opened(
            Attempt attempt,
            Trainee trainee,
            Instant givenAt,
            Exercise exercise,
            Calculations.Question question,
            Ledger ledger) {

        /** Whether a feature is read on this piece. */
        boolean isMeasured(FeatureId feature) {
            Layout layout = question.layout();
            List<FeatureId> measurable =
                    layout.features().stream().map(PlannedFeature::id).toList();
            return attempt.readings()
                    .toCore()
                    .of(layout.job().bend().kind(), measurable)
                    .contains(feature);
        }

        /** As the core sees it. */
        Measured measured() {
            return with(ledger);
        }

        /** The same once something more is written down. */
        Measured with(Ledger more) {
            return new Measured(attempt, exercise, more, judged(attempt, question, more));
        }
    }

    /** A class measures the same few exercises all morning. */
    private static final long MOST_REMEMBERED = 500;

    private final EntityManager entities;
    private final Cohorts cohorts;
    private final Library library;
    private final Calculations calculations;
    private final Cache<UUID, Exercise> exercises =
            Caffeine.newBuilder().maximumSize(MOST_REMEMBERED).build();
    private final Ledgers ledgers;

    Attempts(EntityManager entities, Cohorts cohorts, Library library, Calculations calculations, Ledgers ledgers) {
        this.entities = entities;
        this.cohorts = cohorts;
        this.library = library;
        this.calculations = calculations;
        this.ledgers = ledgers;
    }

    /**
     * Waits for the turn to write on an attempt, and opens it. Whoever may not see it does not hold it up: the right comes first.
     *
     * @throws TurnedDown if there is none for the one who asks
     */
    Opened forWriting(SignedIn who, UUID id) {
        Tuple found = cohorts.asked(
                        who,
                        "select t as trainee, s.givenAt as givenAt,"
                                + " cast(function('pg_advisory_xact_lock', :turn) as String) as turn from Attempt a"
                                + " join Trainee t on t.id = a.traineeId join Cohort c on c.id = t.cohortId"
                                + " join Assignment s on s.id = a.assignmentId where a.id = :id and %s",
                        Tuple.class)
                .setParameter("id", id)
                .setParameter("turn", Turns.key(id))
                .getResultStream()
                .findFirst()
                .orElseThrow(() -> TurnedDown.notFound("attempt"));
        Attempt attempt = entities.find(Attempt.class, id);
        Exercise exercise = exercise(attempt);
        return new Opened(
                attempt,
                found.get("trainee", Trainee.class),
                found.get("givenAt", Instant.class),
                exercise,
                calculations.question(exercise.definition()),
                ledgers.of(id));
    }

    /** What was given out never changes, so it is read once. */
    private Exercise exercise(Attempt attempt) {
        return exercises.get(attempt.exerciseId(), id -> {
            Exercise exercise = library.byId(Set.of(id)).get(id);
            if (exercise == null) {
                throw TurnedDown.notFound("exercise");
            }
            return exercise;
        });
    }

    private static Verdict judged(Attempt attempt, Calculations.Question question, Ledger ledger) {
        return Verdict.of(rules(attempt, attempt.tolerances().toCore()), question, ledger.said());
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

    /** The attempt with this id, unless there is none for the one who asks. */
    Attempt require(SignedIn who, UUID id) {
        Attempt attempt = entities.find(Attempt.class, id);
        if (attempt == null) {
            throw TurnedDown.notFound("attempt");
        }
        cohorts.trainee(who, attempt.traineeId());
        return attempt;
    }

    /** The same attempt as it stands now. */
    @Transactional(readOnly = true)
    public Measured again(Attempt attempt) {
        return measured(List.of(attempt)).getFirst();
    }

    /**
     * The ids of some of all attempts, in their order, for whoever works through the whole record.
     *
     * @param after the last id that was had; null for the first ones
     */
    @Transactional(readOnly = true)
    public List<UUID> page(@Nullable UUID after, int howMany) {
        return entities.createQuery(
                        "select id from Attempt where cast(:after as uuid) is null or id > :after order by id",
                        UUID.class)
                .setParameter("after", after)
                .setMaxResults(howMany)
                .getResultList();
    }

    /** These attempts as they stand, in the order of their ids. */
    @Transactional(readOnly = true)
    public List<Measured> all(Collection<UUID> ids) {
        return measured(entities.createQuery("from Attempt where id in :ids order by id", Attempt.class)
                .setParameter("ids", ids)
                .getResultList());
    }

    /** Attempts at these assignments, from the oldest. */
    List<Attempt> attemptsAt(Collection<UUID> assignmentIds) {
        if (assignmentIds.isEmpty()) {
            return List.of();
        }
        return entities.createQuery("from Attempt where assignmentId in :ids order by entryNo", Attempt.class)
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
        return measured(entities.createQuery("from Attempt where traineeId in :ids order by entryNo", Attempt.class)
                .setParameter("ids", traineeIds)
                .getResultList());
    }

    private static Verdict.Rules rules(Attempt attempt, Tolerances tolerances) {
        return new Verdict.Rules(
                attempt.yardstick(),
                attempt::target,
                tolerances,
                attempt.readings().toCore());
    }

    /** These attempts as they stand; what is not kept yet is judged as well. */
    List<Measured> measured(List<Attempt> attempts) {
        if (attempts.isEmpty()) {
            return List.of();
        }
        Map<UUID, Exercise> byId =
                library.byId(attempts.stream().map(Attempt::exerciseId).collect(Collectors.toSet()));
        Map<UUID, Ledger> written =
                ledgers.of(attempts.stream().map(Attempt::id).toList());
        Map<UUID, Calculations.Question> questions = new HashMap<>();
        List<Measured> measured = new ArrayList<>();
        for (Attempt attempt : attempts) {
            Exercise exercise = byId.get(attempt.exerciseId());
            if (exercise == null) {
                throw TurnedDown.notFound("exercise");
            }
            Calculations.Question question =
                    questions.computeIfAbsent(exercise.id(), id -> calculations.question(exercise.definition()));
            Ledger ledger = Objects.requireNonNullElse(written.get(attempt.id()), Ledger.EMPTY);
            measured.add(new Measured(attempt, exercise, ledger, judged(attempt, question, ledger)));
        }
        return List.copyOf(measured);
    }
}
