package lobrik.verdict;

import lobrik.fault.Faults;
import lobrik.measure.Angle;
import lobrik.measure.Length;

/**
 * When a run goes into both of its fittings (handbook 4.9): data of the school, to be edited.
 *
 * @param play by which its far end face may be off, more than 0 and at most 12 in
 * @param square by which its last leg may be out of square, more than 0° and at most 45°
 */
public record Entering(Length play, Angle square) {

    private static final Length LARGEST_PLAY = Length.ofInches(12);
    private static final Angle LEAST_SQUARE = Angle.ofDegrees(0.01);
    private static final Angle LARGEST_SQUARE = Angle.ofDegrees(45);

    /** A quarter of an inch, and two degrees. */
    public static final Entering USUAL = new Entering(Length.ofFraction(0, 1, 4), Angle.ofDegrees(2));

    /** @throws lobrik.fault.Refused with every figure that is outside its range */
    public Entering {
        Faults faults = new Faults();
        faults.requirePositive("playIn", "the play in the fittings", play, LARGEST_PLAY);
        faults.requireWithin(
                "squareDeg", "what the last leg may be out of square", square, LEAST_SQUARE, LARGEST_SQUARE);
        faults.refuseIfAny();
    }

    /** Whether a run whose far end face is off by so much, and its last leg out of square by so much, goes in. */
    public boolean holds(Length off, Angle outOfSquare) {
        return !off.isMoreThan(play) && !outOfSquare.isMoreThan(square);
    }
}
