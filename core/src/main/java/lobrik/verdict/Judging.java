package lobrik.verdict;

import java.util.Map;
import lobrik.fault.FaultCode;
import lobrik.fault.Faults;
import lobrik.shape.FeatureId;

/**
 * How readings become points.
 *
 * @param scheme how credit falls with the deviation
 * @param weights of features that count more or less than 1
 * @param critical for features of which it is not the usual: whether the piece fails when they are outside
 */
public record Judging(Scheme scheme, Map<FeatureId, Double> weights, Map<FeatureId, Boolean> critical) {

    /** Graded; all features count the same; what belongs to the finished piece is critical. */
    public static final Judging USUAL = new Judging(Scheme.GRADED, Map.of(), Map.of());

    private static final double LEAST_WEIGHT = 0.1;
    private static final double MOST_WEIGHT = 100;

    /** @throws lobrik.fault.Refused with every weight that is outside its range */
    public Judging {
        Faults faults = new Faults();
        weights.forEach((feature, weight) -> {
            if (!(weight >= LEAST_WEIGHT && weight <= MOST_WEIGHT)) {
                faults.add(
                        FaultCode.OUT_OF_RANGE,
                        "weights/" + feature.id(),
                        "the weight is " + weight + "; it must be from 0.1 to 100");
            }
        });
        faults.refuseIfAny();
        weights = Map.copyOf(weights);
        critical = Map.copyOf(critical);
    }

    public double weight(FeatureId feature) {
        return weights.getOrDefault(feature, 1.0);
    }

    /** Whether a piece fails when this is outside its tolerance. */
    public boolean isCritical(FeatureId feature) {
        return critical.getOrDefault(feature, feature.isOfFinishedPiece());
    }
}
