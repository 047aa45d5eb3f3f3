package lobrik.server.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.InetAddress;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.UUID;
import lobrik.server.Bench;
import lobrik.server.Client;
import lobrik.server.Client.Answer;
import lobrik.server.RunningServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What has no meaning is refused where it comes in, in one place, and with a reason; nothing of it is a fault of ours. */
@ExtendWith(RunningServer.class)
class EdgeTest {

    private static void assertRefused(Answer answer, int status, String code) {
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(status);
        assertThat(answer.contentType()).startsWith("application/problem+json");
        assertThat(answer.at("/errors/0/code").asString()).isEqualTo(code);
    }

    /** Says what no library would; gives the first line and the rest. */
    private static String raw(RunningServer.Address server, String request) throws IOException {
        URI base = URI.create(server.base());
        try (Socket socket = new Socket(InetAddress.getLoopbackAddress(), base.getPort())) {
            socket.getOutputStream()
                    .write((request.replace("\n", "\r\n") + "\r\n").getBytes(StandardCharsets.ISO_8859_1));
            socket.getOutputStream().flush();
            socket.shutdownOutput();
            return new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/api/cohorts?a=%ff",
                "/api/cohorts?a=%C0%80",
                "/api/cohorts?a=%ED%A0%80",
                "/api/cohorts?a=x%00",
                "/api/readings.csv?cohort=%E0%A4",
                "/api/benches/%ff",
                "/api/own/%00"
            })
    void bytesInTheAddressThatAreNoText_areRefused(String path, RunningServer.Address server) {
        assertThat(Client.signedIn(server, "runa").get(path).status()).isEqualTo(400);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"/api/cohorts?a=%", "/api/cohorts?%=%4", "/api/cohorts?a=%zz", "/%", "/api/\u00e4?b=\u00ff"})
    void brokenEscapes_areRefused(String path, RunningServer.Address server) throws IOException {
        assertThat(raw(server, "GET " + path + " HTTP/1.1\nHost: localhost\nConnection: close\n"))
                .startsWith("HTTP/1.1 400");
    }

    @Test
    void escapedText_isNoFault(RunningServer.Address server) {
        assertThat(Client.signedIn(server, "runa")
                        .get("/api/cohorts?a=%C3%A4%F0%9F%98%80")
                        .status())
                .isEqualTo(200);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"application/x-www-form-urlencoded", "multipart/form-data; boundary=x", "*/*", "nonsense", "a/b;"
            })
    void bodiesOfAnotherKind_areRefused_evenIfTheyCannotBeDecoded(String type, RunningServer.Address server)
            throws IOException {
        assertThat(raw(
                        server,
                        "POST /api/session HTTP/1.1\nHost: localhost\nConnection: close\nContent-Type: " + type
                                + "\nContent-Length: 9\n\n_csrf=%ff"))
                .matches("(?s)HTTP/1.1 (415|403).*");
    }

    @Test
    void undecodableBodies_areRefused(RunningServer.Address server) throws IOException {
        assertThat(raw(
                        server,
                        "POST /api/calc/tooling HTTP/1.1\nHost: localhost\nConnection: close\nContent-Type: application/json"
                                + "\nContent-Length: 8\n\n{\"\u00ff\":1}"))
                .startsWith("HTTP/1.1 400");
    }

    @ParameterizedTest
    @ValueSource(strings = {"a\\u0000b", "\\ud800", "\\udc00\\ud800", "x\\ud83d"})
    void textsThatCannotBeKept_areRefusedWithTheirPlace(String text, RunningServer.Address server) {
        Client runa = Client.signedIn(server, "runa");
        Answer named = runa.put("/api/cohorts/" + UUID.randomUUID(), "{\"name\":\"" + text + "\",\"trainees\":[]}");
        assertRefused(named, 400, "not-text");
        assertThat(named.at("/errors/0/pointer").asString()).isEqualTo("/name");
        Answer listed =
                runa.put("/api/cohorts/" + UUID.randomUUID(), "{\"name\":\"a\",\"trainees\":[\"" + text + "\"]}");
        assertThat(listed.at("/errors/0/pointer").asString()).isEqualTo("/trainees/0");
        Answer key = runa.post(
                "/api/library/foresight", "{\"definition\":{},\"tolerances\":{\"weights\":{\"" + text + "\":1}}}");
        assertThat(key.status()).as(key.body().toString()).isEqualTo(400);
    }

    @Test
    void wholeCharactersOfTwoHalves_areKept(RunningServer.Address server) {
        Answer kept = Client.signedIn(server, "runa")
                .put("/api/cohorts/" + UUID.randomUUID(), "{\"name\":\"\\ud83d\\ude00\",\"trainees\":[\"\u00c4da\"]}");
        assertThat(kept.at("/name").asString()).isEqualTo("\uD83D\uDE00");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "-999999999-01-01T00:00:00Z",
                "+294277-01-01T00:00:00Z",
                "1899-12-31T23:59:59Z",
                "3000-01-01T00:00:00Z"
            })
    void yearsThatNobodyMeans_areRefused(String time, RunningServer.Address server) {
        Client runa = Client.signedIn(server, "runa");
        String attempt = Bench.of(runa, Bench.STUB, 1).open(0);
        Answer reading = runa.put(
                "/api/attempts/" + attempt + "/readings/" + UUID.randomUUID(),
                "{\"feature\":\"angle1\",\"text\":\"90\",\"takenAt\":\"" + time + "\"}");
        assertRefused(reading, 400, "out-of-range");
        assertThat(reading.at("/detail").asString()).contains("1900 to 2999");
        assertThat(runa.putBytes(
                                "/api/attempts/" + attempt + "/photos/" + UUID.randomUUID() + "?takenAt="
                                        + time.replace("+", "%2B"),
                                new byte[] {1})
                        .at("/errors/0/code")
                        .asString())
                .isEqualTo("not-a-time");
        assertRefused(runa.get("/api/cohorts/" + UUID.randomUUID() + "/matrix?from=-999999-01-01"), 400, "not-a-day");
    }

    @Test
    void holesInListsAndTables_areRefused(RunningServer.Address server) {
        Client runa = Client.signedIn(server, "runa");
        Answer list = runa.put("/api/cohorts/" + UUID.randomUUID(), "{\"name\":\"a\",\"trainees\":[\"Ada\",null]}");
        assertRefused(list, 400, "missing");
        Answer table = runa.post(
                "/api/library/foresight", "{\"definition\":{},\"tolerances\":{\"weights\":{\"mark1\":null}}}");
        assertRefused(table, 400, "missing");
        assertThat(table.at("/errors/0/pointer").asString()).isEqualTo("/tolerances/weights/mark1");
    }

    @Test
    void namesOfWhatOneMayNotSee_areTakenForNone_andNothingIsToldOfThem(RunningServer.Address server) {
        Client dessa = Client.signedIn(server, "dessa");
        Bench hers = Bench.of(dessa, Bench.STUB, 1);
        String attempt = hers.open(0);
        Client runa = Client.signedIn(server, "runa");
        String own =
                Bench.of(runa, Bench.STUB, 1).floor().at("/benches/0/traineeId").asString();
        for (Answer answer : new Answer[] {
            runa.put("/api/attempts/" + attempt, "{\"traineeId\":\"" + own + "\"}"),
            runa.put("/api/cohorts/" + hers.cohort(), "{\"name\":\"Mine\",\"trainees\":[\"Ada\"]}"),
            runa.put(
                    "/api/groups/" + UUID.randomUUID(),
                    "{\"cohortId\":\"" + hers.cohort() + "\",\"name\":\"g\",\"traineeIds\":[\"" + own + "\"]}")
        }) {
            assertThat(answer.status()).as(answer.body().toString()).isIn(404, 409);
            assertThat(answer.body().toString()).doesNotContain("Trainee 1", "Dessa", "constraint", "Cohort ");
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"evil.example", "evil.example:80", "127.0.0.1.evil.example", "localhost.", "10.0.0.1", ""})
    void callsByAnotherName_areNotAnswered(String host, RunningServer.Address server) throws IOException {
        assertThat(raw(server, "GET /api/status HTTP/1.1\nHost: " + host + "\nConnection: close\n"))
                .matches("(?s)HTTP/1.1 (421|400) .*")
                .doesNotContain("ready");
    }

    @ParameterizedTest
    @ValueSource(strings = {"localhost", "LOCALHOST:8080", "127.0.0.1", "[::1]:1"})
    void callsByItsOwnName_are(String host, RunningServer.Address server) throws IOException {
        assertThat(raw(server, "GET /api/status HTTP/1.1\nHost: " + host + "\nConnection: close\n"))
                .startsWith("HTTP/1.1 200");
    }

    @Test
    void placeForErrors_isNoPlace(RunningServer.Address server) {
        assertRefused(new Client(server).get("/error"), 404, "not-found");
    }
}
