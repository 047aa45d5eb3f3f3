package lobrik.server.progress;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;

/** A signature that no longer counts; both stay. */
@Entity
class SignOffWithdrawal {

    @Id
    private UUID signOffId;

    private UUID withdrawnBy;
    private String withdrawnName;
    private Instant withdrawnAt;
    private String reason;

    @SuppressWarnings("NullAway.Init")
    protected SignOffWithdrawal() {}

    SignOffWithdrawal(UUID signOffId, UUID withdrawnBy, String withdrawnName, Instant withdrawnAt, String reason) {
        this.signOffId = signOffId;
        this.withdrawnBy = withdrawnBy;
        this.withdrawnName = withdrawnName;
        this.withdrawnAt = withdrawnAt;
        this.reason = reason;
    }

    UUID signOffId() {
        return signOffId;
    }

    String withdrawnName() {
        return withdrawnName;
    }

    Instant withdrawnAt() {
        return withdrawnAt;
    }

    String reason() {
        return reason;
    }
}
