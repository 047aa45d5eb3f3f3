package lobrik.server.job;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;

/** A piece of a run that somebody bends. */
@Entity
@Table(name = "run_job_piece")
class RunJobPiece {

    /** By its number, from 1 at the run's datum end. */
    @Embeddable
    record Id(UUID jobId, int number) {}

    @EmbeddedId
    private Id id;

    private UUID givingId;

    @SuppressWarnings("NullAway.Init")
    protected RunJobPiece() {}

    RunJobPiece(UUID jobId, int number, UUID givingId) {
        this.id = new Id(jobId, number);
        this.givingId = givingId;
    }

    int number() {
        return id.number();
    }

    UUID jobId() {
        return id.jobId();
    }

    UUID givingId() {
        return givingId;
    }
}
