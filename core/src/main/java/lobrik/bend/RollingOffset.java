package lobrik.bend;

import java.util.List;
import java.util.Optional;
import lobrik.bend.Field.First;
import lobrik.fault.Fault;
import lobrik.fault.FaultCode;
import lobrik.fault.Faults;
import lobrik.fault.Refused;
import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import lobrik.measure.Length;

/**
 * An offset that goes up and to the side at once (handbook 4.5).
 *
 * @param rise {@code v}: the part upwards, 0 or more
 * @param roll {@code w}: the part to the side, 0 or more; not both 0
 * @param angle {@code θ} of both bends
 * @param distance {@code D}: from the datum end to where {@code layout} says
 * @param overall finished length wanted, if it is
 */
public record RollingOffset(
        Length rise, Length roll, Angle angle, Length distance, OffsetLayout layout, Optional<Length> overall)
        implements Bend {

    private static final Field RISE = Field.of(
                    InputId.RISE, "Rise", Role.SIZE, Range.NOT_NEGATIVE, new First("5", "125"))
            .on(FeatureId.RISE);
    private static final Field ROLL = Field.of(
                    InputId.ROLL, "Roll", Role.WIDTH, Range.NOT_NEGATIVE, new First("3", "75"))
            .on(FeatureId.ROLL);
    private static final Choice LAYOUT = Fields.layout("To the obstacle", "To the near edge");

    static final Form<RollingOffset> FORM = Form.of(RollingOffset.class)
            .ask(RISE, RollingOffset::rise)
            .ask(ROLL, RollingOffset::roll)
            .ask(Fields.ANGLE, RollingOffset::angle)
            .ask(Fields.DISTANCE, RollingOffset::distance)
            .askOpen(Fields.OVERALL, RollingOffset::overall)
            .leave(LAYOUT, RollingOffset::layout)
            .makes(said -> new RollingOffset(
                    said.length(InputId.RISE),
                    said.length(InputId.ROLL),
                    said.angle(InputId.ANGLE),
                    said.length(InputId.DISTANCE),
                    said.option(LAYOUT, OffsetLayout.class),
                    said.open(InputId.OVERALL)));

    /** @throws lobrik.fault.Refused with every input that is outside its range */
    public RollingOffset {
        Faults faults = new Faults();
        RISE.require(faults, rise);
        ROLL.require(faults, roll);
        Fields.ANGLE.require(faults, angle);
        Fields.DISTANCE.require(faults, distance);
        Fields.OVERALL.require(faults, overall);
        faults.refuseIfAny();
        if (!rise.isPositive() && !roll.isPositive()) {
            throw Refused.badInput(List.of(new Fault(
                    FaultCode.NOT_POSITIVE, "riseIn", "rise and roll are both 0; one of them must be more than 0")));
        }
    }

    /** {@code √(v² + w²)}: how far the conduit moves sideways in all. Formula {@code true-offset}, handbook 4.5. */
    public Length trueOffset() {
        return Length.ofInches(Math.hypot(rise.inches(), roll.inches()));
    }

    /** {@code atan2(w, v)}: turn of the bends' plane from upright. Formula {@code rolling-turn}, handbook 4.5. */
    public Angle turn() {
        return Angle.ofRadians(Math.atan2(roll.inches(), rise.inches()));
    }
}
