package lobrik.server.sheet;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.util.UUID;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicReference;
import lobrik.server.account.SignedIn;
import lobrik.server.platform.TurnedDown;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** Prints in the background, so that progress can be shown and printing stopped. Finished files are kept for ten minutes. */
@Component
class PrintJobs {

    private static final Logger LOG = LoggerFactory.getLogger(PrintJobs.class);
    private static final Duration KEPT = Duration.ofMinutes(10);
    private static final int MOST_KEPT = 40;

    /** Does the work; tells how many pages are done, and asks whether to go on. */
    interface Work {
        byte[] print(Job job);
    }

    /** One printing. */
    static final class Job {

        private final UUID id = UUID.randomUUID();
        private final UUID owner;
        private final String fileName;
        private final int pages;
        private final AtomicInteger done = new AtomicInteger();
        private final AtomicReference<byte @Nullable []> file = new AtomicReference<>();
        private volatile boolean stopped;
        private volatile boolean failed;

        private Job(UUID owner, String fileName, int pages) {
            this.owner = owner;
            this.fileName = fileName;
            this.pages = pages;
        }

        UUID id() {
            return id;
        }

        String fileName() {
            return fileName;
        }

        int pages() {
            return pages;
        }

        int done() {
            return done.get();
        }

        void done(int count) {
            done.set(count);
        }

        boolean isStopped() {
            return stopped;
        }

        boolean hasFailed() {
            return failed;
        }

        byte @Nullable [] file() {
            return file.get();
        }
    }

    private final Cache<UUID, Job> jobs =
            Caffeine.newBuilder().expireAfterWrite(KEPT).maximumSize(MOST_KEPT).build();
    private final ExecutorService worker = Executors.newSingleThreadExecutor(
            Thread.ofPlatform().name("printing").daemon().factory());

    Job start(SignedIn who, String fileName, int pages, Work work) {
        Job job = new Job(who.accountId(), fileName, pages);
        jobs.put(job.id(), job);
        worker.execute(() -> run(job, work));
        return job;
    }

    private static void run(Job job, Work work) {
        try {
            job.file.set(work.print(job));
        } catch (CancellationException stopped) {
            LOG.debug("Printing was stopped after {} pages", job.done());
        } catch (RuntimeException failure) {
            LOG.error("Printing failed", failure);
            job.failed = true;
        }
    }

    /** @throws TurnedDown if there is none of the one who asks */
    Job job(SignedIn who, UUID id) {
        Job job = jobs.getIfPresent(id);
        if (job == null || !job.owner.equals(who.accountId())) {
            throw TurnedDown.notFound("printing");
        }
        return job;
    }

    void stop(SignedIn who, UUID id) {
        job(who, id).stopped = true;
        jobs.invalidate(id);
    }

    @PreDestroy
    void close() {
        worker.shutdownNow();
    }
}
