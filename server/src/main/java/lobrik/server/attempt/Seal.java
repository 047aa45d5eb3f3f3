package lobrik.server.attempt;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import lobrik.server.platform.Numbered;
import org.hibernate.annotations.Immutable;

/** The word that an attempt is verified and locked, or open again and why. */
@Entity
@Immutable
class Seal extends Numbered {

    @Id
    private UUID id;

    private UUID attemptId;
    private boolean sealed;
    private UUID setBy;
    private Instant setAt;
    private String reason;

    @SuppressWarnings("NullAway.Init")
    protected Seal() {}

    Seal(UUID id, UUID attemptId, boolean sealed, UUID setBy, Instant setAt, String reason) {
        this.id = id;
        this.attemptId = attemptId;
        this.sealed = sealed;
        this.setBy = setBy;
        this.setAt = setAt;
        this.reason = reason;
    }

    UUID id() {
        return id;
    }

    UUID attemptId() {
        return attemptId;
    }

    boolean isSealed() {
        return sealed;
    }

    UUID setBy() {
        return setBy;
    }

    Instant setAt() {
        return setAt;
    }

    String reason() {
        return reason;
    }
}
