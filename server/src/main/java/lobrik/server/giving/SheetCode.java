package lobrik.server.giving;

import java.util.Locale;
import java.util.Optional;
import java.util.random.RandomGenerator;

/**
 * The code on a sheet or of a trainee's own page: twelve of 32 letters and digits, none of which looks like another. Sixty bits
 * of chance: a million of them at once, guessed at the rate that {@link lobrik.server.platform.Guesses} lets through, stand
 * for thousands of years. Sheets from before have eight letters; they end as all do.
 */
public final class SheetCode {

    private static final String LETTERS = "0123456789ABCDEFGHJKMNPQRSTVWXYZ";
    private static final int LENGTH = 12;
    private static final int SHORTEST = 8;

    private SheetCode() {}

    /** A new one. */
    public static String next(RandomGenerator random) {
        StringBuilder code = new StringBuilder(LENGTH);
        for (int i = 0; i < LENGTH; i++) {
            code.append(LETTERS.charAt(random.nextInt(LETTERS.length())));
        }
        return code.toString();
    }

    /** A code as somebody types it: small letters, blanks and dashes are forgiven, and O, I and L are read as digits. */
    public static Optional<String> read(String typed) {
        String plain = typed.replaceAll("[\\s-]", "")
                .toUpperCase(Locale.ROOT)
                .replace('O', '0')
                .replace('I', '1')
                .replace('L', '1');
        boolean good = plain.length() <= LENGTH && plain.length() >= SHORTEST;
        return good && plain.chars().allMatch(c -> LETTERS.indexOf(c) >= 0) ? Optional.of(plain) : Optional.empty();
    }

    /** As it is printed: {@code 7K2M-9QXD-04TB}. */
    public static String printed(String code) {
        return code.replaceAll("(.{4})(?=.)", "$1-");
    }
}
