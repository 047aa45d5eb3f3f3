package lobrik.server.sheet;

import jakarta.annotation.PreDestroy;
import jakarta.persistence.EntityManager;
import jakarta.persistence.Query;
import jakarta.persistence.Tuple;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import lobrik.server.account.SignedIn;
import lobrik.server.platform.Rows;
import lobrik.server.platform.TurnedDown;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Prints in the background, so that progress can be shown and printing stopped. How far each is, and finished files for ten minutes, are
 * in the database: whoever asks may ask at another server than the one that prints.
 */
@Component
class PrintJobs {

    private static final Logger LOG = LoggerFactory.getLogger(PrintJobs.class);

    /** Of one account. */
    private static final int MOST_KEPT = 20;

    private static final int SECONDS_BETWEEN_SIGNS_OF_LIFE = 4;
    private static final long TOLD_EVERY_NANOS = TimeUnit.MILLISECONDS.toNanos(250);

    /** A server that prints, and said nothing for so long, is gone. */
    private static final String GONE = "alive_at < clock_timestamp() - interval '15 seconds'";

    /** Does the work; tells how many pages are done, and asks whether to go on. */
    interface Work {
        byte[] print(Going going);
    }

    /** A printing that is being worked on here. */
    interface Going {

        void done(int pages);

        boolean isStopped();
    }

    /**
     * How far a printing is.
     *
     * @param done pages
     * @param failed or left undone by a server that ended
     */
    record Job(UUID id, String fileName, int pages, int done, boolean finished, boolean failed) {}

    private final EntityManager entities;
    private final TransactionTemplate transaction;
    private final Set<UUID> here = ConcurrentHashMap.newKeySet();
    private final ExecutorService worker = Executors.newSingleThreadExecutor(
            Thread.ofPlatform().name("printing").daemon().factory());

    PrintJobs(EntityManager entities, TransactionTemplate transaction) {
        this.entities = entities;
        this.transaction = transaction;
    }

    Job start(SignedIn who, String fileName, int pages, Work work) {
        UUID id = UUID.randomUUID();
        change("delete from printing where made_at < clock_timestamp() - interval '10 minutes'", Map.of());
        change(
                "delete from printing where id in (select id from printing where account_id = :who order by made_at desc offset :most)",
                Map.of("who", who.accountId(), "most", MOST_KEPT - 1));
        change(
                "insert into printing (id, account_id, file_name, pages) values (:id, :who, :name, :pages)",
                Map.of("id", id, "who", who.accountId(), "name", fileName, "pages", pages));
        here.add(id);
        worker.execute(() -> run(id, work));
        return new Job(id, fileName, pages, 0, false, false);
    }

    private void run(UUID id, Work work) {
        try {
            byte[] file = work.print(new Told(id));
            change("update printing set done = pages, file = :file where id = :id", Map.of("id", id, "file", file));
        } catch (CancellationException stopped) {
            LOG.debug("Printing was stopped");
        } catch (RuntimeException failure) {
            LOG.error("Printing failed", failure);
            fail(id);
        } finally {
            here.remove(id);
        }
    }

    private void fail(UUID id) {
        try {
            change("update printing set failed = true where id = :id", Map.of("id", id));
        } catch (RuntimeException away) {
            LOG.warn("That printing failed cannot be written down; it is seen by nothing being heard of it", away);
        }
    }

    /** Writes down now and then how far one is, and hears then whether it was stopped: it is not there any more. */
    private final class Told implements Going {

        private final UUID id;
        private long toldAt = System.nanoTime() - TOLD_EVERY_NANOS;
        private boolean stopped;

        Told(UUID id) {
            this.id = id;
        }

        @Override
        public void done(int pages) {
            long now = System.nanoTime();
            if (now - toldAt >= TOLD_EVERY_NANOS) {
                toldAt = now;
                stopped = change(
                                "update printing set done = :pages, alive_at = clock_timestamp() where id = :id",
                                Map.of("id", id, "pages", pages))
                        == 0;
            }
        }

        @Override
        public boolean isStopped() {
            return stopped;
        }
    }

    /** Of those that wait for their turn here, too. */
    @Scheduled(fixedDelay = SECONDS_BETWEEN_SIGNS_OF_LIFE, timeUnit = TimeUnit.SECONDS)
    void showThatTheyLive() {
        Set<UUID> going = Set.copyOf(here);
        try {
            if (!going.isEmpty()) {
                change("update printing set alive_at = clock_timestamp() where id in (:going)", Map.of("going", going));
            }
        } catch (RuntimeException e) {
            LOG.debug("The database is away; it is told the next time", e);
        }
    }

    /** @throws TurnedDown if there is none of the one who asks */
    Job job(SignedIn who, UUID id) {
        return Objects.requireNonNull(transaction.execute(_ -> Rows.listed(entities.createNativeQuery(
                                "select file_name, pages, done, file is not null as finished,"
                                        + " failed or (file is null and " + GONE + ") as failed from printing"
                                        + " where id = :id and account_id = :who",
                                Tuple.class)
                        .setParameter("id", id)
                        .setParameter("who", who.accountId()))
                .stream()
                .map(row -> new Job(
                        id,
                        row.get("file_name", String.class),
                        row.get("pages", Integer.class),
                        row.get("done", Integer.class),
                        row.get("finished", Boolean.class),
                        row.get("failed", Boolean.class)))
                .findFirst()
                .orElseThrow(() -> TurnedDown.notFound("printing"))));
    }

    /** The file of one that {@link #job} found; null while there is none. */
    byte @Nullable [] file(Job job) {
        return transaction.execute(
                _ -> (byte[]) entities.createNativeQuery("select file from printing where id = :id", byte[].class)
                        .setParameter("id", job.id())
                        .getSingleResultOrNull());
    }

    void stop(SignedIn who, UUID id) {
        change("delete from printing where id = :id", Map.of("id", job(who, id).id()));
    }

    private int change(String statement, Map<String, ?> values) {
        return Objects.requireNonNull(transaction.execute(_ -> {
            Query query = entities.createNativeQuery(statement);
            values.forEach(query::setParameter);
            return query.executeUpdate();
        }));
    }

    @PreDestroy
    void close() {
        worker.shutdownNow();
    }
}
