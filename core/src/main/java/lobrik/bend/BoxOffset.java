package lobrik.bend;

import java.util.Optional;
import lobrik.bend.Field.First;
import lobrik.bend.Field.WhenOpen;
import lobrik.fault.Faults;
import lobrik.feature.FeatureId;
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

    private static final Field RISE = Fields.rise("1/2", "12").orElse(new WhenOpen.Usual(USUAL_RISE));
    private static final Field ANGLE = Fields.angle("10", Range.OF_ANGLE).orElse(new WhenOpen.Usual(USUAL_ANGLE));
    private static final Field FIRST_MARK = Field.of(
                    InputId.FIRST_MARK, "First mark", Role.PLACE, Range.POSITIVE, new First("2 1/2", "65"))
            .on(FeatureId.LANDING)
            .to(End.START)
            .orElse(new WhenOpen.LeastGrip(USUAL_FIRST_MARK));

    static final Form<BoxOffset> FORM = Form.of(BoxOffset.class)
            .ask(RISE, BoxOffset::rise)
            .ask(ANGLE, BoxOffset::angle)
            .ask(FIRST_MARK, BoxOffset::firstMark)
            .askOpen(Fields.OVERALL, BoxOffset::overall)
            .makes(said -> new BoxOffset(
                    said.length(InputId.RISE),
                    said.angle(InputId.ANGLE),
                    said.length(InputId.FIRST_MARK),
                    said.open(InputId.OVERALL)));

    /** @throws lobrik.fault.Refused with every input that is outside its range */
    public BoxOffset {
        Faults faults = new Faults();
        RISE.require(faults, rise);
        ANGLE.require(faults, angle);
        FIRST_MARK.require(faults, firstMark);
        Fields.OVERALL.require(faults, overall);
        faults.refuseIfAny();
    }

    /** The same as an offset that leaves its surface at the first mark: one way to lay both out. */
    public Offset asOffset() {
        return new Offset(rise, Length.ZERO, angle, firstMark, OffsetLayout.FROM_EDGE, overall);
    }
}
