package lobrik.server.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.InvalidMediaTypeException;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * The outermost of all filters. Nothing passes that is meant for another server or has no meaning in any address or kind of
 * body, and nothing leaves without an answer that says what it is: what fails in filters or below ends here. Texts inside of
 * JSON are looked at by {@link CleanJson}.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 10)
class Edge extends OncePerRequestFilter {

    private static final Logger LOG = LoggerFactory.getLogger(Edge.class);

    private final PublicAddress address;

    Edge(PublicAddress address) {
        this.address = address;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws IOException {
        if (!address.isOurs(request.getServerName())) {
            SecurityConfiguration.write(
                    response, HttpStatus.MISDIRECTED_REQUEST, "another-host", "This server has another name");
        } else if (!isText(request.getRequestURI()) || !isText(request.getQueryString())) {
            SecurityConfiguration.write(
                    response, HttpStatus.BAD_REQUEST, "not-text", "The address has bytes in it that are no text");
        } else if (!isReadable(request.getContentType())) {
            SecurityConfiguration.write(
                    response,
                    HttpStatus.UNSUPPORTED_MEDIA_TYPE,
                    "unsupported",
                    "This kind of body is not read here; send JSON");
        } else {
            WorksFor.nobody();
            try {
                chain.doFilter(request, response);
            } catch (Exception | StackOverflowError failure) {
                answer(request, response, failure);
            } finally {
                WorksFor.forget();
            }
        }
    }

    /** Forms would be read by whoever asks for a parameter first, so they are not let in at all. */
    private static boolean isReadable(@Nullable String type) {
        if (type == null) {
            return true;
        }
        try {
            MediaType media = MediaType.parseMediaType(type);
            return media.isConcrete()
                    && !media.isCompatibleWith(MediaType.APPLICATION_FORM_URLENCODED)
                    && !media.getType().equals("multipart");
        } catch (InvalidMediaTypeException e) {
            return false;
        }
    }

    /** Whether what is escaped in it is UTF-8 without a NUL. */
    private static boolean isText(@Nullable String escaped) {
        if (escaped == null || escaped.indexOf('%') < 0) {
            return true;
        }
        ByteBuffer bytes = ByteBuffer.allocate(escaped.length());
        for (int i = 0; i < escaped.length(); i++) {
            char c = escaped.charAt(i);
            if (c != '%') {
                // What is not escaped was looked at by the server; here it only separates.
                bytes.put((byte) '.');
                continue;
            }
            boolean whole = i + 2 < escaped.length();
            int high = whole ? Character.digit(escaped.charAt(i + 1), 16) : -1;
            int low = whole ? Character.digit(escaped.charAt(i + 2), 16) : -1;
            if (high < 0 || low < 0 || high + low == 0) {
                return false;
            }
            bytes.put((byte) (high * 16 + low));
            i += 2;
        }
        try {
            StandardCharsets.UTF_8.newDecoder().decode(bytes.flip());
            return true;
        } catch (CharacterCodingException e) {
            return false;
        }
    }

    private static void answer(HttpServletRequest request, HttpServletResponse response, Throwable failure)
            throws IOException {
        Optional<Failures.Told> known = Failures.known(failure);
        if (known.isEmpty() && !isGone(failure)) {
            LOG.error("{} {} failed in a way nobody foresaw", request.getMethod(), request.getRequestURI(), failure);
        }
        // Whoever is gone hears nothing, and what has begun cannot be taken back.
        if (response.isCommitted() || isGone(failure)) {
            return;
        }
        response.resetBuffer();
        Failures.Told told = known.orElse(Failures.BROKEN);
        if (told.passes()) {
            response.setHeader(HttpHeaders.RETRY_AFTER, Failures.RETRY_AFTER_S);
        }
        SecurityConfiguration.write(response, told.status(), told.code(), told.message());
    }

    /** Whether the other end broke off. */
    private static boolean isGone(Throwable failure) {
        return failure instanceof IOException && Failures.known(failure).isEmpty();
    }
}
