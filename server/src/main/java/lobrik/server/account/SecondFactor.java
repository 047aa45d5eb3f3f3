package lobrik.server.account;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.DynamicUpdate;
import org.jspecify.annotations.Nullable;

/** The secret that somebody's app makes codes from. */
@Entity
@DynamicUpdate // The application may only update what can change.
class SecondFactor {

    @Id
    private UUID accountId;

    private byte[] secret;
    private Instant begunAt;
    private @Nullable Instant confirmedAt;
    private long lastStep;

    @SuppressWarnings("NullAway.Init")
    protected SecondFactor() {}

    SecondFactor(UUID accountId, byte[] secret, Instant begunAt) {
        this.accountId = accountId;
        this.secret = secret.clone();
        this.begunAt = begunAt;
    }

    byte[] secret() {
        return secret.clone();
    }

    @Nullable
    Instant confirmedAt() {
        return confirmedAt;
    }

    void confirm(Instant at) {
        confirmedAt = at;
    }

    /** The last step of time of which a code was used. */
    long lastStep() {
        return lastStep;
    }

    void used(long step) {
        lastStep = step;
    }
}
