package lobrik.server.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.MapSession;

/** What a store of sessions is asked, and what it is spared. */
class QuietSessionsTest {

    /** Notes what it is asked. */
    private static final class Store implements FindByIndexNameSessionRepository<MapSession> {

        private final Map<String, MapSession> kept = new HashMap<>();
        private final List<String> asked = new ArrayList<>();

        @Override
        public MapSession createSession() {
            return new MapSession();
        }

        @Override
        public void save(MapSession session) {
            asked.add("save");
            kept.put(session.getId(), new MapSession(session));
        }

        @Override
        public @Nullable MapSession findById(String id) {
            asked.add("find");
            MapSession found = kept.get(id);
            return found == null ? null : new MapSession(found);
        }

        @Override
        public void deleteById(String id) {
            asked.add("delete");
            kept.remove(id);
        }

        @Override
        public Map<String, MapSession> findByIndexNameAndIndexValue(String indexName, String indexValue) {
            return kept;
        }
    }

    private final Store store = new Store();
    private final QuietSessions<MapSession> sessions = new QuietSessions<>(store);
    private String id = "";

    @BeforeEach
    void comeIn() {
        QuietSessions.Quiet<MapSession> created = sessions.createSession();
        created.setAttribute("who", "runa");
        sessions.save(created);
        sessions.forget();
        id = created.getId();
        store.asked.clear();
    }

    private QuietSessions.Quiet<MapSession> found() {
        return Objects.requireNonNull(sessions.findById(id));
    }

    private MapSession kept() {
        return Objects.requireNonNull(store.kept.get(id));
    }

    /** As the framework goes about it: the session, the time, what the request does, the end, and whether the cookie holds. */
    private void request(Instant at) {
        sessions.forget();
        QuietSessions.Quiet<MapSession> session = found();
        session.setLastAccessedTime(at);
        sessions.save(session);
        assertThat(sessions.findById(id)).isNotNull();
    }

    @Test
    void request_asksOnce_andNotesItsTimeOnceAMinute() {
        Instant now = kept().getLastAccessedTime();
        request(now.plusSeconds(20));
        request(now.plusSeconds(59));
        assertThat(store.asked).containsExactly("find", "find");
        request(now.plusSeconds(61));
        assertThat(store.asked).containsExactly("find", "find", "find", "save");
        assertThat(kept().getLastAccessedTime()).isEqualTo(now.plusSeconds(61));
        request(now.plusSeconds(100));
        assertThat(store.asked).hasSize(5).last().isEqualTo("find");
    }

    @Test
    void whatASessionHolds_isKeptAtOnce() {
        QuietSessions.Quiet<MapSession> session = found();
        session.removeAttribute("who");
        sessions.save(session);
        sessions.forget();
        assertThat(found().<String>getAttribute("who")).isNull();
        QuietSessions.Quiet<MapSession> again = found();
        again.setMaxInactiveInterval(Duration.ofMinutes(5));
        sessions.save(again);
        assertThat(kept().getMaxInactiveInterval()).isEqualTo(Duration.ofMinutes(5));
    }

    @Test
    void sessionThatEnds_isNotFoundAgain_evenByTheRequestThatEndedIt() {
        QuietSessions.Quiet<MapSession> session = found();
        sessions.save(session);
        sessions.deleteById(id);
        assertThat(sessions.findById(id)).isNull();
    }

    @Test
    void sessionThatWasSavedHere_isNothingToAnotherRequest() {
        sessions.save(found());
        sessions.forget();
        store.kept.clear();
        assertThat(sessions.findById(id)).isNull();
        sessions.save(sessions.createSession());
        assertThat(sessions.findById(id)).as("another's").isNull();
    }

    @Test
    void sessionsOfAPerson_areThoseOfTheStore() {
        assertThat(sessions.findByPrincipalName("anybody")).containsOnlyKeys(id);
    }
}
