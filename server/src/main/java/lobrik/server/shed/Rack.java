package lobrik.server.shed;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import lobrik.server.account.Audit;
import lobrik.server.account.Differences;
import lobrik.server.account.SignedIn;
import lobrik.server.platform.Right;
import lobrik.server.platform.TurnedDown;
import lobrik.server.platform.Turns;
import lobrik.shop.Conduit;
import lobrik.shop.Tool;
import lobrik.shop.ToolKind;
import lobrik.shop.Tooling;
import lobrik.wire.BenderInput;
import lobrik.wire.CalcInterface;
import lobrik.wire.ConduitInput;
import lobrik.wire.ToolingRequest;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The benders of a centre. */
@Service
public class Rack {

    /**
     * A bender as it is now, with the conduit that it bends.
     *
     * @param revision the newest
     */
    public record Racked(Bender bender, BenderRevision revision, ConduitSize conduit) {

        /** The two together, as the core has them. */
        public Tooling tooling() {
            return new Tooling(new Conduit(conduit.outsideDiameter()), revision.tool());
        }
    }

    private static final String NEWEST = """
            select new lobrik.server.shed.Rack$Racked(b, r, c) from Bender b
              join ConduitSize c on c.id = b.conduitId
              join BenderRevision r on r.benderId = b.id
            where b.centreId = :centre
              and r.revision = (select max(n.revision) from BenderRevision n where n.benderId = b.id)""";

    private final EntityManager entities;
    private final Turns turns;
    private final Audit audit;
    private final Clock clock;

    Rack(EntityManager entities, Turns turns, Audit audit, Clock clock) {
        this.audit = audit;
        this.entities = entities;
        this.turns = turns;
        this.clock = clock;
    }

    /**
     * The bender with this id.
     *
     * @throws TurnedDown if the centre has none
     */
    @Transactional(readOnly = true)
    public Racked bender(SignedIn who, UUID id) {
        return entities.createQuery(NEWEST + " and b.id = :id", Racked.class)
                .setParameter("centre", who.centreId())
                .setParameter("id", id)
                .getResultStream()
                .findFirst()
                .orElseThrow(() -> TurnedDown.notFound("bender"));
    }

    /**
     * Gives a bender other figures. A repeated call adds nothing.
     *
     * @param reason where the figures come from
     * @throws TurnedDown if the centre has none, if somebody else keeps the benders, or if the figures are of another kind of tool
     */
    @Transactional
    public Racked revise(SignedIn who, UUID id, UUID key, BenderInput figures, String reason) {
        if (!who.may(Right.LEAD)) {
            throw TurnedDown.forbidden("Only the centre lead changes the figures of a bender");
        }
        Racked now = bender(who, id);
        turns.take(id);
        if (entities.find(BenderRevision.class, key) != null) {
            return bender(who, id);
        }
        Tool tool = CalcInterface.tool(new ToolingRequest(
                new ConduitInput(now.conduit().outsideDiameter().inches()), figures));
        if (tool.kind() != now.revision().tool().kind()) {
            throw TurnedDown.badInput(
                    "/figures/kind",
                    "unknown-value",
                    now.bender().label() + " is no " + tool.kind().title().toLowerCase(Locale.ROOT)
                            + "; give the figures of what it is");
        }
        int next = bender(who, id).revision().revision() + 1;
        entities.persist(new BenderRevision(key, id, next, tool, who.accountId(), clock.instant(), reason));
        audit.changed(
                who,
                new Audit.Subject(Audit.Kind.BENDER, id, now.bender().label()),
                Differences.between(BenderInput.of(now.revision().tool()), BenderInput.of(tool)),
                reason);
        entities.flush();
        return bender(who, id);
    }

    /** All of a centre that are bent on, by label. */
    @Transactional(readOnly = true)
    public List<Racked> all(SignedIn who) {
        return entities.createQuery(
                        NEWEST + " and b.state <> lobrik.server.shed.BenderState.OUT order by b.label", Racked.class)
                .setParameter("centre", who.centreId())
                .getResultList();
    }

    /** The sorts of tools that a centre has. */
    @Transactional(readOnly = true)
    public Set<ToolKind> kinds(UUID centreId) {
        List<?> kinds = entities.createNativeQuery(
                        "select distinct r.kind from bender b join bender_revision r on r.bender_id = b.id where b.centre_id = :centre",
                        String.class)
                .setParameter("centre", centreId)
                .getResultList();
        return kinds.stream()
                .flatMap(kind -> ToolKind.withId(kind.toString()).stream())
                .collect(Collectors.toUnmodifiableSet());
    }

    /**
     * The revision of a centre's bender that somebody means who gives a label and figures; the newest of those that have them. Nothing
     * where the centre has no such bender: the exercise came from another school.
     */
    @Transactional(readOnly = true)
    public Optional<BenderRevision> meant(UUID centreId, String label, Tool tool) {
        return entities.createQuery(
                        "select r from Bender b join BenderRevision r on r.benderId = b.id"
                                + " where b.centreId = :centre and b.label = :label order by r.revision desc",
                        BenderRevision.class)
                .setParameter("centre", centreId)
                .setParameter("label", label)
                .getResultStream()
                .filter(revision -> revision.tool().equals(tool))
                .findFirst();
    }
}
