package lobrik.server.stock;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import lobrik.measure.Length;
import lobrik.server.platform.Numbered;
import org.jspecify.annotations.Nullable;

/** What was cut at once from one kind of conduit. */
@Entity
class Cutting extends Numbered {

    @Id
    private UUID id;

    private UUID centreId;
    private UUID conduitId;
    private @Nullable UUID givingId;
    private Instant at;
    private @Nullable UUID madeBy;
    private long wastedPm;

    @SuppressWarnings("NullAway.Init")
    protected Cutting() {}

    /**
     * @param givingId for an exercise that was given out; null for another piece of one
     * @param wasted offcuts that are too short to be kept, and what the saw took
     */
    Cutting(
            UUID id,
            UUID centreId,
            UUID conduitId,
            @Nullable UUID givingId,
            @Nullable UUID madeBy,
            Instant at,
            Length wasted) {
        this.id = id;
        this.centreId = centreId;
        this.conduitId = conduitId;
        this.givingId = givingId;
        this.madeBy = madeBy;
        this.at = at;
        this.wastedPm = wasted.picometres();
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

    @Nullable
    UUID givingId() {
        return givingId;
    }

    Instant at() {
        return at;
    }

    @Nullable
    UUID madeBy() {
        return madeBy;
    }

    Length wasted() {
        return new Length(wastedPm);
    }
}
