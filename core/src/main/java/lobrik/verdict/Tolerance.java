package lobrik.verdict;

import lobrik.measure.Quantity;

/**
 * How far a reading may be off: to the long or open side, and to the other. Both are sizes, of the same kind of quantity; who
 * judges by them sees to it that they are more than zero.
 *
 * @param over how much more than its target a reading may be
 * @param under how much less it may be
 */
public record Tolerance(Quantity over, Quantity under) {

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
