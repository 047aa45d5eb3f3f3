package lobrik.server.platform;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import io.github.bucket4j.Bucket;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Limits the calculation interface, which needs no account, to so many requests a second from one address. */
@Component
class CalcRateLimit extends OncePerRequestFilter {

    private final long perSecond;
    private final Cache<String, Bucket> buckets = Caffeine.newBuilder()
            .expireAfterAccess(Duration.ofMinutes(1))
            .maximumSize(10_000)
            .build();

    CalcRateLimit(@Value("${lobrik.calc.requests-per-second}") long perSecond) {
        this.perSecond = perSecond;
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !request.getRequestURI().startsWith("/api/calc/");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (buckets.get(request.getRemoteAddr(), address -> newBucket()).tryConsume(1)) {
            chain.doFilter(request, response);
        } else {
            response.setHeader("Retry-After", "1");
            SecurityConfiguration.write(
                    response,
                    HttpStatus.TOO_MANY_REQUESTS,
                    "too-often",
                    "More than " + perSecond + " calculations a second; wait a second and try again");
        }
    }

    private Bucket newBucket() {
        return Bucket.builder()
                .addLimit(limit -> limit.capacity(perSecond).refillGreedy(perSecond, Duration.ofSeconds(1)))
                .build();
    }
}
