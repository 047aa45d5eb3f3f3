package lobrik.fault;

import lobrik.measure.Quantity;

/** What to do about a fault. Sizes and choices were tried: with one of them alone the fault is gone. */
public sealed interface Cure {

    /** The input to change, by its path in the calculation contract, such as {@code bend/angleDeg}. */
    String input();

    /** What to do, as the end of a sentence: {@code make the angle 22.5°}. */
    String text();

    /** Give the input this size. */
    record Size(String input, String text, Quantity value) implements Cure {}

    /** Choose this of the input's options. */
    record Choice(String input, String text, String option) implements Cure {}

    /** What to try, where the inputs alone do not tell a size. */
    record Advice(String input, String text) implements Cure {}
}
