package lobrik.verdict;

import lobrik.feature.FeatureId;
import lobrik.measure.Quantity;

/**
 * A reading that was judged.
 *
 * @param deviation reading less target
 * @param credit 0 to 1
 * @param band where the deviation lies in the tolerance
 */
public record Judged(FeatureId feature, Quantity deviation, double credit, Band band) {

    /** Where a deviation lies. A deviation exactly on a limit belongs to the inner band. */
    public enum Band {
        /** Within half the tolerance. */
        CLOSE("close"),
        /** Within the tolerance. */
        WITHIN("within"),
        /** Beyond the tolerance. */
        OUTSIDE("outside");

        private final String id;

        Band(String id) {
            this.id = id;
        }

        /** As programs see it: {@code close}. */
        public String id() {
            return id;
        }

        /** Where a deviation lies in a tolerance. */
        public static Band of(Quantity deviation, Tolerance tolerance) {
            long size = Math.abs(deviation.count());
            if (2 * size <= tolerance.on(deviation).count()) {
                return CLOSE;
            }
            return tolerance.holds(deviation) ? WITHIN : OUTSIDE;
        }
    }
}
