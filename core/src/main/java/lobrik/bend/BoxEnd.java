package lobrik.bend;

import lobrik.bend.Field.First;
import lobrik.bend.Field.WhenOpen;
import lobrik.fault.Faults;
import lobrik.measure.Angle;
import lobrik.measure.Length;

/**
 * A small offset at the box that an end of a run enters (handbook 4.9).
 *
 * @param rise set-back of the knockout
 * @param angle of both bends
 * @param mark of the bend that is nearer to the box, from the end of the conduit
 * @param towards where the conduit moves to, along the run
 */
public record BoxEnd(Length rise, Angle angle, Length mark, Towards towards) {

    private static final Field RISE = Field.of(InputId.RISE, "Rise", Role.SIZE, Range.POSITIVE, new First("1/2", "12"))
            .orElse(new WhenOpen.Usual(BoxOffset.USUAL_RISE));
    private static final Field ANGLE = Field.of(
                    InputId.ANGLE, "Angle", Role.ANGLE, Range.OF_ANGLE, new First("10", "10"))
            .orElse(new WhenOpen.Usual(BoxOffset.USUAL_ANGLE));
    private static final Field FIRST_MARK = mark(InputId.FIRST_MARK, "First mark");
    private static final Field LAST_MARK = mark(InputId.LAST_MARK, "Last mark");

    static final Form<BoxEnd> AT_START = form(FIRST_MARK);
    static final Form<BoxEnd> AT_END = form(LAST_MARK);

    private static Field mark(InputId id, String title) {
        return Field.of(id, title, Role.PLACE, Range.POSITIVE, new First("2 1/2", "65"))
                .orElse(new WhenOpen.LeastGrip(BoxOffset.USUAL_FIRST_MARK));
    }

    private static Form<BoxEnd> form(Field mark) {
        return Form.of(BoxEnd.class)
                .ask(RISE, BoxEnd::rise)
                .ask(ANGLE, BoxEnd::angle)
                .ask(mark, BoxEnd::mark)
                .leave(Fields.TOWARDS, BoxEnd::towards)
                .makes(said -> {
                    require(said.length(InputId.RISE), said.angle(InputId.ANGLE), mark, said.length(mark.id()));
                    return new BoxEnd(
                            said.length(InputId.RISE),
                            said.angle(InputId.ANGLE),
                            said.length(mark.id()),
                            said.option(Fields.TOWARDS, Towards.class));
                });
    }

    /** @throws lobrik.fault.Refused with every input that is outside its range */
    public BoxEnd {
        require(rise, angle, FIRST_MARK, mark);
    }

    /** By the name that the mark has at the end of the run where it is. */
    private static void require(Length rise, Angle angle, Field mark, Length place) {
        Faults faults = new Faults();
        RISE.require(faults, rise);
        ANGLE.require(faults, angle);
        mark.require(faults, place);
        faults.refuseIfAny();
    }

    BoxEnd mirrored() {
        return new BoxEnd(rise, angle, mark, towards.mirrored());
    }

    /** The same from the other end of the conduit: along the run it then moves the other way. */
    public BoxEnd reversed() {
        return new BoxEnd(rise, angle, mark, towards.opposite());
    }
}
