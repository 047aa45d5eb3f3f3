package lobrik.server.attempt;

import java.time.Instant;
import java.util.function.Supplier;
import lobrik.assessment.Basis;
import lobrik.feature.FeatureId;
import lobrik.server.cohort.Trainee;
import lobrik.server.exercise.Exercise;
import lobrik.wire.Question;

/**
 * An attempt that somebody may write on, and with what was written down of it so far.
 *
 * @param givenAt when its exercise was handed out
 */
record Opened(
        Attempt attempt,
        Trainee trainee,
        Instant givenAt,
        Exercise exercise,
        Basis basis,
        Supplier<Question> laidOut,
        Ledger ledger) {

    /** Whether a feature is read on this piece. */
    boolean isMeasured(FeatureId feature) {
        return basis.holds(feature);
    }

    /** As the core sees it. */
    Measured measured() {
        return with(ledger);
    }

    /** The same once something more is written down. */
    Measured with(Ledger more) {
        return Measured.of(attempt, exercise, basis, laidOut, more);
    }
}
