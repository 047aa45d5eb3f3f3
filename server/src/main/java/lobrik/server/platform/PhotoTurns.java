package lobrik.server.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.concurrent.Semaphore;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Photos are taken in turn, before anything else is done for them: while one waits it holds neither its body, nor a connection
 * to the database.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 30)
class PhotoTurns extends OncePerRequestFilter {

    private static final int AT_ONCE = 6;
    private static final Duration PATIENCE = Duration.ofSeconds(20);

    private final Semaphore turns = new Semaphore(AT_ONCE, true);

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !request.getMethod().equals("PUT") || !BodyLimit.isPhoto(request);
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (!Waiting.forTurn(turns, PATIENCE)) {
            Waiting.tellBusy(response, "Many photos are being sent just now; this one can be sent again in a moment");
            return;
        }
        try {
            chain.doFilter(request, response);
        } finally {
            turns.release();
        }
    }
}
