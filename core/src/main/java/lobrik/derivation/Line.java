package lobrik.derivation;

import java.util.List;
import java.util.Optional;
import lobrik.measure.Length;
import lobrik.measure.Quantity;

/**
 * A line of a derivation: a figure with the sum that gives it, and a sentence for who hears it for the first time.
 *
 * @param about what it gives: a feature's id such as {@code mark1}, {@code cutLength}, {@code shrink}, {@code spacing},
 *     {@code trueOffset}, {@code raised}, {@code gain}, {@code back1}, or {@code predicted/} and a feature's id; of one stretch of a
 *     longer piece with its number after a stroke, such as {@code shrink/2}
 * @param name what the figure is called
 * @param formula id of the formula, as the core's doc comments name it
 * @param words one or two sentences
 * @param terms of the sum, from left to right
 * @param result of the sum
 * @param rounded to the tape's division, where that is what is marked
 */
public record Line(
        String about,
        String name,
        String formula,
        String words,
        List<Term> terms,
        Quantity result,
        Optional<Quantity> rounded) {

    /** What the line of the cut length is about. */
    public static final String CUT = "cutLength";

    /** What the line of the back of a corner is about, with its number. */
    static String back(int corner) {
        return "back" + corner;
    }

    public Line {
        terms = List.copyOf(terms);
    }

    /** A part of a sum: what is done with it, what it is called, and its figure. */
    public sealed interface Term {

        Operation operation();

        String name();

        /**
         * With a length or an angle.
         *
         * @param number of the leg or the stretch whose figure it is, where a piece has several; else 0
         */
        record Of(Operation operation, Part part, int number, String name, Quantity value) implements Term {}

        /**
         * With what a line above comes to: the place of a ring or of a back.
         *
         * @param about what that line is about
         */
        record Above(Operation operation, String about, String name, Length value) implements Term {}

        /** With a pure number, such as a multiplier; without a name only its sign is written. */
        record Factor(Operation operation, String name, double value) implements Term {}
    }

    /** Whether it is a place along the conduit, or its length: a sum that is added up from figures and from lines above. */
    boolean isAddedUp() {
        return about.equals(CUT) || about.startsWith("back") || about.startsWith("mark");
    }

    /** As it is written: nobody writes “+ −1/32” nor “− −1/32”, there is one sign before each figure. */
    public Line written() {
        return new Line(
                about, name, formula, words, terms.stream().map(Line::written).toList(), result, rounded);
    }

    /** With the line of the tape that it is marked on. */
    public Line markedAt(Quantity place) {
        return new Line(about, name, formula, words, terms, result, Optional.of(place));
    }

    private static Term written(Term term) {
        return switch (term) {
            case Term.Of(Operation operation, Part part, int number, String name, Quantity value)
            when turns(operation, value) ->
                new Term.Of(operation.turned(), part, number, name, value.withCount(-value.count()));
            case Term.Above(Operation operation, String about, String name, Length value)
            when turns(operation, value) ->
                new Term.Above(operation.turned(), about, name, value.withCount(-value.count()));
            case Term.Of _, Term.Above _, Term.Factor _ -> term;
        };
    }

    private static boolean turns(Operation operation, Quantity value) {
        return value.count() < 0 && operation != operation.turned();
    }
}
