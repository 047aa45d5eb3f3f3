package lobrik.server.platform;

import java.sql.Connection;
import java.sql.SQLException;
import java.time.Duration;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import lobrik.server.together.OwnConnection;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.stereotype.Component;

/**
 * Asks the database twice a second whether it answers, on a thread and over a connection of its own: those of the pool may all
 * be at work, and whoever wants to know must not wait for one.
 */
@Component
public class DatabaseWatch implements DisposableBean {

    private static final long EVERY_MS = 500;
    private static final int PATIENCE_S = 2;

    /** An answer that is older says nothing any more. */
    private static final long LASTS_NANOS = Duration.ofSeconds(PATIENCE_S + 2).toNanos();

    private final OwnConnection connections;
    private final ScheduledExecutorService rounds = Executors.newSingleThreadScheduledExecutor(
            Thread.ofVirtual().name("database-watch").factory());
    private @Nullable Connection connection;

    /** On the clock that never jumps. */
    private volatile long answeredAt = System.nanoTime() - LASTS_NANOS;

    DatabaseWatch(OwnConnection connections) {
        this.connections = connections;
        var _ = rounds.scheduleWithFixedDelay(this::ask, 0, EVERY_MS, TimeUnit.MILLISECONDS);
    }

    /** Whether it answered just now. */
    public boolean answers() {
        return System.nanoTime() - answeredAt < LASTS_NANOS;
    }

    private void ask() {
        try {
            if (connection == null) {
                connection = connections.open("lobrik-watch", PATIENCE_S);
            }
            if (connection.isValid(PATIENCE_S)) {
                answeredAt = System.nanoTime();
            } else {
                forget();
            }
        } catch (SQLException e) {
            // It is away or starting; the next question will tell.
            forget();
        }
    }

    /** What failed once is not trusted again, nor is what it said before. */
    private void forget() {
        answeredAt = System.nanoTime() - LASTS_NANOS;
        close();
    }

    private void close() {
        Connection open = connection;
        connection = null;
        if (open != null) {
            try {
                open.close();
            } catch (SQLException e) {
                // Broken, so it is gone either way.
            }
        }
    }

    @Override
    public void destroy() throws InterruptedException {
        rounds.shutdown();
        if (rounds.awaitTermination(PATIENCE_S, TimeUnit.SECONDS)) {
            close();
        }
    }
}
