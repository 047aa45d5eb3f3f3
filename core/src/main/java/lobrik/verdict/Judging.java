package lobrik.verdict;

import lobrik.fault.FaultCode;
import lobrik.fault.Faults;
import lobrik.feature.FeatureId;
import lobrik.feature.FeatureKind;

/**
 * How readings become points.
 *
 * @param scheme how credit falls with the deviation
 * @param weights of features that count more or less than 1
 * @param critical for features of which it is not the usual: whether the piece fails when they are outside
 */
public record Judging(Scheme scheme, PerFeature<Double> weights, PerFeature<Boolean> critical) {

    /** Graded; all features count the same; what belongs to the finished piece is critical. */
    public static final Judging USUAL = new Judging(Scheme.GRADED, PerFeature.none(), PerFeature.none());

    private static final double LEAST_WEIGHT = 0.1;
    private static final double MOST_WEIGHT = 100;

    /** @throws lobrik.fault.Refused with every weight that is outside its range */
    public Judging {
        Faults faults = new Faults();
        weights.forEach((feature, weight) -> {
            if (!(weight >= LEAST_WEIGHT && weight <= MOST_WEIGHT)) {
                faults.add(
                        FaultCode.OUT_OF_RANGE,
                        "weights/" + feature,
                        "the weight is " + weight + "; it must be from 0.1 to 100");
            }
        });
        faults.refuseIfAny();
    }

    public double weight(FeatureId feature) {
        return weights.of(feature).orElse(1.0);
    }

    /** The weight of those of a kind of which nothing else is said. */
    public double weight(FeatureKind kind) {
        return weights.ofKind().getOrDefault(kind, 1.0);
    }

    /** Whether a piece fails when one of a kind, of which nothing else is said, is outside its tolerance. */
    public boolean isCritical(FeatureKind kind) {
        return critical.ofKind().getOrDefault(kind, kind.isOfFinishedPiece());
    }

    /** Whether a piece fails when this is outside its tolerance. */
    public boolean isCritical(FeatureId feature) {
        return critical.of(feature).orElse(feature.isOfFinishedPiece());
    }
}
