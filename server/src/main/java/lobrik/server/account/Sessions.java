package lobrik.server.account;

import jakarta.servlet.http.HttpSession;
import java.util.Set;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Service;

/** Ends sessions, and tells so whatever still goes on in their name. */
@Service
public class Sessions {

    /** These sessions are over, at once. */
    public record Ended(Set<String> sessionIds) {

        public Ended(Set<String> sessionIds) {
            this.sessionIds = Set.copyOf(sessionIds);
        }
    }

    private final FindByIndexNameSessionRepository<? extends Session> sessions;
    private final ApplicationEventPublisher events;

    Sessions(FindByIndexNameSessionRepository<? extends Session> sessions, ApplicationEventPublisher events) {
        this.sessions = sessions;
        this.events = events;
    }

    void end(HttpSession session) {
        String id = session.getId();
        session.invalidate();
        events.publishEvent(new Ended(Set.of(id)));
    }

    /** Ends all sessions of an account, on every device: when it is asked to, or may no longer do what it could. */
    public void endAllOf(UUID accountId) {
        Set<String> ids = sessions.findByPrincipalName(accountId.toString()).keySet();
        ids.forEach(sessions::deleteById);
        events.publishEvent(new Ended(ids));
    }
}
