package lobrik.derivation;

import java.util.List;
import java.util.Optional;
import lobrik.measure.Length;
import lobrik.measure.Quantity;

/**
 * A line of a derivation: a figure with the sum that gives it, and a sentence for who hears it for the first time.
 *
 * @param about what it gives: a feature's id such as {@code mark1}, {@code cutLength}, {@code shrink}, {@code spacing},
 *     {@code trueOffset}, {@code raised}, {@code gain}, or {@code predicted/} and a feature's id
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

    public Line {
        terms = List.copyOf(terms);
    }

    /** A part of a sum: what is done with it, what it is called, and its figure. */
    public sealed interface Term {

        Operation operation();

        String name();

        /** With a length or an angle. */
        record Of(Operation operation, Part part, String name, Quantity value) implements Term {}

        /** With the place of a ring that stands above, by its number. */
        record Ring(Operation operation, int mark, String name, Length value) implements Term {}

        /** With a pure number, such as a multiplier; without a name only its sign is written. */
        record Factor(Operation operation, String name, double value) implements Term {}
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
            case Term.Of(Operation operation, Part part, String name, Quantity value)
            when turns(operation, value) ->
                new Term.Of(operation.turned(), part, name, value.withCount(-value.count()));
            case Term.Ring(Operation operation, int mark, String name, Length value)
            when turns(operation, value) ->
                new Term.Ring(operation.turned(), mark, name, value.withCount(-value.count()));
            case Term.Of _, Term.Ring _, Term.Factor _ -> term;
        };
    }

    private static boolean turns(Operation operation, Quantity value) {
        return value.count() < 0 && operation != operation.turned();
    }
}
