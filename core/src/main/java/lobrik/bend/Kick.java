package lobrik.bend;

import lobrik.fault.Faults;
import lobrik.measure.Angle;
import lobrik.measure.Length;

/**
 * One bend under 90° that lifts the far end (handbook 4.5).
 *
 * @param rise of the far end face, from the datum leg's underside to its own
 * @param angle {@code θ}, less than 90°
 * @param distance {@code D}: along the datum leg, from the datum end to the far end face (before an obstacle) or to the
 *     mark (from an edge)
 */
public record Kick(Length rise, Angle angle, Length distance, OffsetLayout layout) implements Bend {

    private static final Angle STEEPEST = Angle.ofDegrees(89);

    /** @throws lobrik.fault.Refused with every input that is outside its range */
    public Kick {
        Faults faults = new Faults();
        faults.requirePositive("riseIn", "the rise", rise, Length.LONGEST_ENTRY);
        Limits.requireAngle(faults, "angleDeg", "the angle", angle, STEEPEST);
        faults.requirePositive("distanceIn", "the distance", distance, Length.LONGEST_ENTRY);
        faults.refuseIfAny();
    }
}
