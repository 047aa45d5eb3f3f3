package lobrik.server.live;

import java.util.LinkedHashSet;
import java.util.Set;
import java.util.UUID;

/** What a screen has still to be told of: each bench and each attempt once, however often it changed. Safe to use from several threads. */
final class News {

    /** Whoever missed more asks for everything. */
    private static final int MOST = 100;

    private final UUID cohortId;
    private final Set<UUID> trainees = new LinkedHashSet<>();
    private final Set<UUID> attempts = new LinkedHashSet<>();
    private boolean anybody;
    private boolean some;

    News(UUID cohortId) {
        this.cohortId = cohortId;
    }

    /**
     * Adds a change.
     *
     * @param screenId of the screen that is to be told
     * @return whether there was nothing to tell before
     */
    synchronized boolean add(Live.Change change, UUID screenId) {
        if (change.traineeId() == null || trainees.size() + attempts.size() >= MOST) {
            anybody = true;
        } else {
            trainees.add(change.traineeId());
        }
        if (change.attemptId() != null && !screenId.toString().equals(change.screenId())) {
            attempts.add(change.attemptId());
        }
        boolean first = !some;
        some = true;
        return first;
    }

    synchronized boolean isEmpty() {
        return !some;
    }

    /** All of it, once. */
    synchronized Live.Changed take() {
        Live.Changed changed = new Live.Changed(
                cohortId, anybody ? null : new LinkedHashSet<>(trainees), new LinkedHashSet<>(attempts));
        trainees.clear();
        attempts.clear();
        anybody = false;
        some = false;
        return changed;
    }
}
