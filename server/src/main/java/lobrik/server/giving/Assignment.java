package lobrik.server.giving;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import lobrik.server.platform.Numbered;

/** An exercise given to a trainee: the same as everybody's of its giving, or a variant. */
@Entity
public class Assignment extends Numbered {

    @Id
    private UUID id;

    private UUID givingId;
    private UUID exerciseId;
    private UUID traineeId;
    private UUID givenBy;
    private Instant givenAt;
    private String code;

    @SuppressWarnings("NullAway.Init")
    protected Assignment() {}

    /**
     * Gives an exercise to a trainee.
     *
     * @param code on the sheet, see {@link SheetCode}
     */
    public Assignment(UUID id, Giving giving, UUID exerciseId, UUID traineeId, String code) {
        this.id = id;
        this.givingId = giving.id();
        this.exerciseId = exerciseId;
        this.traineeId = traineeId;
        this.givenBy = giving.givenBy();
        this.givenAt = giving.givenAt();
        this.code = code;
    }

    public UUID id() {
        return id;
    }

    public UUID givingId() {
        return givingId;
    }

    public UUID exerciseId() {
        return exerciseId;
    }

    public UUID traineeId() {
        return traineeId;
    }

    public Instant givenAt() {
        return givenAt;
    }

    public String code() {
        return code;
    }
}
