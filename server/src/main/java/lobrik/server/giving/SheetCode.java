package lobrik.server.giving;

import java.util.Locale;
import java.util.Optional;
import java.util.random.RandomGenerator;

/** The short code on a sheet: eight of 32 letters and digits, none of which looks like another. */
public final class SheetCode {

    private static final String LETTERS = "0123456789ABCDEFGHJKMNPQRSTVWXYZ";
    private static final int LENGTH = 8;
    private static final int LONGEST = 12;

    private SheetCode() {}

    /** A new one: 40 bits of chance, so that codes hardly ever meet and cannot be guessed in passing. */
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
        boolean good = plain.length() <= LONGEST && plain.length() >= LENGTH;
        return good && plain.chars().allMatch(c -> LETTERS.indexOf(c) >= 0) ? Optional.of(plain) : Optional.empty();
    }

    /** As it is printed: {@code 7K2M-9QXD}. */
    public static String printed(String code) {
        return code.substring(0, code.length() / 2) + "-" + code.substring(code.length() / 2);
    }
}
