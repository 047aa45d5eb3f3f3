package lobrik.server.giving;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;

/** The word that a giving was taken back. */
@Entity
@Immutable
public class TakenBack {

    @Id
    private UUID givingId;

    private UUID takenBy;
    private Instant takenAt;

    @SuppressWarnings("NullAway.Init")
    protected TakenBack() {}

    TakenBack(UUID givingId, UUID takenBy, Instant takenAt) {
        this.givingId = givingId;
        this.takenBy = takenBy;
        this.takenAt = takenAt;
    }
}
