package lobrik.progress;

import java.util.List;
import java.util.Optional;
import lobrik.measure.Quantity;
import org.hipparchus.distribution.continuous.ChiSquaredDistribution;
import org.hipparchus.distribution.continuous.TDistribution;

/**
 * Where deviations of one feature lie on the whole, and how sure that is. The deviations are taken as independent draws of a
 * normal distribution; with as few as people bend, the intervals are wide, and say so.
 *
 * @param count how many deviations
 * @param bias their mean
 * @param spread their standard deviation (n − 1), with two or more
 * @param confidence of both intervals, such as 0.95
 * @param biasInterval by Student's t with n − 1 degrees of freedom: mean ± t · s / √n
 * @param spreadInterval by chi-square with n − 1 degrees of freedom: √((n − 1) s² / χ²)
 */
public record Estimate(
        int count,
        Quantity bias,
        Optional<Quantity> spread,
        double confidence,
        Optional<Interval> biasInterval,
        Optional<Interval> spreadInterval) {

    /** What people usually ask for. */
    public static final double USUAL_CONFIDENCE = 0.95;

    /**
     * The estimate from deviations of one feature; empty where there are none.
     *
     * @param confidence more than 0 and less than 1
     */
    public static Optional<Estimate> of(List<? extends Quantity> deviations, double confidence) {
        if (!(confidence > 0 && confidence < 1)) {
            throw new IllegalArgumentException("a confidence lies between 0 and 1, and is not " + confidence);
        }
        if (deviations.isEmpty()) {
            return Optional.empty();
        }
        Quantity unit = deviations.getFirst();
        int count = deviations.size();
        double mean = deviations.stream().mapToLong(Quantity::count).average().orElseThrow();
        Quantity bias = unit.withCount(Math.round(mean));
        if (count < 2) {
            return Optional.of(
                    new Estimate(count, bias, Optional.empty(), confidence, Optional.empty(), Optional.empty()));
        }
        double squares = deviations.stream()
                .mapToDouble(deviation -> (deviation.count() - mean) * (deviation.count() - mean))
                .sum();
        double spread = Math.sqrt(squares / (count - 1));
        double tail = (1 - confidence) / 2;
        double reach = new TDistribution(count - 1).inverseCumulativeProbability(1 - tail) * spread / Math.sqrt(count);
        ChiSquaredDistribution chi = new ChiSquaredDistribution(count - 1);
        return Optional.of(new Estimate(
                count,
                bias,
                Optional.of(unit.withCount(Math.round(spread))),
                confidence,
                Optional.of(interval(unit, mean - reach, mean + reach)),
                Optional.of(interval(
                        unit,
                        Math.sqrt(squares / chi.inverseCumulativeProbability(1 - tail)),
                        Math.sqrt(squares / chi.inverseCumulativeProbability(tail))))));
    }

    private static Interval interval(Quantity unit, double from, double to) {
        return new Interval(unit.withCount(Math.round(from)), unit.withCount(Math.round(to)));
    }
}
