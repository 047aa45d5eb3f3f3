package lobrik.exercise;

import lobrik.bend.InputId;
import lobrik.fault.Fault;
import lobrik.fault.FaultCode;
import lobrik.fault.Refused;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Percentage;
import lobrik.measure.Quantity;

/**
 * Sizes that an input may take in a variant: {@code from}, {@code from + step}, and so on up to {@code to}. All three are of
 * the input's kind of quantity.
 *
 * @param input its path in the bend: {@code riseIn}, {@code legs/0/lengthIn}
 */
public record InputRange(String input, Quantity from, Quantity to, Quantity step) {

    private static final int MOST_VALUES = 2000;

    /** @throws Refused if the step is nothing, the range runs backwards, or it has more than 2000 sizes */
    public InputRange {
        if (step.count() <= 0) {
            throw refused(input, "the step of " + named(input) + " must be more than 0");
        }
        if (from.count() > to.count()) {
            throw refused(
                    input,
                    named(input) + " runs from " + words(from) + " to " + words(to) + "; give the smaller size first");
        }
        if ((to.count() - from.count()) / step.count() >= MOST_VALUES) {
            throw refused(
                    input,
                    named(input) + " takes more than " + MOST_VALUES + " sizes; use a larger step or a smaller range");
        }
    }

    private static Refused refused(String input, String reason) {
        return Refused.impossible(new Fault(FaultCode.OUT_OF_RANGE, "ranges/" + input, reason));
    }

    private static String named(String input) {
        return InputId.ofPath(input).map(InputId::words).orElse(input);
    }

    private static String words(Quantity quantity) {
        return switch (quantity) {
            case Length length -> length.inWords();
            case Angle angle -> angle.text();
            case Percentage part -> part.text();
        };
    }

    /** How many sizes it holds. */
    public int size() {
        return Math.toIntExact((to.count() - from.count()) / step.count()) + 1;
    }

    /** The size at a place, from 0. */
    Quantity at(int index) {
        return from.withCount(from.count() + index * step.count());
    }
}
