package lobrik.server.attempt;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.UUID;
import lobrik.server.Bench;
import lobrik.server.Client;
import lobrik.server.Client.Answer;
import lobrik.server.RunningServer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** What is written down at the bench, by one or by several, and what becomes of it. */
@ExtendWith(RunningServer.class)
class BenchRecordTest {

    /** Far beyond what it takes, as a busy machine takes many times that. */
    private static final Duration WORKED_OUT_WITHIN = Duration.ofMinutes(1);

    private Client runa;
    private Client oskar;
    private Bench bench;
    private String attempt;

    @BeforeEach
    void openAttempt(RunningServer.Address server) {
        runa = Client.signedIn(server, "runa");
        oskar = Client.signedIn(server, "oskar");
        bench = Bench.of(runa, Bench.STUB, 2);
        attempt = bench.open(0);
    }

    private static String key() {
        return UUID.randomUUID().toString();
    }

    private Answer put(Client who, String kind, String body) {
        return who.put("/api/attempts/" + attempt + "/" + kind + "/" + key(), body);
    }

    private Answer read(Client who, String feature, String text) {
        return put(who, "readings", "{\"feature\":\"" + feature + "\",\"text\":\"" + text + "\"}");
    }

    private void readAll() {
        read(runa, "mark1", "11 5/8");
        read(runa, "leg", "17 5/8");
        read(runa, "angle1", "90");
        read(runa, "otherLeg", "22");
    }

    @Test
    void twoReadingsOfOneFeature_areBothKept_andSomebodyIsAsked() {
        readAll();
        Answer both = read(oskar, "leg", "17 3/4");
        assertThat(both.status()).isEqualTo(200);
        assertThat(both.at("/features/1/state").asString()).isEqualTo("disputed");
        assertThat(both.at("/features/1/rivals").size()).isEqualTo(2);
        assertThat(both.at("/score").isNull())
                .as("nothing is judged before it is decided")
                .isTrue();
        assertThat(put(oskar, "seals", "{\"sealed\":true}").at("/errors/0/code").asString())
                .isEqualTo("not-complete");
        String runas = both.at("/features/1/rivals/0/id").asString();
        Answer decided =
                runa.put("/api/attempts/" + attempt + "/set-aside/" + runas, "{\"reason\":\"My tape was tilted\"}");
        assertThat(decided.at("/features/1/reading/typed").asString()).isEqualTo("17 3/4");
        assertThat(decided.at("/features/1/history/0/setAside").asString())
                .isEqualTo("My tape was tilted (Runa Tolvane)");
        assertThat(decided.at("/score/points").asDouble()).isEqualTo(92.5);
        String oskars = decided.at("/features/1/reading/id").asString();
        assertThat(runa.put("/api/attempts/" + attempt + "/set-aside/" + oskars, "{\"reason\":\"x\"}")
                        .at("/errors/0/code")
                        .asString())
                .isEqualTo("only-reading");
    }

    @Test
    void twoWhoReadTheSame_agree() {
        read(runa, "leg", "17 3/4");
        Answer both = read(oskar, "leg", "17.75");
        assertThat(both.at("/features/1/state").asString()).isEqualTo("read");
        assertThat(both.at("/features/1/history").size()).isEqualTo(2);
    }

    @Test
    void twoCorrectionsOfOneReading_areBothKept() {
        String old = read(runa, "leg", "17 3/4").at("/features/1/reading/id").asString();
        String correction = "{\"feature\":\"leg\",\"corrects\":\"" + old + "\",\"reason\":\"Tilted\",\"text\":\"";
        put(runa, "readings", correction + "17 5/8\"}");
        Answer both = put(oskar, "readings", correction + "17 1/2\"}");
        assertThat(both.at("/features/1/state").asString()).isEqualTo("disputed");
        assertThat(both.at("/features/1/rivals").size()).isEqualTo(2);
    }

    @Test
    void featureThatWasNotMeasured_hasAReason_andACriticalOneFailsThePiece() {
        read(runa, "leg", "17 5/8");
        read(runa, "angle1", "90");
        read(runa, "otherLeg", "22");
        assertThat(put(runa, "readings", "{\"feature\":\"mark1\",\"omitted\":\" \"}")
                        .status())
                .isEqualTo(400);
        Answer mark = put(runa, "readings", "{\"feature\":\"mark1\",\"omitted\":\"wiped off\"}");
        assertThat(mark.at("/features/0/state").asString()).isEqualTo("omitted");
        assertThat(mark.at("/features/0/reading/omitted").asString()).isEqualTo("wiped off");
        assertThat(mark.at("/score/points").asDouble()).isEqualTo(100);
        assertThat(mark.at("/score/passed").asBoolean())
                .as("a mark fails no piece")
                .isTrue();

        attempt = bench.open(1);
        read(runa, "mark1", "11 5/8");
        read(runa, "leg", "17 5/8");
        read(runa, "otherLeg", "22");
        Answer angle = put(runa, "readings", "{\"feature\":\"angle1\",\"omitted\":\"no level at hand\"}");
        assertThat(angle.at("/score/points").asDouble()).isEqualTo(100);
        assertThat(angle.at("/score/passed").asBoolean()).isFalse();
        assertThat(angle.at("/score/criticalOmitted/0").asString()).isEqualTo("angle1");
        Answer later = read(oskar, "angle1", "90");
        assertThat(later.at("/score/passed").asBoolean())
                .as("whoever measured it knows more than whoever did not")
                .isTrue();
    }

    /** Spoilt before anything could be measured: it is over all the same, and nobody waits for it. */
    @Test
    void everyFeatureOmitted_endsThePiece() {
        for (String feature : List.of("mark1", "leg", "angle1", "otherLeg")) {
            put(runa, "readings", "{\"feature\":\"" + feature + "\",\"omitted\":\"sawn in two\"}");
        }
        Answer ended = runa.get("/api/attempts/" + attempt);
        assertThat(ended.at("/score/points").asDouble()).isZero();
        assertThat(ended.at("/score/passed").asBoolean()).isFalse();
        assertThat(runa.get("/api/floor/" + bench.cohort())
                        .at("/benches/0/state")
                        .asString())
                .isEqualTo("done");
        assertThat(put(runa, "seals", "{\"sealed\":true}").status()).isEqualTo(200);
        assertThat(runa.get("/api/attempts/" + attempt + "/judgement").status()).isEqualTo(200);
        String trainee = runa.get("/api/floor/" + bench.cohort())
                .at("/benches/0/traineeId")
                .asString();
        assertThat(runa.get("/api/trainees/" + trainee + "/progress").body().toString())
                .as("what nobody measured says nothing of anybody's hands")
                .doesNotContain(attempt);
    }

    private String progress() {
        String trainee = bench.floor().at("/benches/0/traineeId").asString();
        return runa.get("/api/trainees/" + trainee + "/progress").body().toString();
    }

    /** What is worked out from a record does not undo it, holds nobody up, and is had as soon as it can be. */
    @Test
    void readingThatWasTaken_stays_whenWhatFollowsFromItCannotBeWorkedOut_andThatIsTriedAgain(
            RunningServer.Address server) {
        FollowUps followUps = server.context().getBean(FollowUps.class);
        FailingFollower.FAILS_AT.add(UUID.fromString(attempt));
        try {
            readAll();
            assertThat(runa.get("/api/attempts/" + attempt).at("/score").isNull())
                    .isFalse();
            assertThat(progress()).doesNotContain(attempt);
            followUps.tryAgain();
            assertThat(progress()).as("it still fails").doesNotContain(attempt);
        } finally {
            FailingFollower.FAILS_AT.clear();
        }
        followUps.tryAgain();
        assertThat(progress()).contains(attempt);
    }

    /** Nobody asks, nobody writes: it is had all the same, as soon as the database is there again. */
    @Test
    void whatFollows_isWorkedOut_afterTheDatabaseWasAway(RunningServer.Address server) throws Exception {
        FailingFollower.AWAY_AT.add(UUID.fromString(attempt));
        readAll();
        Instant until = Instant.now().plus(WORKED_OUT_WITHIN);
        long outcomes = 0;
        while (outcomes == 0 && Instant.now().isBefore(until)) {
            outcomes = outcomes(server);
            Thread.sleep(100);
        }
        assertThat(FailingFollower.AWAY_AT).isEmpty();
        assertThat(outcomes).isEqualTo(1);
    }

    private long outcomes(RunningServer.Address server) throws SQLException {
        try (Connection connection = DriverManager.getConnection(
                        server.databaseUrl() + "?options=-c%20lobrik.school=*",
                        "lobrik_app",
                        server.databasePassword());
                Statement statement = connection.createStatement();
                ResultSet rows =
                        statement.executeQuery("select count(*) from outcome where attempt_id = '" + attempt + "'")) {
            rows.next();
            return rows.getLong(1);
        }
    }

    /** Whoever asks after a reading is never told of a record of before it. */
    @Test
    void whatFollowsFromAReading_isThere_whenItIsAskedFor() {
        readAll();
        assertThat(progress()).contains(attempt).contains("\"points\":");
        read(oskar, "leg", "17 3/4");
        assertThat(progress())
                .as("two readings that somebody has to decide between")
                .doesNotContain(attempt);
    }

    @Test
    void readingSays_whoTookItWhenAndWithWhat() {
        String at = Instant.now().truncatedTo(ChronoUnit.MILLIS).toString();
        Answer answer = put(
                runa,
                "readings",
                "{\"feature\":\"angle1\",\"text\":\"90.05\",\"takenWith\":\"gauge\",\"instrument\":\"Angle gauge 1\","
                        + "\"takenAt\":\"" + at + "\"}");
        assertThat(answer.at("/features/2/reading/takenBy").asString()).isEqualTo("Runa Tolvane");
        assertThat(answer.at("/features/2/reading/takenWith").asString()).isEqualTo("gauge");
        assertThat(answer.at("/features/2/reading/instrument").asString()).isEqualTo("Angle gauge 1");
        assertThat(answer.at("/features/2/reading/takenAt").asString()).isEqualTo(at);
        assertThat(Instant.parse(answer.at("/features/2/reading/receivedAt").asString()))
                .isAfter(Instant.now().minus(Duration.ofMinutes(1)));
        Answer fromTheFuture =
                put(runa, "readings", "{\"feature\":\"leg\",\"text\":\"17\",\"takenAt\":\"2999-01-01T00:00:00Z\"}");
        assertThat(Instant.parse(fromTheFuture.at("/features/1/reading/takenAt").asString()))
                .as("a clock that is ahead is not believed")
                .isBefore(Instant.now().plus(Duration.ofMinutes(1)));
    }

    @Test
    void asAsked_isTheTargetExactly() {
        Answer answer = put(runa, "readings", "{\"feature\":\"otherLeg\",\"asAsked\":true}");
        assertThat(answer.at("/features/3/deviation").asDouble()).isZero();
        assertThat(answer.at("/features/3/reading/takenWith").asString()).isEqualTo("asAsked");
    }

    @Test
    void dogLeg_mayBeAGapOverASpan(RunningServer.Address server) {
        Bench saddles = Bench.of(runa, Bench.SADDLE_4, 1);
        attempt = saddles.open(0);
        Answer answer = read(runa, "dogLeg", "1/2 over 24");
        assertThat(answer.at("/features")
                        .valueStream()
                        .filter(feature -> feature.at("/id").asString().equals("dogLeg"))
                        .findFirst()
                        .orElseThrow()
                        .at("/reading/value")
                        .asDouble())
                .isBetween(1.193, 1.195);
    }

    @Test
    void shortList_asksForTheFinishedSizesOnly() {
        attempt = Bench.of(runa, Bench.SADDLE_4, 1, "\"readings\":\"short\",").open(0);
        Answer answer = runa.get("/api/attempts/" + attempt);
        assertThat(answer.at("/features")
                        .valueStream()
                        .map(feature -> feature.at("/id").asString()))
                .containsExactly("height", "flat", "landing", "tailLift", "dogLeg", "overall");
        assertThat(read(runa, "mark1", "12").status()).isEqualTo(400);
    }

    @Test
    void findings_costPoints_andACriticalOneFailsThePiece() {
        readAll();
        Answer ripple = put(
                runa,
                "facts",
                "{\"fact\":{\"kind\":\"finding\",\"point\":\"ripple\",\"result\":\"fault\",\"note\":\"inside\"}}");
        assertThat(ripple.at("/score/points").asDouble()).isEqualTo(95);
        assertThat(ripple.at("/score/passed").asBoolean()).isTrue();
        Answer kink = put(runa, "facts", "{\"fact\":{\"kind\":\"finding\",\"point\":\"kink\",\"result\":\"fault\"}}");
        assertThat(kink.at("/score/points").asDouble()).isEqualTo(75);
        assertThat(kink.at("/score/passed").asBoolean()).isFalse();
        String id = kink.at("/bench/points/3/finding/id").asString();
        Answer noKink = put(
                runa,
                "facts",
                "{\"fact\":{\"kind\":\"finding\",\"point\":\"kink\",\"result\":\"good\"},\"corrects\":\"" + id + "\"}");
        assertThat(noKink.at("/score/passed").asBoolean()).isTrue();
        Answer rival = put(oskar, "facts", "{\"fact\":{\"kind\":\"finding\",\"point\":\"kink\",\"result\":\"fault\"}}");
        assertThat(rival.at("/bench/points/3/rivals").size()).isEqualTo(2);
        assertThat(rival.at("/score").isNull()).isTrue();
        assertThat(put(runa, "facts", "{\"fact\":{\"kind\":\"finding\",\"point\":\"colour\",\"result\":\"good\"}}")
                        .status())
                .isEqualTo(400);
    }

    @Test
    void rebendingWasteTimeAndNotes_areWrittenDown_andCanBeTakenBack() {
        Answer eased = put(runa, "facts", "{\"fact\":{\"kind\":\"rework\",\"bend\":1,\"change\":\"eased\"}}");
        put(runa, "facts", "{\"fact\":{\"kind\":\"rework\",\"bend\":1,\"change\":\"added\"}}");
        put(runa, "facts", "{\"fact\":{\"kind\":\"waste\",\"text\":\"250\"},\"bare\":\"mm\"}");
        put(runa, "facts", "{\"fact\":{\"kind\":\"time\",\"minutes\":17}}");
        Answer all = put(runa, "facts", "{\"fact\":{\"kind\":\"note\",\"text\":\"Bent on the left foot\"}}");
        assertThat(all.at("/bench/rework").size()).isEqualTo(2);
        assertThat(all.at("/bench/waste/lengthIn").asDouble()).isBetween(9.842, 9.843);
        assertThat(all.at("/bench/minutes").asInt()).isEqualTo(17);
        assertThat(all.at("/bench/notes/0/text").asString()).isEqualTo("Bent on the left foot");
        String id = eased.at("/bench/rework/0/id").asString();
        Answer back = runa.put("/api/attempts/" + attempt + "/set-aside/" + id, "{\"reason\":\"pressed by mistake\"}");
        assertThat(back.at("/bench/rework").size()).isEqualTo(1);
        for (String bad : List.of(
                "{\"kind\":\"rework\",\"bend\":3,\"change\":\"eased\"}",
                "{\"kind\":\"waste\",\"text\":\"9/0\"}",
                "{\"kind\":\"time\",\"minutes\":0}",
                "{\"kind\":\"note\",\"text\":\" \"}",
                "{\"kind\":\"figures\",\"marks\":[{\"mark\":7,\"text\":\"3\"}]}",
                "{\"kind\":\"story\"}")) {
            assertThat(put(runa, "facts", "{\"fact\":" + bad + "}").status())
                    .as(bad)
                    .isEqualTo(400);
        }
    }

    @Test
    void verifiedAttempt_isLocked_andOpenedAgainOnlyWithAReason() {
        assertThat(put(runa, "seals", "{\"sealed\":true}").status()).isEqualTo(409);
        readAll();
        Answer sealed = put(runa, "seals", "{\"sealed\":true}");
        assertThat(sealed.at("/bench/seal/setBy").asString()).isEqualTo("Runa Tolvane");
        assertThat(read(oskar, "leg", "17").at("/errors/0/code").asString()).isEqualTo("sealed");
        assertThat(put(oskar, "facts", "{\"fact\":{\"kind\":\"note\",\"text\":\"x\"}}")
                        .status())
                .isEqualTo(409);
        assertThat(put(oskar, "seals", "{\"sealed\":false}").status()).isEqualTo(400);
        Answer open = put(oskar, "seals", "{\"sealed\":false,\"reason\":\"Runa read the wrong piece\"}");
        assertThat(open.at("/bench/seal/reason").asString()).isEqualTo("Runa read the wrong piece");
        assertThat(read(oskar, "leg", "17").status()).isEqualTo(200);
    }
}
