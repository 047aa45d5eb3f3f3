package lobrik.server.attempt;

import java.time.Instant;
import lobrik.feature.FeatureId;
import lobrik.server.calc.Calculations;
import lobrik.server.cohort.Trainee;
import lobrik.server.exercise.Exercise;

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
        Calculations.Question question,
        Ledger ledger) {

    /** Whether a feature is read on this piece. */
    boolean isMeasured(FeatureId feature) {
        return Verdict.measured(Measured.rules(attempt), question).stream()
                .anyMatch(plan -> plan.id().equals(feature));
    }

    /** As the core sees it. */
    Measured measured() {
        return with(ledger);
    }

    /** The same once something more is written down. */
    Measured with(Ledger more) {
        return Measured.of(attempt, exercise, question, more);
    }
}
