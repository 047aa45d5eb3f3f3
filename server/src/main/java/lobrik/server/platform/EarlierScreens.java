package lobrik.server.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * A tablet that was in a cupboard over the summer has screens of before, and entries that wait. As long as what those send is understood
 * it is taken; where it no longer is, they are told to be loaded anew, with what waits. What they send has an edition, which goes up
 * when an entry is written down in another form; screens of before 1 December 2026 say none, which is edition 0.
 */
class EarlierScreens extends OncePerRequestFilter {

    /** The edition of what a window sends. */
    static final String HEADER = "X-Lobrik-Edition";

    /** Every window says which it is; programs do not. */
    private static final String WINDOW = "X-Lobrik-Screen";

    /** Up to now every entry that was ever written down is understood. */
    static final int OLDEST_UNDERSTOOD = 0;

    private final int oldest;

    EarlierScreens(int oldest) {
        this.oldest = oldest;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (request.getHeader(WINDOW) != null && edition(request.getHeader(HEADER)) < oldest) {
            SecurityConfiguration.write(
                    response,
                    HttpStatus.UPGRADE_REQUIRED,
                    "earlier-screens",
                    "These screens are of an earlier Lobrik than the server understands: load them anew. What waits on this"
                            + " device stays, and goes out after that");
            return;
        }
        chain.doFilter(request, response);
    }

    private static int edition(@Nullable String said) {
        try {
            return said == null ? 0 : Integer.parseInt(said);
        } catch (NumberFormatException e) {
            return 0;
        }
    }
}
