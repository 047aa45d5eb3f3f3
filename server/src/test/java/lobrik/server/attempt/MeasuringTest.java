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
import lobrik.server.Client;
import lobrik.server.Client.Answer;
import lobrik.server.RunningServer;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** From a set exercise to a judged piece, over HTTP and in the real database. */
class MeasuringTest extends ClassOfTwo {

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
        try (Connection connection = DriverManager.getConnection(
                        server.databaseUrl() + "?options=-c%20lobrik.school=*",
                        "lobrik_app",
                        server.databasePassword());
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
}
