package lobrik.server.live;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import java.util.concurrent.TimeUnit;
import lobrik.server.Bench;
import lobrik.server.Client;
import lobrik.server.EventStream;
import lobrik.server.RunningServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** What the screens of a room are told. */
@ExtendWith(RunningServer.class)
class LiveTest {

    @Test
    void everyScreenOfACohort_isTold_andNoOther(RunningServer.Address server) throws Exception {
        Client runa = Client.signedIn(server, "runa");
        Client oskar = Client.signedIn(server, "oskar");
        Bench bench = Bench.of(runa, Bench.STUB, 1);
        Bench other = Bench.of(runa, Bench.STUB, 1);
        try (EventStream first = EventStream.open(runa, UUID.randomUUID(), bench.cohort());
                EventStream second = EventStream.open(oskar, UUID.randomUUID(), bench.cohort());
                EventStream elsewhere = EventStream.open(oskar, UUID.randomUUID(), other.cohort())) {
            for (EventStream stream : new EventStream[] {first, second, elsewhere}) {
                assertThat(stream.next("hello")).isNotNull();
            }
            Client phone = new Client(server);
            phone.get("/api/status");
            phone.put("/api/benches/" + bench.code(0) + "/steps/" + UUID.randomUUID(), "{\"step\":\"called\"}");
            for (EventStream stream : new EventStream[] {first, second}) {
                assertThat(stream.next("changed")).contains(bench.cohort());
            }
            String attempt = bench.open(0);
            runa.put(
                    "/api/attempts/" + attempt + "/readings/" + UUID.randomUUID(),
                    "{\"feature\":\"leg\",\"text\":\"17\"}");
            assertThat(second.nextWith("changed", attempt)).isTrue();
            assertThat(elsewhere.next("changed", 300, TimeUnit.MILLISECONDS)).isNull();
        }
    }

    @Test
    void changeSaysWhichWindowMadeIt_soThatThatOneNeedNotAskForIt(RunningServer.Address server) throws Exception {
        Client runa = Client.signedIn(server, "runa");
        Bench bench = Bench.of(runa, Bench.STUB, 1);
        String attempt = bench.open(0);
        String screen = UUID.randomUUID().toString();
        try (EventStream stream = EventStream.open(runa, UUID.randomUUID(), bench.cohort())) {
            assertThat(stream.next("hello")).isNotNull();
            String reading = "/api/attempts/" + attempt + "/readings/";
            runa.put(reading + UUID.randomUUID(), "{\"feature\":\"leg\",\"text\":\"17\"}", screen);
            assertThat(stream.next("changed")).contains("\"screenId\":\"" + screen + "\"");
            runa.put(reading + UUID.randomUUID(), "{\"feature\":\"leg\",\"text\":\"17 1/8\"}");
            assertThat(stream.next("changed")).contains("\"screenId\":null");
        }
    }

    @Test
    void screenThatOpensItsStreamAgain_isNotServedTwice(RunningServer.Address server) throws Exception {
        Client runa = Client.signedIn(server, "runa");
        Bench bench = Bench.of(runa, Bench.STUB, 1);
        UUID screen = UUID.randomUUID();
        try (EventStream old = EventStream.open(runa, screen, bench.cohort())) {
            assertThat(old.next("hello")).isNotNull();
            try (EventStream again = EventStream.open(runa, screen, bench.cohort())) {
                assertThat(again.next("hello")).isNotNull();
                assertThat(old.hasEnded(45, TimeUnit.SECONDS)).isTrue();
            }
        }
    }

    @Test
    void cohortOfSomebodyElse_isNotListenedTo(RunningServer.Address server) {
        Bench bench = Bench.of(Client.signedIn(server, "runa"), Bench.STUB, 1);
        Client dessa = Client.signedIn(server, "dessa");
        assertThat(dessa.get("/api/live?screen=" + UUID.randomUUID() + "&cohort=" + bench.cohort())
                        .status())
                .isEqualTo(404);
    }
}
