package lobrik.shop;

import lobrik.fault.Faults;
import lobrik.measure.Angle;
import lobrik.measure.Length;

/**
 * A shoe that a ram or a motor pushes, for one size of conduit: a hydraulic or electric bender (handbook 4.11). All its figures are
 * profile data: starting values from a table, then made by test bends and edited.
 *
 * @param takeUp its deduct: front of the shoe to the back of a 90, more than 0
 * @param radius {@code R}: radius of the centreline, more than 0
 * @param minSpacing least straight conduit between two bends
 * @param minStub least leg of a ninety
 * @param minPastShoe least straight conduit between the front of the shoe and an end, or the end flattens
 * @param springback over the angle at rest
 * @param ramTravel over the angle under load
 */
public record Machine(
        Length takeUp,
        Length radius,
        Length minSpacing,
        Length minStub,
        Length minPastShoe,
        Springback springback,
        RamTravel ramTravel)
        implements ShoeTool {

    /** @throws lobrik.fault.Refused with every figure that is outside its range */
    public Machine {
        Faults faults = new Faults();
        faults.requirePositive("takeUpIn", "the deduct", takeUp, LARGEST_FIGURE);
        faults.requirePositive("radiusIn", "the bend radius", radius, LARGEST_FIGURE);
        faults.requireWithin("minSpacingIn", "the least spacing", minSpacing, Length.ZERO, LARGEST_FIGURE);
        faults.requireWithin("minStubIn", "the least stub", minStub, Length.ZERO, LARGEST_FIGURE);
        faults.requireWithin("minPastShoeIn", "the least past the shoe", minPastShoe, Length.ZERO, LARGEST_FIGURE);
        faults.refuseIfAny();
    }

    @Override
    public Length minGrip() {
        return minPastShoe;
    }

    /** As much beyond the bend as the other leg of a ninety may have at least. */
    @Override
    public Length roomBeyond() {
        return takeUp.plus(minPastShoe);
    }

    @Override
    public Angle springback(Angle rest) {
        return springback.of(rest);
    }

    @Override
    public Machine withRadius(Length other) {
        return new Machine(takeUp, other, minSpacing, minStub, minPastShoe, springback, ramTravel);
    }
}
