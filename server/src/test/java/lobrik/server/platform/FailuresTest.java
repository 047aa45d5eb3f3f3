package lobrik.server.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.SocketTimeoutException;
import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import org.junit.jupiter.api.Test;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.HttpStatus;

/** Which failures are no fault of ours. */
class FailuresTest {

    private static HttpStatus status(Throwable failure) {
        return Failures.known(new IllegalStateException("around it", failure))
                .map(Failures.Told::status)
                .orElse(HttpStatus.INTERNAL_SERVER_ERROR);
    }

    @Test
    void databaseThatIsAway_passes() {
        for (String state : new String[] {"08006", "08003", "53100", "57P01", "57P03", "58030"}) {
            assertThat(status(new SQLException("", state))).as(state).isEqualTo(HttpStatus.SERVICE_UNAVAILABLE);
        }
        assertThat(status(new SQLException("Connection is closed"))).isEqualTo(HttpStatus.SERVICE_UNAVAILABLE);
        assertThat(status(new SQLTransientConnectionException("no connection")))
                .isEqualTo(HttpStatus.SERVICE_UNAVAILABLE);
        assertThat(Failures.known(new SQLException("", "40P01")).orElseThrow().passes())
                .isTrue();
    }

    @Test
    void whatClashesOrCannotBeKept_isTheSenders() {
        assertThat(status(new SQLException("", "23505"))).isEqualTo(HttpStatus.CONFLICT);
        assertThat(status(new DataIntegrityViolationException("found before it was asked")))
                .isEqualTo(HttpStatus.CONFLICT);
        assertThat(status(new SQLException("", "22021"))).isEqualTo(HttpStatus.BAD_REQUEST);
        assertThat(status(new SlowBodies.TooSlow())).isEqualTo(HttpStatus.REQUEST_TIMEOUT);
        assertThat(status(new SocketTimeoutException())).isEqualTo(HttpStatus.REQUEST_TIMEOUT);
    }

    @Test
    void everythingElse_isOurs() {
        for (Throwable failure : new Throwable[] {
            new SQLException("", "42P01"), new SQLException("odd"), new IOException(), new StackOverflowError()
        }) {
            assertThat(status(failure)).isEqualTo(HttpStatus.INTERNAL_SERVER_ERROR);
        }
    }

    @Test
    void circleOfCauses_hasAnEnd() {
        IllegalStateException one = new IllegalStateException("one");
        one.initCause(new IllegalStateException("two", one));
        assertThat(Failures.known(one)).isEmpty();
    }
}
