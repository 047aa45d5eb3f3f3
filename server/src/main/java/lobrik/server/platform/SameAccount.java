package lobrik.server.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Two windows of one browser share its session. When somebody else signs in in the other one, what this one still has to send
 * would go out in their name: a window says whom it writes for, and is turned down if that is not who is signed in.
 */
public class SameAccount extends OncePerRequestFilter {

    /** Whoever is signed in, as far as this matters here. */
    public interface Holder {

        UUID accountId();
    }

    /** The account that a window writes for. */
    static final String HEADER = "X-Lobrik-Account";

    SameAccount() {}

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String writer = request.getHeader(HEADER);
        Holder who = signedIn(SecurityContextHolder.getContext().getAuthentication());
        if (writer != null && who != null && !writer.equals(who.accountId().toString())) {
            SecurityConfiguration.write(
                    response,
                    HttpStatus.FORBIDDEN,
                    "another-account",
                    "Somebody else has signed in in another window of this browser; sign in again to go on as yourself");
            return;
        }
        chain.doFilter(request, response);
    }

    private static @Nullable Holder signedIn(@Nullable Authentication authentication) {
        return authentication != null && authentication.getPrincipal() instanceof Holder who ? who : null;
    }
}
