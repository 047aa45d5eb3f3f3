package lobrik.server.rota;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.DynamicUpdate;
import org.jspecify.annotations.Nullable;

/** An address that calendars read the sessions of an instructor or a cohort at. What stands in it is kept as its hash alone. */
@Entity
@DynamicUpdate // The application may only update what can change.
class CalendarFeed {

    @Id
    private UUID id;

    private UUID centreId;
    private @Nullable UUID accountId;
    private @Nullable UUID cohortId;
    private String hash;
    private UUID madeBy;
    private Instant madeAt;
    private @Nullable Instant endedAt;

    @SuppressWarnings("NullAway.Init")
    protected CalendarFeed() {}

    /** Of an instructor or of a cohort, whichever is not null. */
    CalendarFeed(
            UUID id,
            UUID centreId,
            @Nullable UUID accountId,
            @Nullable UUID cohortId,
            String hash,
            UUID madeBy,
            Instant madeAt) {
        this.id = id;
        this.centreId = centreId;
        this.accountId = accountId;
        this.cohortId = cohortId;
        this.hash = hash;
        this.madeBy = madeBy;
        this.madeAt = madeAt;
    }

    UUID id() {
        return id;
    }

    UUID centreId() {
        return centreId;
    }

    @Nullable
    UUID accountId() {
        return accountId;
    }

    @Nullable
    UUID cohortId() {
        return cohortId;
    }

    UUID madeBy() {
        return madeBy;
    }

    Instant madeAt() {
        return madeAt;
    }

    void end(Instant at) {
        endedAt = at;
    }

    boolean hasEnded() {
        return endedAt != null;
    }
}
