package lobrik.bend;

import java.util.Optional;
import lobrik.fault.Faults;
import lobrik.measure.Angle;
import lobrik.measure.Length;

/**
 * A small offset at the box, so that the conduit meets the knockout and lies on the wall (handbook 4.4).
 *
 * @param rise set-back of the knockout
 * @param angle {@code θ} of both bends
 * @param firstMark of the two, from the datum end, which enters the box
 * @param overall finished length wanted, if it is
 */
public record BoxOffset(Length rise, Angle angle, Length firstMark, Optional<Length> overall) implements Bend {

    /** Usual set-back of a knockout (handbook 4.4). */
    public static final Length USUAL_RISE = Length.ofFraction(0, 1, 2);

    public static final Angle USUAL_ANGLE = Angle.ofDegrees(10);

    /** Generic least grip of a box offset, where the bender's profile names none (handbook 4.4). */
    public static final Length USUAL_FIRST_MARK = Length.ofFraction(2, 1, 2);

    /** @throws lobrik.fault.Refused with every input that is outside its range */
    public BoxOffset {
        Faults faults = new Faults();
        faults.requirePositive("riseIn", "the rise", rise, Length.LONGEST_ENTRY);
        Limits.requireAngle(faults, "angleDeg", "the angle", angle);
        faults.requirePositive("firstMarkIn", "the first mark", firstMark, Length.LONGEST_ENTRY);
        Limits.requireOverall(faults, overall);
        faults.refuseIfAny();
    }

    /** The same as an offset that leaves its surface at the first mark: one way to lay both out. */
    public Offset asOffset() {
        return new Offset(rise, Length.ZERO, angle, firstMark, OffsetLayout.FROM_EDGE, overall);
    }
}
