package lobrik.sticks;

import java.util.List;
import lobrik.fault.Faults;
import lobrik.measure.Length;

/**
 * What pieces are cut from.
 *
 * @param stick length that conduit comes in
 * @param leftOvers of earlier jobs, which are used first
 * @param kerf what the saw takes at every cut
 * @param fromArc how far a coupling, with half its length and a grip, keeps off a curve and off an end
 */
public record Stock(Length stick, List<Length> leftOvers, Length kerf, Length fromArc) {

    /** A hacksaw with its blade's set. */
    public static final Length USUAL_KERF = Length.ofFraction(0, 1, 16);

    /** Handbook 4.9. */
    public static final Length USUAL_FROM_ARC = Length.ofInches(3);

    private static final Length LONGEST = Length.ofInches(1200);

    /** @throws lobrik.fault.Refused with every figure that is outside its range */
    public Stock {
        leftOvers = List.copyOf(leftOvers);
        Faults faults = new Faults();
        faults.requirePositive("stickIn", "the stick", stick, LONGEST);
        faults.requireWithin("kerfIn", "what the saw takes", kerf, Length.ZERO, Length.ofInches(1));
        faults.requireWithin("couplingFromArcIn", "the room of a coupling", fromArc, Length.ZERO, Length.ofInches(48));
        for (int i = 0; i < leftOvers.size(); i++) {
            faults.requirePositive("leftOversIn/" + i, "left-over " + (i + 1), leftOvers.get(i), LONGEST);
        }
        faults.refuseIfAny();
    }

    /** Sticks of a length, with the usual saw and couplings, and no left-overs. */
    public static Stock of(Length stick) {
        return new Stock(stick, List.of(), USUAL_KERF, USUAL_FROM_ARC);
    }
}
