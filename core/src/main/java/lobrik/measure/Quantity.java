package lobrik.measure;

/**
 * A length or an angle: what a feature of a piece is measured in.
 *
 * <p>Each is a whole count of a very small unit, so that readings, targets and tolerances compare exactly and "a reading
 * on the limit counts as inside" (handbook 7) holds without a fudge.
 */
public sealed interface Quantity permits Length, Angle {

    /** The size in the small unit of its type: picometres or nanodegrees. */
    long count();

    /** The size in the unit that people name: inches or degrees. */
    double number();

    /** The quantity of the same type with this count. */
    Quantity withCount(long count);

    /**
     * This less the other.
     *
     * @throws IllegalArgumentException if one is a length and the other an angle
     */
    default Quantity minus(Quantity other) {
        requireSameType(other);
        return withCount(Math.subtractExact(count(), other.count()));
    }

    private void requireSameType(Quantity other) {
        if (getClass() != other.getClass()) {
            throw new IllegalArgumentException("a length and an angle cannot be compared: " + this + ", " + other);
        }
    }
}
