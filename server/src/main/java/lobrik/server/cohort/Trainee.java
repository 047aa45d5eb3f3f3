package lobrik.server.cohort;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.util.UUID;

/** Somebody who learns to bend, at a bench. */
@Entity
public class Trainee {

    @Id
    private UUID id;

    private UUID cohortId;
    private String fullName;
    private int bench;

    @SuppressWarnings("NullAway.Init")
    protected Trainee() {}

    public Trainee(UUID id, UUID cohortId, String fullName, int bench) {
        this.id = id;
        this.cohortId = cohortId;
        this.fullName = fullName;
        this.bench = bench;
    }

    public UUID id() {
        return id;
    }

    public UUID cohortId() {
        return cohortId;
    }

    public String fullName() {
        return fullName;
    }

    public int bench() {
        return bench;
    }
}
