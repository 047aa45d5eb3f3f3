package lobrik.layout;

import java.util.List;
import java.util.Optional;
import lobrik.measure.Quantity;

/**
 * Why a number of a layout is what it is: a sentence for who hears it for the first time, and the sum with its figures.
 *
 * @param about what it explains: a feature's id such as {@code mark1}, {@code cutLength}, {@code shrink}, {@code spacing},
 *     {@code trueOffset}, {@code raised}, {@code gain}, or {@code predicted/} and a feature's id
 * @param name what the number is called
 * @param formula id of the formula, as the core's doc comments name it
 * @param words one or two sentences
 * @param terms of the sum, from left to right
 * @param result of the sum
 * @param rounded to the tape's division, where that is what is marked
 */
public record Explanation(
        String about,
        String name,
        String formula,
        String words,
        List<Term> terms,
        Quantity result,
        Optional<Quantity> rounded) {

    /** A part of a sum: what is written before it, what it is called, and its figure. */
    public sealed interface Term {

        /** A sign, a sign with {@code 2 ×}, a bracket, or nothing. */
        String before();

        String name();

        /** With a length or an angle. */
        record Of(String before, String name, Quantity value) implements Term {}

        /** With a pure number, such as a multiplier; without a name only its sign is written. */
        record Factor(String before, String name, double value) implements Term {}
    }
}
