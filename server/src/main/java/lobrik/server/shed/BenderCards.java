package lobrik.server.shed;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lobrik.measure.Length;
import lobrik.server.account.Audit;
import lobrik.server.account.Differences;
import lobrik.server.account.SignedIn;
import lobrik.server.platform.Right;
import lobrik.server.platform.TurnedDown;
import lobrik.server.platform.Turns;
import lobrik.shop.Tool;
import lobrik.wire.BenderInput;
import lobrik.wire.CalcInterface;
import lobrik.wire.ConduitInput;
import lobrik.wire.ToolingRequest;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The card of every bender of a centre, and the sizes of conduit that they bend. */
@Service
public class BenderCards {

    private static final int LONGEST_LABEL = 60;
    private static final int LONGEST_REASON = 300;
    private static final int MOST_BENDERS = 500;
    private static final Length THINNEST = Length.ofInches(0.25);
    private static final Length THICKEST = Length.ofInches(8);

    /** A bender with everything that it ever was, the newest first. */
    public record Card(Bender bender, ConduitSize conduit, List<BenderRevision> revisions) {}

    private final EntityManager entities;
    private final Audit audit;
    private final Turns turns;
    private final Clock clock;

    BenderCards(EntityManager entities, Audit audit, Turns turns, Clock clock) {
        this.entities = entities;
        this.audit = audit;
        this.turns = turns;
        this.clock = clock;
    }

    /** All of a centre, by label. */
    @Transactional(readOnly = true)
    public List<Card> all(SignedIn who) {
        Map<UUID, ConduitSize> conduits =
                conduits(who).stream().collect(Collectors.toMap(ConduitSize::id, each -> each));
        Map<UUID, List<BenderRevision>> revisions = entities.createQuery("""
                        select r from BenderRevision r join Bender b on b.id = r.benderId
                        where b.centreId = :centre order by r.revision desc""", BenderRevision.class)
                .setParameter("centre", who.centreId())
                .getResultStream()
                .collect(Collectors.groupingBy(BenderRevision::benderId));
        return entities.createQuery("from Bender where centreId = :centre order by label", Bender.class)
                .setParameter("centre", who.centreId())
                .getResultStream()
                .map(bender -> new Card(
                        bender,
                        Objects.requireNonNull(conduits.get(bender.conduitId())),
                        revisions.getOrDefault(bender.id(), List.of())))
                .toList();
    }

    /** The sizes of conduit of a centre, those that are put away among them. */
    @Transactional(readOnly = true)
    public List<ConduitSize> conduits(SignedIn who) {
        return entities.createQuery(
                        "from ConduitSize where centreId = :centre order by outsideDiameterPm, label",
                        ConduitSize.class)
                .setParameter("centre", who.centreId())
                .getResultList();
    }

    /**
     * Adds a bender. A repeated call adds none.
     *
     * @param figures of any kind of tool
     * @param reason where they come from
     * @throws TurnedDown if its label is taken or there are too many
     * @throws lobrik.fault.Refused if a figure is outside its range
     */
    @Transactional
    public void add(SignedIn who, UUID id, String label, UUID conduitId, BenderInput figures, String reason) {
        String called = requireLabel(label);
        turns.take(who.centreId());
        if (entities.find(Bender.class, id) != null) {
            find(who, id);
            return;
        }
        ConduitSize conduit = conduit(who, conduitId);
        requireFree(who, id, called);
        if (all(who).size() >= MOST_BENDERS) {
            throw TurnedDown.conflict("too-many", "there are " + MOST_BENDERS + " benders already");
        }
        Tool tool = CalcInterface.tool(
                new ToolingRequest(new ConduitInput(conduit.outsideDiameter().inches()), figures));
        entities.persist(new Bender(id, who.centreId(), conduitId, called));
        entities.persist(new BenderRevision(
                UUID.randomUUID(), id, 1, tool, who.accountId(), clock.instant(), requireReason(reason)));
        List<Audit.Change> with = new ArrayList<>(Differences.between(null, BenderInput.of(tool)));
        with.addFirst(new Audit.Change("conduit", null, conduit.label()));
        audit.added(who, new Audit.Subject(Audit.Kind.BENDER, id, called), with.toArray(Audit.Change[]::new));
    }

    /**
     * Calls a bender otherwise, or takes it out of use or into it again. Whoever teaches may say that it is doubtful.
     *
     * @param seen the edition that whoever asks has seen
     * @throws TurnedDown if the lead has to do it, the label is taken, or somebody else changed it since
     */
    @Transactional
    public void keep(SignedIn who, UUID id, int seen, String label, BenderState state, String reason) {
        String called = requireLabel(label);
        turns.take(who.centreId());
        Bender bender = find(who, id);
        if (bender.edition() != seen) {
            throw TurnedDown.changedMeanwhile(bender.label());
        }
        boolean onlyDoubts = bender.label().equals(called) && state == BenderState.DOUBTFUL;
        if (!who.may(Right.LEAD) && !onlyDoubts) {
            throw TurnedDown.forbidden("Only the lead of the school does this; you may say that a bender is doubtful");
        }
        if (state != BenderState.IN_USE && state != bender.state() && reason.isBlank()) {
            throw TurnedDown.badInput("/reason", "missing", "say why");
        }
        requireFree(who, id, called);
        List<Audit.Change> changes = List.of(
                Audit.Change.of("label", bender.label(), called), Audit.Change.of("state", bender.state(), state));
        bender.become(called, state, state == BenderState.IN_USE ? "" : cut(reason));
        audit.changed(
                who, new Audit.Subject(Audit.Kind.BENDER, id, called), changes, reason.isBlank() ? null : cut(reason));
    }

    /**
     * Adds a size of conduit of one's own. A repeated call adds none.
     *
     * @throws TurnedDown if its label is taken, or no conduit is so thick
     */
    @Transactional
    public void addConduit(SignedIn who, UUID id, String label, Length diameter) {
        String called = requireLabel(label);
        if (diameter.compareTo(THINNEST) < 0 || diameter.compareTo(THICKEST) > 0) {
            throw TurnedDown.badInput(
                    "/outsideDiameterIn", "out-of-range", "conduit is from 1/4 in to 8 in thick, outside");
        }
        turns.take(who.centreId());
        if (entities.find(ConduitSize.class, id) != null) {
            conduit(who, id);
            return;
        }
        boolean taken = conduits(who).stream().anyMatch(each -> each.label().equalsIgnoreCase(called));
        if (taken) {
            throw TurnedDown.badInput("/label", "duplicate", "there is conduit called “" + called + "” already");
        }
        entities.persist(new ConduitSize(id, who.centreId(), called, diameter));
        audit.added(
                who,
                new Audit.Subject(Audit.Kind.CONDUIT, id, called),
                Audit.Change.of("outside diameter, in", null, diameter.inches()));
    }

    /** Offers a size of conduit no longer, or again; what was set with it stays. */
    @Transactional
    public void putConduitAway(SignedIn who, UUID id, boolean away) {
        turns.take(who.centreId());
        ConduitSize conduit = conduit(who, id);
        List<Audit.Change> changes =
                List.of(Audit.Change.of("offered", conduit.isPutAway() ? "no" : "yes", away ? "no" : "yes"));
        conduit.putAway(away);
        audit.changed(who, new Audit.Subject(Audit.Kind.CONDUIT, id, conduit.label()), changes, null);
    }

    private Bender find(SignedIn who, UUID id) {
        return Stream.ofNullable(entities.find(Bender.class, id))
                .filter(bender -> bender.isIn(who.centreId()))
                .findFirst()
                .orElseThrow(() -> TurnedDown.notFound("bender"));
    }

    private ConduitSize conduit(SignedIn who, UUID id) {
        return Stream.ofNullable(entities.find(ConduitSize.class, id))
                .filter(conduit -> conduit.isIn(who.centreId()))
                .findFirst()
                .orElseThrow(() -> TurnedDown.notFound("conduit"));
    }

    private void requireFree(SignedIn who, UUID id, String label) {
        boolean taken = !entities.createQuery(
                        "select id from Bender where centreId = :centre and lower(label) = lower(:label) and id <> :id",
                        UUID.class)
                .setParameter("centre", who.centreId())
                .setParameter("label", label)
                .setParameter("id", id)
                .getResultList()
                .isEmpty();
        if (taken) {
            throw TurnedDown.badInput("/label", "duplicate", "there is a bender called “" + label + "” already");
        }
    }

    private static String requireLabel(String label) {
        String called = label.strip();
        if (called.isEmpty() || called.length() > LONGEST_LABEL) {
            throw TurnedDown.badInput(
                    "/label", "missing", "give it a number or a name of 1 to " + LONGEST_LABEL + " characters");
        }
        return called;
    }

    private static String requireReason(String reason) {
        String why = reason.strip();
        if (why.isEmpty() || why.length() > LONGEST_REASON) {
            throw TurnedDown.badInput(
                    "/reason",
                    "missing",
                    "say in 1 to " + LONGEST_REASON + " characters where these figures come from");
        }
        return why;
    }

    private static String cut(String reason) {
        String why = reason.strip();
        return why.length() <= LONGEST_REASON ? why : why.substring(0, LONGEST_REASON);
    }
}
