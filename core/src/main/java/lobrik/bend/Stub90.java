package lobrik.bend;

import java.util.Optional;
import lobrik.bend.Field.First;
import lobrik.fault.Faults;
import lobrik.feature.FeatureId;
import lobrik.measure.Length;

/**
 * A ninety with its stub at the datum end (handbook 4.1).
 *
 * @param leg {@code S}: datum end face to the back of the bend, more than 0 and at most 40 ft
 * @param otherLeg {@code b}: back of the bend to the far end face, if it is wanted; same limits
 */
public record Stub90(Length leg, Optional<Length> otherLeg, Placement placement) implements Bend {

    private static final Field LEG = Field.of(
                    InputId.LEG, "Leg", Role.PLACE, Range.POSITIVE, new First("17 5/8", "450"))
            .on(FeatureId.LEG)
            .to(End.START);
    private static final Field OTHER_LEG = Field.of(
                    InputId.OTHER_LEG, "Other leg", Role.FAR_END, Range.POSITIVE, new First("22", "560"))
            .on(FeatureId.OTHER_LEG)
            .to(End.END)
            .orElse(Fields.OPEN);

    static final Form<Stub90> FORM = Form.of(Stub90.class)
            .ask(LEG, Stub90::leg)
            .askOpen(OTHER_LEG, Stub90::otherLeg)
            .leave(Fields.PLACEMENT, Stub90::placement)
            .makes(said -> new Stub90(
                    said.length(InputId.LEG),
                    said.open(InputId.OTHER_LEG),
                    said.option(Fields.PLACEMENT, Placement.class)));

    /** @throws lobrik.fault.Refused with every input that is outside its range */
    public Stub90 {
        Faults faults = new Faults();
        LEG.require(faults, leg);
        OTHER_LEG.require(faults, otherLeg);
        faults.refuseIfAny();
    }
}
