package lobrik.server.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.net.InetAddress;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import lobrik.server.Bench;
import lobrik.server.Client;
import lobrik.server.RunningServer;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Whoever is slow, or many, holds up only themselves. */
@ExtendWith(RunningServer.class)
class SlowTest {

    private final List<Socket> open = new ArrayList<>();

    @AfterEach
    void close() throws IOException {
        for (Socket socket : open) {
            socket.close();
        }
    }

    private Socket say(RunningServer.Address server, String begun) throws IOException {
        Socket socket = new Socket(
                InetAddress.getLoopbackAddress(), URI.create(server.base()).getPort());
        open.add(socket);
        socket.getOutputStream().write(begun.replace("\n", "\r\n").getBytes(StandardCharsets.US_ASCII));
        socket.getOutputStream().flush();
        return socket;
    }

    private static String half(String path) {
        return "POST " + path
                + " HTTP/1.1\nHost: localhost\nContent-Type: application/json\nContent-Length: 2000\n\n{\"bend\":";
    }

    @Test
    void bodiesThatAreHalfSent_andHeadsToo_holdUpNobody_andAreGivenUp(RunningServer.Address server) throws Exception {
        List<Socket> waiting = new ArrayList<>();
        for (int i = 0; i < 220; i++) {
            waiting.add(say(server, half(i % 2 == 0 ? "/api/calc/layout" : "/api/session")));
        }
        for (int i = 0; i < 100; i++) {
            say(server, "GET /api/status HTTP/1.1\nHost: localhost\nX-Half");
        }
        Client runa = Client.signedIn(server, "runa");
        String attempt = Bench.of(runa, Bench.STUB, 1).open(0);
        assertThat(runa.get("/api/attempts/" + attempt).status()).isEqualTo(200);
        // Nothing more comes: after a while the server says so and lets go.
        Socket one = waiting.getFirst();
        one.setSoTimeout(60_000);
        InputStream in = one.getInputStream();
        assertThat(new String(in.readAllBytes(), StandardCharsets.UTF_8))
                .startsWith("HTTP/1.1 408")
                .contains("too-slow");
    }
}
