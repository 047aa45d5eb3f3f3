package lobrik.measure;

/** Rounding of counts to a step; the one place that decides about halves. */
final class Rounding {

    private Rounding() {}

    /** The multiple of {@code step} nearest to {@code count}; a half goes away from zero. */
    static long nearestMultiple(long count, long step) {
        long size = Math.abs(count);
        long remainder = size % step;
        long rounded = 2 * remainder >= step ? size - remainder + step : size - remainder;
        return count < 0 ? -rounded : rounded;
    }
}
