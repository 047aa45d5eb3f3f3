package lobrik.server.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.security.SecureRandom;
import java.time.Duration;
import java.util.HexFormat;
import java.util.random.RandomGenerator;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.slf4j.MDC;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.servlet.HandlerMapping;

/**
 * Gives each request an id that stands beside everything that is logged on its behalf and goes out with its answer, so that whoever is
 * told that something went wrong can name it. One line for each request goes to the structured log: what was asked for as the pattern of
 * its address, never the address itself, in which codes open something, and never who asked or from where.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 5)
class Requests extends OncePerRequestFilter {

    /** Of its own, so that it is left out of the log for people. */
    static final String LOGGER = "lobrik.requests";

    static final String HEADER = "X-Lobrik-Request";
    static final String ID = "request";
    private static final Logger LOG = LoggerFactory.getLogger(LOGGER);
    private static final int ID_BYTES = 8;

    /** A proxy may have given it one already; what could be anything else than an id is not taken. */
    private static final Pattern GIVEN = Pattern.compile("[0-9a-f]{16,32}");

    private final RandomGenerator chance = new SecureRandom();

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !request.getRequestURI().startsWith("/api/");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String id = id(request.getHeader(HEADER));
        response.setHeader(HEADER, id);
        long begun = System.nanoTime();
        MDC.put(ID, id);
        try {
            chain.doFilter(request, response);
        } finally {
            LOG.atInfo()
                    .addKeyValue("method", request.getMethod())
                    .addKeyValue("route", route(request))
                    .addKeyValue("status", response.getStatus())
                    .addKeyValue(
                            "millis",
                            Duration.ofNanos(System.nanoTime() - begun).toMillis())
                    .log("answered");
            MDC.remove(ID);
        }
    }

    private String id(@Nullable String given) {
        if (given != null && GIVEN.matcher(given).matches()) {
            return given;
        }
        byte[] bytes = new byte[ID_BYTES];
        chance.nextBytes(bytes);
        return HexFormat.of().formatHex(bytes);
    }

    /** As it stands at the endpoint, with names in place of what is asked for; of what there is no endpoint for, nothing is said. */
    private static String route(HttpServletRequest request) {
        Object pattern = request.getAttribute(HandlerMapping.BEST_MATCHING_PATTERN_ATTRIBUTE);
        return pattern == null ? "none" : pattern.toString();
    }
}
