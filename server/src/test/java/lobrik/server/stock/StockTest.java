package lobrik.server.stock;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import lobrik.server.Bench;
import lobrik.server.Client;
import lobrik.server.RunningServer;
import lobrik.server.platform.Days;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** The rack of a school of the test's own: what comes, what is cut when an exercise is given out, and what is left. */
@ExtendWith(RunningServer.class)
class StockTest {

    private final LocalDate today = Days.of(Instant.now());

    private record Shed(Client lead, String conduit, String cohort, List<String> trainees) {

        static Shed of(RunningServer.Address server) {
            Client lead = Client.byPassword(server, server.account(server.school(), "LEAD"));
            String conduit = id();
            put(lead, "/api/conduits/" + conduit, "{\"label\":\"Three-quarter\",\"outsideDiameterIn\":0.922}", 204);
            put(lead, "/api/benders/" + id(), """
                    {"label":"Bender 1","conduitId":"%s","figures":{"takeUpIn":6,"radiusIn":5.125},"reason":"as stamped"}""".formatted(conduit), 204);
            String cohort = id();
            Client.Answer started = lead.put(
                    "/api/cohorts/" + cohort,
                    "{\"name\":\"First\",\"trainees\":[\"Ana Birk\",\"Bo Kell\",\"Cy Dorn\"]}");
            List<String> trainees = new ArrayList<>();
            started.at("/trainees").forEach(each -> trainees.add(each.at("/id").asString()));
            return new Shed(lead, conduit, cohort, trainees);
        }

        void noted(String note) {
            put(lead, "/api/stock/" + conduit + "/entries/" + id(), note, 204);
        }

        JsonNode rack() {
            for (JsonNode each : lead.get("/api/stock").at("/conduits")) {
                if (each.at("/id").asString().equals(conduit)) {
                    return each;
                }
            }
            throw new AssertionError("no such conduit");
        }

        String leftOvers() {
            List<String> all = new ArrayList<>();
            rack().at("/leftOvers")
                    .forEach(each -> all.add(each.at("/pieces").asInt() + " × "
                            + each.at("/lengthIn").asDouble()));
            return String.join(", ", all);
        }

        /** Three stubs, each of which takes 35.5625 in. */
        String given() {
            String giving = id();
            put(lead, "/api/givings/" + giving, """
                    {"exercise":{"title":"Up from the box","conduitLabel":"Three-quarter","benderLabel":"Bender 1","definition":%s,
                     "tolerances":{"preset":"site","lengthIn":0.125,"angleDeg":2,"dogLegDeg":2,"passMark":70}},
                     "giveTo":{"cohortId":"%s"}}""".formatted(Bench.STUB, cohort), 200);
            return giving;
        }
    }

    private static String id() {
        return UUID.randomUUID().toString();
    }

    private static void put(Client client, String path, String body, int status) {
        Client.Answer answer = client.put(path, body);
        assertThat(answer.status()).as(path + " " + answer.response().body()).isEqualTo(status);
    }

    @Test
    void withoutAnythingCounted_nothingIsKept(RunningServer.Address server) {
        Shed shed = Shed.of(server);
        shed.given();
        assertThat(shed.rack().at("/isKept").asBoolean()).isFalse();
        assertThat(shed.lead()
                        .get("/api/stock/" + shed.conduit() + "/entries")
                        .at("/all")
                        .asInt())
                .isZero();
    }

    @Test
    void deliveryGivingOutAndTakingBack_keepTheRackInStep(RunningServer.Address server) {
        Shed shed = Shed.of(server);
        shed.noted("{\"what\":\"DELIVERED\",\"pieces\":10,\"price\":4.5,\"note\":\"from the yard\"}");
        shed.noted("{\"what\":\"BROUGHT_BACK\",\"pieces\":1,\"lengthIn\":40}");
        Client.Answer preview = shed.lead().post("/api/givings/preview", """
                {"definition":%s,"conduitLabel":"Three-quarter","giveTo":{"cohortId":"%s"}}""".formatted(Bench.STUB, shed.cohort()));
        assertThat(preview.at("/conduit/onRack").asInt()).isEqualTo(10);
        assertThat(preview.at("/conduit/sticks/0/leftOver").asBoolean())
                .as("the left-over first")
                .isTrue();
        assertThat(preview.at("/conduit/sticks/1/lengthIn").asDouble()).isEqualTo(120);
        double piece = preview.at("/dealt/0/conduitIn").asDouble();

        String giving = shed.given();

        assertThat(shed.rack().at("/sticks").asInt()).isEqualTo(9);
        double left = 120 - 2 * piece - 2 / 16.0;
        assertThat(shed.leftOvers())
                .as("one piece from the left-over, two from a stick")
                .isEqualTo("1 × " + left);
        JsonNode cut = shed.lead()
                .get("/api/stock-use?first=" + today + "&last=" + today)
                .at("/cut/0");
        assertThat(cut.at("/pieces").asInt()).isEqualTo(3);
        assertThat(cut.at("/wastedIn").asDouble())
                .as("the rest of the left-over, and the saw")
                .isEqualTo(40 - piece + 2 / 16.0);

        assertThat(shed.lead().delete("/api/givings/" + giving).status()).isEqualTo(200);
        assertThat(shed.rack().at("/sticks").asInt()).isEqualTo(10);
        assertThat(shed.leftOvers()).isEqualTo("1 × 40.0");
        assertThat(shed.lead()
                        .get("/api/stock-use?first=" + today + "&last=" + today)
                        .at("/cut")
                        .size())
                .isZero();
    }

    @Test
    void anotherTry_takesAnotherPiece(RunningServer.Address server) {
        Shed shed = Shed.of(server);
        shed.noted("{\"what\":\"COUNTED\",\"pieces\":5}");
        shed.given();
        int before = shed.lead()
                .get("/api/stock/" + shed.conduit() + "/entries")
                .at("/all")
                .asInt();
        String trainee = shed.trainees().getFirst();
        String first = id();
        put(shed.lead(), "/api/attempts/" + first, "{\"traineeId\":\"" + trainee + "\"}", 200);
        assertThat(shed.lead()
                        .get("/api/stock/" + shed.conduit() + "/entries")
                        .at("/all")
                        .asInt())
                .as("the first was cut with the others")
                .isEqualTo(before);
        shed.lead()
                .get("/api/attempts/" + first)
                .at("/features")
                .forEach(feature -> put(
                        shed.lead(),
                        "/api/attempts/" + first + "/readings/" + id(),
                        "{\"feature\":\"" + feature.at("/id").asString() + "\",\"text\":\""
                                + (feature.at("/kind").asString().contains("ngle")
                                                || feature.at("/id").asString().contains("og")
                                        ? "90"
                                        : "17")
                                + "\"}",
                        200));
        String assignment =
                shed.lead().get("/api/attempts/" + first).at("/assignmentId").asString();
        put(
                shed.lead(),
                "/api/attempts/" + id(),
                "{\"traineeId\":\"" + trainee + "\",\"assignmentId\":\"" + assignment + "\"}",
                200);
        assertThat(shed.lead()
                        .get("/api/stock/" + shed.conduit() + "/entries")
                        .at("/all")
                        .asInt())
                .isGreaterThan(before);
    }

    @Test
    void tooFew_areToldOf_andNobodyWritesOverAnother(RunningServer.Address server) {
        Shed shed = Shed.of(server);
        String keep = """
                {"edition":%d,"material":"steel","stickIn":120,"fewestSticks":4,"shortestKeptIn":12,"price":4.5,"currency":"kr"}""";
        put(shed.lead(), "/api/stock/" + shed.conduit(), keep.formatted(0), 204);
        assertThat(shed.lead()
                        .put("/api/stock/" + shed.conduit(), keep.formatted(0))
                        .at("/errors/0/code")
                        .asString())
                .isEqualTo("changed-meanwhile");
        shed.noted("{\"what\":\"COUNTED\",\"pieces\":4}");
        assertThat(shed.rack().at("/isLow").asBoolean()).isFalse();
        shed.noted("{\"what\":\"THROWN_AWAY\",\"pieces\":1,\"note\":\"bent in the van\"}");
        assertThat(shed.rack().at("/isLow").asBoolean()).isTrue();
        assertThat(shed.lead().get("/api/stock").at("/currency").asString()).isEqualTo("kr");
        Client.Answer tooMany = shed.lead()
                .put("/api/stock/" + shed.conduit() + "/entries/" + id(), "{\"what\":\"THROWN_AWAY\",\"pieces\":9}");
        assertThat(tooMany.at("/errors/0/message").asString())
                .isEqualTo("there are 3 of this length; count them first");
        assertThat(shed.lead()
                        .put("/api/stock/" + shed.conduit() + "/entries/" + id(), "{\"what\":\"CUT\",\"pieces\":1}")
                        .status())
                .isEqualTo(400);
        shed.noted("{\"what\":\"COUNTED\",\"pieces\":7}");
        JsonNode newest =
                shed.lead().get("/api/stock/" + shed.conduit() + "/entries").at("/entries/0");
        assertThat(newest.at("/pieces").asInt())
                .as("a count notes the difference")
                .isEqualTo(4);
    }

    @Test
    void plannedSession_saysWhatItTakes(RunningServer.Address server) {
        Shed shed = Shed.of(server);
        shed.noted("{\"what\":\"COUNTED\",\"pieces\":0,\"lengthIn\":120}");
        shed.noted("{\"what\":\"DELIVERED\",\"pieces\":1}");
        shed.noted("{\"what\":\"BROUGHT_BACK\",\"pieces\":1,\"lengthIn\":40}");
        String session = id();
        put(
                shed.lead(),
                "/api/class-sessions/" + session,
                """
                {"session":{"cohortId":"%s","day":"%s","from":"08:00","until":"11:00"},"days":["%s"]}""".formatted(shed.cohort(), today.plusDays(1), today.plusDays(1)),
                204);
        shed.given();
        String entry = shed.lead().get("/api/givings").at("/0/libraryId").asString();
        put(
                shed.lead(),
                "/api/class-sessions/" + session + "/plan",
                """
                {"edition":0,"parts":[{"entryId":"%s","traineeIds":["%s","%s"]}]}""".formatted(entry, shed.trainees().get(0), shed.trainees().get(1)),
                204);

        JsonNode taken =
                shed.lead().get("/api/class-sessions/" + session + "/conduit").at("/0");

        assertThat(taken.at("/conduitLabel").asString()).isEqualTo("Three-quarter");
        assertThat(taken.at("/pieces").asInt()).isEqualTo(2);
        assertThat(taken.at("/leftOvers").asInt())
                .as("what was left of the stick that the others were cut from")
                .isEqualTo(1);
        assertThat(taken.at("/newSticks").asInt()).isEqualTo(1);
        assertThat(taken.at("/onRack").asInt()).isZero();
        assertThat(taken.at("/isEnough").asBoolean()).isFalse();
    }
}
