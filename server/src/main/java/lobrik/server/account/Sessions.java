package lobrik.server.account;

import jakarta.servlet.http.HttpSession;
import java.time.Instant;
import java.util.Comparator;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import lobrik.server.platform.Sha256;
import lobrik.server.platform.TurnedDown;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** The sessions of accounts; ends them, and tells so whatever still goes on in their name. */
@Service
public class Sessions {

    /**
     * These sessions are over, at once.
     *
     * @param sessions their {@linkplain #named names}
     */
    public record Ended(Set<String> sessions) {

        public Ended(Set<String> sessions) {
            this.sessions = Set.copyOf(sessions);
        }

        private static Ended of(Set<String> ids) {
            return new Ended(ids.stream().map(Sessions::named).collect(Collectors.toSet()));
        }
    }

    /**
     * Somewhere that somebody is signed in.
     *
     * @param id names it, and lets nobody in
     * @param device what the browser says of itself
     * @param address from where they signed in
     * @param thisOne whether it is the one that asks
     */
    public record Place(String id, String device, String address, Instant since, Instant seenAt, boolean thisOne) {}

    private static final String DEVICE = "lobrik.device";
    private static final String ADDRESS = "lobrik.address";
    private static final int LONGEST_DEVICE = 300;
    private static final int ID_BYTES = 12;

    private final FindByIndexNameSessionRepository<? extends Session> sessions;
    private final ApplicationEventPublisher events;

    Sessions(FindByIndexNameSessionRepository<? extends Session> sessions, ApplicationEventPublisher events) {
        this.sessions = sessions;
        this.events = events;
    }

    /** Notes where a session was begun. */
    static void describe(HttpSession session, @Nullable String device, String address) {
        String said = device == null ? "" : device;
        session.setAttribute(DEVICE, said.length() > LONGEST_DEVICE ? said.substring(0, LONGEST_DEVICE) : said);
        session.setAttribute(ADDRESS, address);
    }

    /** Where an account is signed in, the last used first. */
    List<Place> of(SignedIn account, @Nullable String asking) {
        return found(account).entrySet().stream()
                .filter(each -> !each.getValue().isExpired())
                .map(each -> place(each.getKey(), each.getValue(), asking))
                .sorted(Comparator.comparing(Place::seenAt).reversed())
                .toList();
    }

    private static Place place(String id, Session session, @Nullable String asking) {
        String device = session.getAttribute(DEVICE);
        String address = session.getAttribute(ADDRESS);
        return new Place(
                named(id),
                device == null ? "" : device,
                address == null ? "" : address,
                session.getCreationTime(),
                session.getLastAccessedTime(),
                id.equals(asking));
    }

    private Map<String, ? extends Session> found(SignedIn account) {
        return sessions.findByPrincipalName(account.getName());
    }

    void end(HttpSession session) {
        String id = session.getId();
        session.invalidate();
        events.publishEvent(Ended.of(Set.of(id)));
    }

    /**
     * Ends one session of an account.
     *
     * @throws TurnedDown if it has none of this name
     */
    void end(SignedIn account, String name) {
        String id = found(account).keySet().stream()
                .filter(each -> named(each).equals(name))
                .findFirst()
                .orElseThrow(() -> TurnedDown.notFound("session"));
        endAll(Set.of(id));
    }

    /** Ends all sessions of an account, on every device. */
    void endAllOf(SignedIn account) {
        endAll(Set.copyOf(found(account).keySet()));
    }

    /**
     * Ends what goes on in the name of an account that may no longer do what it could, once that is on disk: its sessions are not
     * found any more from then on, whoever asks.
     *
     * @param before as it was signed in
     */
    void rightsChanged(SignedIn before) {
        Set<String> ids = Set.copyOf(found(before).keySet());
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                endAll(ids);
            }
        });
    }

    private void endAll(Set<String> ids) {
        ids.forEach(sessions::deleteById);
        events.publishEvent(Ended.of(ids));
    }

    /** What a session goes by where its id, which is the key to it, is told to nobody. */
    public static String named(String id) {
        return HexFormat.of().formatHex(Sha256.of(id), 0, ID_BYTES);
    }
}
