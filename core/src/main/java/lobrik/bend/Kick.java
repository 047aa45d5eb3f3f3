package lobrik.bend;

import lobrik.bend.Field.First;
import lobrik.fault.Faults;
import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import lobrik.measure.Length;

/**
 * One bend under 90° that lifts the far end (handbook 4.5).
 *
 * @param rise of the far end face, from the datum leg's underside to its own
 * @param angle {@code θ}, less than 90°
 * @param distance {@code D}: along the datum leg, from the datum end to the far end face (before an obstacle) or to the
 *     mark (from an edge)
 */
public record Kick(Length rise, Angle angle, Length distance, OffsetLayout layout) implements Bend {

    private static final Field RISE = Fields.rise("9", "225");
    private static final Field ANGLE = Fields.angle("30", Range.upTo(Angle.ofDegrees(89)));
    private static final Field DISTANCE = Field.of(
                    InputId.DISTANCE, "Distance", Role.PLACE, Range.POSITIVE, new First("44", "1100"))
            .on(FeatureId.LANDING)
            .to(End.START);
    private static final Choice LAYOUT = Fields.layout("To the far end", "To the mark");

    static final Form<Kick> FORM = Form.of(Kick.class)
            .ask(RISE, Kick::rise)
            .ask(ANGLE, Kick::angle)
            .ask(DISTANCE, Kick::distance)
            .leave(LAYOUT, Kick::layout)
            .makes(said -> new Kick(
                    said.length(InputId.RISE),
                    said.angle(InputId.ANGLE),
                    said.length(InputId.DISTANCE),
                    said.option(LAYOUT, OffsetLayout.class)));

    /** @throws lobrik.fault.Refused with every input that is outside its range */
    public Kick {
        Faults faults = new Faults();
        RISE.require(faults, rise);
        ANGLE.require(faults, angle);
        DISTANCE.require(faults, distance);
        faults.refuseIfAny();
    }
}
