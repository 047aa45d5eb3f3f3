package lobrik.server.progress;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import lobrik.bend.BendKind;
import lobrik.progress.SignOffRule;
import lobrik.server.account.SignedIn;
import lobrik.server.platform.TurnedDown;
import lobrik.server.platform.Turns;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The rules that instructors are asked to sign by: the usual one, until a lead writes another, for all kinds or for one. */
@Service
class Rules {

    private final EntityManager entities;
    private final Turns turns;
    private final Clock clock;

    Rules(EntityManager entities, Turns turns, Clock clock) {
        this.entities = entities;
        this.turns = turns;
        this.clock = clock;
    }

    /** The rules in force, by kind of bend. */
    @Transactional(readOnly = true)
    public Map<BendKind, SignOffRule> inForce(UUID centreId) {
        Map<String, SignOffRuleRow> written = written(centreId);
        SignOffRule general = Optional.ofNullable(written.get(SignOffRuleRow.ALL))
                .map(row -> row.figures().toCore())
                .orElse(SignOffRule.USUAL);
        Map<BendKind, SignOffRule> rules = new EnumMap<>(BendKind.class);
        for (BendKind kind : BendKind.values()) {
            rules.put(
                    kind,
                    Optional.ofNullable(written.get(kind.id()))
                            .map(row -> row.figures().toCore())
                            .orElse(general));
        }
        return rules;
    }

    /** The newest rule that was written for each kind, and for all. */
    @Transactional(readOnly = true)
    public Map<String, SignOffRuleRow> written(UUID centreId) {
        Map<String, SignOffRuleRow> newest = new HashMap<>();
        history(centreId).forEach(row -> newest.putIfAbsent(row.kind(), row));
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
     * @param kind of bend; null for all that have none of their own
     * @throws TurnedDown unless a lead does it
     */
    @Transactional
    public void keep(SignedIn who, UUID id, @Nullable String kind, SignOffFigures figures) {
        if (!who.isLead()) {
            throw TurnedDown.forbidden("Only the centre lead changes what is asked for a sign-off");
        }
        if (kind != null && BendKind.withId(kind).isEmpty()) {
            throw TurnedDown.badInput("/kind", "unknown-value", "“" + kind + "” is no kind of bend");
        }
        figures.toCore();
        turns.take(who.centreId());
        if (entities.find(SignOffRuleRow.class, id) == null) {
            entities.persist(new SignOffRuleRow(
                    id,
                    who.centreId(),
                    kind == null ? SignOffRuleRow.ALL : kind,
                    figures,
                    who.accountId(),
                    clock.instant()));
        }
    }
}
