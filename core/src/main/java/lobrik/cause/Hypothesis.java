package lobrik.cause;

import java.util.Optional;
import java.util.OptionalDouble;

/**
 * One way in which a piece can have gone wrong, as a change of how it was made.
 *
 * @param bend number of the bend that it is about, from 1; 0 where it is about the whole piece
 * @param detail what distinguishes it from others of the same cause, in a few words; may be empty
 * @param weight how common it is among those of its cause
 * @param fixed its amount in inches or degrees, where that is no free figure
 * @param free what is fitted to the readings, if anything is
 */
record Hypothesis(
        CauseId cause,
        int bend,
        String detail,
        double weight,
        OptionalDouble fixed,
        Optional<Free> free,
        Change change) {

    /** Changes how a piece was made; the amount is 0 for what has no free figure. */
    interface Change {
        void apply(Making making, double amount);
    }

    /**
     * A figure that is fitted, in inches or degrees.
     *
     * @param spread standard deviation of the amounts that are met, around nothing
     * @param start where fitting begins
     */
    record Free(double spread, double start) {}

    static Hypothesis of(CauseId cause, int bend, String detail, double weight, Change change) {
        return new Hypothesis(cause, bend, detail, weight, OptionalDouble.empty(), Optional.empty(), change);
    }

    static Hypothesis ofAmount(CauseId cause, int bend, String detail, double weight, double amount, Change change) {
        return new Hypothesis(cause, bend, detail, weight, OptionalDouble.of(amount), Optional.empty(), change);
    }

    static Hypothesis fitted(CauseId cause, int bend, String detail, double weight, Free free, Change change) {
        return new Hypothesis(cause, bend, detail, weight, OptionalDouble.empty(), Optional.of(free), change);
    }

    /** The same with what distinguishes it. */
    Hypothesis called(String detailed) {
        return new Hypothesis(cause, bend, detailed, weight, fixed, free, change);
    }

    /** The same done to the conduit only: the trainee's own figures are right. */
    Hypothesis workedRight(double howOften) {
        return new Hypothesis(cause, bend, detail, weight * howOften, fixed, free, (making, amount) -> {
            double[] own = making.own.clone();
            change.apply(making, amount);
            System.arraycopy(own, 0, making.own, 0, own.length);
        });
    }

    /** Whether two of them can have happened on one piece, as two things. */
    boolean goesWith(Hypothesis other) {
        return cause != other.cause || (bend != other.bend && bend != 0 && other.bend != 0);
    }
}
