package lobrik.server.account;

import jakarta.persistence.EntityManager;
import jakarta.persistence.Tuple;
import java.time.Duration;
import java.util.HexFormat;
import java.util.Objects;
import lobrik.server.platform.Rows;
import lobrik.server.platform.Sha256;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Slows wrong tries down: some are free, then each next one has to wait twice as long, up to half a minute. Nobody is locked
 * out for longer. Asking and counting are one step, so that a hundred at once are a hundred and not one, at however many servers.
 * They are counted in the database and by its clock, whose tries they are only as a hash; each step is a transaction of its own.
 */
final class Tries {

    private static final Duration LONGEST = Duration.ofSeconds(30);

    /** After that much quiet all is forgotten. */
    private static final Duration FORGOTTEN_AFTER = Duration.ofMinutes(15);

    private static final String OF_ONE = " where what = :what and who = :who";

    /** Whether a database that ends just then forgets the last of them does not matter; each waiting for the disk would. */
    private static final String SOON = "select set_config('synchronous_commit', 'off', true)";

    private final EntityManager entities;
    private final TransactionTemplate own;
    private final String what;
    private final int free;

    /**
     * Those of one kind.
     *
     * @param what names the kind
     * @param free how many do not have to wait for each other
     */
    Tries(EntityManager entities, PlatformTransactionManager transactions, String what, int free) {
        this.entities = entities;
        this.own = new TransactionTemplate(transactions);
        this.own.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
        this.what = what;
        this.free = free;
    }

    /** Counts a try, as a wrong one until it is forgiven; false if it comes too early, which counts for nothing. */
    boolean begin(String who) {
        String hash = hash(who);
        return Boolean.TRUE.equals(own.execute(_ -> {
            entities.createNativeQuery(SOON, String.class).getSingleResult();
            entities.createNativeQuery("""
                            insert into tried (what, who, wrong, next_at, forgotten_at)
                            values (:what, :who, 0, clock_timestamp(), clock_timestamp()) on conflict do nothing""")
                    .setParameter("what", what)
                    .setParameter("who", hash)
                    .executeUpdate();
            Tuple kept = Objects.requireNonNull((Tuple) entities.createNativeQuery(
                            "select wrong, next_at > clock_timestamp() as early, forgotten_at <= clock_timestamp() as forgotten"
                                    + " from tried" + OF_ONE + " for update",
                            Tuple.class)
                    .setParameter("what", what)
                    .setParameter("who", hash)
                    .getSingleResult());
            boolean forgotten = kept.get("forgotten", Boolean.class);
            if (!forgotten && kept.get("early", Boolean.class)) {
                return false;
            }
            int wrong = forgotten ? 1 : kept.get("wrong", Integer.class) + 1;
            entities.createNativeQuery("update tried set wrong = :wrong,"
                            + " next_at = clock_timestamp() + make_interval(secs => :pause),"
                            + " forgotten_at = clock_timestamp() + make_interval(secs => :forgotten)" + OF_ONE)
                    .setParameter("wrong", wrong)
                    .setParameter("pause", pauseAfter(wrong).toSeconds())
                    .setParameter("forgotten", FORGOTTEN_AFTER.toSeconds())
                    .setParameter("what", what)
                    .setParameter("who", hash)
                    .executeUpdate();
            return true;
        }));
    }

    /** It came to nothing, neither right nor wrong: as if it had not been begun; the ones before it still count. */
    void takeBack(String who) {
        change("update tried set wrong = wrong - 1, next_at = clock_timestamp()" + OF_ONE + " and wrong > 0", who);
    }

    /** It was right: as if nothing had been. */
    void forgive(String who) {
        change("delete from tried" + OF_ONE, who);
    }

    private void change(String statement, String who) {
        own.executeWithoutResult(_ -> {
            entities.createNativeQuery(SOON, String.class).getSingleResult();
            entities.createNativeQuery(statement)
                    .setParameter("what", what)
                    .setParameter("who", hash(who))
                    .executeUpdate();
        });
    }

    /** How long the next try has to wait yet. */
    Duration pause(String who) {
        return Objects.requireNonNull(own.execute(_ -> Rows.listed(entities.createNativeQuery(
                                "select cast(ceil(1000 * extract(epoch from next_at - clock_timestamp())) as bigint) as millis from tried"
                                        + OF_ONE,
                                Tuple.class)
                        .setParameter("what", what)
                        .setParameter("who", hash(who)))
                .stream()
                .map(row -> Duration.ofMillis(Math.max(0, row.get("millis", Long.class))))
                .findFirst()
                .orElse(Duration.ZERO)));
    }

    private static String hash(String who) {
        return HexFormat.of().formatHex(Sha256.of(who));
    }

    private Duration pauseAfter(int wrong) {
        if (wrong < free) {
            return Duration.ZERO;
        }
        Duration pause = Duration.ofSeconds(1L << Math.min(wrong - free, 10));
        return pause.compareTo(LONGEST) > 0 ? LONGEST : pause;
    }
}
