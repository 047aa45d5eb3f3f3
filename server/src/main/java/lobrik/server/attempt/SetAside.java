package lobrik.server.attempt;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;

/** The word that a reading, a fact or a photo does not count, and why. */
@Entity
@Immutable
class SetAside {

    @Id
    private UUID recordId;

    private UUID attemptId;
    private UUID setBy;
    private Instant setAt;
    private String reason;

    @SuppressWarnings("NullAway.Init")
    protected SetAside() {}

    SetAside(UUID recordId, UUID attemptId, UUID setBy, Instant setAt, String reason) {
        this.recordId = recordId;
        this.attemptId = attemptId;
        this.setBy = setBy;
        this.setAt = setAt;
        this.reason = reason;
    }

    UUID recordId() {
        return recordId;
    }

    UUID attemptId() {
        return attemptId;
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
