package lobrik.server.platform;

import org.jspecify.annotations.Nullable;

/**
 * One thing that is wrong with what was sent.
 *
 * @param pointer where, as a JSON pointer
 * @param line of a file, from 1, where that is known
 */
public record InputError(
        String pointer,
        String code,
        String message,
        @Nullable Integer line) {

    public InputError(String pointer, String code, String message) {
        this(pointer, code, message, null);
    }

    /** The same error of an input that stands further down. */
    public InputError within(String parent) {
        return new InputError(parent + pointer, code, message, line);
    }

    /** The same error with the line of the file that it is on. */
    public InputError onLine(@Nullable Integer number) {
        return new InputError(pointer, code, message, number);
    }
}
