package lobrik.server.platform;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import io.github.bucket4j.Bucket;
import io.github.bucket4j.BucketConfiguration;
import java.time.Duration;
import java.util.function.Function;

/**
 * So many goes in so much time for everybody who asks, each apart; what was used comes back little by little. It holds at this server,
 * or, from {@link SharedAllowances}, at all servers of a record together.
 */
public final class Allowance {

    /** Enough for any school, and a bound on what a flood of names or addresses can make us remember. */
    private static final long MOST_REMEMBERED = 10_000;

    private final Function<String, Bucket> buckets;

    /** One of this server. */
    public Allowance(long goes, Duration comeBackIn) {
        Cache<String, Bucket> here = Caffeine.newBuilder()
                .expireAfterAccess(comeBackIn.plusMinutes(1))
                .maximumSize(MOST_REMEMBERED)
                .build();
        BucketConfiguration configuration = configuration(goes, comeBackIn);
        this.buckets = who -> here.get(
                who,
                _ -> Bucket.builder().addLimit(configuration.getBandwidths()[0]).build());
    }

    /** One whose buckets are elsewhere. */
    Allowance(Function<String, Bucket> buckets) {
        this.buckets = buckets;
    }

    static BucketConfiguration configuration(long goes, Duration comeBackIn) {
        return BucketConfiguration.builder()
                .addLimit(limit -> limit.capacity(goes).refillGreedy(goes, comeBackIn))
                .build();
    }

    /** Uses one go if there is one left. */
    public boolean use(String who) {
        return buckets.apply(who).tryConsume(1);
    }

    /** Whether there is a go left. */
    public boolean hasLeft(String who) {
        return buckets.apply(who).getAvailableTokens() > 0;
    }

    /** Uses one go even if none is left: then it takes that much longer until there is one. */
    public void owe(String who) {
        buckets.apply(who).consumeIgnoringRateLimits(1);
    }
}
