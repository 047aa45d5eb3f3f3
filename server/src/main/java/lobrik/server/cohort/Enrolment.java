package lobrik.server.cohort;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** That somebody was in a cohort, at a bench, for some time. The database writes it whenever a trainee is added, moves, leaves or comes back. */
@Entity
@Immutable
class Enrolment {

    @Id
    private UUID id;

    private UUID traineeId;
    private UUID cohortId;
    private int bench;

    /** Nothing where it was not kept. */
    private @Nullable Instant since;

    /** Nothing while it lasts. */
    private @Nullable Instant until;

    @SuppressWarnings("NullAway.Init")
    protected Enrolment() {}

    UUID traineeId() {
        return traineeId;
    }

    UUID cohortId() {
        return cohortId;
    }

    /** Whether it had begun by then. */
    boolean hadBegun(Instant at) {
        return since == null || !since.isAfter(at);
    }
}
