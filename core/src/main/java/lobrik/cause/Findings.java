package lobrik.cause;

import java.util.Set;
import lobrik.verdict.InspectionPoint;

/** What was found wrong by looking, as evidence besides what was read: some causes leave it behind, others hardly ever. */
final class Findings {

    /** How often each is found on a piece that nothing of the kind was done to. */
    private static final double KINK_ANYWAY = 0.02;

    private static final double FLAT_ANYWAY = 0.03;
    private static final double SCORCH_ANYWAY = 0.002;

    private Findings() {}

    /** Natural logarithm of how much more often a cause leaves behind what was found than pieces have it anyway. */
    static double log(CauseId cause, Set<InspectionPoint> faulty) {
        double log = 0;
        for (InspectionPoint point : faulty) {
            log += Math.log(moreOften(cause, point));
        }
        return log;
    }

    private static double moreOften(CauseId cause, InspectionPoint point) {
        return switch (point) {
            case KINK -> cause == CauseId.HEATED_SHORT ? 0.6 / KINK_ANYWAY : 1;
            case FLATTENING -> cause == CauseId.HEATED_SHORT ? 0.5 / FLAT_ANYWAY : 1;
            case SCORCH -> cause == CauseId.TOO_HOT ? 0.95 / SCORCH_ANYWAY : 1;
            case LIES_FLAT, ENDS, RIPPLE, MARKS_LEFT, FITS, CLEARS -> 1;
        };
    }
}
