package lobrik.server.exercise;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import lobrik.server.platform.Numbered;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** That somebody put an exercise away, or took it back. */
@Entity
@Immutable
@Table(name = "library_retirement")
class Retirement extends Numbered {

    @Id
    private UUID id;

    private UUID entryId;
    private boolean away;
    private @Nullable UUID by;
    private Instant at;

    @SuppressWarnings("NullAway.Init")
    protected Retirement() {}

    Retirement(UUID id, UUID entryId, boolean away, UUID by, Instant at) {
        this.id = id;
        this.entryId = entryId;
        this.away = away;
        this.by = by;
        this.at = at;
    }

    boolean isAway() {
        return away;
    }

    /** Nobody is known of what was put away before this was noted. */
    @Nullable
    UUID by() {
        return by;
    }

    Instant at() {
        return at;
    }
}
