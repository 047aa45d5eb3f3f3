package lobrik.remedy;

import java.util.Comparator;
import java.util.List;
import lobrik.verdict.Judged;
import lobrik.verdict.Tolerances;

/**
 * Steps with what they come to.
 *
 * @param outside how many dimensions stay outside their tolerance
 * @param criticalOutside how many of them fail the piece
 * @param credits what all dimensions are worth together
 * @param worst the largest deviation, in tolerances
 */
record Attempted(
        List<RemedyStep> steps,
        List<Advice.Predicted> predicted,
        int outside,
        int criticalOutside,
        double credits,
        double worst) {

    /** What saves most comes first; of equal ones the one with the fewest steps; then the closest. */
    static final Comparator<Attempted> BEST_FIRST = Comparator.comparingInt(Attempted::criticalOutside)
            .thenComparingInt(Attempted::outside)
            .thenComparingInt(each -> each.steps().size())
            .thenComparingDouble(Attempted::worst);

    private static final double ROUNDING = 1e-9;

    static Attempted of(List<RemedyStep> steps, List<Advice.Predicted> predicted, Tolerances tolerances, double worst) {
        int outside = 0;
        int critical = 0;
        double credits = 0;
        for (Advice.Predicted each : predicted) {
            credits += tolerances.judging().weight(each.feature()) * each.then().credit();
            if (each.then().band() == Judged.Band.OUTSIDE) {
                outside++;
                critical += tolerances.judging().isCritical(each.feature()) ? 1 : 0;
            }
        }
        return new Attempted(steps, predicted, outside, critical, credits, worst);
    }

    /** Whether nothing is lost by it: nothing leaves its tolerance, and no points go. */
    boolean isNotWorseThan(Attempted other) {
        return credits >= other.credits - ROUNDING
                && predicted.stream()
                        .noneMatch(each -> each.now().band() != Judged.Band.OUTSIDE
                                && each.then().band() == Judged.Band.OUTSIDE);
    }
}
