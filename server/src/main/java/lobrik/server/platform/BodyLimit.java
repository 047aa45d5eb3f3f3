package lobrik.server.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Refuses bodies that nobody needs before they are read: some calls need no account, so their size must be known. */
@Component
class BodyLimit extends OncePerRequestFilter {

    private static final long LARGEST_BYTES = 256 * 1024;

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (request.getContentLengthLong() > LARGEST_BYTES) {
            SecurityConfiguration.write(
                    response,
                    HttpStatus.CONTENT_TOO_LARGE,
                    "too-large",
                    "This is larger than " + LARGEST_BYTES / 1024 + " KiB, the most that is read");
        } else if (request.getHeader(HttpHeaders.TRANSFER_ENCODING) != null) {
            SecurityConfiguration.write(
                    response, HttpStatus.LENGTH_REQUIRED, "length-required", "Send the length of the body with it");
        } else {
            chain.doFilter(request, response);
        }
    }
}
