package lobrik.server.job;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.util.UUID;
import lobrik.server.account.Audit;
import lobrik.server.account.Differences;
import lobrik.server.account.SignedIn;
import lobrik.server.platform.Right;
import lobrik.server.platform.TurnedDown;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a school cuts and fastens its runs by, and what it has left over. */
@Service
class RunRules {

    private final EntityManager entities;
    private final Audit audit;
    private final Clock clock;

    RunRules(EntityManager entities, Audit audit, Clock clock) {
        this.audit = audit;
        this.entities = entities;
        this.clock = clock;
    }

    /** What counts now; nothing said where nothing was ever kept. */
    @Transactional(readOnly = true)
    JobRules of(SignedIn who) {
        return entities.createQuery(
                        "from RunRulesRow where centreId = :centre order by entryNo desc", RunRulesRow.class)
                .setParameter("centre", who.centreId())
                .setMaxResults(1)
                .getResultStream()
                .map(RunRulesRow::rules)
                .findFirst()
                .orElse(JobRules.USUAL);
    }

    /**
     * Keeps rules that count from now on; jobs keep those that they were given out by. Left-overs change by the day: whoever teaches may
     * say what there is.
     *
     * @throws lobrik.fault.Refused for a figure that is outside its range
     * @throws TurnedDown for whoever does not lead the school and changes more than what is left over
     */
    @Transactional
    void keep(SignedIn who, JobRules rules) {
        rules.requireInRange();
        if (!who.may(Right.LEAD) && !rules.withoutLeftOvers().equals(of(who).withoutLeftOvers())) {
            throw TurnedDown.forbidden("Whoever leads the school decides how its runs are cut and fastened");
        }
        JobRules before = of(who);
        entities.persist(new RunRulesRow(UUID.randomUUID(), who.centreId(), rules, who.accountId(), clock.instant()));
        audit.changed(
                who,
                new Audit.Subject(Audit.Kind.RUN_RULES, who.centreId(), "sawing, couplings and straps"),
                Differences.between(before, rules),
                null);
    }
}
