package lobrik.server.exercise;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import lobrik.server.account.SignedIn;
import lobrik.server.calc.Calculations;
import lobrik.server.calc.LayoutRequest;
import lobrik.server.cohort.Cohorts;
import lobrik.server.cohort.Trainee;
import lobrik.server.platform.TurnedDown;
import lobrik.server.platform.Turns;
import lobrik.server.shed.ToleranceFigures;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Sets exercises and gives them out. */
@Service
public class Exercises {

    /** An exercise to be set. */
    record Draft(
            UUID id,
            String title,
            String conduitLabel,
            String benderLabel,
            LayoutRequest definition,
            ToleranceFigures tolerances) {}

    private final EntityManager entities;
    private final Cohorts cohorts;
    private final Calculations calculations;
    private final Turns turns;
    private final Clock clock;

    Exercises(EntityManager entities, Cohorts cohorts, Calculations calculations, Turns turns, Clock clock) {
        this.entities = entities;
        this.cohorts = cohorts;
        this.calculations = calculations;
        this.turns = turns;
        this.clock = clock;
    }

    /**
     * Sets an exercise and gives it to a whole cohort or to one trainee. Repeating the request changes nothing.
     *
     * @return to how many it was given
     * @throws lobrik.fault.Refused if it cannot be laid out
     */
    @Transactional
    public int setAndGive(SignedIn who, Draft draft, @Nullable UUID cohortId, @Nullable UUID traineeId) {
        List<Trainee> receivers = receivers(who, cohortId, traineeId);
        turns.take(draft.id());
        Exercise already = entities.find(Exercise.class, draft.id());
        if (already != null) {
            return givenAlready(who, already);
        }
        calculations.layout(draft.definition());
        draft.tolerances().toCore();
        entities.persist(new Exercise(
                draft.id(),
                who.centreId(),
                draft.title(),
                draft.conduitLabel(),
                draft.benderLabel(),
                draft.definition(),
                draft.tolerances(),
                who.accountId(),
                clock.instant()));
        for (Trainee receiver : receivers) {
            entities.persist(
                    new Assignment(UUID.randomUUID(), draft.id(), receiver.id(), who.accountId(), clock.instant()));
        }
        return receivers.size();
    }

    private int givenAlready(SignedIn who, Exercise exercise) {
        if (!exercise.centreId().equals(who.centreId())) {
            throw TurnedDown.conflict("id-taken", "This id is taken; make a new one");
        }
        return entities.createQuery("select count(*) from Assignment where exerciseId = :id", Long.class)
                .setParameter("id", exercise.id())
                .getSingleResult()
                .intValue();
    }

    private List<Trainee> receivers(SignedIn who, @Nullable UUID cohortId, @Nullable UUID traineeId) {
        if (traineeId != null) {
            return List.of(cohorts.trainee(who, traineeId));
        }
        if (cohortId != null) {
            return cohorts.trainees(who, cohortId);
        }
        throw TurnedDown.badInput("/giveTo", "missing", "name a cohort or a trainee to give it to");
    }

    /** What each of these trainees was given last, by trainee; trainees without an exercise are left out. */
    @Transactional(readOnly = true)
    public Map<UUID, Assignment> currentOf(Collection<UUID> traineeIds) {
        return entities.createQuery("""
                        from Assignment a where a.traineeId in :trainees
                          and a.givenAt = (select max(b.givenAt) from Assignment b where b.traineeId = a.traineeId)
                        """, Assignment.class)
                .setParameter("trainees", traineeIds)
                .getResultStream()
                .collect(Collectors.toMap(Assignment::traineeId, Function.identity(), (one, other) -> one));
    }

    /** Exercises by id. */
    @Transactional(readOnly = true)
    public Map<UUID, Exercise> byId(Collection<UUID> ids) {
        return entities.createQuery("from Exercise where id in :ids", Exercise.class)
                .setParameter("ids", ids)
                .getResultStream()
                .collect(Collectors.toMap(Exercise::id, Function.identity()));
    }
}
