package lobrik.verdict;

import lobrik.fault.FaultCode;
import lobrik.fault.Faults;
import lobrik.measure.Angle;

/**
 * How much a bend may be bent again before the wall of the conduit suffers: data of the school, to be edited.
 *
 * @param mostEased how far a bend may be opened
 * @param mostAdded how far it may be closed further
 * @param mostTimes how often a piece may be bent again in all
 */
public record Rebending(Angle mostEased, Angle mostAdded, int mostTimes) {

    private static final Angle LARGEST = Angle.ofDegrees(90);
    private static final int MOST_TIMES = 100;

    /** Easing weakens the wall more than going on does. */
    public static final Rebending USUAL = new Rebending(Angle.ofDegrees(10), Angle.ofDegrees(20), 4);

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
        faults.refuseIfAny();
    }
}
