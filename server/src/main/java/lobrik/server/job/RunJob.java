package lobrik.server.job;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import lobrik.server.platform.Numbered;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** A run of several pieces that was given out. */
@Entity
@Table(name = "run_job")
class RunJob extends Numbered {

    @Id
    private UUID id;

    private UUID centreId;
    private UUID exerciseId;

    @JdbcTypeCode(SqlTypes.JSON)
    private JobRules rules;

    private UUID givenBy;
    private Instant givenAt;

    @SuppressWarnings("NullAway.Init")
    protected RunJob() {}

    RunJob(UUID id, UUID centreId, UUID exerciseId, JobRules rules, UUID givenBy, Instant givenAt) {
        this.id = id;
        this.centreId = centreId;
        this.exerciseId = exerciseId;
        this.rules = rules;
        this.givenBy = givenBy;
        this.givenAt = givenAt;
    }

    UUID id() {
        return id;
    }

    UUID centreId() {
        return centreId;
    }

    /** Of the whole run. */
    UUID exerciseId() {
        return exerciseId;
    }

    JobRules rules() {
        return rules;
    }

    Instant givenAt() {
        return givenAt;
    }
}
