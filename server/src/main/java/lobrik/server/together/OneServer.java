package lobrik.server.together;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * Long work that one server does while the others leave it be. Who does it holds a lock of the database over a connection of its own: a
 * server that is killed lets it go at once, and no time has to be guessed after which it would be.
 */
@Component
public class OneServer {

    private static final Logger LOG = LoggerFactory.getLogger(OneServer.class);

    private final OwnConnection connections;

    OneServer(OwnConnection connections) {
        this.connections = connections;
    }

    /**
     * Does it, unless another server is at it.
     *
     * @param what names it
     * @return whether it was done here
     */
    public boolean does(String what, Runnable work) {
        try (Connection connection = connections.open("lobrik-one-server")) {
            if (!taken(connection, what)) {
                return false;
            }
            work.run();
            return true;
        } catch (SQLException e) {
            LOG.warn("Whether another server does it could not be asked: {}", what, e);
            return false;
        }
    }

    private static boolean taken(Connection connection, String what) throws SQLException {
        try (PreparedStatement take =
                connection.prepareStatement("select pg_try_advisory_lock(hashtextextended('one server ' || ?, 0))")) {
            take.setString(1, what);
            try (ResultSet answer = take.executeQuery()) {
                return answer.next() && answer.getBoolean(1);
            }
        }
    }
}
