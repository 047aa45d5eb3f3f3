package lobrik.measure;

/**
 * A length, stored as whole picometres.
 *
 * <p>One inch is exactly 25,400,000,000 pm, so every inch fraction down to 1/512 and every decimal of a millimetre down to
 * the ninth place has an exact value: what was typed as {@code 14 3/8} comes back as {@code 14 3/8}, and {@code 365mm} as
 * {@code 365 mm}. Calculated lengths are rounded to the nearest picometre (4e-11 in).
 *
 * @param picometres the size, signed
 */
public record Length(long picometres) implements Quantity, Comparable<Length> {

    static final long PICOMETRES_PER_INCH = 25_400_000_000L;
    static final long PICOMETRES_PER_MILLIMETRE = 1_000_000_000L;

    /** Larger magnitudes are not lengths of this trade; the bound keeps sums of lengths far from overflow. */
    private static final double LARGEST_INCHES = 1e6;

    public static final Length ZERO = new Length(0);

    /** The longest length that a person may type: 40 ft (handbook 8). */
    public static final Length LONGEST_ENTRY = ofInches(480);

    /**
     * The length nearest to this many inches.
     *
     * @throws IllegalArgumentException if not finite or beyond ±1,000,000 in
     */
    public static Length ofInches(double inches) {
        if (!(Math.abs(inches) <= LARGEST_INCHES)) {
            throw new IllegalArgumentException(inches + " in is not a length between ±1,000,000 in");
        }
        return new Length(Math.round(inches * PICOMETRES_PER_INCH));
    }

    /**
     * The length nearest to this many millimetres.
     *
     * @throws IllegalArgumentException if not finite or beyond ±25,400,000 mm
     */
    public static Length ofMillimetres(double millimetres) {
        if (!(Math.abs(millimetres) <= LARGEST_INCHES * 25.4)) {
            throw new IllegalArgumentException(millimetres + " mm is not a length between ±25,400,000 mm");
        }
        return new Length(Math.round(millimetres * PICOMETRES_PER_MILLIMETRE));
    }

    /** An inch fraction such as {@code ofFraction(14, 3, 8)} for 14 3/8 in; exact for denominators 1, 2, 4 … 512. */
    public static Length ofFraction(long whole, long numerator, long denominator) {
        return new Length(whole * PICOMETRES_PER_INCH + numerator * PICOMETRES_PER_INCH / denominator);
    }

    /**
     * Reads a length as people at a bench write it.
     *
     * <p>Accepted: {@code 14 3/8}, {@code 14-3/8}, {@code 14.375}, {@code 3/8}, {@code 14⅜}, {@code 1' 2 3/8"},
     * {@code 1ft 2}, {@code 365mm}, {@code 36.5 cm}, {@code 1.2 m}. A fraction is always of an inch. Refused, with the
     * place and the reason: {@code 14 3/0}, {@code 14 9/8}, {@code 1' 14"}, negative lengths, more than 40 ft, anything
     * else.
     *
     * @param text what was typed
     * @param bare the unit of a number that names none
     * @throws RefusedText with position, reason and, where there is one, what was probably meant
     */
    public static Length parse(String text, LengthUnit bare) {
        return new LengthReader(text, bare).read();
    }

    /**
     * Reads a length that may be less than nothing: as {@link #parse}, with {@code -} or {@code −} before it.
     *
     * @throws RefusedText with position, reason and, where there is one, what was probably meant
     */
    public static Length parseSigned(String text, LengthUnit bare) {
        String stripped = text.strip();
        boolean negative = stripped.startsWith("-") || stripped.startsWith("−");
        Length size = parse(negative ? stripped.substring(1) : stripped, bare);
        return negative ? size.times(-1) : size;
    }

    public double inches() {
        return (double) picometres / PICOMETRES_PER_INCH;
    }

    public double millimetres() {
        return (double) picometres / PICOMETRES_PER_MILLIMETRE;
    }

    @Override
    public double number() {
        return inches();
    }

    @Override
    public long count() {
        return picometres;
    }

    @Override
    public Length withCount(long count) {
        return new Length(count);
    }

    public Length plus(Length other) {
        return new Length(Math.addExact(picometres, other.picometres));
    }

    public Length minus(Length other) {
        return new Length(Math.subtractExact(picometres, other.picometres));
    }

    public Length times(double factor) {
        return ofInches(inches() * factor);
    }

    /** Its size without its sign. */
    public Length abs() {
        return isNegative() ? new Length(-picometres) : this;
    }

    public Length max(Length other) {
        return isLessThan(other) ? other : this;
    }

    public boolean isLessThan(Length other) {
        return picometres < other.picometres;
    }

    public boolean isMoreThan(Length other) {
        return picometres > other.picometres;
    }

    public boolean isNegative() {
        return picometres < 0;
    }

    public boolean isPositive() {
        return picometres > 0;
    }

    /** The nearest line of a tape with this division; halves go away from zero. */
    public Length nearest(TapeDivision division) {
        return division.nearest(this);
    }

    /** Inches as a fraction to the nearest 1/16, for messages: {@code 14 3/8 in}. */
    public String inWords() {
        return TapeDivision.SIXTEENTH.text(this) + " in";
    }

    /** In a sentence: to the nearest 1/16 in, or to the nearest millimetre. */
    public String inWords(LengthUnit unit) {
        return unit == LengthUnit.MILLIMETRE ? TapeDivision.MILLIMETRE.text(this) : inWords();
    }

    /**
     * As somebody would write it who loses nothing: an inch fraction down to 1/64 in lowest terms or else decimals of an
     * inch, or millimetres with their unit.
     */
    public String exactly(LengthUnit unit) {
        if (unit == LengthUnit.MILLIMETRE) {
            return Decimals.text(picometres, PICOMETRES_PER_MILLIMETRE, 3) + " mm";
        }
        TapeDivision sixtyFourth = new TapeDivision(ofFraction(0, 1, 64));
        return nearest(sixtyFourth).equals(this) ? sixtyFourth.text(this) : TapeDivision.NONE.text(this);
    }

    @Override
    public int compareTo(Length other) {
        return Long.compare(picometres, other.picometres);
    }

    @Override
    public String toString() {
        return inches() + " in";
    }
}
