package lobrik.server.shed;

import lobrik.measure.Angle;
import lobrik.verdict.Rebending;
import org.jspecify.annotations.Nullable;

/**
 * How much a piece may be bent again, as it is sent and stored.
 *
 * @param mostEasedDeg how far a bend may be opened
 * @param mostAddedDeg how far it may be closed further
 * @param mostTimes how often in all
 * @param pointsEach taken off each time that it was measured anew after it; nothing in sets from before that was counted
 */
public record RebendingFigures(
        double mostEasedDeg,
        double mostAddedDeg,
        int mostTimes,
        @Nullable Double pointsEach) {

    static RebendingFigures of(Rebending rebending) {
        return new RebendingFigures(
                rebending.mostEased().degrees(),
                rebending.mostAdded().degrees(),
                rebending.mostTimes(),
                rebending.pointsEach());
    }

    Rebending toCore() {
        return new Rebending(
                Angle.ofDegrees(mostEasedDeg),
                Angle.ofDegrees(mostAddedDeg),
                mostTimes,
                pointsEach == null ? 0 : pointsEach);
    }
}
