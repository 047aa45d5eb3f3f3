package lobrik.bend;

import java.util.Optional;
import lobrik.fault.Faults;
import lobrik.measure.Angle;
import lobrik.measure.Length;

/**
 * Two equal bends that move the conduit sideways (handbook 4.3).
 *
 * @param rise measured, underside to underside; more than 0
 * @param clearance added to the measured rise, 0 or more
 * @param angle {@code θ} of both bends
 * @param distance {@code D}: from the datum end to where {@code layout} says
 * @param overall finished length wanted, if it is: datum end face to far end face along the datum leg
 */
public record Offset(
        Length rise, Length clearance, Angle angle, Length distance, OffsetLayout layout, Optional<Length> overall)
        implements Bend {

    /** @throws lobrik.fault.Refused with every input that is outside its range */
    public Offset {
        Faults faults = new Faults();
        faults.requirePositive("riseIn", "the rise", rise, Length.LONGEST_ENTRY);
        Limits.requireClearance(faults, "clearanceIn", "the clearance", clearance);
        Limits.requireAngle(faults, "angleDeg", "the angle", angle);
        faults.requirePositive("distanceIn", "the distance", distance, Length.LONGEST_ENTRY);
        Limits.requireOverall(faults, overall);
        faults.refuseIfAny();
    }

    /** {@code h}: the rise with its clearance. */
    public Length height() {
        return rise.plus(clearance);
    }
}
