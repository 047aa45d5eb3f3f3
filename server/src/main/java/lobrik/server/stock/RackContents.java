package lobrik.server.stock;

import jakarta.persistence.EntityManager;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.UUID;
import java.util.function.Supplier;
import lobrik.measure.Length;
import lobrik.server.shed.ConduitSize;
import lobrik.server.stock.StockEntry.Movement;
import lobrik.server.stock.StockEntry.What;

/** Writes the past of a rack that nobody kept on a screen: for a school that is made up. */
public final class RackContents {

    private final EntityManager entities;
    private final UUID centreId;
    private final UUID by;
    private final Supplier<UUID> ids;

    /** @param ids of what is written down */
    public RackContents(EntityManager entities, UUID centreId, UUID by, Supplier<UUID> ids) {
        this.entities = entities;
        this.centreId = centreId;
        this.by = by;
        this.ids = ids;
    }

    /** How a kind of conduit is kept, with a delivery of whole sticks. */
    public void delivered(ConduitSize conduit, ConduitSize.Keeping keeping, int sticks, Instant at) {
        conduit.keep(keeping);
        entry(conduit, new Movement(What.DELIVERED, keeping.stick(), sticks, "autumn order", keeping.price()), at);
    }

    /** What a count came to: so many fewer than were noted. */
    public void counted(ConduitSize conduit, int fewer, Instant at) {
        entry(conduit, new Movement(What.COUNTED, conduit.keeping().stick(), -fewer, "end of the half-term", null), at);
    }

    public void broughtBack(ConduitSize conduit, Length length, int pieces, Instant at) {
        entry(conduit, Movement.of(What.BROUGHT_BACK, length, pieces), at);
    }

    private void entry(ConduitSize conduit, Movement movement, Instant at) {
        entities.persist(new StockEntry(ids.get(), centreId, conduit.id(), movement, by, at, null));
    }

    /** A price in whole and hundredths, as in 4.85. */
    public static BigDecimal price(int hundredths) {
        return BigDecimal.valueOf(hundredths, 2);
    }
}
