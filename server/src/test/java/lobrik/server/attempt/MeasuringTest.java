package lobrik.server.attempt;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import lobrik.server.Client;
import lobrik.server.Client.Answer;
import lobrik.server.RunningServer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** From a set exercise to a judged piece, over HTTP and in the real database. */
@ExtendWith(RunningServer.class)
class MeasuringTest {

    private static final String DEFINITION = """
            {"method":"chart","tapeDivisionIn":0.0625,"conduit":{"outsideDiameterIn":0.922},
             "bender":{"takeUpIn":6,"radiusIn":5.125},
             "bend":{"kind":"stub90","legIn":17.625,"otherLegIn":22,"placement":"arrow"}}""";

    private Client runa;
    private Client dessa;
    private String cohort;
    private List<String> trainees;

    /** A cohort of its own for every test, taught by Runa. */
    @BeforeEach
    void startCohort(RunningServer.Address server) {
        runa = Client.signedIn(server, "runa");
        dessa = Client.signedIn(server, "dessa");
        cohort = UUID.randomUUID().toString();
        Answer started = runa.put(
                "/api/cohorts/" + cohort,
                "{\"name\":\"Cohort " + cohort + "\",\"trainees\":[\"Ada Finch\",\"Bo Rill\"]}");
        assertThat(started.status()).isEqualTo(200);
        trainees = started.at("/trainees")
                .valueStream()
                .map(t -> t.at("/id").asString())
                .toList();
    }

    private static String exercise(String definition, String giveTo) {
        return """
                {"exercise":{"title":"Up from the box","conduitLabel":"3/4 EMT","benderLabel":"Bender 4","definition":%s,
                 "tolerances":{"preset":"site","lengthIn":0.125,"angleDeg":2,"dogLegDeg":2,"passMark":70}},
                 "giveTo":%s}""".formatted(definition, giveTo);
    }

    private Answer give(Client who, String giveTo) {
        return who.put("/api/givings/" + UUID.randomUUID(), exercise(DEFINITION, giveTo));
    }

    private String openAttempt(String trainee) {
        Answer opened = runa.put("/api/attempts/" + UUID.randomUUID(), "{\"traineeId\":\"" + trainee + "\"}");
        assertThat(opened.status()).as(opened.body().toString()).isEqualTo(200);
        return opened.at("/id").asString();
    }

    private Answer read(String attempt, String feature, String text) {
        return read(attempt, UUID.randomUUID().toString(), feature, text);
    }

    private Answer read(String attempt, String key, String feature, String text) {
        return runa.put(
                "/api/attempts/" + attempt + "/readings/" + key,
                "{\"feature\":\"" + feature + "\",\"text\":\"" + text + "\"}");
    }

    /** A piece of many readings; its tail lies below the datum leg's line, which only this feature may say. */
    @Test
    void saddle_isMeasuredReadingByReading_andItsShapeIsFound() {
        String saddle = """
                {"method":"exact","tapeDivisionIn":0.0625,"conduit":{"outsideDiameterIn":0.922},
                 "bender":{"takeUpIn":6,"radiusIn":5.125},
                 "bend":{"kind":"saddle3","heightIn":2.375,"clearanceIn":1,"centreIn":30,"overallIn":64}}""";
        assertThat(runa.put(
                                "/api/givings/" + UUID.randomUUID(),
                                exercise(saddle, "{\"traineeIds\":[\"" + trainees.getFirst() + "\"]}"))
                        .status())
                .isEqualTo(200);
        String attempt = openAttempt(trainees.getFirst());
        String[][] readings = {
            {"mark1", "22 1/4"}, {"mark2", "30 5/8"}, {"mark3", "39"}, {"height", "3 3/8"}, {"centre", "30"},
            {"angle1", "22 1/2"}, {"angle2", "46"}, {"angle3", "22 1/2"}, {"dogLeg", "1"}, {"overall", "64"}
        };
        for (String[] reading : readings) {
            assertThat(read(attempt, reading[0], reading[1]).status())
                    .as(reading[0])
                    .isEqualTo(200);
        }
        assertThat(read(attempt, "height", "−1").status()).isEqualTo(400);
        Answer last = read(attempt, "tailLift", "−7/8");
        assertThat(last.at("/features/8/deviation").asDouble()).isEqualTo(-0.875);
        assertThat(last.at("/features/8/band").asString()).isEqualTo("outside");
        assertThat(last.at("/score/passed").asBoolean()).isFalse();
        JsonNode end =
                last.at("/made/centreline").get(last.at("/made/centreline").size() - 1);
        assertThat(end.get(1).asDouble())
                .as("the tail is drawn where it was read")
                .isCloseTo(-0.875, within(0.1));
    }

    private String givenAndOpened() {
        assertThat(give(runa, "{\"cohortId\":\"" + cohort + "\"}").at("/sheets").size())
                .isEqualTo(2);
        return openAttempt(trainees.getFirst());
    }

    private String giveAda(String title) {
        return runa.put(
                        "/api/givings/" + UUID.randomUUID(),
                        exercise(DEFINITION, "{\"traineeIds\":[\"" + trainees.getFirst() + "\"]}")
                                .replace("Up from the box", title))
                .at("/sheets/0/code")
                .asString();
    }

    private static List<String> inHand(Answer floor) {
        JsonNode ada = floor.at("/benches/0");
        return Stream.concat(Stream.of(ada), ada.at("/others").valueStream())
                .map(each -> each.at("/exerciseTitle").asString() + " "
                        + each.at("/state").asString())
                .toList();
    }

    @Test
    void whatIsGivenBeforeTheFirstIsMeasured_isAllKept_inItsOrder(RunningServer.Address server) {
        String first = giveAda("First");
        String second = giveAda("Second");
        giveAda("Third");
        assertThat(inHand(runa.get("/api/floor/" + cohort)))
                .containsExactly("First notStarted", "Second notStarted", "Third notStarted");
        assertThat(runa.get("/api/cohorts/" + cohort + "/kit").body().size()).isEqualTo(3);
        Client phone = new Client(server);
        phone.get("/api/status");
        assertThat(phone.get("/api/benches/" + first)
                        .at("/others")
                        .valueStream()
                        .map(other -> other.at("/title").asString())
                        .toList())
                .containsExactly("Second", "Third");
        // The phone begins the second: whoever is called to the bench measures that.
        phone.put("/api/benches/" + second + "/steps/" + UUID.randomUUID(), "{\"step\":\"called\"}");
        assertThat(inHand(runa.get("/api/floor/" + cohort)))
                .containsExactly("Second called", "First notStarted", "Third notStarted");
        String attempt = openAttempt(trainees.getFirst());
        assertThat(runa.get("/api/attempts/" + attempt).at("/exercise/title").asString())
                .isEqualTo("Second");
        for (String feature : List.of("mark1 11 5/8", "leg 17 5/8", "angle1 90", "otherLeg 22")) {
            read(attempt, feature.split(" ", 2)[0], feature.split(" ", 2)[1]);
        }
        Answer left = runa.get("/api/floor/" + cohort);
        assertThat(inHand(left)).containsExactly("First notStarted", "Third notStarted");
        String measured =
                runa.get("/api/attempts/" + attempt).at("/assignmentId").asString();
        assertThat(runa.put(
                                "/api/attempts/" + UUID.randomUUID(),
                                "{\"traineeId\":\"" + trainees.getFirst() + "\",\"assignmentId\":\"" + measured + "\"}")
                        .at("/exercise/title")
                        .asString())
                .as("another try is of the same, whatever else is in hand")
                .isEqualTo("Second");
        assertThat(runa.delete("/api/assignments/" + measured).status())
                .as("nothing of the new try is measured")
                .isEqualTo(204);

        String assignment = left.at("/benches/0/assignmentId").asString();
        assertThat(runa.delete("/api/assignments/" + assignment).status()).isEqualTo(204);
        assertThat(runa.delete("/api/assignments/" + assignment).status())
                .as("once more changes nothing")
                .isEqualTo(204);
        assertThat(inHand(runa.get("/api/floor/" + cohort))).containsExactly("Third notStarted");
        phone.put("/api/benches/" + first + "/steps/" + UUID.randomUUID(), "{\"step\":\"bending\"}");
        assertThat(inHand(runa.get("/api/floor/" + cohort)))
                .as("whoever goes on with it has it in hand again")
                .containsExactly("First bending", "Third notStarted");
    }

    @Test
    void wall_tellsWhatTheLeadChooses(RunningServer.Address server) {
        Client oskar = Client.signedIn(server, "oskar");
        assertThat(runa.get("/api/floor/" + cohort).at("/wall/scores").asBoolean())
                .isTrue();
        String without = "{\"scores\":false,\"initials\":true}";
        assertThat(runa.put("/api/wall", without).status()).isEqualTo(403);
        assertThat(oskar.put("/api/wall", "{\"scores\":false}")
                        .at("/errors/0/pointer")
                        .asString())
                .isEqualTo("/initials");
        assertThat(oskar.put("/api/wall", without).at("/initials").asBoolean()).isTrue();
        Answer floor = runa.get("/api/floor/" + cohort);
        assertThat(floor.at("/wall/scores").asBoolean()).isFalse();
        assertThat(floor.at("/wall/initials").asBoolean()).isTrue();
        oskar.put("/api/wall", "{\"scores\":true,\"initials\":false}");
    }

    @Test
    void whatIsPartlyMeasured_staysInHand_andStrangersTakeNothingOff() {
        giveAda("First");
        String attempt = openAttempt(trainees.getFirst());
        read(attempt, "mark1", "11 5/8");
        String path = "/api/assignments/"
                + runa.get("/api/floor/" + cohort).at("/benches/0/assignmentId").asString();
        Answer refused = runa.delete(path);
        assertThat(refused.status()).isEqualTo(409);
        assertThat(refused.at("/errors/0/message").asString()).startsWith("Ada Finch has readings of it already");
        assertThat(dessa.delete(path).status()).isEqualTo(404);
        assertThat(runa.delete("/api/assignments/" + UUID.randomUUID()).status())
                .isEqualTo(404);
    }

    @Test
    void piece_isMeasuredReadingByReading_andJudgedWithTheLast() {
        String attempt = givenAndOpened();
        Answer first = read(attempt, "mark1", "11 5/8");
        assertThat(first.at("/features/0/deviation").asDouble()).isZero();
        assertThat(first.at("/score").isNull()).isTrue();
        Answer leg = read(attempt, "leg", "17 3/4");
        assertThat(leg.at("/features/1/deviation").asDouble()).isEqualTo(0.125);
        assertThat(leg.at("/features/1/band").asString()).isEqualTo("within");
        assertThat(leg.at("/plan").isMissingNode())
                .as("what stays as it was is not said again")
                .isTrue();
        assertThat(leg.at("/made/centreline").size())
                .isEqualTo(runa.get("/api/attempts/" + attempt)
                        .at("/plan/shape/centreline")
                        .size());
        read(attempt, "angle1", "91");
        Answer last = read(attempt, "otherLeg", "21 7/8");
        // credits 1, 0.7, 1, 0.7
        assertThat(last.at("/score/points").asDouble()).isEqualTo(85);
        assertThat(last.at("/score/passed").asBoolean()).isTrue();

        Answer progress = runa.get("/api/trainees/" + trainees.getFirst() + "/progress");
        assertThat(progress.at("/pieces").asInt()).isEqualTo(1);
        assertThat(progress.at("/families/0/history/0/points").asDouble()).isEqualTo(85);
        assertThat(progress.at("/families/0/features/1/bias").asDouble()).isEqualTo(0.125);
        Answer floor = runa.get("/api/floor/" + cohort);
        assertThat(floor.at("/benches/0/state").asString()).isEqualTo("done");
        assertThat(floor.at("/benches/1/state").asString()).isEqualTo("notStarted");
        assertThat(runa.get("/api/cohorts/" + cohort + "/matrix")
                        .at("/rows/0/cells/0/recent/0/passed")
                        .asBoolean())
                .isTrue();
    }

    @Test
    void readingSentTwice_isThereOnce() {
        String attempt = givenAndOpened();
        String key = UUID.randomUUID().toString();
        for (int i = 0; i < 3; i++) {
            Answer answer = read(attempt, key, "leg", "17 3/4");
            assertThat(answer.status()).isEqualTo(200);
            assertThat(answer.at("/features/1/history").size()).isEqualTo(1);
        }
        assertThat(read(attempt, key, "leg", "18").at("/errors/0/code").asString())
                .isEqualTo("key-used");
    }

    @Test
    void readingSentManyTimesAtOnce_isThereOnce() throws Exception {
        String attempt = givenAndOpened();
        String key = UUID.randomUUID().toString();
        try (ExecutorService senders = Executors.newFixedThreadPool(8)) {
            List<Future<Answer>> answers = IntStream.range(0, 24)
                    .mapToObj(i -> senders.submit(() -> read(attempt, key, "leg", "17 3/4")))
                    .toList();
            for (Future<Answer> answer : answers) {
                assertThat(answer.get().status()).isEqualTo(200);
            }
        }
        assertThat(runa.get("/api/attempts/" + attempt)
                        .at("/features/1/history")
                        .size())
                .isEqualTo(1);
    }

    @Test
    void correction_isANewRow_andTheOldOneStays() {
        String attempt = givenAndOpened();
        String old = read(attempt, "leg", "17 3/4").at("/features/1/reading/id").asString();
        String correction = "{\"feature\":\"leg\",\"text\":\"17 5/8\",\"corrects\":\"" + old + "\"";
        assertThat(runa.put("/api/attempts/" + attempt + "/readings/" + UUID.randomUUID(), correction + "}")
                        .status())
                .isEqualTo(400);
        Answer corrected = runa.put(
                "/api/attempts/" + attempt + "/readings/" + UUID.randomUUID(),
                correction + ",\"reason\":\"Tape was tilted\"}");
        assertThat(corrected.at("/features/1/reading/typed").asString()).isEqualTo("17 5/8");
        assertThat(corrected.at("/features/1/deviation").asDouble()).isZero();
        assertThat(corrected.at("/features/1/history/0/typed").asString()).isEqualTo("17 3/4");
        assertThat(corrected.at("/features/1/history/1/reason").asString()).isEqualTo("Tape was tilted");
        assertThat(corrected.at("/features/1/history/1/takenBy").asString()).isEqualTo("Runa Tolvane");
    }

    @Test
    void readings_cannotBeChangedOrTakenBack_evenByTheApplication(RunningServer.Address server) throws SQLException {
        try (Connection connection =
                        DriverManager.getConnection(server.databaseUrl(), "lobrik_app", server.databasePassword());
                var statement = connection.createStatement()) {
            for (String sql : List.of(
                    "update reading set value = 0",
                    "delete from reading",
                    "delete from attempt",
                    "drop table reading")) {
                assertThatThrownBy(() -> statement.execute(sql))
                        .isInstanceOf(SQLException.class)
                        .hasMessageMatching("(?s).*(permission denied|must be owner).*");
            }
        }
    }

    @Test
    void openAttempt_isGoneOnWith_untilItIsComplete() {
        String attempt = givenAndOpened();
        read(attempt, "leg", "17 3/4");
        assertThat(openAttempt(trainees.getFirst())).isEqualTo(attempt);
        read(attempt, "mark1", "11 5/8");
        read(attempt, "angle1", "90");
        read(attempt, "otherLeg", "22");
        assertThat(openAttempt(trainees.getFirst())).isNotEqualTo(attempt);
    }

    @Test
    void badReadings_areRefusedWithTheReason() {
        String attempt = givenAndOpened();
        for (String text : List.of("9/0", "abc", "", "-3", "9".repeat(400), "41 ft", "17 9/8", "\\u0000")) {
            Answer answer = read(attempt, "leg", text);
            assertThat(answer.status()).as(text).isEqualTo(400);
            assertThat(answer.at("/errors/0/pointer").asString()).as(text).isEqualTo("/text");
        }
        assertThat(read(attempt, "colour", "1").status()).isEqualTo(400);
        assertThat(runa.put("/api/attempts/" + attempt + "/readings/" + UUID.randomUUID(), "{}")
                        .status())
                .isEqualTo(400);
        assertThat(runa.put("/api/attempts/" + attempt + "/readings/abc", "{}").status())
                .isEqualTo(400);
        assertThat(runa.get("/api/attempts/" + attempt)
                        .at("/features/1/history")
                        .size())
                .isZero();
    }

    @Test
    void anotherInstructorsTrainee_isAsIfThereWereNone() {
        String attempt = givenAndOpened();
        String trainee = trainees.getFirst();
        assertThat(give(dessa, "{\"traineeIds\":[\"" + trainee + "\"]}").status())
                .isEqualTo(404);
        assertThat(give(dessa, "{\"cohortId\":\"" + cohort + "\"}").status()).isEqualTo(404);
        assertThat(dessa.get("/api/floor/" + cohort).status()).isEqualTo(404);
        assertThat(dessa.get("/api/trainees/" + trainee + "/progress").status()).isEqualTo(404);
        assertThat(dessa.get("/api/cohorts/" + cohort + "/matrix").status()).isEqualTo(404);
        assertThat(dessa.get("/api/attempts/" + attempt).status()).isEqualTo(404);
        assertThat(dessa.put("/api/attempts/" + UUID.randomUUID(), "{\"traineeId\":\"" + trainee + "\"}")
                        .status())
                .isEqualTo(404);
        assertThat(dessa.put(
                                "/api/attempts/" + attempt + "/readings/" + UUID.randomUUID(),
                                "{\"feature\":\"leg\",\"text\":\"17\"}")
                        .status())
                .isEqualTo(404);
        assertThat(dessa.put("/api/cohorts/" + cohort, "{\"name\":\"Mine\",\"trainees\":[\"X\"]}")
                        .status())
                .isEqualTo(404);
    }

    @Test
    void lead_seesEveryCohort(RunningServer.Address server) {
        Client oskar = Client.signedIn(server, "oskar");
        assertThat(oskar.get("/api/floor/" + cohort).status()).isEqualTo(200);
        assertThat(oskar.get("/api/cohorts").body().size()).isGreaterThan(2);
    }

    @Test
    void exerciseGivenTwice_isGivenOnce_andABadOneIsNotGiven() {
        String path = "/api/givings/" + UUID.randomUUID();
        String giveTo = "{\"traineeIds\":[\"" + trainees.getFirst() + "\"]}";
        assertThat(runa.put(path, exercise(DEFINITION, giveTo)).at("/sheets").size())
                .isEqualTo(1);
        assertThat(runa.put(path, exercise(DEFINITION, giveTo)).at("/sheets").size())
                .isEqualTo(1);
        assertThat(give(runa, "{}").status()).isEqualTo(400);
        String tooShort = DEFINITION.replace("17.625", "3");
        assertThat(runa.put("/api/givings/" + UUID.randomUUID(), exercise(tooShort, giveTo))
                        .status())
                .isEqualTo(422);
        String noLeg = DEFINITION.replace("17.625", "0");
        assertThat(runa.put("/api/givings/" + UUID.randomUUID(), exercise(noLeg, giveTo))
                        .status())
                .isEqualTo(400);
        String endless = exercise(DEFINITION, giveTo).replace("0.125", "1e999");
        assertThat(runa.put("/api/givings/" + UUID.randomUUID(), endless).status())
                .isEqualTo(400);
        assertThat(runa.put("/api/givings/" + UUID.randomUUID(), "{}").status()).isEqualTo(400);
        assertThat(runa.put("/api/attempts/" + UUID.randomUUID(), "{\"traineeId\":\"" + trainees.get(1) + "\"}")
                        .at("/errors/0/code")
                        .asString())
                .isEqualTo("nothing-given");
    }
}
