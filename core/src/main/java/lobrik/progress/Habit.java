package lobrik.progress;

import java.util.OptionalInt;
import lobrik.cause.CauseId;
import lobrik.feature.FeatureId;
import lobrik.measure.Quantity;

/** What somebody does on the whole, and clearly not by chance. */
public sealed interface Habit {

    /** The family of bends in which it shows, or showed last. */
    Family family();

    /**
     * A feature of a family of bends comes out off the same way.
     *
     * @param estimate of what the hands add; its interval is as sure as the rule for habits asks
     * @param tolerance that the last piece was judged by
     * @param sameWay in how many of the pieces it was off to that side
     * @param inRuns how many of the pieces were runs with bends of the family
     * @param persists whether the last pieces still show it
     */
    record Bias(
            Family family,
            FeatureId feature,
            Estimate estimate,
            Quantity tolerance,
            int sameWay,
            int inRuns,
            boolean persists)
            implements Habit {

        /** How large it is, in tolerances. */
        public double inTolerances() {
            return (double) Math.abs(estimate.bias().count()) / tolerance.count();
        }
    }

    /**
     * The same slip comes back.
     *
     * @param family of the last piece that had it
     * @param bend that it was at each time; empty where it was at several
     * @param times in so many pieces
     * @param of of the last so many
     * @param usual how often others have it, 0 to 1
     */
    record Recurring(Family family, CauseId cause, OptionalInt bend, int times, int of, double usual)
            implements Habit {}
}
