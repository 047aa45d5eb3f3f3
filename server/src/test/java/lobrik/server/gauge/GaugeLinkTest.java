package lobrik.server.gauge;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import lobrik.server.gauge.GaugeView.GaugeState;
import org.junit.jupiter.api.Test;

/** A gauge that sends nonsense is read again afterwards. */
class GaugeLinkTest {

    private static final GaugeLine.Hello WHO = new GaugeLine.Hello("angle-9", GaugeKind.ANGLE, "Angle gauge 9");

    @Test
    void lineThatCannotBeMeant_isLeftOut_andTheNextIsReadOnTheSameConnection() throws Exception {
        BlockingQueue<GaugeLine> taken = new LinkedBlockingQueue<>();
        try (ServerSocket gauge = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            Thread link = Thread.ofVirtual()
                    .start(new GaugeLink(
                            gauge.getLocalPort(),
                            line -> {
                                if (line instanceof GaugeLine.Shown shown
                                        && shown.figure().length() > 5) {
                                    throw new IllegalArgumentException("no gauge can show " + shown.figure());
                                }
                                taken.add(line);
                            },
                            () -> {}));
            try (Socket connection = gauge.accept()) {
                say(
                        connection,
                        "read 1 30.1 deg",
                        "read 2 999999 deg",
                        "read x y z",
                        "\u0000\u0001",
                        "read 3 30.2 deg");
                assertThat(taken.poll(5, TimeUnit.SECONDS)).isEqualTo(new GaugeLine.Shown(1, "30.1", "deg"));
                assertThat(taken.poll(5, TimeUnit.SECONDS)).isEqualTo(new GaugeLine.Shown(3, "30.2", "deg"));
            }
            link.interrupt();
        }
    }

    private static void say(Socket connection, String... lines) throws IOException {
        connection.getOutputStream().write((String.join("\n", lines) + "\n").getBytes(StandardCharsets.UTF_8));
    }

    /** One garbled number must not make all that follow look like repetitions. */
    @Test
    void numberThatWasGarbled_doesNotSilenceTheGauge() {
        Gauge gauge = new Gauge(WHO, GaugePort.of("4711"));
        gauge.show(new GaugeLine.Shown(999_999_999_999L, "30.1", "deg"), 0);
        for (int i = 1; i <= 30; i++) {
            gauge.show(new GaugeLine.Shown(i, "45.5", "deg"), 100L * i);
        }
        Gauge.Now now = gauge.now(3_000);
        assertThat(now.state()).isEqualTo(GaugeState.STEADY);
        assertThat(now.text()).isEqualTo("45.5");
    }
}
