package lobrik.fault;

import java.util.List;
import java.util.stream.Collectors;

/**
 * One thing that is wrong.
 *
 * @param input the input it concerns, by its path in the calculation contract, such as {@code bend/legIn}
 * @param reason a sentence with the value and the limit
 * @param figures the same as figures
 * @param cures what to change, each alone; empty where nothing was found or the reason says it already
 */
public record Fault(FaultCode code, String input, String reason, List<Figure> figures, List<Cure> cures) {

    public Fault(FaultCode code, String input, String reason, Figure... figures) {
        this(code, input, reason, List.of(figures), List.of());
    }

    /** The reason with what to change. */
    public String message() {
        return cures.isEmpty()
                ? reason
                : reason + "; " + cures.stream().map(Cure::text).collect(Collectors.joining(", or "));
    }

    /** The same fault of an input that stands further down, such as {@code legIn} within {@code bend}. */
    public Fault within(String parent) {
        return at(parent + "/" + input);
    }

    /** The same fault, of another input. */
    public Fault at(String otherInput) {
        return new Fault(code, otherInput, reason, figures, cures);
    }

    /** The same fault with what to try, in words. */
    public Fault advising(String text) {
        return curedBy(List.of(new Cure.Advice(input, text)));
    }

    /** The same fault with what to change. */
    public Fault curedBy(List<Cure> found) {
        return new Fault(code, input, reason, figures, found);
    }
}
