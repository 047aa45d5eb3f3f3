package lobrik.server.account;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.LongSupplier;

/**
 * Slows wrong tries down: some are free, then each next one has to wait twice as long, up to half a minute. Nobody is locked
 * out for longer. Asking and counting are one step, so that a hundred at once are a hundred and not one.
 */
final class Tries {

    private static final Duration LONGEST = Duration.ofSeconds(30);

    /** After that much quiet all is forgotten. */
    private static final Duration FORGOTTEN_AFTER = Duration.ofMinutes(15);

    /** Enough for any school, and a bound on what a flood of names or addresses can make us remember. */
    private static final long MOST_REMEMBERED = 20_000;

    /**
     * Tries that were not right.
     *
     * @param wrong how many
     * @param nextAt on the clock of {@link #nanos}
     */
    private record Count(int wrong, long nextAt) {}

    private final LongSupplier nanos;
    private final int free;
    private final Cache<String, Count> counts = Caffeine.newBuilder()
            .expireAfterWrite(FORGOTTEN_AFTER)
            .maximumSize(MOST_REMEMBERED)
            .build();

    /**
     * Nothing tried yet.
     *
     * @param free how many do not have to wait for each other
     * @param nanos a clock that never jumps
     */
    Tries(int free, LongSupplier nanos) {
        this.free = free;
        this.nanos = nanos;
    }

    /** Counts a try, as a wrong one until it is forgiven; false if it comes too early, which counts for nothing. */
    boolean begin(String who) {
        AtomicBoolean begun = new AtomicBoolean();
        counts.asMap().compute(who, (_, before) -> {
            long now = nanos.getAsLong();
            if (before != null && before.nextAt() - now > 0) {
                begun.setPlain(false);
                return before;
            }
            begun.setPlain(true);
            int wrong = before == null ? 1 : before.wrong() + 1;
            return new Count(wrong, now + pauseAfter(wrong).toNanos());
        });
        return begun.getPlain();
    }

    /** It came to nothing, neither right nor wrong: as if it had not been begun; the ones before it still count. */
    void takeBack(String who) {
        counts.asMap()
                .computeIfPresent(
                        who, (_, count) -> count.wrong() <= 1 ? null : new Count(count.wrong() - 1, nanos.getAsLong()));
    }

    /** It was right: as if nothing had been. */
    void forgive(String who) {
        counts.invalidate(who);
    }

    /** How long the next try has to wait yet. */
    Duration pause(String who) {
        Count count = counts.getIfPresent(who);
        long left = count == null ? 0 : count.nextAt() - nanos.getAsLong();
        return Duration.ofNanos(Math.max(0, left));
    }

    private Duration pauseAfter(int wrong) {
        if (wrong < free) {
            return Duration.ZERO;
        }
        Duration pause = Duration.ofSeconds(1L << Math.min(wrong - free, 10));
        return pause.compareTo(LONGEST) > 0 ? LONGEST : pause;
    }
}
