package lobrik.server.progress;

import jakarta.persistence.EntityManager;
import jakarta.persistence.TypedQuery;
import java.time.Clock;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import lobrik.progress.Curriculum;
import lobrik.server.account.Audit;
import lobrik.server.account.SignedIn;
import lobrik.server.platform.Right;
import lobrik.server.platform.TurnedDown;
import lobrik.server.platform.Turns;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** In which order a school teaches bends: the usual one, until a lead writes another. */
@Service
public class Curricula {

    private final EntityManager entities;
    private final Turns turns;
    private final Audit audit;
    private final Clock clock;

    Curricula(EntityManager entities, Turns turns, Audit audit, Clock clock) {
        this.audit = audit;
        this.entities = entities;
        this.turns = turns;
        this.clock = clock;
    }

    /** The order in force. */
    @Transactional(readOnly = true)
    public Curriculum inForce(UUID centreId) {
        return newestFirst(centreId)
                .setMaxResults(1)
                .getResultStream()
                .findFirst()
                .map(CurriculumRow::toCore)
                .orElse(Curriculum.USUAL);
    }

    private static String inWords(Curriculum order) {
        return order.steps().stream().map(step -> step.family().id()).collect(Collectors.joining(", "));
    }

    /** Every order that was ever written, the newest first. */
    @Transactional(readOnly = true)
    List<CurriculumRow> history(UUID centreId) {
        return newestFirst(centreId).getResultList();
    }

    private TypedQuery<CurriculumRow> newestFirst(UUID centreId) {
        return entities.createQuery(
                        "from CurriculumRow where centreId = :centre order by entryNo desc", CurriculumRow.class)
                .setParameter("centre", centreId);
    }

    /**
     * Writes an order that counts from now on. Repeating the request changes nothing.
     *
     * @throws TurnedDown unless a lead does it
     */
    @Transactional
    void keep(SignedIn who, UUID id, Curriculum order) {
        if (!who.may(Right.LEAD)) {
            throw TurnedDown.forbidden("Only the centre lead changes the order in which bends are learnt");
        }
        turns.take(who.centreId());
        if (entities.find(CurriculumRow.class, id) == null) {
            Curriculum before = inForce(who.centreId());
            entities.persist(new CurriculumRow(id, who.centreId(), order, who.accountId(), clock.instant()));
            audit.changed(
                    who,
                    new Audit.Subject(Audit.Kind.CURRICULUM, who.centreId(), "order of learning"),
                    List.of(Audit.Change.of("order", inWords(before), inWords(order))),
                    null);
        }
    }
}
