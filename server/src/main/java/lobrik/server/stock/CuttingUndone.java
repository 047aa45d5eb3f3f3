package lobrik.server.stock;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;

/** That something was not cut after all. */
@Entity
class CuttingUndone {

    @Id
    private UUID cuttingId;

    private UUID undoneBy;
    private Instant at;

    @SuppressWarnings("NullAway.Init")
    protected CuttingUndone() {}

    CuttingUndone(UUID cuttingId, UUID undoneBy, Instant at) {
        this.cuttingId = cuttingId;
        this.undoneBy = undoneBy;
        this.at = at;
    }

    UUID cuttingId() {
        return cuttingId;
    }

    UUID undoneBy() {
        return undoneBy;
    }

    Instant at() {
        return at;
    }
}
