package lobrik.server.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.util.List;
import org.springframework.http.HttpHeaders;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.csrf.CsrfTokenRepository;
import org.springframework.stereotype.Component;

/** Begins a session for whoever was found to be who they say, and ends it. */
@Component
public class Door {

    private final Sessions sessions;
    private final SecurityContextRepository contexts;
    private final CsrfTokenRepository tokens;

    Door(Sessions sessions, SecurityContextRepository contexts, CsrfTokenRepository tokens) {
        this.sessions = sessions;
        this.contexts = contexts;
        this.tokens = tokens;
    }

    /** A session from before is over: it may be known to somebody else, and so may its token. */
    public void enter(SignedIn who, HttpServletRequest request, HttpServletResponse response) {
        endSession(request, response);
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(UsernamePasswordAuthenticationToken.authenticated(
                who,
                null,
                List.of(new SimpleGrantedAuthority("ROLE_" + who.role().name()))));
        SecurityContextHolder.setContext(context);
        contexts.saveContext(context, request, response);
        Sessions.describe(request.getSession(), request.getHeader(HttpHeaders.USER_AGENT), request.getRemoteAddr());
    }

    /** The session is over, and what was good for it against forgery is good no longer. */
    void leave(HttpServletRequest request, HttpServletResponse response) {
        endSession(request, response);
        SecurityContextHolder.clearContext();
    }

    private void endSession(HttpServletRequest request, HttpServletResponse response) {
        HttpSession session = request.getSession(false);
        if (session != null) {
            sessions.end(session);
        }
        tokens.saveToken(tokens.generateToken(request), request, response);
    }
}
