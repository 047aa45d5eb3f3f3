package lobrik.verdict;

import lobrik.fault.FaultCode;
import lobrik.fault.Faults;
import lobrik.measure.Quantity;

/**
 * How far a reading may be off: to the long or open side, and to the other. Both are sizes, of the same kind of quantity.
 *
 * @param over how much more than its target a reading may be, more than zero
 * @param under how much less it may be, more than zero
 */
public record Tolerance(Quantity over, Quantity under) {

    /** @throws lobrik.fault.Refused if either is not more than zero */
    public Tolerance {
        Faults faults = new Faults();
        requirePositive(faults, over);
        if (!over.equals(under)) {
            requirePositive(faults, under);
        }
        faults.refuseIfAny();
    }

    private static void requirePositive(Faults faults, Quantity size) {
        if (size.count() <= 0) {
            faults.add(FaultCode.NOT_POSITIVE, "tolerance", "the tolerance is " + size + "; it must be more than 0");
        }
    }

    /** The same to both sides. */
    public static Tolerance even(Quantity size) {
        return new Tolerance(size, size);
    }

    /** What a deviation is held to: the one of its side; of no deviation, the smaller. */
    public Quantity on(Quantity deviation) {
        if (deviation.count() == 0) {
            return over.count() < under.count() ? over : under;
        }
        return deviation.count() > 0 ? over : under;
    }

    /** Whether a deviation is within it; exactly on the limit is. */
    public boolean holds(Quantity deviation) {
        return Math.abs(deviation.count()) <= on(deviation).count();
    }

    /** The wider of the two. */
    public Quantity widest() {
        return over.count() < under.count() ? under : over;
    }

    public boolean isEven() {
        return over.equals(under);
    }
}
