package lobrik.verdict;

import lobrik.fault.FaultCode;
import lobrik.fault.Faults;
import lobrik.measure.Angle;

/**
 * How much a bend may be bent again before the wall of the conduit suffers, and what that costs: data of the school, to be edited.
 *
 * @param mostEased how far a bend may be opened
 * @param mostAdded how far it may be closed further
 * @param mostTimes how often a piece may be bent again in all
 * @param pointsEach taken off for each time that it was bent again and measured anew, 0 to 100
 */
public record Rebending(Angle mostEased, Angle mostAdded, int mostTimes, double pointsEach) {

    private static final Angle LARGEST = Angle.ofDegrees(90);
    private static final int MOST_TIMES = 100;
    private static final double ALL_POINTS = 100;

    /** Easing weakens the wall more than going on does; a piece that had to go back is not quite one that was right at once. */
    public static final Rebending USUAL = new Rebending(Angle.ofDegrees(10), Angle.ofDegrees(20), 4, 5);

    /** @throws lobrik.fault.Refused with every figure that is outside its range */
    public Rebending {
        Faults faults = new Faults();
        faults.requireWithin("mostEasedDeg", "the limit of easing", mostEased, Angle.ZERO, LARGEST);
        faults.requireWithin("mostAddedDeg", "the limit of adding", mostAdded, Angle.ZERO, LARGEST);
        if (mostTimes < 0 || mostTimes > MOST_TIMES) {
            faults.add(
                    FaultCode.OUT_OF_RANGE,
                    "mostTimes",
                    "a piece may be bent again from 0 to " + MOST_TIMES + " times");
        }
        if (!(pointsEach >= 0 && pointsEach <= ALL_POINTS)) {
            faults.add(
                    FaultCode.OUT_OF_RANGE,
                    "pointsEach",
                    "bending again takes off " + pointsEach + " points each time; it must be from 0 to 100");
        }
        faults.refuseIfAny();
    }

    /** Points that are taken off a piece that was bent again so often. */
    double deduction(int times) {
        return Math.min(ALL_POINTS, times * pointsEach);
    }
}
