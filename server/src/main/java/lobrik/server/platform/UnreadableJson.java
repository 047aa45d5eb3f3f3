package lobrik.server.platform;

import tools.jackson.core.JacksonException;
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
            case MismatchedInputException _ ->
                new InputError(pointer, "wrong-type", "this is not of the right type or not one of the allowed values");
            default -> new InputError(pointer, "not-json", "this is not JSON, or a number in it is no number");
        };
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
