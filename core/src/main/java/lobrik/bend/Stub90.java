package lobrik.bend;

import java.util.Optional;
import lobrik.fault.Faults;
import lobrik.measure.Length;

/**
 * A ninety with its stub at the datum end (handbook 4.1).
 *
 * @param leg {@code S}: datum end face to the back of the bend, more than 0 and at most 40 ft
 * @param otherLeg {@code b}: back of the bend to the far end face, if it is wanted; same limits
 */
public record Stub90(Length leg, Optional<Length> otherLeg, Placement placement) implements Bend {

    /** @throws lobrik.fault.Refused with every input that is outside its range */
    public Stub90 {
        Faults faults = new Faults();
        faults.requirePositive("legIn", "the leg", leg, Length.LONGEST_ENTRY);
        otherLeg.ifPresent(b -> faults.requirePositive("otherLegIn", "the other leg", b, Length.LONGEST_ENTRY));
        faults.refuseIfAny();
    }
}
