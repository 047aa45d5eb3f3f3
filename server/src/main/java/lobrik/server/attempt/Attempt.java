package lobrik.server.attempt;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import lobrik.server.giving.Assignment;
import lobrik.server.shed.ToleranceFigures;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** One piece that a trainee bent, with the tolerances it is judged by, frozen when its measuring began. */
@Entity
public class Attempt {

    @Id
    private UUID id;

    private UUID assignmentId;
    private UUID exerciseId;
    private UUID traineeId;

    @JdbcTypeCode(SqlTypes.JSON)
    private ToleranceFigures tolerances;

    private UUID startedBy;
    private Instant startedAt;

    @SuppressWarnings("NullAway.Init")
    protected Attempt() {}

    public Attempt(UUID id, Assignment assignment, ToleranceFigures tolerances, UUID startedBy, Instant startedAt) {
        this.id = id;
        this.assignmentId = assignment.id();
        this.exerciseId = assignment.exerciseId();
        this.traineeId = assignment.traineeId();
        this.tolerances = tolerances;
        this.startedBy = startedBy;
        this.startedAt = startedAt;
    }

    public UUID id() {
        return id;
    }

    public UUID assignmentId() {
        return assignmentId;
    }

    public UUID exerciseId() {
        return exerciseId;
    }

    public UUID traineeId() {
        return traineeId;
    }

    public ToleranceFigures tolerances() {
        return tolerances;
    }

    public Instant startedAt() {
        return startedAt;
    }
}
