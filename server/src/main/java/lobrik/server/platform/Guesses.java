package lobrik.server.platform;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.HexFormat;
import java.util.Locale;
import java.util.function.Supplier;
import lobrik.server.together.Together;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * Keeps codes that open something without an account from being guessed. Codes that open nothing are counted: so many a minute
 * from one address, and so many from all addresses together, at whatever server. Whoever opened something with a code goes on with it at that
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

    private static final String OPENED = "opened";

    private final Allowance wrongThere;
    private final Allowance wrong;
    private final Together together;
    private final Allowance asked = new Allowance(ASKED_A_SECOND, Duration.ofSeconds(1));
    private final Cache<String, Boolean> worked = Caffeine.newBuilder()
            .expireAfterAccess(WORKED_LATELY)
            .maximumSize(MOST_REMEMBERED)
            .build();

    @Autowired
    Guesses(SharedAllowances shared, Together together) {
        this(
                shared.of("wrong codes at an address", WRONG_AT_AN_ADDRESS, Duration.ofMinutes(1)),
                shared.of("wrong codes", WRONG_EVERYWHERE, Duration.ofMinutes(1)),
                together);
    }

    Guesses(Allowance wrongThere, Allowance wrong, Together together) {
        this.wrongThere = wrongThere;
        this.wrong = wrong;
        this.together = together;
        together.hear(OPENED, String.class, who -> worked.put(who, true));
    }

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
        String opened = named(pair);
        String there = named(address);
        boolean known = worked.getIfPresent(opened) != null;
        if (!known) {
            requireGuessLeft(address, there);
        }
        try {
            T answer = ask.get();
            remember(opened);
            remember(there);
            return answer;
        } catch (TurnedDown e) {
            if (e.status() == HttpStatus.NOT_FOUND) {
                worked.invalidate(opened);
                // Asked many at once, each of them counts: what was let through too much is waited for afterwards.
                wrongThere.owe(address);
                wrong.owe(EVERYWHERE);
            }
            throw e;
        }
    }

    private static String named(String who) {
        return HexFormat.of().formatHex(Sha256.of(who));
    }

    /** Other servers hear of it, too: the next request may come to them. */
    private void remember(String who) {
        if (worked.asMap().put(who, true) == null) {
            together.tell(OPENED, who);
        }
    }

    private void requireGuessLeft(String address, String there) {
        boolean heldUp =
                !wrongThere.hasLeft(address) || (!wrong.hasLeft(EVERYWHERE) && worked.getIfPresent(there) == null);
        if (heldUp) {
            throw TurnedDown.tooOften("Too many codes that open nothing were tried; wait a minute and try again");
        }
    }
}
