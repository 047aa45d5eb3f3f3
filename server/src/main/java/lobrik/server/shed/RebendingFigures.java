package lobrik.server.shed;

import lobrik.measure.Angle;
import lobrik.verdict.Rebending;

/**
 * How much a piece may be bent again, as it is sent and stored.
 *
 * @param mostEasedDeg how far a bend may be opened
 * @param mostAddedDeg how far it may be closed further
 * @param mostTimes how often in all
 */
public record RebendingFigures(double mostEasedDeg, double mostAddedDeg, int mostTimes) {

    static RebendingFigures of(Rebending rebending) {
        return new RebendingFigures(
                rebending.mostEased().degrees(), rebending.mostAdded().degrees(), rebending.mostTimes());
    }

    Rebending toCore() {
        return new Rebending(Angle.ofDegrees(mostEasedDeg), Angle.ofDegrees(mostAddedDeg), mostTimes);
    }
}
