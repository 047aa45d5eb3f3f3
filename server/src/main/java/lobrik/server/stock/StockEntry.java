package lobrik.server.stock;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.UUID;
import lobrik.measure.Length;
import lobrik.server.platform.Numbered;
import org.jspecify.annotations.Nullable;

/** Conduit that came onto the rack or went off it. */
@Entity
class StockEntry extends Numbered {

    /** What happened to it. */
    enum What {
        DELIVERED,
        /** A left-over that somebody brought. */
        BROUGHT_BACK,
        /** Taken to be cut. */
        CUT,
        /** What was left of that, long enough to be kept. */
        LEFT,
        THROWN_AWAY,
        /** Somebody counted, and it was another number. */
        COUNTED,
        /** It was not cut after all. */
        UNDONE
    }

    /**
     * What, how long and how many.
     *
     * @param pieces more than 0 onto the rack, less off it
     */
    record Movement(
            What what,
            Length length,
            int pieces,
            String note,
            @Nullable BigDecimal price) {

        static Movement of(What what, Length length, int pieces) {
            return new Movement(what, length, pieces, "", null);
        }
    }

    @Id
    private UUID id;

    private UUID centreId;
    private UUID conduitId;

    @Enumerated(EnumType.STRING)
    private What what;

    private long lengthPm;
    private int pieces;
    private Instant at;
    private @Nullable UUID madeBy;
    private String note;
    private @Nullable BigDecimal price;
    private @Nullable UUID cuttingId;

    @SuppressWarnings("NullAway.Init")
    protected StockEntry() {}

    StockEntry(
            UUID id,
            UUID centreId,
            UUID conduitId,
            Movement movement,
            @Nullable UUID madeBy,
            Instant at,
            @Nullable UUID cuttingId) {
        this.id = id;
        this.centreId = centreId;
        this.conduitId = conduitId;
        this.what = movement.what();
        this.lengthPm = movement.length().picometres();
        this.pieces = movement.pieces();
        this.note = movement.note();
        this.price = movement.price();
        this.madeBy = madeBy;
        this.at = at;
        this.cuttingId = cuttingId;
    }

    UUID id() {
        return id;
    }

    UUID centreId() {
        return centreId;
    }

    UUID conduitId() {
        return conduitId;
    }

    Movement movement() {
        return new Movement(what, new Length(lengthPm), pieces, note, price);
    }

    Instant at() {
        return at;
    }

    @Nullable
    UUID madeBy() {
        return madeBy;
    }
}
