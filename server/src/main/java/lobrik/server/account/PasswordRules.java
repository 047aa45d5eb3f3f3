package lobrik.server.account;

import java.util.Locale;
import java.util.stream.Stream;
import lobrik.server.platform.TurnedDown;

/** What a password must be like: long rather than odd, and nothing that anybody would try first. */
final class PasswordRules {

    private static final int SHORTEST = 12;
    private static final int LONGEST = 128;
    private static final int FEWEST_DIFFERENT = 5;

    private PasswordRules() {}

    /**
     * Lets only a good one pass.
     *
     * @param pointer to the field that it stands in
     * @param names that must not be all there is to it, such as the one it goes with
     * @throws TurnedDown saying what is wrong with it
     */
    static void require(String pointer, String password, String... names) {
        if (password.length() < SHORTEST) {
            throw wrong(
                    pointer,
                    "a password has at least " + SHORTEST + " characters, this one has " + password.length()
                            + "; take some words that only you would put together");
        }
        if (password.length() > LONGEST) {
            throw wrong(pointer, "a password has at most " + LONGEST + " characters");
        }
        String small = password.toLowerCase(Locale.ROOT);
        if (small.chars().distinct().count() < FEWEST_DIFFERENT) {
            throw wrong(pointer, "use at least " + FEWEST_DIFFERENT + " different characters");
        }
        boolean obvious = Stream.concat(Stream.of(names), Stream.of("password", "lobrik", "1234567890", "qwertyuiop"))
                .map(name -> name.toLowerCase(Locale.ROOT))
                .filter(name -> name.length() > 2)
                .anyMatch(name -> small.replace(name, "").length() < FEWEST_DIFFERENT);
        if (obvious) {
            throw wrong(
                    pointer, "this is what anybody would try first; take some words that only you would put together");
        }
    }

    private static TurnedDown wrong(String pointer, String message) {
        return TurnedDown.badInput(pointer, "weak-password", message);
    }
}
