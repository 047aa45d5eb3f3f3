package lobrik.shop;

import lobrik.fault.Faults;
import lobrik.measure.Length;

/**
 * Conduit, as far as bending goes.
 *
 * @param outsideDiameter true outside diameter {@code d}, more than 0 and at most 12 in
 */
public record Conduit(Length outsideDiameter) {

    private static final Length LARGEST_DIAMETER = Length.ofInches(12);

    /** @throws lobrik.fault.Refused if the diameter is outside its range */
    public Conduit {
        Faults faults = new Faults();
        faults.requirePositive("outsideDiameterIn", "the outside diameter", outsideDiameter, LARGEST_DIAMETER);
        faults.refuseIfAny();
    }
}
