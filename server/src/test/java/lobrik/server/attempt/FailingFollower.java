package lobrik.server.attempt;

import java.sql.SQLException;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.stereotype.Component;

/** Makes nothing of what is written down, and fails where a test says so. */
@Component
class FailingFollower implements AttemptFollower {

    /** Attempts that it cannot stand. */
    static final Set<UUID> FAILS_AT = ConcurrentHashMap.newKeySet();

    /** Attempts over which the database goes away, once for each. */
    static final Set<UUID> AWAY_AT = ConcurrentHashMap.newKeySet();

    @Override
    public void written(Measured now) {
        if (FAILS_AT.contains(now.attempt().id())) {
            throw new IllegalStateException("cannot be worked out, as the test wants it");
        }
        if (AWAY_AT.remove(now.attempt().id())) {
            throw new DataAccessResourceFailureException(
                    "as the test wants it", new SQLException("terminating connection", "57P01"));
        }
    }
}
