package lobrik.measure;

/**
 * The distance between two lines of a tape: what marks are rounded to and how lengths are shown.
 *
 * @param step the distance; zero for "do not round"
 */
public record TapeDivision(Length step) {

    public static final TapeDivision EIGHTH = new TapeDivision(Length.ofFraction(0, 1, 8));
    public static final TapeDivision SIXTEENTH = new TapeDivision(Length.ofFraction(0, 1, 16));
    public static final TapeDivision THIRTY_SECOND = new TapeDivision(Length.ofFraction(0, 1, 32));
    public static final TapeDivision MILLIMETRE = new TapeDivision(Length.ofMillimetres(1));
    public static final TapeDivision NONE = new TapeDivision(Length.ZERO);

    public TapeDivision {
        if (step.isNegative()) {
            throw new IllegalArgumentException("a tape division cannot be negative: " + step);
        }
    }

    /** Whether the lines stand at 1/2, 1/4, 1/8 … of an inch, so that lengths are written as fractions. */
    public boolean isInchFraction() {
        long lines = step.picometres() == 0 ? 0 : Length.PICOMETRES_PER_INCH / step.picometres();
        return lines > 0 && lines * step.picometres() == Length.PICOMETRES_PER_INCH && Long.bitCount(lines) == 1;
    }

    /** The line nearest to a length; a half goes away from zero. */
    Length nearest(Length length) {
        return step.picometres() == 0
                ? length
                : new Length(Rounding.nearestMultiple(length.picometres(), step.picometres()));
    }

    /**
     * A length at this division, in lowest terms: {@code 14 3/8}, {@code −3/32}, {@code 365 mm}. Without a division:
     * decimal inches to four places.
     */
    public String text(Length length) {
        long count = nearest(length).picometres();
        if (isInchFraction()) {
            return fraction(count);
        }
        if (step.picometres() == 0) {
            return Decimals.text(count, Length.PICOMETRES_PER_INCH, 4);
        }
        return Decimals.text(count, Length.PICOMETRES_PER_MILLIMETRE, 3) + " mm";
    }

    /** A deviation at this division: as {@link #text} with a plus for what is more than nothing. */
    public String signedText(Length deviation) {
        return Decimals.signed(text(deviation));
    }

    private String fraction(long count) {
        long lines = Length.PICOMETRES_PER_INCH / step.picometres();
        long total = Math.abs(count) / step.picometres();
        long whole = total / lines;
        long numerator = total % lines;
        long denominator = lines;
        while (numerator > 0 && numerator % 2 == 0) {
            numerator /= 2;
            denominator /= 2;
        }
        String sign = count < 0 ? "−" : "";
        if (numerator == 0) {
            return sign + whole;
        }
        return sign + (whole == 0 ? "" : whole + " ") + numerator + "/" + denominator;
    }
}
