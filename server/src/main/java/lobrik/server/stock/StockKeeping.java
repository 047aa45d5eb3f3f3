package lobrik.server.stock;

import jakarta.persistence.EntityManager;
import java.math.BigDecimal;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import lobrik.measure.Length;
import lobrik.server.account.Audit;
import lobrik.server.account.Differences;
import lobrik.server.account.SignedIn;
import lobrik.server.cohort.Centre;
import lobrik.server.platform.TurnedDown;
import lobrik.server.platform.Turns;
import lobrik.server.shed.BenderCards;
import lobrik.server.shed.ConduitSize;
import lobrik.server.stock.StockEntry.Movement;
import lobrik.server.stock.StockEntry.What;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What the keepers of the rack write down: deliveries, left-overs, what is thrown away, and what a count came to. */
@Service
class StockKeeping {

    private static final int MOST_PIECES = 10_000;
    private static final int LONGEST_TEXT = 300;
    private static final int LONGEST_MATERIAL = 40;
    private static final int LONGEST_CURRENCY = 8;
    private static final Length LONGEST = Length.ofInches(1200);
    private static final Length SHORTEST = Length.ofInches(1);
    private static final BigDecimal DEAREST = new BigDecimal("1000000");

    private final EntityManager entities;
    private final Stockroom stockroom;
    private final BenderCards cards;
    private final Audit audit;
    private final Turns turns;
    private final Clock clock;

    StockKeeping(
            EntityManager entities, Stockroom stockroom, BenderCards cards, Audit audit, Turns turns, Clock clock) {
        this.entities = entities;
        this.stockroom = stockroom;
        this.cards = cards;
        this.audit = audit;
        this.turns = turns;
        this.clock = clock;
    }

    /** In what the school pays; empty where it says nothing. */
    @Transactional(readOnly = true)
    String currency(SignedIn who) {
        return entities.find(Centre.class, who.centreId()).currency();
    }

    /**
     * Writes down what came onto the rack or went off it. Repeating it changes nothing.
     *
     * @param movement of a count, how many there are; else how many came or went, more than 0
     * @throws TurnedDown if it is out of range, or there are not so many to throw away
     */
    @Transactional
    public void note(SignedIn who, UUID conduitId, UUID id, Movement movement) {
        ConduitSize conduit = conduit(who, conduitId);
        requireWithinReason(movement);
        turns.take(conduitId);
        if (entities.find(StockEntry.class, id) != null) {
            return;
        }
        int there = there(who, conduitId, movement.length());
        int pieces = switch (movement.what()) {
            case DELIVERED, BROUGHT_BACK -> movement.pieces();
            case THROWN_AWAY -> -movement.pieces();
            case COUNTED -> movement.pieces() - there;
            case CUT, LEFT, UNDONE ->
                throw TurnedDown.badInput("/what", "unknown", "this is noted when something is given out");
        };
        if (movement.what() == What.THROWN_AWAY && movement.pieces() > there) {
            throw TurnedDown.badInput(
                    "/pieces", "out-of-range", "there are " + there + " of this length; count them first");
        }
        if (pieces != 0) {
            entities.persist(new StockEntry(
                    id,
                    who.centreId(),
                    conduit.id(),
                    new Movement(movement.what(), movement.length(), pieces, movement.note(), movement.price()),
                    who.accountId(),
                    clock.instant(),
                    null));
        }
    }

    private int there(SignedIn who, UUID conduitId, Length length) {
        Stockroom.OnRack rack = stockroom.all(who.centreId()).get(conduitId);
        if (rack == null) {
            return 0;
        }
        return length.equals(rack.conduit().keeping().stick())
                ? rack.sticks()
                : (int) rack.leftOvers().stream().filter(length::equals).count();
    }

    private static void requireWithinReason(Movement movement) {
        boolean counted = movement.what() == What.COUNTED;
        if (movement.pieces() < (counted ? 0 : 1) || movement.pieces() > MOST_PIECES) {
            throw TurnedDown.badInput(
                    "/pieces", "out-of-range", "give from " + (counted ? 0 : 1) + " to " + MOST_PIECES + " pieces");
        }
        if (movement.length().isLessThan(SHORTEST) || movement.length().isMoreThan(LONGEST)) {
            throw TurnedDown.badInput("/lengthIn", "out-of-range", "conduit on a rack is from 1 in to 100 ft long");
        }
        if (movement.note().length() > LONGEST_TEXT) {
            throw TurnedDown.badInput("/note", "out-of-range", "at most " + LONGEST_TEXT + " characters");
        }
        requirePrice(movement.price());
    }

    private static void requirePrice(@Nullable BigDecimal price) {
        if (price != null && (price.signum() < 0 || price.compareTo(DEAREST) > 0)) {
            throw TurnedDown.badInput("/price", "out-of-range", "a stick costs from 0 to 1,000,000");
        }
    }

    /**
     * Keeps a kind of conduit otherwise from now on.
     *
     * @param seen the edition that whoever asks has seen
     * @throws TurnedDown if a figure is out of range, or somebody else changed it since
     */
    @Transactional
    public void keep(SignedIn who, UUID conduitId, int seen, ConduitSize.Keeping keeping, String currency) {
        turns.take(conduitId);
        ConduitSize conduit = conduit(who, conduitId);
        if (conduit.edition() != seen) {
            throw TurnedDown.changedMeanwhile(conduit.label());
        }
        if (keeping.stick().isLessThan(SHORTEST) || keeping.stick().isMoreThan(LONGEST)) {
            throw TurnedDown.badInput("/stickIn", "out-of-range", "a stick is from 1 in to 100 ft long");
        }
        if (keeping.shortestKept().isNegative() || keeping.shortestKept().isMoreThan(keeping.stick())) {
            throw TurnedDown.badInput(
                    "/shortestKeptIn", "out-of-range", "what is kept is from nothing to a stick long");
        }
        if (keeping.fewestSticks() < 0 || keeping.fewestSticks() > MOST_PIECES) {
            throw TurnedDown.badInput("/fewestSticks", "out-of-range", "give from 0 to " + MOST_PIECES);
        }
        if (keeping.material().length() > LONGEST_MATERIAL) {
            throw TurnedDown.badInput("/material", "out-of-range", "at most " + LONGEST_MATERIAL + " characters");
        }
        if (currency.length() > LONGEST_CURRENCY) {
            throw TurnedDown.badInput("/currency", "out-of-range", "at most " + LONGEST_CURRENCY + " characters");
        }
        requirePrice(keeping.price());
        ConduitSize.Keeping before = conduit.keeping();
        conduit.keep(keeping);
        entities.find(Centre.class, who.centreId()).payIn(currency);
        audit.changed(
                who,
                new Audit.Subject(Audit.Kind.CONDUIT, conduitId, conduit.label()),
                Differences.between(Told.of(before), Told.of(keeping)),
                null);
    }

    /** In the words of the record. */
    private record Told(
            String material,
            double stickIn,
            int fewestSticks,
            double shortestKeptIn,
            @Nullable BigDecimal price) {

        static Told of(ConduitSize.Keeping keeping) {
            return new Told(
                    keeping.material(),
                    keeping.stick().inches(),
                    keeping.fewestSticks(),
                    keeping.shortestKept().inches(),
                    keeping.price());
        }
    }

    /** The kind of conduit with this id. */
    @Transactional(readOnly = true)
    ConduitSize conduit(SignedIn who, UUID id) {
        return cards.conduits(who).stream()
                .filter(each -> each.id().equals(id))
                .findFirst()
                .orElseThrow(() -> TurnedDown.notFound("conduit"));
    }

    /** What was written down of a kind of conduit, the newest first. */
    @Transactional(readOnly = true)
    List<StockEntry> entries(SignedIn who, UUID conduitId, int from, int most) {
        return entities.createQuery(
                        "from StockEntry where conduitId = :conduit order by entryNo desc", StockEntry.class)
                .setParameter("conduit", conduit(who, conduitId).id())
                .setFirstResult(from)
                .setMaxResults(most)
                .getResultList();
    }

    @Transactional(readOnly = true)
    long count(SignedIn who, UUID conduitId) {
        return entities.createQuery("select count(*) from StockEntry where conduitId = :conduit", Long.class)
                .setParameter("conduit", conduit(who, conduitId).id())
                .getSingleResult();
    }

    /** What is on the rack of the school, by conduit. */
    @Transactional(readOnly = true)
    Map<UUID, Stockroom.OnRack> racks(SignedIn who) {
        return stockroom.all(who.centreId());
    }
}
