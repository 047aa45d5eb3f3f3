package lobrik.server.attempt;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import lobrik.server.exercise.ReadingsAsked;
import lobrik.server.giving.Assignment;
import lobrik.server.shed.ToleranceFigures;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

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

    private String readings;

    private @Nullable UUID startedBy;
    private Instant startedAt;

    @SuppressWarnings("NullAway.Init")
    protected Attempt() {}

    /**
     * An attempt.
     *
     * @param startedBy nobody with an account if the trainee began it on a phone
     */
    public Attempt(
            UUID id,
            Assignment assignment,
            ToleranceFigures tolerances,
            ReadingsAsked readings,
            @Nullable UUID startedBy,
            Instant startedAt) {
        this.id = id;
        this.assignmentId = assignment.id();
        this.exerciseId = assignment.exerciseId();
        this.traineeId = assignment.traineeId();
        this.tolerances = tolerances;
        this.readings = readings.id();
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

    /** Which features are read, frozen when it began. */
    public ReadingsAsked readings() {
        return ReadingsAsked.withId(readings);
    }

    public Instant startedAt() {
        return startedAt;
    }
}
