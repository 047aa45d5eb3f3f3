package lobrik.server.stock;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.util.UUID;
import lobrik.measure.Length;
import org.jspecify.annotations.Nullable;

/** A piece that was cut for somebody. */
@Entity
class CutPiece {

    @Id
    private UUID id;

    private UUID cuttingId;
    private @Nullable UUID traineeId;
    private @Nullable UUID assignmentId;
    private String family;
    private long lengthPm;

    @SuppressWarnings("NullAway.Init")
    protected CutPiece() {}

    CutPiece(UUID id, UUID cuttingId, Stockroom.Wanted wanted) {
        this.id = id;
        this.cuttingId = cuttingId;
        this.traineeId = wanted.traineeId();
        this.assignmentId = wanted.assignmentId();
        this.family = wanted.family().id();
        this.lengthPm = wanted.length().picometres();
    }

    UUID id() {
        return id;
    }

    UUID cuttingId() {
        return cuttingId;
    }

    /** Null once they are erased. */
    @Nullable
    UUID traineeId() {
        return traineeId;
    }

    @Nullable
    UUID assignmentId() {
        return assignmentId;
    }

    String family() {
        return family;
    }

    Length length() {
        return new Length(lengthPm);
    }
}
