package lobrik.server.platform;

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
    private final Allowance allowance;

    CalcRateLimit(@Value("${lobrik.calc.requests-per-second}") long perSecond) {
        this.perSecond = perSecond;
        this.allowance = new Allowance(perSecond, Duration.ofSeconds(1));
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !request.getRequestURI().startsWith("/api/calc/");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (allowance.use(request.getRemoteAddr())) {
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
}
