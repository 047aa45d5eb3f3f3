package lobrik.measure;

/** Decimal figures without a locale: a point, no grouping, no trailing zeros, a true minus sign. */
final class Decimals {

    private Decimals() {}

    /** {@code count / perUnit} to at most so many places, halves away from zero. */
    static String text(long count, long perUnit, int places) {
        long scale = 1;
        for (int i = 0; i < places; i++) {
            scale *= 10;
        }
        long scaled = Rounding.nearestMultiple(count, perUnit / scale) / (perUnit / scale);
        long size = Math.abs(scaled);
        StringBuilder digits = new StringBuilder();
        if (scaled < 0) {
            digits.append('−');
        }
        digits.append(size / scale);
        long rest = size % scale;
        if (rest > 0) {
            digits.append('.');
            for (long place = scale / 10; rest > 0; place /= 10) {
                digits.append((char) ('0' + rest / place));
                rest %= place;
            }
        }
        return digits.toString();
    }

    /** Puts a plus before a figure that is neither nothing nor already signed. */
    static String signed(String figure) {
        boolean nothing = figure.chars().noneMatch(c -> c >= '1' && c <= '9');
        return nothing || figure.startsWith("−") ? figure : "+" + figure;
    }
}
