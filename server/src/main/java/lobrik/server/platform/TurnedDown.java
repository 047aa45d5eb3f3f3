package lobrik.server.platform;

import java.util.List;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;

/** A request that is understood but not met, for a reason that a person can act on. */
public final class TurnedDown extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final HttpStatus status;
    private final transient List<InputError> errors;

    private TurnedDown(HttpStatus status, String pointer, String code, String message) {
        this(status, message, List.of(new InputError(pointer, code, message)));
    }

    private TurnedDown(HttpStatus status, String message, List<InputError> errors) {
        super(message);
        this.status = status;
        this.errors = List.copyOf(errors);
    }

    /** Several things are missing or wrong; there is at least one. */
    public static TurnedDown badInputs(List<InputError> errors) {
        return new TurnedDown(
                HttpStatus.BAD_REQUEST,
                errors.stream().map(InputError::message).collect(Collectors.joining("; ")),
                errors);
    }

    /** A field of the request is missing or wrong. */
    public static TurnedDown badInput(String pointer, String code, String message) {
        return new TurnedDown(HttpStatus.BAD_REQUEST, pointer, code, message);
    }

    /**
     * A field that a request must have.
     *
     * @throws TurnedDown if it has not
     */
    public static <T> T required(String pointer, @Nullable T value) {
        if (value == null) {
            throw badInput(pointer, "missing", "this is missing");
        }
        return value;
    }

    /** Somebody else changed it since whoever asks has seen it: they decide again, by what it is now. */
    public static TurnedDown changedMeanwhile(String what) {
        return conflict(
                "changed-meanwhile",
                what + " was changed by somebody else meanwhile; look at what it is now, and decide again");
    }

    /** It does not exist, or not for the one who asks: the two are told alike, so that nobody can probe. */
    public static TurnedDown notFound(String what) {
        return new TurnedDown(HttpStatus.NOT_FOUND, "", "not-found", "There is no such " + what + " in your cohorts");
    }

    /** Somebody else may do it, and the one who asks may know that. */
    public static TurnedDown forbidden(String message) {
        return new TurnedDown(HttpStatus.FORBIDDEN, "", "forbidden", message);
    }

    /** It clashes with what is there. */
    public static TurnedDown conflict(String code, String message) {
        return new TurnedDown(HttpStatus.CONFLICT, "", code, message);
    }

    /** It is larger than what is taken in. */
    public static TurnedDown tooLarge(String message) {
        return new TurnedDown(HttpStatus.CONTENT_TOO_LARGE, "", "too-large", message);
    }

    /** It is of a kind that is not taken in. */
    public static TurnedDown unsupported(String message) {
        return new TurnedDown(HttpStatus.UNSUPPORTED_MEDIA_TYPE, "", "unsupported", message);
    }

    /** Name and password do not belong together, or nobody is signed in. */
    public static TurnedDown unauthorised(String message) {
        return new TurnedDown(HttpStatus.UNAUTHORIZED, "", "not-signed-in", message);
    }

    /** The password is right, and the second factor is missing or wrong. */
    public static TurnedDown codeNeeded(String message) {
        return new TurnedDown(HttpStatus.UNAUTHORIZED, "/code", "second-factor", message);
    }

    /** It cannot be done now, for a reason that passes. */
    public static TurnedDown unavailable(String message) {
        return new TurnedDown(HttpStatus.SERVICE_UNAVAILABLE, "", "unavailable", message);
    }

    /** Too often. */
    public static TurnedDown tooOften(String message) {
        return new TurnedDown(HttpStatus.TOO_MANY_REQUESTS, "", "too-often", message);
    }

    HttpStatus status() {
        return status;
    }

    /** What is wrong, each by itself. */
    public List<InputError> errors() {
        return errors;
    }
}
