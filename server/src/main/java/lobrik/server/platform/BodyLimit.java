package lobrik.server.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.regex.Pattern;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Refuses bodies that nobody needs before they are read: some calls need no account, so their size must be known. */
@Component
class BodyLimit extends OncePerRequestFilter {

    private static final long LARGEST_BYTES = 256 * 1024;
    private static final long LARGEST_FILE_BYTES = 1024 * 1024;
    private static final long LARGEST_PHOTO_BYTES = 12 * 1024 * 1024;
    private static final long LARGEST_SCHOOL_BYTES = 4L * 1024 * 1024 * 1024;
    private static final Pattern PHOTO =
            Pattern.compile("/api/(attempts/[^/]+/photos/[^/]+|trainees/[^/]+/portrait|school/logo)");

    static boolean isPhoto(HttpServletRequest request) {
        return PHOTO.matcher(request.getRequestURI()).matches();
    }

    /** A whole school, which somebody who leads one brings in. */
    static boolean isSchool(HttpServletRequest request) {
        return request.getRequestURI().equals("/api/school/file");
    }

    /** A file of exercises or a photo is larger than any other request; both need an account. */
    private static long largest(HttpServletRequest request) {
        if (isPhoto(request)) {
            return LARGEST_PHOTO_BYTES;
        }
        if (isSchool(request)) {
            return LARGEST_SCHOOL_BYTES;
        }
        return request.getRequestURI().equals("/api/library/file") ? LARGEST_FILE_BYTES : LARGEST_BYTES;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        long largest = largest(request);
        if (request.getContentLengthLong() > largest) {
            SecurityConfiguration.write(
                    response,
                    HttpStatus.CONTENT_TOO_LARGE,
                    "too-large",
                    "This is larger than " + largest / 1024 + " KiB, the most that is read");
        } else if (request.getHeader(HttpHeaders.TRANSFER_ENCODING) != null) {
            SecurityConfiguration.write(
                    response, HttpStatus.LENGTH_REQUIRED, "length-required", "Send the length of the body with it");
        } else {
            chain.doFilter(request, response);
        }
    }
}
