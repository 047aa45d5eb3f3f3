package lobrik.server.platform;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.temporal.Temporal;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.exc.InvalidFormatException;
import tools.jackson.databind.exc.InvalidNullException;
import tools.jackson.databind.exc.InvalidTypeIdException;
import tools.jackson.databind.exc.MismatchedInputException;
import tools.jackson.databind.exc.UnrecognizedPropertyException;

/** Tells in plain words, and with its place, why JSON could not be read. */
public final class UnreadableJson {

    private static final int ENOUGH = 40;

    private UnreadableJson() {}

    /** What is wrong, and where. */
    public static InputError of(JacksonException failure) {
        String pointer = pointer(failure);
        return switch (failure) {
            case InvalidTypeIdException unknown ->
                new InputError(
                        pointer + "/kind",
                        "unknown-value",
                        unknown.getTypeId() == null
                                ? "the kind is missing"
                                : "“" + brief(unknown.getTypeId()) + "” is not a kind that can be laid out");
            case UnrecognizedPropertyException unknown ->
                new InputError(
                        pointer, "unknown-value", "“" + brief(unknown.getPropertyName()) + "” is not known here");
            case InvalidNullException _ ->
                new InputError(pointer, "missing", "there is a hole here: it must not be null");
            case InvalidFormatException unclean
            when unclean.getValue() instanceof String && unclean.getTargetType() == String.class ->
                new InputError(pointer, "not-text", "this has a NUL or half a character in it; take that out");
            case InvalidFormatException unclean
            when unclean.getValue() instanceof Temporal ->
                new InputError(
                        pointer,
                        "out-of-range",
                        "this is of the year " + year(unclean.getValue()) + "; give one from " + CleanJson.FIRST_YEAR
                                + " to " + CleanJson.LAST_YEAR);
            case MismatchedInputException _ ->
                new InputError(pointer, "wrong-type", "this is not of the right type or not one of the allowed values");
            default -> new InputError(pointer, "not-json", "this is not JSON, or a number in it is no number");
        };
    }

    private static String year(Object time) {
        int year = time instanceof Instant instant
                ? instant.atOffset(ZoneOffset.UTC).getYear()
                : ((LocalDate) time).getYear();
        return String.valueOf(year);
    }

    private static String pointer(JacksonException failure) {
        StringBuilder pointer = new StringBuilder();
        for (JacksonException.Reference step : failure.getPath()) {
            pointer.append('/')
                    .append(step.getPropertyName() == null ? String.valueOf(step.getIndex()) : step.getPropertyName());
        }
        return pointer.toString();
    }

    private static String brief(String text) {
        return text.length() <= ENOUGH ? text : text.substring(0, ENOUGH) + "…";
    }
}
