package lobrik.server.exercise;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.DynamicUpdate;
import org.jspecify.annotations.Nullable;

/** An exercise of the library through its versions. */
@Entity
@DynamicUpdate // The application may only update what can change.
public class LibraryEntry {

    @Id
    private UUID id;

    private UUID centreId;
    private UUID createdBy;
    private Instant createdAt;
    private @Nullable Instant retiredAt;

    @SuppressWarnings("NullAway.Init")
    protected LibraryEntry() {}

    public LibraryEntry(UUID id, UUID centreId, UUID createdBy, Instant createdAt) {
        this.id = id;
        this.centreId = centreId;
        this.createdBy = createdBy;
        this.createdAt = createdAt;
    }

    public UUID id() {
        return id;
    }

    UUID createdBy() {
        return createdBy;
    }

    UUID centreId() {
        return centreId;
    }

    boolean isRetired() {
        return retiredAt != null;
    }

    void retire(@Nullable Instant at) {
        this.retiredAt = at;
    }
}
