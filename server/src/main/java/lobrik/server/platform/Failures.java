package lobrik.server.platform;

import java.net.SocketTimeoutException;
import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.HttpStatus;

/**
 * What is known about failures that come from below: which of them are no fault of ours, and what to say then. All others are,
 * and are answered with 500.
 */
public final class Failures {

    /** The first causes say enough; a circle of them has no end. */
    private static final int MOST_CAUSES = 20;

    private Failures() {}

    /**
     * What to answer.
     *
     * @param message for a person; says nothing of what somebody else keeps
     * @param passes whether the same may work in a moment
     */
    record Told(HttpStatus status, String code, String message, boolean passes) {}

    static final Told SLOW = new Told(
            HttpStatus.REQUEST_TIMEOUT,
            "too-slow",
            "What was sent came too slowly; send it again over a better line",
            true);

    private static final Told AWAY = new Told(
            HttpStatus.SERVICE_UNAVAILABLE,
            "unavailable",
            "The server's database does not answer just now; nothing is lost: it can be sent again in a moment",
            true);

    private static final Told BUSY = new Told(
            HttpStatus.SERVICE_UNAVAILABLE,
            "unavailable",
            "Too much is going on at once just now; nothing is lost: it can be sent again in a moment",
            true);

    private static final Told CLASH = new Told(
            HttpStatus.CONFLICT,
            "clash",
            "This clashes with something that is kept already; reload and look again",
            false);

    /** All that is not known. */
    static final Told BROKEN = new Told(
            HttpStatus.INTERNAL_SERVER_ERROR, "broken", "Something went wrong in the server; the log says what", false);

    /** The same, with the id by which the log knows the request; null if it has none. */
    static Told broken(@Nullable String request) {
        return request == null
                ? BROKEN
                : new Told(
                        BROKEN.status(),
                        BROKEN.code(),
                        BROKEN.message() + " (request " + request + ")",
                        BROKEN.passes());
    }

    /** After so many seconds what passes may have passed. */
    static final String RETRY_AFTER_S = "2";

    private static final Told UNKEPT =
            new Told(HttpStatus.BAD_REQUEST, "out-of-range", "Something in this is larger than can be kept", false);

    /** What to answer; nothing if it is a fault of ours. */
    static Optional<Told> known(Throwable failure) {
        @Nullable Throwable cause = failure;
        for (int i = 0; i < MOST_CAUSES && cause != null; i++) {
            Told told = told(cause);
            if (told != null) {
                return Optional.of(told);
            }
            cause = cause.getCause();
        }
        return Optional.empty();
    }

    /** Whether what failed so may work in a moment: the database was away, or somebody else went first. */
    public static boolean pass(Throwable failure) {
        return known(failure).filter(Told::passes).isPresent();
    }

    private static @Nullable Told told(Throwable cause) {
        return switch (cause) {
            case SlowBodies.TooSlow _, SocketTimeoutException _ -> SLOW;
            case SQLTransientConnectionException _ -> AWAY;
            // What the pool says of a connection that broke while it was used; it has no code.
            case SQLException failure
            when failure.getSQLState() == null
                    && String.valueOf(failure.getMessage()).contains("closed") -> AWAY;
            case SQLException failure -> told(String.valueOf(failure.getSQLState()));
            case DataIntegrityViolationException _ when !(cause.getCause() instanceof SQLException) -> CLASH;
            default -> null;
        };
    }

    /** By the class of PostgreSQL's code (its manual, appendix A). */
    private static @Nullable Told told(String state) {
        if (state.length() != 5) {
            return null;
        }
        return switch (state.substring(0, 2)) {
            // The connection; insufficient resources; ended by an operator; the disk.
            case "08", "53", "57", "58" -> AWAY;
            // Rolled back for the sake of another, or waited too long for a lock.
            case "40", "55" -> BUSY;
            case "23" -> CLASH;
            case "22" -> UNKEPT;
            default -> null;
        };
    }
}
