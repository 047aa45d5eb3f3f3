package lobrik.server.cohort;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Somebody who learns to bend, at a bench. */
@Entity
public class Trainee {

    @Id
    private UUID id;

    private UUID cohortId;
    private String fullName;
    private int bench;
    private @Nullable String number;

    /** Written by the database when somebody is added. */
    @Column(insertable = false, updatable = false)
    private @Nullable Instant joinedAt;

    @SuppressWarnings("NullAway.Init")
    protected Trainee() {}

    public Trainee(UUID id, UUID cohortId, String fullName, int bench) {
        this(id, cohortId, fullName, bench, null);
    }

    /** @param number that the school knows them by, if it has one */
    public Trainee(UUID id, UUID cohortId, String fullName, int bench, @Nullable String number) {
        this.id = id;
        this.cohortId = cohortId;
        this.fullName = fullName;
        this.bench = bench;
        this.number = number;
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

    /** Since when they are there; nothing before they are kept. */
    public @Nullable Instant joinedAt() {
        return joinedAt;
    }

    public @Nullable String number() {
        return number;
    }
}
