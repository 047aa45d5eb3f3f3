package lobrik.measure;

/**
 * An angle, stored as whole nanodegrees (1.7e-11 rad), so that typed decimals and fractions of a degree are exact.
 *
 * @param nanodegrees the size, signed; not reduced to one turn
 */
public record Angle(long nanodegrees) implements Quantity, Comparable<Angle> {

    static final long NANODEGREES_PER_DEGREE = 1_000_000_000L;
    private static final double LARGEST_DEGREES = 1e6;

    public static final Angle ZERO = new Angle(0);
    public static final Angle RIGHT = ofDegrees(90);
    public static final Angle HALF_TURN = ofDegrees(180);

    /**
     * The angle nearest to this many degrees.
     *
     * @throws IllegalArgumentException if not finite or beyond ±1,000,000°
     */
    public static Angle ofDegrees(double degrees) {
        if (!(Math.abs(degrees) <= LARGEST_DEGREES)) {
            throw new IllegalArgumentException(degrees + "° is not an angle between ±1,000,000°");
        }
        return new Angle(Math.round(degrees * NANODEGREES_PER_DEGREE));
    }

    public static Angle ofRadians(double radians) {
        return ofDegrees(Math.toDegrees(radians));
    }

    /**
     * Reads an angle as typed: {@code 22.5}, {@code 22 1/2}, {@code 22½}, {@code 90°}, {@code 90 deg}.
     *
     * @throws RefusedText for anything else, for negative angles and for more than 360°
     */
    public static Angle parse(String text) {
        return new AngleReader(text).read();
    }

    /**
     * Reads an angle with its sign: as {@link #parse}, with {@code -}, {@code −} or {@code +} before it.
     *
     * @throws RefusedText for anything else, and for more than 360°
     */
    public static Angle parseSigned(String text) {
        String stripped = text.strip();
        boolean negative = stripped.startsWith("-") || stripped.startsWith("−");
        Angle size = parse(negative || stripped.startsWith("+") ? stripped.substring(1) : stripped);
        return negative ? ZERO.minus(size) : size;
    }

    public double degrees() {
        return (double) nanodegrees / NANODEGREES_PER_DEGREE;
    }

    public double radians() {
        return Math.toRadians(degrees());
    }

    @Override
    public double number() {
        return degrees();
    }

    @Override
    public long count() {
        return nanodegrees;
    }

    @Override
    public Angle withCount(long count) {
        return new Angle(count);
    }

    public Angle plus(Angle other) {
        return new Angle(Math.addExact(nanodegrees, other.nanodegrees));
    }

    public Angle minus(Angle other) {
        return new Angle(Math.subtractExact(nanodegrees, other.nanodegrees));
    }

    /** The same direction, more than −180° and at most 180°. */
    public Angle withinHalfTurn() {
        long turn = 2 * HALF_TURN.nanodegrees;
        long rest = Math.floorMod(nanodegrees, turn);
        return new Angle(rest > HALF_TURN.nanodegrees ? rest - turn : rest);
    }

    /** The same direction, as the turn that is nearest to another: 358° near 0° is −2°. */
    public Angle near(Angle other) {
        Angle whole = HALF_TURN.plus(HALF_TURN);
        Angle turn = withinTurn();
        if (turn.minus(other).isMoreThan(HALF_TURN)) {
            return turn.minus(whole);
        }
        return other.minus(turn).isMoreThan(HALF_TURN) ? turn.plus(whole) : turn;
    }

    /** The same direction, from 0° to less than a whole turn. */
    public Angle withinTurn() {
        return new Angle(Math.floorMod(nanodegrees, 2 * HALF_TURN.nanodegrees));
    }

    public boolean isLessThan(Angle other) {
        return nanodegrees < other.nanodegrees;
    }

    public boolean isMoreThan(Angle other) {
        return nanodegrees > other.nanodegrees;
    }

    /** Degrees to the nearest tenth: {@code 22.5°}, {@code 90°}, {@code −2°}. */
    public String text() {
        return Decimals.text(nanodegrees, NANODEGREES_PER_DEGREE, 1) + "°";
    }

    /** As {@link #text()} with a plus for what is more than nothing: a deviation. */
    public String signedText() {
        return Decimals.signed(text());
    }

    @Override
    public int compareTo(Angle other) {
        return Long.compare(nanodegrees, other.nanodegrees);
    }

    @Override
    public String toString() {
        return degrees() + "°";
    }
}
