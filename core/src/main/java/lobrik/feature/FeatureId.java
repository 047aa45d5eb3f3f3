package lobrik.feature;

import java.util.Collections;
import java.util.Comparator;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import lobrik.measure.Angle;
import lobrik.measure.Quantity;
import lobrik.measure.QuantityKind;

/**
 * What is measured on a piece: the rise, angle 2. The ids are stable ({@code rise}, {@code angle2}); in order they are as on a sheet,
 * by kind and then from the datum end.
 *
 * @param number of the bend, mark, leg or turn, from 1 at the datum end; 0 for what there is one of
 */
public record FeatureId(FeatureKind kind, int number) implements Comparable<FeatureId> {

    public static final FeatureId LEG = new FeatureId(FeatureKind.LEG, 0);
    public static final FeatureId OTHER_LEG = new FeatureId(FeatureKind.OTHER_LEG, 0);
    public static final FeatureId BETWEEN = new FeatureId(FeatureKind.BETWEEN, 0);
    public static final FeatureId SECOND_LEG = new FeatureId(FeatureKind.SECOND_LEG, 0);
    public static final FeatureId DROP = new FeatureId(FeatureKind.DROP, 0);
    public static final FeatureId SET_BACK = new FeatureId(FeatureKind.SET_BACK, 0);
    public static final FeatureId RISE = new FeatureId(FeatureKind.RISE, 0);
    public static final FeatureId START_RISE = new FeatureId(FeatureKind.START_RISE, 0);
    public static final FeatureId END_RISE = new FeatureId(FeatureKind.END_RISE, 0);
    public static final FeatureId REACH_RIGHT = new FeatureId(FeatureKind.REACH_RIGHT, 0);
    public static final FeatureId REACH_UP = new FeatureId(FeatureKind.REACH_UP, 0);
    public static final FeatureId REACH_OUT = new FeatureId(FeatureKind.REACH_OUT, 0);
    public static final FeatureId ROLL = new FeatureId(FeatureKind.ROLL, 0);
    public static final FeatureId HEIGHT = new FeatureId(FeatureKind.HEIGHT, 0);
    public static final FeatureId CENTRE = new FeatureId(FeatureKind.CENTRE, 0);
    public static final FeatureId FLAT = new FeatureId(FeatureKind.FLAT, 0);
    public static final FeatureId LANDING = new FeatureId(FeatureKind.LANDING, 0);
    public static final FeatureId TAIL_LIFT = new FeatureId(FeatureKind.TAIL_LIFT, 0);
    public static final FeatureId DOG_LEG = new FeatureId(FeatureKind.DOG_LEG, 0);
    public static final FeatureId OVERALL = new FeatureId(FeatureKind.OVERALL, 0);

    /** No conduit is bent so often: what is read of it has to fit a column and a sheet. */
    private static final int MOST_BENDS = 99;

    private static final Comparator<FeatureId> AS_ON_A_SHEET =
            Comparator.comparing(FeatureId::kind).thenComparingInt(FeatureId::number);

    public FeatureId {
        boolean known =
                kind.isNumbered() ? number >= (kind.mayBeNumbered() ? 0 : 1) && number <= MOST_BENDS : number == 0;
        if (!known) {
            throw new IllegalArgumentException("no " + kind.id() + " " + number);
        }
    }

    /** Position of the mark with this number, from 1. */
    public static FeatureId mark(int number) {
        return new FeatureId(FeatureKind.MARK, number);
    }

    /** Angle of the bend with this number, from 1. */
    public static FeatureId angle(int number) {
        return new FeatureId(FeatureKind.ANGLE, number);
    }

    /** How flat the bend with this number is, from 1. */
    public static FeatureId flattening(int number) {
        return new FeatureId(FeatureKind.FLATTENING, number);
    }

    /** Leg of a run, from 1. */
    public static FeatureId leg(int number) {
        return new FeatureId(FeatureKind.LEG, number);
    }

    /** Turn from a ninety of a run, from 1, to the next. */
    public static FeatureId turn(int number) {
        return new FeatureId(FeatureKind.TURN, number);
    }

    /** Rise of the offset on a leg of a run, from 1. */
    public static FeatureId rise(int leg) {
        return new FeatureId(FeatureKind.RISE, leg);
    }

    /** Height of the saddle on a leg of a run, from 1. */
    public static FeatureId height(int leg) {
        return new FeatureId(FeatureKind.HEIGHT, leg);
    }

    public String id() {
        return number == 0 ? kind.id() : kind.id() + number;
    }

    /** In a sentence: {@code the landing}, {@code angle 2}, {@code the distance back to back}. */
    public String words() {
        return number == 0 ? kind.words() : numbered(kind.words());
    }

    /** On a form: {@code Landing}, {@code Angle 2}. */
    public String title() {
        return number == 0 ? kind.title() : numbered(kind.title());
    }

    /** Of a run: {@code leg 2}, and what is on a leg by that leg: {@code the rise on leg 2}. */
    private String numbered(String name) {
        return switch (kind) {
            case LEG -> name.replace("the ", "") + " " + number;
            case RISE, HEIGHT -> name + " on leg " + number;
            case MARK,
                    OTHER_LEG,
                    BETWEEN,
                    SECOND_LEG,
                    DROP,
                    SET_BACK,
                    START_RISE,
                    END_RISE,
                    ROLL,
                    CENTRE,
                    FLAT,
                    LANDING,
                    ANGLE,
                    TURN,
                    TAIL_LIFT,
                    DOG_LEG,
                    OVERALL,
                    REACH_RIGHT,
                    REACH_UP,
                    REACH_OUT,
                    FLATTENING -> name + " " + number;
        };
    }

    public QuantityKind measured() {
        return kind.measured();
    }

    /** See {@link FeatureKind#isOfFinishedPiece()}. */
    public boolean isOfFinishedPiece() {
        return kind.isOfFinishedPiece();
    }

    /** Whether it can be less than nothing. */
    public boolean isSigned() {
        return kind.isSigned();
    }

    /** A reading as it compares with what was wanted: a turn of 358° is 2° short of none. */
    public Quantity compared(Quantity reading, Quantity wanted) {
        return kind == FeatureKind.TURN && reading instanceof Angle read && wanted instanceof Angle turn
                ? read.near(turn)
                : reading;
    }

    /** The feature with this id, if there is one. */
    public static Optional<FeatureId> withId(String id) {
        int digits = id.length();
        while (digits > 0 && isDigit(id.charAt(digits - 1))) {
            digits--;
        }
        Optional<FeatureKind> kind = FeatureKind.withId(id.substring(0, digits));
        String number = id.substring(digits);
        if (number.length() > 2 || number.startsWith("0")) {
            return Optional.empty();
        }
        return kind.filter(
                        known -> number.isEmpty() ? !known.isNumbered() || known.mayBeNumbered() : known.isNumbered())
                .map(known -> new FeatureId(known, number.isEmpty() ? 0 : Integer.parseInt(number)));
    }

    private static boolean isDigit(char character) {
        return character >= '0' && character <= '9';
    }

    /** The same entries, unchanging, in the order of a sheet whatever order they were put in: so that nothing hangs on chance. */
    public static <V> Map<FeatureId, V> inOrder(Map<FeatureId, V> entries) {
        return Collections.unmodifiableMap(new TreeMap<>(entries));
    }

    @Override
    public int compareTo(FeatureId other) {
        return AS_ON_A_SHEET.compare(this, other);
    }

    /** The same in every run of the program, which the hash of an enum's value is not. */
    @Override
    public int hashCode() {
        return 31 * kind.id().hashCode() + number;
    }
}
