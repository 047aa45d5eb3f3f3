package lobrik.server.progress;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A cohort: trainees by bench, families of bends in the order in which they are learnt.
 *
 * @param pieces how many the cohort finished in the last seven days
 * @param slips what went wrong in them, the commonest first
 * @param catchingUpPercent while older pieces are still being counted up
 * @param leftOut how many pieces of the school could not be worked out anew, and stand as they were
 */
record MatrixView(
        UUID cohortId,
        String cohortName,
        List<String> families,
        List<MatrixRow> rows,
        int pieces,
        List<SlipView> slips,
        @Nullable Integer catchingUpPercent,
        long leftOut) {

    /**
     * A trainee.
     *
     * @param lastAt when something of theirs was measured last
     * @param resting whether they have bent nothing for more than two weeks; nobody rests who only came since
     * @param cells by family, in the same order
     */
    record MatrixRow(
            UUID traineeId,
            String fullName,
            int bench,
            @Nullable Instant lastAt,
            boolean resting,
            List<MatrixCell> cells) {}

    /**
     * Where somebody stands in a family of bends.
     *
     * @param recent the last pieces, from the oldest
     */
    record MatrixCell(String family, StandingName standing, List<DotView> recent) {}

    /** A piece. */
    record DotView(UUID attemptId, Instant measuredAt, double points, boolean passed) {}

    /** How often a cause was named, and with how many trainees. */
    record SlipView(String cause, String title, int pieces, int trainees) {}
}
