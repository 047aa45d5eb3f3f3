package lobrik.server.giving;

import static lobrik.server.exercise.SampleExercises.bend;
import static lobrik.server.exercise.SampleExercises.definition;
import static lobrik.server.exercise.SampleExercises.exercise;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import lobrik.server.Bench;
import lobrik.server.Client;
import lobrik.server.Client.Answer;
import lobrik.server.RunningServer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** Giving out: to whom, as what variant, until when and how often. */
@ExtendWith(RunningServer.class)
class GivingTest {

    private Client runa;
    private String cohort;
    private List<String> trainees;

    @BeforeEach
    void startCohort(RunningServer.Address server) {
        runa = Client.signedIn(server, "runa");
        cohort = id();
        Answer started = runa.put(
                "/api/cohorts/" + cohort,
                "{\"name\":\"Giving " + cohort + "\",\"trainees\":[\"Ada\",\"Bo\",\"Cy\",\"Di\",\"Ed\",\"Flo\"]}");
        trainees = started.at("/trainees")
                .valueStream()
                .map(t -> t.at("/id").asString())
                .toList();
    }

    private static String id() {
        return UUID.randomUUID().toString();
    }

    private static String varied(String kind, String input, double from, double to) {
        return exercise(
                "Variants",
                definition("chart", bend(kind)),
                ",\"variation\":{\"seed\":5,\"ranges\":[{\"input\":\"" + input + "\",\"from\":" + from + ",\"to\":" + to
                        + ",\"step\":0.125}]}");
    }

    private static String giving(String exercise, String giveTo, String more) {
        return "{\"exercise\":" + exercise + ",\"giveTo\":" + giveTo + more + "}";
    }

    private String toAll() {
        return "{\"cohortId\":\"" + cohort + "\"}";
    }

    private String sizeOf(String trainee, String input) {
        Answer attempt = runa.put("/api/attempts/" + id(), "{\"traineeId\":\"" + trainee + "\"}");
        return attempt.at("/exercise/definition/bend/" + input).asString();
    }

    @ParameterizedTest
    @CsvSource({
        "stub90, legIn, 14, 20", "backToBack90, betweenIn, 28, 36", "boxOffset, overallIn, 36, 44",
        "offset, distanceIn, 30, 40", "rollingOffset, distanceIn, 30, 40", "kick, distanceIn, 38, 48",
        "saddle3, centreIn, 30, 38", "saddle4, distanceIn, 34, 42"
    })
    void variants_areWhatThePreviewShowed_oneForEach(String kind, String input, double from, double to) {
        String exercise = varied(kind, input, from, to);
        Answer preview = runa.post(
                "/api/givings/preview",
                "{\"definition\":" + definition("chart", bend(kind)) + ",\"variation\":"
                        + "{\"seed\":5,\"ranges\":[{\"input\":\"" + input + "\",\"from\":" + from + ",\"to\":" + to
                        + ",\"step\":0.125}]},\"giveTo\":" + toAll() + "}");
        assertThat(preview.status()).as(preview.body().toString()).isEqualTo(200);
        Answer given = runa.put("/api/givings/" + id(), giving(exercise, toAll(), ",\"varied\":true"));
        assertThat(given.status()).as(given.body().toString()).isEqualTo(200);
        List<String> shown = preview.at("/dealt")
                .valueStream()
                .map(each -> each.at("/bend/" + input).asString())
                .toList();
        assertThat(shown).hasSize(6).doesNotHaveDuplicates();
        assertThat(trainees.stream().map(trainee -> sizeOf(trainee, input))).isEqualTo(shown);
    }

    @Test
    void conduitPlan_cutsEverybodysPiece() {
        Answer preview = runa.post(
                "/api/givings/preview",
                "{\"definition\":" + definition("chart", bend("stub90")) + ",\"giveTo\":" + toAll() + "}");
        // 17 5/8 + 22 less a gain of 3 1/8 is 36 1/2: three from a stick.
        assertThat(preview.at("/conduit/sticks").size()).isEqualTo(2);
        assertThat(preview.at("/conduit/sticks/0/cuts").size()).isEqualTo(3);
        assertThat(preview.at("/conduit/usedIn").asDouble()).isEqualTo(6 * 36.5);
        Answer tooLong = runa.post(
                "/api/givings/preview",
                "{\"definition\":" + definition("chart", bend("stub90")) + ",\"stickIn\":30,\"giveTo\":" + toAll()
                        + "}");
        assertThat(tooLong.status()).isEqualTo(422);
        assertThat(tooLong.at("/detail").asString()).contains("cannot be cut from a stick");
    }

    /** Whoever was given the wrong one is on the one before again; once something is measured, it stays. */
    @Test
    void givingIsTakenBack_asLongAsNothingWasMeasured(RunningServer.Address server) {
        String toFirst = "{\"traineeIds\":[\"" + trainees.getFirst() + "\"]}";
        String right = id();
        String first = runa.put("/api/givings/" + right, plain("stub90", toFirst))
                .at("/sheets/0/assignmentId")
                .asString();
        String wrong = id();
        Answer given = runa.put("/api/givings/" + wrong, plain("kick", toFirst));
        assertThat(runa.get("/api/floor/" + cohort)
                        .at("/benches/0/others/0/assignmentId")
                        .asString())
                .isEqualTo(given.at("/sheets/0/assignmentId").asString());
        Answer left = runa.delete("/api/givings/" + wrong);
        assertThat(left.status()).as(left.body().toString()).isEqualTo(200);
        assertThat(left.body().toString()).doesNotContain(wrong);
        assertThat(runa.get("/api/floor/" + cohort)
                        .at("/benches/0/assignmentId")
                        .asString())
                .isEqualTo(first);
        assertThat(runa.get("/api/floor/" + cohort).at("/benches/0/others").size())
                .isZero();
        Client phone = new Client(server);
        phone.get("/api/status");
        assertThat(phone.get("/api/benches/" + given.at("/sheets/0/code").asString())
                        .at("/errors/0/code")
                        .asString())
                .isEqualTo("taken-back");
        assertThat(runa.delete("/api/givings/" + wrong).status()).as("again").isEqualTo(200);
        assertThat(Client.signedIn(server, "dessa")
                        .delete("/api/givings/" + wrong)
                        .status())
                .isEqualTo(404);
        String attempt = runa.put("/api/attempts/" + id(), "{\"traineeId\":\"" + trainees.getFirst() + "\"}")
                .at("/id")
                .asString();
        runa.put("/api/attempts/" + attempt + "/readings/" + id(), "{\"feature\":\"leg\",\"text\":\"17\"}");
        Answer tooLate = runa.delete("/api/givings/" + right);
        assertThat(tooLate.at("/errors/0/code").asString()).isEqualTo("measured-already");
        assertThat(tooLate.at("/errors/0/message").asString()).contains("Ada has readings");
    }

    @Test
    void whoTakesBackWhatOtherCohortsHaveToo_hearsNoNameOfTheirs(RunningServer.Address server) {
        Client dessa = Client.signedIn(server, "dessa");
        Bench others = Bench.of(dessa, Bench.STUB, 1);
        JsonNode bench = others.floor().at("/benches/0");
        String theirs = bench.at("/traineeId").asString();
        String giving = id();
        Answer given = Client.signedIn(server, "oskar")
                .put(
                        "/api/givings/" + giving,
                        plain("stub90", "{\"traineeIds\":[\"" + trainees.getFirst() + "\",\"" + theirs + "\"]}"));
        String assignment = given.at("/sheets")
                .valueStream()
                .filter(sheet -> sheet.at("/traineeId").asString().equals(theirs))
                .findFirst()
                .orElseThrow()
                .at("/assignmentId")
                .asString();
        String attempt = dessa.put(
                        "/api/attempts/" + id(),
                        "{\"traineeId\":\"" + theirs + "\",\"assignmentId\":\"" + assignment + "\"}")
                .at("/id")
                .asString();
        dessa.put("/api/attempts/" + attempt + "/readings/" + id(), "{\"feature\":\"leg\",\"text\":\"17\"}");
        Answer refused = runa.delete("/api/givings/" + giving);
        assertThat(refused.at("/errors/0/code").asString()).isEqualTo("measured-already");
        assertThat(refused.at("/detail").asString())
                .contains("somebody of another cohort has readings")
                .doesNotContain(bench.at("/fullName").asString());
    }

    private static String plain(String kind, String giveTo) {
        return giving(exercise("To be given", definition("chart", bend(kind)), ""), giveTo, "");
    }

    private static List<String> ids(Answer givings) {
        return givings.body()
                .valueStream()
                .map(each -> each.at("/id").asString())
                .toList();
    }

    @Test
    void whatWasGivenOutLongAgo_isHadPageByPage() {
        List<String> given = new ArrayList<>();
        for (int i = 0; i < 33; i++) {
            given.addFirst(id());
            assertThat(runa.put("/api/givings/" + given.getFirst(), plain("stub90", toAll()))
                            .status())
                    .isEqualTo(200);
        }
        List<String> newest = ids(runa.get("/api/givings"));
        // Others may give out meanwhile.
        List<String> own = newest.stream().filter(given::contains).toList();
        assertThat(newest).hasSize(30);
        assertThat(own).isEqualTo(given.subList(0, own.size()));
        List<String> before = ids(runa.get("/api/givings?before=" + newest.getLast()));
        assertThat(before).doesNotContainAnyElementsOf(newest).containsAll(given.subList(own.size(), given.size()));
    }

    @Test
    void group_getsIt_andNobodyElse() {
        String group = id();
        Answer made = runa.put(
                "/api/groups/" + group,
                "{\"cohortId\":\"" + cohort + "\",\"name\":\"Stubs again\",\"traineeIds\":[\"" + trainees.get(1)
                        + "\",\"" + trainees.get(4) + "\"]}");
        assertThat(made.status()).as(made.body().toString()).isEqualTo(200);
        Answer given = runa.put(
                "/api/givings/" + id(),
                giving(
                        exercise("For a group", definition("chart", bend("kick")), ""),
                        "{\"groupId\":\"" + group + "\"}",
                        ""));
        assertThat(given.at("/sheets").valueStream().map(s -> s.at("/fullName").asString()))
                .containsExactly("Bo", "Ed");
        JsonNode groups = runa.get("/api/cohorts")
                .body()
                .valueStream()
                .filter(each -> each.at("/id").asString().equals(cohort))
                .findFirst()
                .orElseThrow()
                .at("/groups");
        assertThat(groups.at("/0/name").asString()).isEqualTo("Stubs again");
        assertThat(runa.delete("/api/groups/" + group).status()).isEqualTo(204);
        assertThat(runa.delete("/api/groups/" + group).status()).isEqualTo(404);
    }

    @Test
    void groupOfSomebodyElsesTrainees_isRefused(RunningServer.Address server) {
        Client dessa = Client.signedIn(server, "dessa");
        String body =
                "{\"cohortId\":\"" + cohort + "\",\"name\":\"Mine\",\"traineeIds\":[\"" + trainees.getFirst() + "\"]}";
        assertThat(dessa.put("/api/groups/" + id(), body).status()).isEqualTo(404);
        String other = dessa.get("/api/cohorts").at("/0/id").asString();
        assertThat(dessa.put("/api/groups/" + id(), body.replace(cohort, other)).status())
                .isEqualTo(404);
    }

    /** Each try is one complete attempt; the second is refused once the only one is used. */
    @Test
    void tries_areCounted() {
        runa.put(
                "/api/givings/" + id(),
                giving(
                        exercise("Once", definition("chart", "{\"kind\":\"stub90\",\"legIn\":17.625}"), ""),
                        "{\"traineeIds\":[\"" + trainees.getFirst() + "\"]}",
                        ",\"tries\":1,\"dueOn\":\"2026-12-01\""));
        String open = "{\"traineeId\":\"" + trainees.getFirst() + "\"}";
        String attempt = runa.put("/api/attempts/" + id(), open).at("/id").asString();
        assertThat(runa.put("/api/attempts/" + id(), open).at("/id").asString())
                .as("the try that has begun goes on")
                .isEqualTo(attempt);
        for (String[] reading : new String[][] {{"mark1", "11 5/8"}, {"leg", "17 5/8"}, {"angle1", "90"}}) {
            Answer kept = runa.put(
                    "/api/attempts/" + attempt + "/readings/" + id(),
                    "{\"feature\":\"" + reading[0] + "\",\"text\":\"" + reading[1] + "\"}");
            assertThat(kept.status()).isEqualTo(200);
        }
        Answer second = runa.put("/api/attempts/" + id(), open);
        assertThat(second.status()).isEqualTo(409);
        assertThat(second.at("/errors/0/code").asString()).isEqualTo("tries-used");
    }

    @Test
    void sheetsCode_leadsToItsAssignment_alsoAfterSomethingElseWasGiven(RunningServer.Address server) {
        Answer first = runa.put(
                "/api/givings/" + id(), giving(exercise("First", definition("chart", bend("kick")), ""), toAll(), ""));
        runa.put(
                "/api/givings/" + id(),
                giving(exercise("Second", definition("chart", bend("offset")), ""), toAll(), ""));
        String code = first.at("/sheets/2/code").asString();
        Answer sheet = runa.get("/api/sheets/" + code.toLowerCase(Locale.ROOT).replace("-", "%20"));
        assertThat(sheet.at("/traineeId").asString()).isEqualTo(trainees.get(2));
        Answer attempt = runa.put(
                "/api/attempts/" + id(),
                "{\"traineeId\":\"" + trainees.get(2) + "\",\"assignmentId\":\""
                        + sheet.at("/assignmentId").asString() + "\"}");
        assertThat(attempt.at("/exercise/title").asString()).isEqualTo("First");
        assertThat(Client.signedIn(server, "dessa").get("/api/sheets/" + code).status())
                .isEqualTo(404);
        assertThat(runa.get("/api/sheets/ZZZZZZZZ").status()).isEqualTo(404);
        assertThat(runa.get("/api/sheets/no").status()).isEqualTo(404);
    }

    @Test
    void badTerms_areRefused() {
        String exercise = exercise("Bad", definition("chart", bend("kick")), "");
        assertThat(runa.put("/api/givings/" + id(), giving(exercise, toAll(), ",\"tries\":0"))
                        .status())
                .isEqualTo(400);
        assertThat(runa.put("/api/givings/" + id(), giving(exercise, toAll(), ",\"dueOn\":\"soon\""))
                        .status())
                .isEqualTo(400);
        assertThat(runa.put("/api/givings/" + id(), giving(exercise, toAll(), ",\"varied\":true"))
                        .at("/errors/0/pointer")
                        .asString())
                .isEqualTo("/exercise/variation");
        Answer narrow = runa.put(
                "/api/givings/" + id(), giving(varied("kick", "distanceIn", 44, 44.125), toAll(), ",\"varied\":true"));
        assertThat(narrow.status()).isEqualTo(422);
        assertThat(narrow.at("/errors/0/code").asString()).isEqualTo("too-few-variants");
    }
}
