package lobrik.server.study;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import lobrik.server.attempt.ReadsTo;
import lobrik.server.platform.Numbered;
import org.hibernate.annotations.Immutable;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

/** What a school's readings are known to spread by, from when somebody took it so; the newest counts. */
@Entity
@Immutable
@Table(name = "reading_spread")
class SpreadRow extends Numbered {

    @Id
    private UUID id;

    private UUID centreId;
    private @Nullable UUID studyId;

    @JdbcTypeCode(SqlTypes.JSON)
    private ReadsTo known;

    private UUID takenBy;
    private Instant takenAt;

    @SuppressWarnings("NullAway.Init")
    protected SpreadRow() {}

    SpreadRow(UUID centreId, @Nullable UUID studyId, ReadsTo known, UUID takenBy, Instant takenAt) {
        this.id = UUID.randomUUID();
        this.centreId = centreId;
        this.studyId = studyId;
        this.known = known;
        this.takenBy = takenBy;
        this.takenAt = takenAt;
    }

    /** The last study that it was taken from; null where somebody went back to what is usual. */
    @Nullable
    UUID studyId() {
        return studyId;
    }

    ReadsTo known() {
        return known;
    }

    UUID takenBy() {
        return takenBy;
    }

    Instant takenAt() {
        return takenAt;
    }
}
