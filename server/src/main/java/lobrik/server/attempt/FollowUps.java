package lobrik.server.attempt;

import jakarta.annotation.PreDestroy;
import jakarta.persistence.EntityManager;
import jakarta.persistence.Tuple;
import java.time.Duration;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.ScheduledThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicBoolean;
import lobrik.server.platform.Failures;
import lobrik.server.platform.Rows;
import lobrik.server.platform.Turns;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * What follows from something that was written down: worked out once that is on disk, beside the work, from a list in the database. It is
 * done once for each attempt, in order, and again after a server that ended over it; it can neither refuse a reading nor hold one up.
 */
@Component
public class FollowUps {

    private static final Logger LOG = LoggerFactory.getLogger(FollowUps.class);
    private static final int PAGE = 20;
    private static final int MINUTES_BETWEEN = 10;

    /** After the database was away; what it was away for is still on the list. */
    private static final long SECONDS_AFTER_THE_DATABASE = 1;

    /** Whoever reads what follows waits so long for it; then it is shown as far as it is known. */
    private static final Duration PATIENCE = Duration.ofSeconds(10);

    private static final String NOTE = """
            insert into follow_up (attempt_id) values (:id)
            on conflict (attempt_id) do update set asked_no = nextval('entry_number'), failed = 0""";

    private final EntityManager entities;
    private final TransactionTemplate transaction;
    private final Attempts attempts;
    private final Turns turns;
    private final List<AttemptFollower> followers;
    private final ScheduledThreadPoolExecutor worker = new ScheduledThreadPoolExecutor(
            1, Thread.ofPlatform().name("following-up").daemon().factory());

    /** So that a database that stays away is asked by one, however many have written before. */
    private final AtomicBoolean onceMore = new AtomicBoolean();

    FollowUps(
            EntityManager entities,
            TransactionTemplate transaction,
            Attempts attempts,
            Turns turns,
            List<AttemptFollower> followers) {
        this.entities = entities;
        this.transaction = transaction;
        this.attempts = attempts;
        this.turns = turns;
        this.followers = followers;
        // The list is in the database: the next server goes on with it.
        worker.setExecuteExistingDelayedTasksAfterShutdownPolicy(false);
    }

    /** An attempt, and when it was asked for: what is asked for meanwhile stays on the list. */
    private record Asked(UUID attemptId, long number) {}

    /** Puts an attempt on the list, in the transaction of what is written down of it. */
    void note(UUID attemptId) {
        entities.createNativeQuery(NOTE).setParameter("id", attemptId).executeUpdate();
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            // However it ended: where the database went away over it, it may be on disk all the same.
            @Override
            public void afterCompletion(int status) {
                wake();
            }
        });
    }

    /** Goes on with the list once the transaction that put something on it is on disk. */
    public void wakeAfterCommit() {
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                wake();
            }
        });
    }

    private void wake() {
        try {
            worker.execute(this::workThrough);
        } catch (RejectedExecutionException ending) {
            LOG.debug("The server ends; the next one goes on with the list", ending);
        }
    }

    /** What a server that ended left on the list. */
    @EventListener(ApplicationReadyEvent.class)
    void goOn() {
        wake();
    }

    /** Tries once more what failed: what stood in the way may be gone. */
    @Scheduled(initialDelay = MINUTES_BETWEEN, fixedDelay = MINUTES_BETWEEN, timeUnit = TimeUnit.MINUTES)
    public void tryAgain() {
        transaction.executeWithoutResult(
                status -> entities.createNativeQuery("update follow_up set failed = 0 where failed > 0")
                        .executeUpdate());
        wake();
    }

    /** Waits until all that is on the list now is worked out, or for a while. Not to be called in a transaction. */
    public void settle() {
        try {
            worker.submit(this::workThrough).get(PATIENCE.toNanos(), TimeUnit.NANOSECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        } catch (TimeoutException | ExecutionException | RejectedExecutionException e) {
            LOG.warn("What follows from what was written down is not worked out yet; it stays on the list", e);
        }
    }

    /** One after the other, in the one thread that does this. */
    private void workThrough() {
        try {
            for (List<Asked> page = page(); !page.isEmpty(); page = page()) {
                page.forEach(this::followUp);
            }
        } catch (RuntimeException e) {
            LOG.warn("What follows from what was written down could not be worked out; it stays on the list", e);
            if (Failures.pass(e)) {
                tryOnceMore();
            }
        }
    }

    private void tryOnceMore() {
        if (onceMore.compareAndSet(false, true)) {
            try {
                var _ = worker.schedule(
                        () -> {
                            onceMore.set(false);
                            workThrough();
                        },
                        SECONDS_AFTER_THE_DATABASE,
                        TimeUnit.SECONDS);
            } catch (RejectedExecutionException ending) {
                LOG.debug("The server ends; the next one goes on with the list", ending);
            }
        }
    }

    private List<Asked> page() {
        return Objects.requireNonNull(transaction.execute(status -> Rows.named(entities.createNativeQuery(
                                "select attempt_id, asked_no from follow_up where failed = 0 order by asked_no",
                                Tuple.class)
                        .setMaxResults(PAGE))
                .map(row -> new Asked(row.get("attempt_id", UUID.class), row.get("asked_no", Long.class)))
                .toList()));
    }

    /** In a transaction of its own: one that fails holds up no other. Where the database fails, so would the others. */
    private void followUp(Asked asked) {
        try {
            transaction.executeWithoutResult(status -> {
                // Whoever writes has the turn until that is on disk: nothing newer can be written over.
                turns.take(asked.attemptId());
                if (!isStillAsked(asked)) {
                    // Another server was at it meanwhile.
                    return;
                }
                attempts.all(List.of(asked.attemptId()))
                        .forEach(now -> followers.forEach(follower -> follower.written(now)));
                done(asked);
            });
        } catch (RuntimeException e) {
            if (Failures.pass(e)) {
                throw e;
            }
            LOG.warn(
                    "What follows from attempt {} could not be worked out; what was written down stays, and it is tried again",
                    asked.attemptId(),
                    e);
            transaction.executeWithoutResult(status -> entities.createNativeQuery(
                            "update follow_up set failed = failed + 1 where attempt_id = :id and asked_no = :number")
                    .setParameter("id", asked.attemptId())
                    .setParameter("number", asked.number())
                    .executeUpdate());
        }
    }

    private boolean isStillAsked(Asked asked) {
        return !entities.createNativeQuery(
                        "select 1 from follow_up where attempt_id = :id and asked_no = :number", Integer.class)
                .setParameter("id", asked.attemptId())
                .setParameter("number", asked.number())
                .getResultList()
                .isEmpty();
    }

    private void done(Asked asked) {
        entities.createNativeQuery("delete from follow_up where attempt_id = :id and asked_no = :number")
                .setParameter("id", asked.attemptId())
                .setParameter("number", asked.number())
                .executeUpdate();
    }

    @PreDestroy
    void end() {
        worker.close();
    }
}
