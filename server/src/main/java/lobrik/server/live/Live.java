package lobrik.server.live;

import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import lobrik.server.account.Sessions;
import lobrik.server.platform.TurnedDown;
import lobrik.server.together.Together;
import org.jspecify.annotations.Nullable;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * Tells every screen that looks at a cohort what changed there, at whatever server it listens. Events only say that something changed, never what it is:
 * a screen asks for that itself, so a lost event costs nothing but the next one.
 */
@Component
public class Live {

    private static final String WRITER = "X-Lobrik-Screen";

    /**
     * What changed in a cohort, as a screen is told.
     *
     * @param traineeIds whose benches; null if it may be anybody's
     * @param attemptIds what was written down of them by other windows: the one that wrote it knows it from its answer
     */
    public record Changed(UUID cohortId, @Nullable Set<UUID> traineeIds, Set<UUID> attemptIds) {}

    /**
     * One change.
     *
     * @param traineeId whose bench; null if it may be anybody's
     * @param attemptId if it was one
     * @param screenId of the window that changed it, where it said so
     */
    record Change(
            UUID cohortId,
            @Nullable UUID traineeId,
            @Nullable UUID attemptId,
            @Nullable String screenId) {}

    /** What servers tell each other of a change by, and of sessions that ended. */
    private static final String CHANGE = "change";

    private static final String ENDED = "ended";

    /** Of one account: a tablet at every bench, each with a second window. */
    static final int MOST_OF_AN_ACCOUNT = 60;

    private final Together together;
    private final Map<UUID, Screen> screens = new ConcurrentHashMap<>();

    Live(Together together) {
        this.together = together;
        together.hear(CHANGE, Change.class, this::tellHere);
        together.hear(ENDED, Sessions.Ended.class, this::closeHere);
    }

    /**
     * Opens the stream of a screen; a stream that it had is closed.
     *
     * @param listener by whose right it listens
     * @throws TurnedDown if the account has too many open
     */
    SseEmitter open(UUID screenId, UUID cohortId, Screen.Listener listener) {
        long open = screens.values().stream()
                .filter(screen -> screen.listener().accountId().equals(listener.accountId()))
                .count();
        if (open >= MOST_OF_AN_ACCOUNT && !screens.containsKey(screenId)) {
            throw TurnedDown.tooOften("This account has " + open + " live screens open; close some");
        }
        Screen screen = new Screen(screenId, cohortId, listener, closed -> screens.remove(screenId, closed));
        Screen before = screens.put(screenId, screen);
        if (before != null) {
            before.close();
        }
        return screen.start();
    }

    /** How many screens listen at this server. */
    public int open() {
        return screens.size();
    }

    /** Whether a screen listens at this server. */
    public boolean isOpen(UUID screenId) {
        return screens.containsKey(screenId);
    }

    /** Tells the screens of a cohort that anything of it may have changed, once that is on disk. */
    public void changed(UUID cohortId) {
        onceOnDisk(new Change(cohortId, null, null, writer()));
    }

    /** Tells the screens of a cohort what changed at a trainee's bench, once that is on disk. */
    public void changed(UUID cohortId, UUID traineeId, @Nullable UUID attemptId) {
        onceOnDisk(new Change(cohortId, traineeId, attemptId, writer()));
    }

    private void onceOnDisk(Change change) {
        if (!TransactionSynchronizationManager.isSynchronizationActive()) {
            tell(change);
            return;
        }
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                tell(change);
            }
        });
    }

    /** Only ever handed back, to be compared. */
    private static @Nullable String writer() {
        return RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes request
                ? request.getRequest().getHeader(WRITER)
                : null;
    }

    private void tell(Change change) {
        tellHere(change);
        together.tell(CHANGE, change);
    }

    private void tellHere(Change change) {
        screens.values().stream()
                .filter(screen -> screen.cohortId().equals(change.cohortId()))
                .forEach(screen -> screen.changed(change));
    }

    /** Whoever listens here asks for everything: something may have changed that was not heard of. */
    @EventListener(Together.Missed.class)
    void changedAnywhere() {
        screens.values().forEach(screen -> screen.changed(new Change(screen.cohortId(), null, null, null)));
    }

    /** Tells one screen, if it listens here, something that only the last of matters, such as what a gauge shows. */
    public void tell(UUID screenId, String name, Object event) {
        Screen screen = screens.get(screenId);
        if (screen != null) {
            screen.tell(name, event);
        }
    }

    /** What they listened by is over. */
    @EventListener
    void closeAllOf(Sessions.Ended ended) {
        closeHere(ended);
        together.tell(ENDED, ended);
    }

    private void closeHere(Sessions.Ended ended) {
        screens.values().stream()
                .filter(screen -> ended.sessions().contains(screen.listener().session()))
                .forEach(Screen::close);
    }

    /** Before the server waits for its open requests to end: these would not end by themselves. */
    @EventListener(ContextClosedEvent.class)
    void closeAll() {
        screens.values().forEach(Screen::close);
    }
}
