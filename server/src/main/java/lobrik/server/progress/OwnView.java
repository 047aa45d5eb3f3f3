package lobrik.server.progress;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What a trainee sees of their own progress.
 *
 * @param families in the order in which bends are learnt, with what was not tried yet
 * @param habits what to work on, in sentences
 */
record OwnView(
        String fullName,
        String centreName,
        int pieces,
        int passes,
        List<OwnFamily> families,
        List<String> habits,
        TraineeProgress.NextView next,
        List<OwnSignOff> signOffs) {

    /** A family of bends; recent has the last pieces, from the oldest. */
    record OwnFamily(
            String id,
            StandingName standing,
            List<TraineeProgress.ConditionView> conditions,
            int pieces,
            List<OwnPiece> recent) {}

    record OwnPiece(Instant measuredAt, String title, double points, boolean passed) {}

    record OwnSignOff(
            String family,
            String signedBy,
            Instant signedAt,
            int pieces,
            @Nullable Instant withdrawnAt,
            @Nullable String reason) {}
}
