package lobrik.shop;

import lobrik.fault.Faults;
import lobrik.measure.Angle;
import lobrik.measure.Length;

/**
 * A shoe on a lever, for one size of conduit: a hand bender. All its figures are profile data: starting values from a table, then
 * calibrated and edited by the instructor.
 *
 * @param takeUp {@code T}: arrow to the back of a 90, more than 0
 * @param radius {@code R}: radius of the centreline, more than 0
 * @param minSpacing least straight conduit between two bends; of a box offset, least distance of its marks
 * @param minStub least conduit on the hook's side of the arrow that the shoe can hold
 * @param minStanding least straight conduit beyond the bend that must remain to stand on
 * @param springback how far a bend opens when the lever is let go, 0° to 45°
 */
public record Shoe(
        Length takeUp, Length radius, Length minSpacing, Length minStub, Length minStanding, Angle springback)
        implements ShoeTool {

    /** Used where a profile does not name them; generic, to be edited. */
    public static final Length USUAL_MIN_STUB = Length.ofInches(2);

    public static final Length USUAL_MIN_STANDING = Length.ofInches(6);

    private static final Angle LARGEST_SPRINGBACK = Angle.ofDegrees(45);

    /** @throws lobrik.fault.Refused with every figure that is outside its range */
    public Shoe {
        Faults faults = new Faults();
        faults.requirePositive("takeUpIn", "the take-up", takeUp, LARGEST_FIGURE);
        faults.requirePositive("radiusIn", "the bend radius", radius, LARGEST_FIGURE);
        faults.requireWithin("minSpacingIn", "the least spacing", minSpacing, Length.ZERO, LARGEST_FIGURE);
        faults.requireWithin("minStubIn", "the least stub", minStub, Length.ZERO, LARGEST_FIGURE);
        faults.requireWithin("minStandingIn", "the least standing length", minStanding, Length.ZERO, LARGEST_FIGURE);
        faults.requireWithin("springbackDeg", "the springback", springback, Angle.ZERO, LARGEST_SPRINGBACK);
        faults.refuseIfAny();
    }

    @Override
    public Length minGrip() {
        return minStub;
    }

    @Override
    public Shoe withRadius(Length other) {
        return new Shoe(takeUp, other, minSpacing, minStub, minStanding, springback);
    }

    /** Enough to hold and to stand on. */
    @Override
    public Length roomBeyond() {
        return takeUp.plus(minStub).plus(minStanding);
    }

    /** The same at every angle, as nearly as hands can tell. */
    @Override
    public Angle springback(Angle rest) {
        return springback;
    }

    /** A shoe of which only take-up and radius are known; the rest takes the usual values. */
    public static Shoe of(Length takeUp, Length radius) {
        return new Shoe(takeUp, radius, USUAL_MIN_SPACING, USUAL_MIN_STUB, USUAL_MIN_STANDING, Angle.ZERO);
    }
}
