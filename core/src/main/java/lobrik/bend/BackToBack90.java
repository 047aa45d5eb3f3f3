package lobrik.bend;

import lobrik.fault.Faults;
import lobrik.measure.Length;

/**
 * Two nineties to the same side, a U (handbook 4.2).
 *
 * @param firstLeg {@code S1}: datum end face to the back of the first bend
 * @param between {@code B}: back to back
 * @param secondLeg {@code S2}: back of the second bend to the far end face
 */
public record BackToBack90(Length firstLeg, Length between, Length secondLeg) implements Bend {

    /** @throws lobrik.fault.Refused with every input that is outside its range */
    public BackToBack90 {
        Faults faults = new Faults();
        faults.requirePositive("firstLegIn", "the first leg", firstLeg, Length.LONGEST_ENTRY);
        faults.requirePositive("betweenIn", "the distance back to back", between, Length.LONGEST_ENTRY);
        faults.requirePositive("secondLegIn", "the second leg", secondLeg, Length.LONGEST_ENTRY);
        faults.refuseIfAny();
    }
}
