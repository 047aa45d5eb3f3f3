package lobrik.progress;

import java.util.List;
import java.util.Optional;
import lobrik.measure.Quantity;

/**
 * Where deviations of one feature lie on the whole.
 *
 * @param count how many deviations
 * @param bias their mean
 * @param spread their standard deviation (n − 1); empty with fewer than two
 */
public record Tendency(int count, Quantity bias, Optional<Quantity> spread) {

    /** The tendency of deviations of one feature; empty where there are none. */
    public static Optional<Tendency> of(List<? extends Quantity> deviations) {
        if (deviations.isEmpty()) {
            return Optional.empty();
        }
        Quantity unit = deviations.getFirst();
        double mean = deviations.stream().mapToLong(Quantity::count).average().orElseThrow();
        Optional<Quantity> spread = deviations.size() < 2
                ? Optional.empty()
                : Optional.of(unit.withCount(Math.round(standardDeviation(deviations, mean))));
        return Optional.of(new Tendency(deviations.size(), unit.withCount(Math.round(mean)), spread));
    }

    private static double standardDeviation(List<? extends Quantity> deviations, double mean) {
        double squares = 0;
        for (Quantity deviation : deviations) {
            squares += (deviation.count() - mean) * (deviation.count() - mean);
        }
        return Math.sqrt(squares / (deviations.size() - 1));
    }
}
