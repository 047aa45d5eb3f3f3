package lobrik.server.account;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.DynamicUpdate;
import org.jspecify.annotations.Nullable;

/** A code on paper that stands in once for one of the app; of it only its hash is kept. */
@Entity
@DynamicUpdate // The application may only update what can change.
class RecoveryCode {

    @Id
    private byte[] codeHash;

    private UUID accountId;
    private @Nullable Instant usedAt;

    @SuppressWarnings("NullAway.Init")
    protected RecoveryCode() {}

    RecoveryCode(byte[] codeHash, UUID accountId) {
        this.codeHash = codeHash.clone();
        this.accountId = accountId;
    }

    UUID accountId() {
        return accountId;
    }

    @Nullable
    Instant usedAt() {
        return usedAt;
    }

    void use(Instant at) {
        usedAt = at;
    }
}
