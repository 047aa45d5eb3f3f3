package lobrik.server.gauge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import lobrik.gauges.SimulatedGauge;
import lobrik.server.Bench;
import lobrik.server.Client;
import lobrik.server.Client.Answer;
import lobrik.server.EventStream;
import lobrik.server.RunningServer;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The simulated gauges over their real line, as a screen that claimed one sees them. */
@ExtendWith(RunningServer.class)
class GaugeTest {

    private Client runa;
    private UUID screen;
    private EventStream stream;
    private RunningServer.Address at;

    @BeforeEach
    void openScreen(RunningServer.Address server) throws Exception {
        at = server;
        runa = Client.signedIn(server, "runa");
        screen = UUID.randomUUID();
        stream = EventStream.open(runa, screen, Bench.of(runa, Bench.STUB, 1).cohort());
        assertThat(stream.next("hello")).isNotNull();
    }

    @AfterEach
    void putBack() throws IOException {
        sim(at.angleGauge(), "value 30.1", "noise 0.02", "unit deg");
        sim(at.heightGauge(), "value 85.7", "noise 0.02", "unit mm");
        runa.delete("/api/gauges/angle-1/claim?screen=" + screen);
        runa.delete("/api/gauges/height-1/claim?screen=" + screen);
        stream.close();
    }

    private static void sim(SimulatedGauge gauge, String... commands) throws IOException {
        try (Socket socket = new Socket(InetAddress.getLoopbackAddress(), gauge.port())) {
            OutputStream out = socket.getOutputStream();
            for (String command : commands) {
                out.write(("sim " + command + "\n").getBytes(StandardCharsets.UTF_8));
            }
            out.flush();
            socket.shutdownOutput();
            // Until it has read them all and lets go.
            socket.setSoTimeout(2_000);
            socket.getInputStream().readNBytes(60);
        }
    }

    @Test
    void gaugesOfOneSchool_areUnknownToAnother_andOnlyWhoeverHasOneGivesItBack() {
        Client stranger = Client.byPassword(at, at.stranger());
        assertThat(stranger.get("/api/gauges?screen=" + UUID.randomUUID())
                        .body()
                        .size())
                .isZero();
        assertThat(claim(stranger, UUID.randomUUID(), "angle-1", true).status()).isEqualTo(404);
        assertThat(claim(runa, screen, "angle-1", true).at("/mine").asBoolean()).isTrue();
        stranger.delete("/api/gauges/angle-1/claim?screen=" + screen);
        Client.signedIn(at, "dessa").delete("/api/gauges/angle-1/claim?screen=" + screen);
        assertThat(claim(Client.signedIn(at, "dessa"), UUID.randomUUID(), "angle-1", false)
                        .status())
                .as("runa has it still")
                .isEqualTo(409);
    }

    @Test
    void portIsSetUp_forASchool_whereThereAreSeveral() {
        UUID school = UUID.randomUUID();
        assertThat(GaugePort.of(" 4711@" + school)).isEqualTo(new GaugePort(4711, Optional.of(school)));
        assertThat(GaugePort.of("4712")).isEqualTo(new GaugePort(4712, Optional.empty()));
        assertThatThrownBy(() -> GaugePort.of("4712@annex")).isInstanceOf(IllegalArgumentException.class);
    }

    private Answer claim(Client who, UUID by, String gauge, boolean takeOver) {
        return who.put("/api/gauges/" + gauge + "/claim", "{\"screen\":\"" + by + "\",\"takeOver\":" + takeOver + "}");
    }

    private void expect(String... texts) throws InterruptedException {
        long until = System.nanoTime() + TimeUnit.SECONDS.toNanos(60);
        String last = "nothing";
        while (System.nanoTime() < until) {
            String event = stream.next("gauge");
            last = String.valueOf(event);
            String shown = last;
            if (Stream.of(texts).allMatch(shown::contains)) {
                return;
            }
        }
        throw new AssertionError("the screen was never told " + String.join(" and ", texts) + "; last: " + last);
    }

    @Test
    void claimedGauge_tellsItsScreenTheSteadyReading_withItsUnit() throws Exception {
        sim(at.heightGauge(), "value 88.9", "noise 0");
        assertThat(claim(runa, screen, "height-1", false).at("/mine").asBoolean())
                .isTrue();
        expect("\"state\":\"steady\"", "\"text\":\"88.9 mm\"");
        sim(at.heightGauge(), "value 3.5", "unit in");
        expect("\"state\":\"steady\"", "\"text\":\"3.5 in\"");
    }

    @Test
    void noisyGauge_isNotRead_andSaysWhatToDo() throws Exception {
        claim(runa, screen, "angle-1", false);
        sim(at.angleGauge(), "noise 1.5");
        expect("\"state\":\"noisy\"", "hold it still");
        sim(at.angleGauge(), "noise 0", "value 45");
        expect("\"state\":\"steady\"", "\"text\":\"45\"");
    }

    @Test
    void wrongUnit_isTold_withTheRightOne() throws Exception {
        claim(runa, screen, "angle-1", false);
        sim(at.angleGauge(), "unit mm");
        expect("\"state\":\"wrongUnit\"", "set it to degrees");
    }

    @Test
    void lostGauge_isTold_andComesBackByItself() throws Exception {
        claim(runa, screen, "angle-1", false);
        expect("\"state\":\"steady\"");
        sim(at.angleGauge(), "away");
        expect("\"state\":\"lost\"", "type the reading");
        expect("\"state\":\"steady\"");
    }

    @Test
    void secondScreen_isToldWhoHasIt_andMayTakeItOver() throws Exception {
        claim(runa, screen, "angle-1", false);
        Client oskar = Client.signedIn(at, "oskar");
        UUID other = UUID.randomUUID();
        Answer taken = claim(oskar, other, "angle-1", false);
        assertThat(taken.status()).isEqualTo(409);
        assertThat(taken.at("/detail").asString()).contains("Runa Tolvane has Angle gauge 1");
        assertThat(claim(oskar, other, "angle-1", true).at("/mine").asBoolean()).isTrue();
        expect("\"claimedBy\":\"Oskar Brindlemay\"", "\"mine\":false");
        oskar.delete("/api/gauges/angle-1/claim?screen=" + other);
        assertThat(claim(runa, screen, "angle-1", false).status()).isEqualTo(200);
        assertThat(claim(runa, screen, "no-such-gauge", false).status()).isEqualTo(404);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "read",
                "read 1 30.1",
                "read x 30.1 deg",
                "read 1 30,1 deg",
                "read 1 1e9 deg",
                "gauge 2 a angle A",
                "gauge 1 a/b angle A",
                "gauge 1 a length A",
                "read 1 30.1 deg extra"
            })
    void lineOfNoGauge_isLeftAlone(String line) {
        assertThat(GaugeLine.read(line)).isEmpty();
    }

    @Test
    void lineThatComesTwice_isOne() {
        Gauge gauge = new Gauge(new GaugeLine.Hello("a", GaugeKind.ANGLE, "A"), GaugePort.of("4711"));
        for (int i = 0; i < 10; i++) {
            gauge.show(new GaugeLine.Shown(1, "30", "deg"), 100L * i);
        }
        assertThat(gauge.now(900).state()).as("one value is not steady").isNotEqualTo(GaugeView.GaugeState.STEADY);
        for (int i = 2; i < 12; i++) {
            gauge.show(new GaugeLine.Shown(i, "-0.5", "deg"), 100L * i);
        }
        assertThat(gauge.now(1_100).text()).isEqualTo("−0.5");
    }
}
