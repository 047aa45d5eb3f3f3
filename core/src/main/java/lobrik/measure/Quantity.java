package lobrik.measure;

/**
 * A length, an angle or a percentage: what a feature of a piece is measured in.
 *
 * <p>Each is a whole count of a very small unit, so that readings, targets and tolerances compare exactly and "a reading
 * on the limit counts as inside" (handbook 7) holds without a fudge.
 */
public sealed interface Quantity permits Length, Angle, Percentage {

    /** The size in the small unit of its type: picometres, nanodegrees or billionths of one per cent. */
    long count();

    /** The size in the unit that people name: inches, degrees or per cent. */
    double number();

    /** The quantity of the same type with this count. */
    Quantity withCount(long count);

    /**
     * This less the other.
     *
     * @throws IllegalArgumentException if they are not of one type
     */
    default Quantity minus(Quantity other) {
        requireSameType(other);
        return withCount(Math.subtractExact(count(), other.count()));
    }

    private void requireSameType(Quantity other) {
        if (getClass() != other.getClass()) {
            throw new IllegalArgumentException("quantities of two types cannot be compared: " + this + ", " + other);
        }
    }
}
