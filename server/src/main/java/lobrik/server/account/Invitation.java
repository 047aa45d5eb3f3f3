package lobrik.server.account;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.DynamicUpdate;
import org.jspecify.annotations.Nullable;

/** A code with which somebody takes up their account, or chooses another password; it works once. */
@Entity
@DynamicUpdate // The application may only use one up, or take it back.
class Invitation {

    @Id
    private UUID id;

    private UUID accountId;
    private byte[] codeHash;
    private UUID madeBy;
    private Instant madeAt;
    private Instant expiresAt;
    private @Nullable Instant usedAt;
    private @Nullable Instant withdrawnAt;

    @SuppressWarnings("NullAway.Init")
    protected Invitation() {}

    Invitation(UUID id, UUID accountId, byte[] codeHash, UUID madeBy, Instant madeAt, Instant expiresAt) {
        this.id = id;
        this.accountId = accountId;
        this.codeHash = codeHash.clone();
        this.madeBy = madeBy;
        this.madeAt = madeAt;
        this.expiresAt = expiresAt;
    }

    UUID accountId() {
        return accountId;
    }

    Instant expiresAt() {
        return expiresAt;
    }

    /** Whether it still works. */
    boolean isOpen(Instant now) {
        return usedAt == null && withdrawnAt == null && now.isBefore(expiresAt);
    }

    void use(Instant at) {
        usedAt = at;
    }

    void withdraw(Instant at) {
        withdrawnAt = at;
    }
}
