package lobrik.server.attempt;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import lobrik.server.platform.Numbered;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** A step of a trainee, by the trainee's phone or by an instructor. */
@Entity
@Immutable
@Table(name = "bench_step")
public class StepRow extends Numbered {

    @Id
    private UUID id;

    private UUID attemptId;
    private String step;
    private @Nullable UUID setBy;
    private Instant setAt;

    @SuppressWarnings("NullAway.Init")
    protected StepRow() {}

    public StepRow(UUID id, UUID attemptId, BenchStep step, @Nullable UUID setBy, Instant setAt) {
        this.id = id;
        this.attemptId = attemptId;
        this.step = step.id();
        this.setBy = setBy;
        this.setAt = setAt;
    }

    UUID id() {
        return id;
    }

    UUID attemptId() {
        return attemptId;
    }

    public BenchStep step() {
        return BenchStep.withId(step);
    }

    @Nullable
    UUID setBy() {
        return setBy;
    }

    public Instant setAt() {
        return setAt;
    }
}
