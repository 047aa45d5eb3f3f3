package lobrik.server.platform;

import io.github.bucket4j.BucketConfiguration;
import io.github.bucket4j.distributed.ExpirationAfterWriteStrategy;
import io.github.bucket4j.distributed.jdbc.PrimaryKeyMapper;
import io.github.bucket4j.postgresql.Bucket4jPostgreSQL;
import io.github.bucket4j.postgresql.PostgreSQLSelectForUpdateBasedProxyManager;
import java.time.Duration;
import java.util.HexFormat;
import java.util.concurrent.TimeUnit;
import javax.sql.DataSource;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * Allowances that hold for all servers of a record together: for what must not become easier where there are more of them. What was used
 * is in the database; whose it was only as a hash.
 */
@Component
public class SharedAllowances {

    private static final Logger LOG = LoggerFactory.getLogger(SharedAllowances.class);
    private static final int MOST_FORGOTTEN_AT_ONCE = 10_000;

    private final PostgreSQLSelectForUpdateBasedProxyManager<String> kept;

    SharedAllowances(DataSource database) {
        this.kept = Bucket4jPostgreSQL.selectForUpdateBasedBuilder(database)
                .primaryKeyMapper(PrimaryKeyMapper.STRING)
                .table("allowance")
                .idColumn("id")
                .stateColumn("state")
                .expiresAtColumn("expires_at")
                .expirationAfterWrite(
                        ExpirationAfterWriteStrategy.basedOnTimeForRefillingBucketUpToMax(Duration.ofMinutes(1)))
                .build();
    }

    /**
     * So many goes in so much time.
     *
     * @param what is allowed; the same name is the same allowance at every server
     */
    Allowance of(String what, long goes, Duration comeBackIn) {
        BucketConfiguration configuration = Allowance.configuration(goes, comeBackIn);
        return new Allowance(who ->
                kept.builder().build(HexFormat.of().formatHex(Sha256.of(what + ' ' + who)), () -> configuration));
    }

    /** What is full again need not be kept. */
    @Scheduled(initialDelay = 1, fixedDelay = 1, timeUnit = TimeUnit.MINUTES)
    void forget() {
        try {
            kept.removeExpired(MOST_FORGOTTEN_AT_ONCE);
        } catch (RuntimeException e) {
            LOG.debug("The database is away; what is full again goes the next time", e);
        }
    }
}
