package lobrik.bend;

import java.util.Optional;
import lobrik.fault.Faults;
import lobrik.measure.Angle;
import lobrik.measure.Length;

/**
 * A three-point saddle over a round or narrow obstacle (handbook 4.6).
 *
 * @param height of the obstacle
 * @param clearance added to it, 0 or more
 * @param outerAngle {@code α} of the outer bends; the centre bend is {@code 2α}
 * @param centre {@code D}: from the datum end to the middle of the obstacle
 * @param spacing how chart practice finds the outer marks
 * @param overall finished length wanted, if it is
 */
public record Saddle3(
        Length height,
        Length clearance,
        Angle outerAngle,
        Length centre,
        Spacing spacing,
        Order order,
        Optional<Length> overall)
        implements Bend {

    public static final Angle USUAL_OUTER_ANGLE = Angle.ofDegrees(22.5);

    /** So that the centre bend is at most 120°. */
    private static final Angle STEEPEST = Angle.ofDegrees(60);

    /** How chart practice finds the outer marks. */
    public enum Spacing {
        /** The usual 2.5 per inch of height for 22½°; the multiplier for other angles. */
        FACTOR,
        /** The multiplier, for every angle. */
        COSECANT
    }

    /** In which order the bends are made. */
    public enum Order {
        /** Centre, one outer bend, then turned end for end for the other. */
        CENTRE_FIRST,
        /** Outer, centre, outer, never turned end for end. */
        PUSH_THROUGH
    }

    /** @throws lobrik.fault.Refused with every input that is outside its range */
    public Saddle3 {
        Faults faults = new Faults();
        faults.requirePositive("heightIn", "the height", height, Length.LONGEST_ENTRY);
        Limits.requireClearance(faults, "clearanceIn", "the clearance", clearance);
        Limits.requireAngle(faults, "outerAngleDeg", "the outer angle", outerAngle, STEEPEST);
        faults.requirePositive("centreIn", "the distance to the centre", centre, Length.LONGEST_ENTRY);
        Limits.requireOverall(faults, overall);
        faults.refuseIfAny();
    }

    /** {@code h}: the height with its clearance. */
    public Length raised() {
        return height.plus(clearance);
    }

    /** {@code 2α}. */
    public Angle centreAngle() {
        return outerAngle.plus(outerAngle);
    }
}
