package lobrik.bend;

import java.util.Optional;
import lobrik.fault.Faults;
import lobrik.measure.Angle;
import lobrik.measure.Length;

/**
 * Two equal bends that move the conduit sideways (handbook 4.3).
 *
 * @param rise measured, underside to underside; more than 0
 * @param clearance added to the measured rise, 0 or more
 * @param angle {@code θ} of both bends
 * @param distance {@code D}: from the datum end to where {@code layout} says
 * @param overall finished length wanted, if it is: datum end face to far end face along the datum leg
 */
public record Offset(
        Length rise, Length clearance, Angle angle, Length distance, OffsetLayout layout, Optional<Length> overall)
        implements AlongLeg {

    private static final Field RISE = Fields.rise("5", "125");
    private static final Field CLEARANCE = Fields.clearance("0", "0");
    private static final Choice LAYOUT = Fields.layout("To the obstacle", "To the near edge");

    static final Form<Offset> FORM = Form.of(Offset.class)
            .ask(RISE, Offset::rise)
            .ask(CLEARANCE, Offset::clearance)
            .ask(Fields.ANGLE, Offset::angle)
            .ask(Fields.DISTANCE, Offset::distance)
            .askOpen(Fields.OVERALL, Offset::overall)
            .leave(LAYOUT, Offset::layout)
            .makes(said -> new Offset(
                    said.length(InputId.RISE),
                    said.length(InputId.CLEARANCE),
                    said.angle(InputId.ANGLE),
                    said.length(InputId.DISTANCE),
                    said.option(LAYOUT, OffsetLayout.class),
                    said.open(InputId.OVERALL)));

    /** @throws lobrik.fault.Refused with every input that is outside its range */
    public Offset {
        Faults faults = new Faults();
        RISE.require(faults, rise);
        CLEARANCE.require(faults, clearance);
        Fields.ANGLE.require(faults, angle);
        Fields.DISTANCE.require(faults, distance);
        Fields.OVERALL.require(faults, overall);
        faults.refuseIfAny();
    }

    /** {@code h}: the rise with its clearance. */
    public Length height() {
        return rise.plus(clearance);
    }
}
