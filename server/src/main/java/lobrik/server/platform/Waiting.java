package lobrik.server.platform;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;

/** Waiting for one's turn, but not for ever. */
public final class Waiting {

    private static final String RETRY_AFTER_S = "5";

    private Waiting() {}

    /** True if the turn came; then it must be given back. */
    public static boolean forTurn(Semaphore turns, Duration patience) {
        try {
            return turns.tryAcquire(patience.toMillis(), TimeUnit.MILLISECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return false;
        }
    }

    /** Answers for a filter that the turn did not come. */
    static void tellBusy(HttpServletResponse response, String message) throws IOException {
        response.setHeader(HttpHeaders.RETRY_AFTER, RETRY_AFTER_S);
        SecurityConfiguration.write(response, HttpStatus.SERVICE_UNAVAILABLE, "unavailable", message);
    }
}
