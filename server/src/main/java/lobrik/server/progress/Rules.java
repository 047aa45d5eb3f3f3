package lobrik.server.progress;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import lobrik.progress.Family;
import lobrik.progress.SignOffRule;
import lobrik.server.account.Audit;
import lobrik.server.account.Differences;
import lobrik.server.account.SignedIn;
import lobrik.server.platform.Right;
import lobrik.server.platform.TurnedDown;
import lobrik.server.platform.Turns;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The rules that instructors are asked to sign by: the usual one, until a lead writes another, for all families of bends or for one. */
@Service
class Rules {

    private final EntityManager entities;
    private final Turns turns;
    private final Audit audit;
    private final Clock clock;

    Rules(EntityManager entities, Turns turns, Audit audit, Clock clock) {
        this.audit = audit;
        this.entities = entities;
        this.turns = turns;
        this.clock = clock;
    }

    /** The rules in force, by family of bends. */
    @Transactional(readOnly = true)
    public Map<Family, SignOffRule> inForce(UUID centreId) {
        Map<String, SignOffRuleRow> written = written(centreId);
        SignOffRule general = Optional.ofNullable(written.get(SignOffRuleRow.ALL))
                .map(row -> row.figures().toCore())
                .orElse(SignOffRule.USUAL);
        Map<Family, SignOffRule> rules = new TreeMap<>();
        for (Family family : Family.all()) {
            rules.put(
                    family,
                    Optional.ofNullable(written.get(family.id()))
                            .map(row -> row.figures().toCore())
                            .orElse(general));
        }
        return rules;
    }

    /** The newest rule that was written for each family, and for all. */
    @Transactional(readOnly = true)
    public Map<String, SignOffRuleRow> written(UUID centreId) {
        Map<String, SignOffRuleRow> newest = new HashMap<>();
        history(centreId).forEach(row -> newest.putIfAbsent(row.family(), row));
        return newest;
    }

    /** Every rule that ever counted, the newest first. */
    @Transactional(readOnly = true)
    public List<SignOffRuleRow> history(UUID centreId) {
        return entities.createQuery(
                        "from SignOffRuleRow where centreId = :centre order by entryNo desc", SignOffRuleRow.class)
                .setParameter("centre", centreId)
                .getResultList();
    }

    /**
     * Writes a rule that counts from now on; what was signed keeps the rule that it was signed by.
     *
     * @param family of bends; null for all that have none of their own
     * @throws TurnedDown unless a lead does it
     */
    @Transactional
    public void keep(SignedIn who, UUID id, @Nullable String family, SignOffFigures figures) {
        if (!who.may(Right.LEAD)) {
            throw TurnedDown.forbidden("Only the centre lead changes what is asked for a sign-off");
        }
        if (family != null && Family.withId(family).isEmpty()) {
            throw TurnedDown.badInput("/family", "unknown-value", "“" + family + "” is no family of bends");
        }
        figures.toCore();
        turns.take(who.centreId());
        if (entities.find(SignOffRuleRow.class, id) == null) {
            String of = family == null ? SignOffRuleRow.ALL : family;
            SignOffRuleRow before = written(who.centreId()).get(of);
            entities.persist(new SignOffRuleRow(id, who.centreId(), of, figures, who.accountId(), clock.instant()));
            audit.changed(
                    who,
                    new Audit.Subject(Audit.Kind.RULE, who.centreId(), "sign-off, " + of),
                    Differences.between(before == null ? null : before.figures(), figures),
                    null);
        }
    }
}
