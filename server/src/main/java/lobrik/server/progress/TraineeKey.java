package lobrik.server.progress;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.DynamicUpdate;
import org.jspecify.annotations.Nullable;

/** A trainee's key to their own page; it opens that and nothing else. */
@Entity
@DynamicUpdate // The application may only end one.
class TraineeKey {

    @Id
    private UUID id;

    private UUID traineeId;
    private String code;
    private UUID madeBy;
    private Instant madeAt;
    private @Nullable Instant endedAt;

    @SuppressWarnings("NullAway.Init")
    protected TraineeKey() {}

    TraineeKey(UUID id, UUID traineeId, String code, UUID madeBy, Instant madeAt) {
        this.id = id;
        this.traineeId = traineeId;
        this.code = code;
        this.madeBy = madeBy;
        this.madeAt = madeAt;
    }

    UUID traineeId() {
        return traineeId;
    }

    String code() {
        return code;
    }

    void end(Instant at) {
        endedAt = at;
    }
}
