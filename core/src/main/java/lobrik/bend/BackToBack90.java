package lobrik.bend;

import lobrik.bend.Field.First;
import lobrik.fault.Faults;
import lobrik.feature.FeatureId;
import lobrik.measure.Length;

/**
 * Two nineties to the same side, a U (handbook 4.2).
 *
 * @param firstLeg {@code S1}: datum end face to the back of the first bend
 * @param between {@code B}: back to back
 * @param secondLeg {@code S2}: back of the second bend to the far end face
 */
public record BackToBack90(Length firstLeg, Length between, Length secondLeg) implements Bend {

    private static final Field FIRST_LEG = Field.of(
                    InputId.FIRST_LEG, "First leg", Role.PLACE, Range.POSITIVE, new First("13 1/2", "340"))
            .on(FeatureId.LEG)
            .to(End.START);
    private static final Field BETWEEN = Field.of(
                    InputId.BETWEEN, "Back to back", Role.SIZE, Range.POSITIVE, new First("31 1/4", "800"))
            .on(FeatureId.BETWEEN);
    private static final Field SECOND_LEG = Field.of(
                    InputId.SECOND_LEG, "Second leg", Role.FAR_END, Range.POSITIVE, new First("16", "400"))
            .on(FeatureId.SECOND_LEG)
            .to(End.END);

    static final Form<BackToBack90> FORM = Form.of(BackToBack90.class)
            .ask(FIRST_LEG, BackToBack90::firstLeg)
            .ask(BETWEEN, BackToBack90::between)
            .ask(SECOND_LEG, BackToBack90::secondLeg)
            .makes(said -> new BackToBack90(
                    said.length(InputId.FIRST_LEG), said.length(InputId.BETWEEN), said.length(InputId.SECOND_LEG)));

    /** @throws lobrik.fault.Refused with every input that is outside its range */
    public BackToBack90 {
        Faults faults = new Faults();
        FIRST_LEG.require(faults, firstLeg);
        BETWEEN.require(faults, between);
        SECOND_LEG.require(faults, secondLeg);
        faults.refuseIfAny();
    }
}
