package lobrik.measure;

import java.util.Optional;

/** What was typed is not a length or an angle. Says where, why, and what was probably meant. */
public final class RefusedText extends IllegalArgumentException {

    private static final long serialVersionUID = 1L;

    /** Why a text was refused. */
    public enum Reason {
        EMPTY,
        TOO_LONG,
        NOT_A_NUMBER,
        ZERO_DENOMINATOR,
        UNUSUAL_DENOMINATOR,
        IMPROPER_FRACTION,
        INCOMPLETE_FRACTION,
        INCHES_OVER_A_FOOT,
        FRACTION_OF_METRIC,
        NEGATIVE,
        TOO_LARGE,
        TRAILING
    }

    private final Reason reason;
    private final int position;
    private final String suggestion;

    RefusedText(Reason reason, int position, String message) {
        this(reason, position, message, "");
    }

    RefusedText(Reason reason, int position, String message, String suggestion) {
        super(suggestion.isEmpty() ? message : message + "; did you mean " + suggestion + "?");
        this.reason = reason;
        this.position = position;
        this.suggestion = suggestion;
    }

    public Reason reason() {
        return reason;
    }

    /** Index of the offending character in the text, from 0; the text's length where something is missing at its end. */
    public int position() {
        return position;
    }

    /** What was probably meant, ready to be typed. */
    public Optional<String> suggestion() {
        return suggestion.isEmpty() ? Optional.empty() : Optional.of(suggestion);
    }
}
