package lobrik.bend;

import java.util.Optional;
import lobrik.fault.Faults;
import lobrik.measure.Angle;
import lobrik.measure.Length;

/**
 * A four-point saddle over a wide, boxy obstacle (handbook 4.7).
 *
 * @param height of the obstacle
 * @param clearance added to it, 0 or more
 * @param angle {@code θ} of all four bends
 * @param width {@code W} of the obstacle
 * @param edgeClearance {@code c}: on each side of the obstacle, 0 or more
 * @param measuredTo what the distance runs to
 * @param distance {@code D}: from the datum end
 * @param placement the shoe's mark that is set on the rings; the arrow, except in schools that use the star
 * @param overall finished length wanted, if it is
 */
public record Saddle4(
        Length height,
        Length clearance,
        Angle angle,
        Length width,
        Length edgeClearance,
        MeasuredTo measuredTo,
        Length distance,
        Placement placement,
        Optional<Length> overall)
        implements Bend {

    /** What the distance of a four-point saddle runs to. */
    public enum MeasuredTo {
        /** The near edge of the obstacle, from a fixed end. */
        NEAR_EDGE,
        /** The middle of the obstacle, as marked on the straight conduit; both ends are free. */
        CENTRED
    }

    /** @throws lobrik.fault.Refused with every input that is outside its range */
    public Saddle4 {
        Faults faults = new Faults();
        faults.requirePositive("heightIn", "the height", height, Length.LONGEST_ENTRY);
        Limits.requireClearance(faults, "clearanceIn", "the clearance", clearance);
        Limits.requireAngle(faults, "angleDeg", "the angle", angle);
        faults.requirePositive("widthIn", "the width", width, Length.LONGEST_ENTRY);
        Limits.requireClearance(faults, "edgeClearanceIn", "the edge clearance", edgeClearance);
        faults.requirePositive("distanceIn", "the distance", distance, Length.LONGEST_ENTRY);
        Limits.requireOverall(faults, overall);
        faults.refuseIfAny();
    }

    /** {@code h}: the height with its clearance. */
    public Length raised() {
        return height.plus(clearance);
    }

    /** {@code W + 2c}: from near inner ring to far inner ring. Formula {@code saddle4-flat}, handbook 4.7. */
    public Length flat() {
        return width.plus(edgeClearance.times(2));
    }

    /** The same saddle with its marks set the other way on the shoe. */
    public Saddle4 placedBy(Placement other) {
        return new Saddle4(height, clearance, angle, width, edgeClearance, measuredTo, distance, other, overall);
    }
}
