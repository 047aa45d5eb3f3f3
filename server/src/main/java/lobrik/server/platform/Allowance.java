package lobrik.server.platform;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import io.github.bucket4j.Bucket;
import java.time.Duration;

/** So many goes in so much time for everybody who asks, each apart; what was used comes back little by little. */
public final class Allowance {

    /** Enough for any school, and a bound on what a flood of names or addresses can make us remember. */
    private static final long MOST_REMEMBERED = 10_000;

    private final long goes;
    private final Duration comeBackIn;
    private final Cache<String, Bucket> buckets;

    public Allowance(long goes, Duration comeBackIn) {
        this.goes = goes;
        this.comeBackIn = comeBackIn;
        this.buckets = Caffeine.newBuilder()
                .expireAfterAccess(comeBackIn.plusMinutes(1))
                .maximumSize(MOST_REMEMBERED)
                .build();
    }

    /** Uses one go if there is one left. */
    public boolean use(String who) {
        return bucket(who).tryConsume(1);
    }

    /** Whether there is a go left. */
    public boolean hasLeft(String who) {
        return bucket(who).getAvailableTokens() > 0;
    }

    /** Uses one go even if none is left: then it takes that much longer until there is one. */
    public void owe(String who) {
        bucket(who).consumeIgnoringRateLimits(1);
    }

    private Bucket bucket(String who) {
        return buckets.get(
                who,
                key -> Bucket.builder()
                        .addLimit(limit -> limit.capacity(goes).refillGreedy(goes, comeBackIn))
                        .build());
    }
}
