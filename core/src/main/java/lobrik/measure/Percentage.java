package lobrik.measure;

/**
 * A part of a hundred, such as how flat a bend is, stored as whole billionths of one per cent, so that typed decimals are exact.
 *
 * @param billionths of one per cent, signed
 */
public record Percentage(long billionths) implements Quantity, Comparable<Percentage> {

    static final long BILLIONTHS_PER_CENT = 1_000_000_000L;
    private static final double LARGEST = 1e6;

    public static final Percentage ZERO = new Percentage(0);
    public static final Percentage ALL = of(100);

    /**
     * The percentage nearest to this many per cent.
     *
     * @throws IllegalArgumentException if not finite or beyond ±1,000,000 %
     */
    public static Percentage of(double perCent) {
        if (!(Math.abs(perCent) <= LARGEST)) {
            throw new IllegalArgumentException(perCent + " % is not a percentage between ±1,000,000 %");
        }
        return new Percentage(Math.round(perCent * BILLIONTHS_PER_CENT));
    }

    /**
     * Reads a percentage as typed: {@code 4}, {@code 4.5}, {@code 4 1/2}, {@code 4 %}.
     *
     * @throws RefusedText for anything else, for negative ones and for more than 100 %
     */
    public static Percentage parse(String text) {
        return new PercentageReader(text).read();
    }

    public double perCent() {
        return (double) billionths / BILLIONTHS_PER_CENT;
    }

    @Override
    public double number() {
        return perCent();
    }

    @Override
    public long count() {
        return billionths;
    }

    @Override
    public Percentage withCount(long count) {
        return new Percentage(count);
    }

    public boolean isLessThan(Percentage other) {
        return billionths < other.billionths;
    }

    public boolean isMoreThan(Percentage other) {
        return billionths > other.billionths;
    }

    /** To the nearest tenth: {@code 4.5 %}. */
    public String text() {
        return Decimals.text(billionths, BILLIONTHS_PER_CENT, 1) + " %";
    }

    /** As {@link #text()} with a plus for what is more than nothing: a deviation. */
    public String signedText() {
        return Decimals.signed(text());
    }

    @Override
    public int compareTo(Percentage other) {
        return Long.compare(billionths, other.billionths);
    }

    @Override
    public String toString() {
        return perCent() + " %";
    }
}
