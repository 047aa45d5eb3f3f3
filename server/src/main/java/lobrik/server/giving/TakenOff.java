package lobrik.server.giving;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** The word that a trainee does not have an exercise in hand any more. Its sheet still opens it. */
@Entity
@Immutable
public class TakenOff {

    @Id
    private UUID assignmentId;

    /** Nobody where a later exercise took its place, as it did in earlier versions. */
    private @Nullable UUID takenBy;

    private Instant takenAt;

    @SuppressWarnings("NullAway.Init")
    protected TakenOff() {}

    TakenOff(UUID assignmentId, UUID takenBy, Instant takenAt) {
        this.assignmentId = assignmentId;
        this.takenBy = takenBy;
        this.takenAt = takenAt;
    }
}
