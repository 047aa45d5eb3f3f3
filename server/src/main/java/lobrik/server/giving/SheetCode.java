package lobrik.server.giving;

import java.util.Optional;
import java.util.random.RandomGenerator;
import lobrik.server.platform.Codes;

/**
 * The code on a sheet or of a trainee's own page: twelve letters. Sixty bits of chance: a million of them at once, guessed at the
 * rate that {@link lobrik.server.platform.Guesses} lets through, stand for thousands of years. Sheets from before have eight
 * letters; they end as all do.
 */
public final class SheetCode {

    private static final int LENGTH = 12;
    private static final int SHORTEST = 8;

    private SheetCode() {}

    /** A new one. */
    public static String next(RandomGenerator random) {
        return Codes.next(random, LENGTH);
    }

    /** A code as somebody types it. */
    public static Optional<String> read(String typed) {
        return Codes.read(typed, SHORTEST, LENGTH);
    }

    /** As it is printed: {@code 7K2M-9QXD-04TB}. */
    public static String printed(String code) {
        return Codes.printed(code);
    }
}
