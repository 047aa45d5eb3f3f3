package lobrik.server.platform;

import java.util.Locale;
import java.util.Optional;
import java.util.random.RandomGenerator;

/** Codes that are keys to something, to be printed and typed: of 32 letters and digits, none of which looks like another. */
public final class Codes {

    private static final String LETTERS = "0123456789ABCDEFGHJKMNPQRSTVWXYZ";

    private Codes() {}

    /** A new one: five bits of chance for each of its letters. */
    public static String next(RandomGenerator random, int length) {
        StringBuilder code = new StringBuilder(length);
        for (int i = 0; i < length; i++) {
            code.append(LETTERS.charAt(random.nextInt(LETTERS.length())));
        }
        return code.toString();
    }

    /** A code as somebody types it: small letters, blanks and dashes are forgiven, and O, I and L are read as digits. */
    public static Optional<String> read(String typed, int shortest, int longest) {
        String plain = typed.replaceAll("[\\s-]", "")
                .toUpperCase(Locale.ROOT)
                .replace('O', '0')
                .replace('I', '1')
                .replace('L', '1');
        boolean good = plain.length() <= longest && plain.length() >= shortest;
        return good && plain.chars().allMatch(c -> LETTERS.indexOf(c) >= 0) ? Optional.of(plain) : Optional.empty();
    }

    /** As it is printed: {@code 7K2M-9QXD-04TB}. */
    public static String printed(String code) {
        return code.replaceAll("(.{4})(?=.)", "$1-");
    }
}
