package lobrik.bend;

import java.util.Optional;
import lobrik.fault.Faults;
import lobrik.measure.Angle;
import lobrik.measure.Length;

/** Ranges that several kinds of bend share. */
final class Limits {

    private static final Length MOST_CLEARANCE = Length.ofInches(120);
    private static final Angle LEAST_ANGLE = Angle.ofDegrees(1);

    private Limits() {}

    static void requireClearance(Faults faults, String input, String name, Length clearance) {
        faults.requireWithin(input, name, clearance, Length.ZERO, MOST_CLEARANCE);
    }

    static void requireAngle(Faults faults, String input, String name, Angle angle) {
        requireAngle(faults, input, name, angle, Angle.RIGHT);
    }

    static void requireAngle(Faults faults, String input, String name, Angle angle, Angle most) {
        faults.requireWithin(input, name, angle, LEAST_ANGLE, most);
    }

    static void requireOverall(Faults faults, Optional<Length> overall) {
        overall.ifPresent(
                length -> faults.requirePositive("overallIn", "the overall length", length, Length.LONGEST_ENTRY));
    }
}
