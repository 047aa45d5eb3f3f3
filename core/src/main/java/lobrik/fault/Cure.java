package lobrik.fault;

import lobrik.measure.Quantity;

/** One change of one input that takes a fault away. It was tried: with it alone the fault is gone. */
public sealed interface Cure {

    /** The input to change, by its path in the calculation contract, such as {@code bend/angleDeg}. */
    String input();

    /** What to do, as the end of a sentence: {@code make the angle 22.5°}. */
    String text();

    /** Give the input this size. */
    record Size(String input, String text, Quantity value) implements Cure {}

    /** Choose this of the input's options. */
    record Choice(String input, String text, String option) implements Cure {}
}
