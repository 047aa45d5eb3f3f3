package lobrik.server.giving;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import lobrik.server.account.SignedIn;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What each trainee was given, on which terms, and what of it they may not have finished. */
@Service
public class Assignments {

    private final EntityManager entities;
    private final Clock clock;

    Assignments(EntityManager entities, Clock clock) {
        this.entities = entities;
        this.clock = clock;
    }

    /** The terms on which an assignment was given. */
    @Transactional(readOnly = true)
    public Giving.Terms terms(Assignment assignment) {
        Giving giving = entities.find(Giving.class, assignment.givingId());
        return giving == null ? Giving.Terms.OPEN : giving.terms();
    }

    /** The terms on which some were given, by giving. */
    @Transactional(readOnly = true)
    public Map<UUID, Giving.Terms> terms(Collection<Assignment> given) {
        return entities.createQuery("from Giving where id in :ids", Giving.class)
                .setParameter("ids", given.stream().map(Assignment::givingId).collect(Collectors.toSet()))
                .getResultStream()
                .collect(Collectors.toMap(Giving::id, Giving::terms));
    }

    /** The assignment with this id. */
    @Transactional(readOnly = true)
    public @Nullable Assignment find(UUID id) {
        return entities.find(Assignment.class, id);
    }

    /**
     * What these trainees were given and may not have finished, in the order in which it was given: whatever has no piece yet, or
     * one that is not known to be complete. What was taken back or off their list is not among it.
     */
    @Transactional(readOnly = true)
    public List<Assignment> perhapsUnfinished(Collection<UUID> traineeIds) {
        if (traineeIds.isEmpty()) {
            return List.of();
        }
        return entities.createQuery("""
                        from Assignment a where a.traineeId in :trainees
                          and not exists (select 1 from TakenBack t where t.givingId = a.givingId)
                          and not exists (select 1 from TakenOff o where o.assignmentId = a.id)
                          and (exists (select 1 from Attempt p where p.assignmentId = a.id and p.complete = false)
                            or not exists (select 1 from Attempt p where p.assignmentId = a.id))
                        order by a.entryNo""", Assignment.class)
                .setParameter("trainees", traineeIds)
                .getResultList();
    }

    /** What each of these trainees was given last, by trainee; trainees without an exercise are left out. */
    @Transactional(readOnly = true)
    public Map<UUID, Assignment> lastOf(Collection<UUID> traineeIds) {
        if (traineeIds.isEmpty()) {
            return Map.of();
        }
        return entities.createQuery("""
                        from Assignment a where a.traineeId in :trainees
                          and not exists (select 1 from TakenBack t where t.givingId = a.givingId)
                          and not exists (select 1 from TakenOff o where o.assignmentId = a.id)
                          and a.entryNo = (select max(b.entryNo) from Assignment b where b.traineeId = a.traineeId
                            and not exists (select 1 from TakenBack t where t.givingId = b.givingId)
                            and not exists (select 1 from TakenOff o where o.assignmentId = b.id))
                        """, Assignment.class)
                .setParameter("trainees", traineeIds)
                .getResultStream()
                .collect(Collectors.toMap(Assignment::traineeId, Function.identity()));
    }

    /** Notes that a trainee has this no more in hand. Repeating that changes nothing. */
    @Transactional
    public void takeOff(SignedIn who, Assignment assignment) {
        if (entities.find(TakenOff.class, assignment.id()) == null) {
            entities.persist(new TakenOff(assignment.id(), who.accountId(), clock.instant()));
        }
    }

    /** Whoever goes on with something has it in hand again. */
    @Transactional
    public void putOn(Assignment assignment) {
        TakenOff off = entities.find(TakenOff.class, assignment.id());
        if (off != null) {
            entities.remove(off);
        }
    }
}
