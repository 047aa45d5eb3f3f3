package lobrik.server.live;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import lobrik.server.Bench;
import lobrik.server.Client;
import lobrik.server.Client.Answer;
import lobrik.server.EventStream;
import lobrik.server.RunningServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

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
    void screenWhoseStreamEnds_isToldToComeBackSoon(RunningServer.Address server) {
        Client runa = Client.signedIn(server, "runa");
        String cohort = Bench.of(runa, Bench.STUB, 1).cohort();
        try (Stream<String> lines = runa.lines("/api/live?screen=" + UUID.randomUUID() + "&cohort=" + cohort)) {
            String retry =
                    lines.filter(line -> line.startsWith("retry:")).findFirst().orElseThrow();
            assertThat(Integer.parseInt(retry.substring("retry:".length()).strip()))
                    .isBetween(200, 1_000);
        }
    }

    @Test
    void windowThatWroteSomething_isToldOfTheBench_andNeedNotAskForTheAttempt(RunningServer.Address server)
            throws Exception {
        Client runa = Client.signedIn(server, "runa");
        Bench bench = Bench.of(runa, Bench.STUB, 1);
        String attempt = bench.open(0);
        String trainee = bench.floor().at("/benches/0/traineeId").asString();
        UUID screen = UUID.randomUUID();
        try (EventStream own = EventStream.open(runa, screen, bench.cohort());
                EventStream other = EventStream.open(runa, UUID.randomUUID(), bench.cohort())) {
            assertThat(own.next("hello")).isNotNull();
            assertThat(other.next("hello")).isNotNull();
            String reading = "/api/attempts/" + attempt + "/readings/";
            runa.put(reading + UUID.randomUUID(), "{\"feature\":\"leg\",\"text\":\"17\"}", screen.toString());
            assertThat(own.next("changed"))
                    .contains("\"traineeIds\":[\"" + trainee + "\"]")
                    .contains("\"attemptIds\":[]");
            assertThat(other.next("changed"))
                    .contains("\"traineeIds\":[\"" + trainee + "\"]")
                    .contains("\"attemptIds\":[\"" + attempt + "\"]");
            runa.put(reading + UUID.randomUUID(), "{\"feature\":\"leg\",\"text\":\"17 1/8\"}");
            assertThat(own.next("changed")).contains("\"attemptIds\":[\"" + attempt + "\"]");
        }
    }

    @Test
    void manyChanges_areToldTogether_atMostTwiceASecond(RunningServer.Address server) throws Exception {
        Client runa = Client.signedIn(server, "runa");
        Bench bench = Bench.of(runa, Bench.STUB, 3);
        List<String> attempts = List.of(bench.open(0), bench.open(1), bench.open(2));
        try (EventStream stream = EventStream.open(runa, UUID.randomUUID(), bench.cohort())) {
            assertThat(stream.next("hello")).isNotNull();
            long begun = System.nanoTime();
            for (int i = 0; i < 30; i++) {
                runa.put(
                        "/api/attempts/" + attempts.get(i % 3) + "/readings/" + UUID.randomUUID(),
                        "{\"feature\":\"leg\",\"text\":\"17\"}");
            }
            String told = "";
            int events = 0;
            for (String event = stream.next("changed", 1200, TimeUnit.MILLISECONDS);
                    event != null;
                    event = stream.next("changed", 1200, TimeUnit.MILLISECONDS)) {
                told += event;
                events++;
            }
            long halfSeconds = TimeUnit.NANOSECONDS.toMillis(System.nanoTime() - begun) / 500;
            assertThat(told).contains(attempts);
            assertThat(events).isBetween(1, (int) halfSeconds);
        }
    }

    @Test
    void partOfTheFloor_isWhatTheFloorSays_andItsKit(RunningServer.Address server) {
        Client runa = Client.signedIn(server, "runa");
        Bench bench = Bench.of(runa, Bench.STUB, 3);
        String attempt = bench.open(1);
        JsonNode whole = bench.floor().at("/benches/1");
        String part = "/api/floor/" + bench.cohort() + "/benches?trainees="
                + whole.at("/traineeId").asString();
        Answer one = runa.get(part);
        assertThat(one.at("/benches").size()).isEqualTo(1);
        assertThat(one.at("/benches/0")).isEqualTo(whole);
        assertThat(one.at("/kit").size()).as("only where it is asked for").isZero();
        Answer withKit = runa.get(part + "&kit=true");
        assertThat(withKit.at("/kit").size()).isEqualTo(1);
        assertThat(withKit.at("/kit/0/id").asString()).isEqualTo(attempt);
        assertThat(runa.get("/api/floor/" + bench.cohort() + "/benches?trainees=" + UUID.randomUUID())
                        .at("/benches")
                        .size())
                .isZero();
        assertThat(Client.signedIn(server, "dessa").get(part).status()).isEqualTo(404);
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
