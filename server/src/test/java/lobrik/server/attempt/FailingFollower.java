package lobrik.server.attempt;

import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;

/** Makes nothing of what is written down, and fails where a test says so. */
@Component
class FailingFollower implements AttemptFollower {

    /** Attempts that it cannot stand. */
    static final Set<UUID> FAILS_AT = ConcurrentHashMap.newKeySet();

    @Override
    public void written(Measured now) {
        if (FAILS_AT.contains(now.attempt().id())) {
            throw new IllegalStateException("cannot be worked out, as the test wants it");
        }
    }
}
