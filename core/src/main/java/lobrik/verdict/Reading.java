package lobrik.verdict;

import lobrik.bend.BendKind;
import lobrik.fault.FaultCode;
import lobrik.fault.Faults;
import lobrik.feature.FeatureId;
import lobrik.measure.Quantity;

/**
 * What was read of a feature and what it is judged against.
 *
 * @param tolerance to both sides more than zero
 * @param weight in the score, 0 or more
 * @param critical whether the piece fails when this is outside its tolerance
 */
public record Reading(
        FeatureId feature, Quantity target, Quantity reading, Tolerance tolerance, double weight, boolean critical) {

    private static final double LARGEST_WEIGHT = 1e6;

    /** @throws lobrik.fault.Refused with every figure that is outside its range */
    public Reading {
        Faults faults = new Faults();
        requirePositive(faults, tolerance.over());
        if (!tolerance.isEven()) {
            requirePositive(faults, tolerance.under());
        }
        if (!(weight >= 0 && weight <= LARGEST_WEIGHT)) {
            faults.add(
                    FaultCode.OUT_OF_RANGE, "weight", "the weight is " + weight + "; it must be from 0 to 1,000,000");
        }
        faults.refuseIfAny();
    }

    private static void requirePositive(Faults faults, Quantity size) {
        if (size.count() <= 0) {
            faults.add(FaultCode.NOT_POSITIVE, "tolerance", "the tolerance is " + size + "; it must be more than 0");
        }
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

    /** Reading less target. */
    public Quantity deviation() {
        return feature.compared(reading, target).minus(target);
    }

    /** Judges this reading alone. */
    public Judged judged(Scheme scheme) {
        Quantity deviation = deviation();
        return new Judged(
                feature, deviation, scheme.creditOf(deviation, tolerance), Judged.Band.of(deviation, tolerance));
    }
}
