package lobrik.server.platform;

import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;

/**
 * Sessions of another store, of which each request asks once. That somebody is still there is noted at most once a minute: otherwise
 * every request, each reading among them, would wait for a write to the disk only to say so. And at the end of a request the framework
 * looks the session up once more, to know whether its cookie still holds: that is the one that it has just saved.
 */
final class QuietSessions<S extends Session> implements FindByIndexNameSessionRepository<QuietSessions.Quiet<S>> {

    private static final Duration NOTED_AGAIN_AFTER = Duration.ofMinutes(1);

    private final FindByIndexNameSessionRepository<S> store;

    /** Saved by the request that this thread serves, until it is looked up again. */
    @SuppressWarnings("ThreadLocalUsage") // there is one store
    private final ThreadLocal<@Nullable Quiet<S>> justSaved = new ThreadLocal<>();

    QuietSessions(FindByIndexNameSessionRepository<S> store) {
        this.store = store;
    }

    @Override
    public Quiet<S> createSession() {
        return new Quiet<>(store.createSession(), true);
    }

    @Override
    public void save(Quiet<S> session) {
        if (session.changed) {
            store.save(session.stored);
            session.changed = false;
        }
        justSaved.set(session);
    }

    @Override
    public @Nullable Quiet<S> findById(String id) {
        Quiet<S> saved = justSaved.get();
        justSaved.remove();
        if (saved != null && saved.getId().equals(id)) {
            return saved;
        }
        // Sessions are of no school, and who asks for what is found out by them.
        return WorksFor.whichever(() -> Optional.ofNullable(store.findById(id)))
                .map(found -> new Quiet<>(found, false))
                .orElse(null);
    }

    /** Before a request: what another one left here on a thread that serves many is nothing to this one. */
    void forget() {
        justSaved.remove();
    }

    @Override
    public void deleteById(String id) {
        forget();
        store.deleteById(id);
    }

    @Override
    public Map<String, Quiet<S>> findByIndexNameAndIndexValue(String indexName, String indexValue) {
        Map<String, Quiet<S>> found = new LinkedHashMap<>();
        store.findByIndexNameAndIndexValue(indexName, indexValue)
                .forEach((id, session) -> found.put(id, new Quiet<>(session, false)));
        return found;
    }

    /** One of them. */
    static final class Quiet<S extends Session> implements Session {

        private final S stored;
        private boolean changed;

        private Quiet(S stored, boolean changed) {
            this.stored = stored;
            this.changed = changed;
        }

        @Override
        public void setLastAccessedTime(Instant time) {
            if (time.isAfter(stored.getLastAccessedTime().plus(NOTED_AGAIN_AFTER))) {
                changed = true;
                stored.setLastAccessedTime(time);
            }
        }

        @Override
        public String changeSessionId() {
            changed = true;
            return stored.changeSessionId();
        }

        @Override
        public void setAttribute(String name, Object value) {
            changed = true;
            stored.setAttribute(name, value);
        }

        @Override
        public void removeAttribute(String name) {
            changed = true;
            stored.removeAttribute(name);
        }

        @Override
        public void setMaxInactiveInterval(Duration interval) {
            changed = true;
            stored.setMaxInactiveInterval(interval);
        }

        @Override
        public String getId() {
            return stored.getId();
        }

        @Override
        @SuppressWarnings("TypeParameterUnusedInFormals") // as the framework has it
        public <T> @Nullable T getAttribute(String name) {
            return stored.getAttribute(name);
        }

        @Override
        public Set<String> getAttributeNames() {
            return stored.getAttributeNames();
        }

        @Override
        public Instant getCreationTime() {
            return stored.getCreationTime();
        }

        @Override
        public Instant getLastAccessedTime() {
            return stored.getLastAccessedTime();
        }

        @Override
        public Duration getMaxInactiveInterval() {
            return stored.getMaxInactiveInterval();
        }

        @Override
        public boolean isExpired() {
            return stored.isExpired();
        }
    }
}
