package lobrik.bend;

import java.util.Optional;
import lobrik.bend.Field.First;
import lobrik.bend.Field.WhenOpen;
import lobrik.fault.Faults;
import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import lobrik.measure.Length;

/**
 * A drop over the edge of a beam into a box that is tucked under it (handbook 4.8): up from the box and away from the beam, back
 * over its edge, and along its top. The box is at the datum end.
 *
 * @param drop {@code H}: datum end face to the underside of the run, along the plumb leg
 * @param setBack from the plumb leg's axis to the outermost point of the centreline
 * @param overBend {@code β}: how far the first bend leans away, and the second goes beyond a ninety
 * @param otherLeg outermost surface of the over-bend to the far end face, along the run
 */
public record OverBent90(Length drop, Length setBack, Angle overBend, Optional<Length> otherLeg) implements Bend {

    /** Usual over-bend (handbook 4.8). */
    public static final Angle USUAL_OVER_BEND = Angle.ofDegrees(22.5);

    private static final Field DROP = Field.of(InputId.DROP, "Drop", Role.PLACE, Range.POSITIVE, new First("24", "600"))
            .on(FeatureId.DROP)
            .to(End.START);
    private static final Field SET_BACK = Field.of(
                    InputId.SET_BACK, "Set-back", Role.SIZE, Range.POSITIVE, new First("3", "75"))
            .on(FeatureId.SET_BACK);
    private static final Field OVER_BEND = Field.of(
                    InputId.OVER_BEND,
                    "Over-bend",
                    Role.ANGLE,
                    Range.upTo(Angle.ofDegrees(60)),
                    new First("22.5", "22.5"))
            .on(FeatureId.angle(1))
            .orElse(new WhenOpen.Usual(USUAL_OVER_BEND));
    private static final Field OTHER_LEG = Field.of(
                    InputId.OTHER_LEG, "Other leg", Role.FAR_END, Range.POSITIVE, new First("30", "750"))
            .on(FeatureId.OTHER_LEG)
            .to(End.END)
            .orElse(Fields.OPEN);

    static final Form<OverBent90> FORM = Form.of(OverBent90.class)
            .ask(DROP, OverBent90::drop)
            .ask(SET_BACK, OverBent90::setBack)
            .ask(OVER_BEND, OverBent90::overBend)
            .askOpen(OTHER_LEG, OverBent90::otherLeg)
            .makes(said -> new OverBent90(
                    said.length(InputId.DROP),
                    said.length(InputId.SET_BACK),
                    said.angle(InputId.OVER_BEND),
                    said.open(InputId.OTHER_LEG)));

    /** @throws lobrik.fault.Refused with every input that is outside its range */
    public OverBent90 {
        Faults faults = new Faults();
        DROP.require(faults, drop);
        SET_BACK.require(faults, setBack);
        OVER_BEND.require(faults, overBend);
        OTHER_LEG.require(faults, otherLeg);
        faults.refuseIfAny();
    }
}
