package lobrik.shape;

import lobrik.fault.Fault;
import lobrik.fault.FaultCode;
import lobrik.fault.Refused;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.shop.Tooling;

/**
 * The back of a ninety that did not come out at exactly 90°: the outer surface of the leg beyond, as a straight-edge laid
 * along that leg shows it. The tape reads along the axis of the leg that is measured until it meets that line.
 */
final class NinetyBack {

    private static final Angle LEAST = Angle.ofDegrees(45);
    private static final Angle MOST = Angle.ofDegrees(135);

    private NinetyBack() {}

    /**
     * From the end of the arc that is nearer, along the measured leg's axis, to the back of the other leg.
     *
     * @param number of the bend, from 1
     * @throws Refused as impossible if the bend is not between 45° and 135°: its legs then have no back to measure to
     */
    static Length beyondArc(Tooling tooling, Angle angle, int number) {
        if (angle.isLessThan(LEAST) || angle.isMoreThan(MOST)) {
            throw Refused.impossible(new Fault(
                    FaultCode.NOT_A_NINETY,
                    "bends/" + (number - 1) + "/angleDeg",
                    "bend " + number + " is at " + angle.text() + "; a leg has a back to measure to only between "
                            + LEAST.text() + " and " + MOST.text()));
        }
        return tooling.backOfBend(angle);
    }
}
