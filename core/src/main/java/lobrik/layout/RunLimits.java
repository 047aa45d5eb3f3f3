package lobrik.layout;

import java.util.Optional;
import lobrik.fault.Faults;
import lobrik.measure.Angle;
import lobrik.measure.Length;

/**
 * What a piece must keep to besides its bender: data that the instructor edits, since stock and local code decide
 * (handbook 3 and 4.9).
 *
 * @param stick length that conduit comes in
 * @param mostBends sum of all angles between two pull points
 * @param leastRadius of the centreline, if the code that applies names one
 */
public record RunLimits(Length stick, Angle mostBends, Optional<Length> leastRadius) {

    /** Ten feet, 360°, and no least radius. */
    public static final RunLimits USUAL = new RunLimits(Length.ofInches(120), Angle.ofDegrees(360), Optional.empty());

    /** @throws lobrik.fault.Refused with every figure that is outside its range */
    public RunLimits {
        Faults faults = new Faults();
        faults.requirePositive("stickIn", "the stick", stick, Length.ofInches(1200));
        faults.requireWithin("mostBendsDeg", "the limit of bend", mostBends, Angle.ofDegrees(1), Angle.ofDegrees(3600));
        leastRadius.ifPresent(
                radius -> faults.requirePositive("leastRadiusIn", "the least radius", radius, Length.ofInches(120)));
        faults.refuseIfAny();
    }
}
