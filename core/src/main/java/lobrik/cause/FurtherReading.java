package lobrik.cause;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import lobrik.feature.FeatureId;
import lobrik.measure.Quantity;

/**
 * A reading that was not taken and would decide between causes.
 *
 * @param expected what it would read for each of the explanations that it tells apart, the likeliest first
 * @param decides how likely it is to tell two of them apart, 0 to 1
 */
public record FurtherReading(FeatureId feature, List<Expected> expected, double decides) {

    /** What would be read if a cause is the true one. */
    public record Expected(Cause cause, Quantity value) {}

    /** Explanations below this are not asked about. */
    private static final double WORTH_ASKING = 0.04;

    private static final int MOST_ASKED = 5;

    /** Below this, another reading is not worth the walk. */
    private static final double WORTH_READING = 0.1;

    static Optional<FurtherReading> of(Case seen, List<Explanation> explanations) {
        List<Explanation> likely = explanations.stream()
                .filter(each ->
                        each.probability() >= WORTH_ASKING && !each.unread().isEmpty())
                .limit(MOST_ASKED)
                .toList();
        Map<FeatureId, Double> gains = new TreeMap<>();
        for (int i = 0; i < likely.size(); i++) {
            for (int j = 0; j < i; j++) {
                Explanation one = likely.get(i);
                Explanation other = likely.get(j);
                if (!one.leading().isSameAs(other.leading())) {
                    one.unread().forEach((feature, value) -> {
                        Double beside = other.unread().get(feature);
                        if (beside != null) {
                            double apart = (value - beside) / seen.sigma(feature);
                            gains.merge(
                                    feature,
                                    2 * one.probability() * other.probability() * toldApart(apart),
                                    Double::sum);
                        }
                    });
                }
            }
        }
        return gains.entrySet().stream()
                .max(Map.Entry.comparingByValue())
                .filter(best -> best.getValue() >= WORTH_READING)
                .map(best -> new FurtherReading(best.getKey(), expected(best.getKey(), likely), best.getValue()));
    }

    /** One less the Bhattacharyya coefficient of two readings so many standard deviations apart. */
    private static double toldApart(double sigmas) {
        return 1 - Math.exp(-sigmas * sigmas / 8);
    }

    private static List<Expected> expected(FeatureId feature, List<Explanation> likely) {
        return likely.stream()
                .filter(each -> each.unread().containsKey(feature))
                .map(each -> new Expected(
                        each.leading(), feature.measured().of(each.unread().getOrDefault(feature, 0.0))))
                .toList();
    }
}
