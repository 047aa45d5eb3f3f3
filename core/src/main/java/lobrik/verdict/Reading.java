package lobrik.verdict;

import lobrik.bend.BendKind;
import lobrik.fault.FaultCode;
import lobrik.fault.Faults;
import lobrik.measure.Quantity;
import lobrik.shape.FeatureId;

/**
 * What was read of a feature and what it is judged against.
 *
 * @param tolerance more than zero
 * @param weight in the score, 0 or more
 * @param critical whether the piece fails when this is outside its tolerance
 */
public record Reading(
        FeatureId feature, Quantity target, Quantity reading, Quantity tolerance, double weight, boolean critical) {

    private static final double LARGEST_WEIGHT = 1e6;

    /** @throws lobrik.fault.Refused with every figure that is outside its range */
    public Reading {
        Faults faults = new Faults();
        if (tolerance.count() <= 0) {
            faults.add(
                    FaultCode.NOT_POSITIVE, "tolerance", "the tolerance is " + tolerance + "; it must be more than 0");
        }
        if (!(weight >= 0 && weight <= LARGEST_WEIGHT)) {
            faults.add(
                    FaultCode.OUT_OF_RANGE, "weight", "the weight is " + weight + "; it must be from 0 to 1,000,000");
        }
        faults.refuseIfAny();
    }

    /** A reading judged by a set of tolerances. */
    public static Reading of(
            BendKind bend, FeatureId feature, Quantity target, Quantity reading, Tolerances tolerances) {
        Judging judging = tolerances.judging();
        return new Reading(
                feature,
                target,
                reading,
                tolerances.of(bend, feature),
                judging.weight(feature),
                judging.isCritical(feature));
    }

    /** Judges this reading alone. */
    public Judged judged(Scheme scheme) {
        Quantity deviation = reading.minus(target);
        return new Judged(
                feature, deviation, scheme.creditOf(deviation, tolerance), Judged.Band.of(deviation, tolerance));
    }
}
