package lobrik.server.attempt;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.persistence.EntityManager;
import jakarta.persistence.Tuple;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import lobrik.assessment.Basis;
import lobrik.server.account.SignedIn;
import lobrik.server.calc.Calculations;
import lobrik.server.cohort.Cohorts;
import lobrik.server.cohort.Trainee;
import lobrik.server.exercise.Exercise;
import lobrik.server.exercise.Library;
import lobrik.server.platform.TurnedDown;
import lobrik.server.platform.Turns;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Finds attempts and has them judged; {@link Keeping} writes down what is found on them. */
@Service
public class Attempts {

    /** A class measures the same few exercises all morning. */
    private static final long MOST_REMEMBERED = 500;

    private final EntityManager entities;
    private final Cohorts cohorts;
    private final Library library;
    private final Calculations calculations;
    private final Cache<UUID, Exercise> exercises =
            Caffeine.newBuilder().maximumSize(MOST_REMEMBERED).build();
    private final Bases bases;
    private final Ledgers ledgers;

    Attempts(
            EntityManager entities,
            Cohorts cohorts,
            Library library,
            Calculations calculations,
            Bases bases,
            Ledgers ledgers) {
        this.entities = entities;
        this.cohorts = cohorts;
        this.library = library;
        this.calculations = calculations;
        this.bases = bases;
        this.ledgers = ledgers;
    }

    /**
     * Waits for the turn to write on an attempt, and opens it. Whoever may not see it does not hold it up: the right comes first.
     *
     * @throws TurnedDown if there is none for the one who asks
     */
    Opened forWriting(SignedIn who, UUID id) {
        Tuple found = cohorts
                .asked(
                        who,
                        "select t as trainee, s.givenAt as givenAt, "
                                + Turns.TURN.formatted("a.id") + " as turn from Attempt a"
                                + " join Trainee t on t.id = a.traineeId join Cohort c on c.id = t.cohortId"
                                + " join Assignment s on s.id = a.assignmentId where a.id = :id and %s",
                        Tuple.class)
                .setParameter("id", id)
                .getResultList()
                .stream()
                .findFirst()
                .orElseThrow(() -> TurnedDown.notFound("attempt"));
        // Who waited for somebody that is erased meanwhile finds nothing any more.
        Attempt attempt =
                Optional.ofNullable(entities.find(Attempt.class, id)).orElseThrow(() -> TurnedDown.notFound("attempt"));
        Exercise exercise = exercise(attempt);
        return new Opened(
                attempt,
                found.get("trainee", Trainee.class),
                found.get("givenAt", Instant.class),
                exercise,
                bases.of(attempt.basisId()),
                () -> calculations.question(exercise.definition()),
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

    /** What follows from these is worked out, by whoever has the turn of each: it need not be once more. */
    public void followed(Collection<UUID> ids) {
        entities.createNativeQuery("delete from follow_up where attempt_id in :ids")
                .setParameter("ids", ids)
                .executeUpdate();
    }

    /** What follows from it could not be worked out: it is on the list of what is tried again. */
    public void failedToFollow(UUID id) {
        entities.createNativeQuery("insert into follow_up (attempt_id, failed) values (:id, 1)"
                        + " on conflict (attempt_id) do update set failed = follow_up.failed + 1")
                .setParameter("id", id)
                .executeUpdate();
    }

    /** Of how many it could not be worked out what follows. */
    @Transactional(readOnly = true)
    public long notFollowed() {
        return (Long) entities.createNativeQuery("select count(*) from follow_up where failed > 0", Long.class)
                .getSingleResult();
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

    /** These attempts as they stand. */
    List<Measured> measured(List<Attempt> attempts) {
        return measured(
                attempts, bases.of(attempts.stream().map(Attempt::basisId).collect(Collectors.toSet())));
    }

    /**
     * The same, of attempts that may not be kept yet.
     *
     * @param basis what each is judged by, by its id
     */
    List<Measured> measured(List<Attempt> attempts, Map<UUID, Basis> basis) {
        if (attempts.isEmpty()) {
            return List.of();
        }
        Map<UUID, Exercise> byId =
                library.byId(attempts.stream().map(Attempt::exerciseId).collect(Collectors.toSet()));
        Map<UUID, Ledger> written =
                ledgers.of(attempts.stream().map(Attempt::id).toList());
        List<Measured> measured = new ArrayList<>();
        for (Attempt attempt : attempts) {
            Exercise exercise = byId.get(attempt.exerciseId());
            if (exercise == null) {
                throw TurnedDown.notFound("exercise");
            }
            Ledger ledger = Objects.requireNonNullElse(written.get(attempt.id()), Ledger.EMPTY);
            measured.add(Measured.of(
                    attempt,
                    exercise,
                    Objects.requireNonNull(basis.get(attempt.basisId())),
                    () -> calculations.question(exercise.definition()),
                    ledger));
        }
        return List.copyOf(measured);
    }
}
