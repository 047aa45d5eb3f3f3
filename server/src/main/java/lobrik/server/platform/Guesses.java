package lobrik.server.platform;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.Locale;
import java.util.function.Supplier;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * Keeps codes that open something without an account from being guessed. Codes that open nothing are counted: so many a minute
 * from one address, and so many from all addresses together. Whoever opened something with a code goes on with it at that
 * address, whatever others try from there; and an address where some code worked is not held up by what strangers try elsewhere.
 */
@Component
public final class Guesses {

    /** Codes that open nothing, a minute: what a class behind one address mistypes. */
    static final int WRONG_AT_AN_ADDRESS = 30;

    /** The same from everywhere: five a second. */
    static final int WRONG_EVERYWHERE = 300;

    /** A phone asks every few seconds, and a trainee presses now and then. */
    private static final int ASKED_A_SECOND = 10;

    private static final Duration WORKED_LATELY = Duration.ofHours(12);
    private static final long MOST_REMEMBERED = 50_000;
    private static final String EVERYWHERE = "";

    private final Allowance wrongThere = new Allowance(WRONG_AT_AN_ADDRESS, Duration.ofMinutes(1));
    private final Allowance wrong = new Allowance(WRONG_EVERYWHERE, Duration.ofMinutes(1));
    private final Allowance asked = new Allowance(ASKED_A_SECOND, Duration.ofSeconds(1));
    private final Cache<String, Boolean> worked = Caffeine.newBuilder()
            .expireAfterAccess(WORKED_LATELY)
            .maximumSize(MOST_REMEMBERED)
            .build();

    /**
     * Asks with a code.
     *
     * @param address of whoever asks
     * @param code as typed
     * @param ask answers, or turns down as not found what the code does not open
     * @throws TurnedDown if it was asked or guessed too often
     */
    public <T> T ask(String address, String code, Supplier<T> ask) {
        String pair = address + ' ' + code.toUpperCase(Locale.ROOT);
        if (!asked.use(pair)) {
            throw TurnedDown.tooOften("Too many calls at once; wait a second and try again");
        }
        boolean known = worked.getIfPresent(pair) != null;
        if (!known) {
            requireGuessLeft(address);
        }
        try {
            T answer = ask.get();
            worked.put(pair, true);
            worked.put(address, true);
            return answer;
        } catch (TurnedDown e) {
            if (e.status() == HttpStatus.NOT_FOUND) {
                worked.invalidate(pair);
                // Asked many at once, each of them counts: what was let through too much is waited for afterwards.
                wrongThere.owe(address);
                wrong.owe(EVERYWHERE);
            }
            throw e;
        }
    }

    private void requireGuessLeft(String address) {
        boolean heldUp =
                !wrongThere.hasLeft(address) || (!wrong.hasLeft(EVERYWHERE) && worked.getIfPresent(address) == null);
        if (heldUp) {
            throw TurnedDown.tooOften("Too many codes that open nothing were tried; wait a minute and try again");
        }
    }
}
