package lobrik.server.exercise;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;

/** An exercise given to a trainee. */
@Entity
public class Assignment {

    @Id
    private UUID id;

    private UUID exerciseId;
    private UUID traineeId;
    private UUID givenBy;
    private Instant givenAt;

    @SuppressWarnings("NullAway.Init")
    protected Assignment() {}

    public Assignment(UUID id, UUID exerciseId, UUID traineeId, UUID givenBy, Instant givenAt) {
        this.id = id;
        this.exerciseId = exerciseId;
        this.traineeId = traineeId;
        this.givenBy = givenBy;
        this.givenAt = givenAt;
    }

    public UUID id() {
        return id;
    }

    public UUID exerciseId() {
        return exerciseId;
    }

    public UUID traineeId() {
        return traineeId;
    }
}
