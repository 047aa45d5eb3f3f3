package lobrik.server.transfer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.zaxxer.hikari.HikariDataSource;
import jakarta.servlet.ServletOutputStream;
import jakarta.servlet.WriteListener;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.lang.reflect.Proxy;
import java.nio.charset.StandardCharsets;
import java.util.UUID;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import javax.sql.DataSource;
import lobrik.server.Client;
import lobrik.server.RunningServer;
import lobrik.server.account.Role;
import lobrik.server.account.SignedIn;
import lobrik.server.platform.TurnedDown;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.transaction.support.TransactionTemplate;

/** Files that are read slowly. */
@ExtendWith(RunningServer.class)
class OutgoingTest {

    private static final Outgoing.Letter LETTER = new Outgoing.Letter("text/plain", "a.txt", "a test");

    /** A line that takes nothing until it is opened. */
    private static final class SlowLine extends ServletOutputStream {

        private final CountDownLatch begun;
        private final CountDownLatch open;

        SlowLine(CountDownLatch begun, CountDownLatch open) {
            this.begun = begun;
            this.open = open;
        }

        @Override
        public void write(int b) throws IOException {
            begun.countDown();
            try {
                open.await();
            } catch (InterruptedException e) {
                throw new IOException(e);
            }
        }

        @Override
        public void write(byte[] bytes, int from, int length) throws IOException {
            write(0);
        }

        @Override
        public boolean isReady() {
            return true;
        }

        @Override
        public void setWriteListener(WriteListener listener) {
            throw new UnsupportedOperationException();
        }
    }

    private static HttpServletResponse response(ServletOutputStream line) {
        return (HttpServletResponse) Proxy.newProxyInstance(
                OutgoingTest.class.getClassLoader(),
                new Class<?>[] {HttpServletResponse.class},
                (_, method, _) -> method.getName().equals("getOutputStream") ? line : null);
    }

    private static HttpServletRequest request() {
        return (HttpServletRequest) Proxy.newProxyInstance(
                OutgoingTest.class.getClassLoader(),
                new Class<?>[] {HttpServletRequest.class},
                (_, method, _) -> method.getName().equals("getRemoteAddr") ? "127.0.0.1" : null);
    }

    @Test
    void fileOnTheWay_holdsNoConnectionToTheDatabase_andNobodyHasMany(RunningServer.Address server) throws Exception {
        Outgoing outgoing = server.context().getBean(Outgoing.class);
        TransactionTemplate transaction = server.context().getBean(TransactionTemplate.class);
        HikariDataSource pool = server.context().getBean(DataSource.class).unwrap(HikariDataSource.class);
        UUID oskar = UUID.fromString(
                Client.signedIn(server, "oskar").get("/api/me").at("/accountId").asString());
        SignedIn who = new SignedIn(oskar, server.school(), "Oskar Brindlemay", Role.LEAD, 0);
        Outgoing.Content content = to -> transaction.executeWithoutResult(_ -> {
            try {
                to.write("what a connection was needed for".getBytes(StandardCharsets.UTF_8));
            } catch (IOException e) {
                throw new IllegalStateException(e);
            }
        });
        CountDownLatch begun = new CountDownLatch(6);
        CountDownLatch open = new CountDownLatch(1);
        try (ExecutorService readers = Executors.newVirtualThreadPerTaskExecutor()) {
            for (int i = 0; i < 6; i++) {
                var _ = readers.submit(() -> {
                    outgoing.send(who, LETTER, content, request(), response(new SlowLine(begun, open)));
                    return null;
                });
            }
            begun.await();
            assertThat(pool.getHikariPoolMXBean().getActiveConnections()).isLessThan(3);
            assertThatThrownBy(
                            () -> outgoing.send(who, LETTER, content, request(), response(new SlowLine(begun, open))))
                    .isInstanceOf(TurnedDown.class)
                    .hasMessageContaining("on the way already");
            open.countDown();
        }
        outgoing.send(who, LETTER, content, request(), response(new SlowLine(begun, open)));
    }
}
