package lobrik.server.retention;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** What went at once because it was older than a school keeps it. */
@Entity
@Immutable
class RetentionRun {

    @Id
    private UUID id;

    private UUID centreId;

    @Enumerated(EnumType.STRING)
    private DataKind kind;

    private Instant before;
    private int taken;
    private @Nullable UUID runBy;
    private Instant runAt;

    @SuppressWarnings("NullAway.Init")
    protected RetentionRun() {}

    /**
     * A run.
     *
     * @param before what was older went
     * @param runBy nobody if it was by calendar
     */
    RetentionRun(UUID centreId, DataKind kind, Instant before, int taken, @Nullable UUID runBy, Instant runAt) {
        this.id = UUID.randomUUID();
        this.centreId = centreId;
        this.kind = kind;
        this.before = before;
        this.taken = taken;
        this.runBy = runBy;
        this.runAt = runAt;
    }

    int taken() {
        return taken;
    }

    Instant runAt() {
        return runAt;
    }
}
