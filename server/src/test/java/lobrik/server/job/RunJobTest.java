package lobrik.server.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import lobrik.server.Client;
import lobrik.server.Client.Answer;
import lobrik.server.RunningServer;
import lobrik.server.exercise.SampleExercises;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** A run of several pieces: given a piece each, and put together again. */
@ExtendWith(RunningServer.class)
class RunJobTest {

    private static final String SHORT = run("20,right", "18,up");
    private static final String LONG = run("60,up", "110,right", "112,out", "60,right");

    private Client runa;
    private List<String> trainees;

    private static String run(String... legs) {
        return "{\"kind\":\"run\",\"legs\":["
                + IntStream.range(0, legs.length)
                        .mapToObj(i -> legs[i].split(","))
                        .map(leg -> "{\"lengthIn\":" + leg[0] + ",\"towards\":\"" + leg[1] + "\"}")
                        .collect(Collectors.joining(","))
                + "]}";
    }

    @BeforeEach
    void startCohort(RunningServer.Address server) {
        runa = Client.signedIn(server, "runa");
        trainees = cohort(runa);
    }

    private static List<String> cohort(Client who) {
        String cohort = id();
        return who.put(
                        "/api/cohorts/" + cohort,
                        "{\"name\":\"Job " + cohort + "\",\"trainees\":[\"Ada\",\"Bo\",\"Cy\"]}")
                .at("/trainees")
                .valueStream()
                .map(trainee -> trainee.at("/id").asString())
                .toList();
    }

    private static String id() {
        return UUID.randomUUID().toString();
    }

    private static String job(String bend, Map<Integer, String> whose) {
        String pieces = whose.entrySet().stream()
                .map(each -> "{\"number\":" + each.getKey() + ",\"traineeId\":\"" + each.getValue() + "\"}")
                .collect(Collectors.joining(","));
        return "{\"exercise\":"
                + SampleExercises.exercise("Round the store", SampleExercises.definition("chart", bend), "")
                + ",\"pieces\":[" + pieces + "]}";
    }

    private Map<Integer, String> each() {
        return Map.of(1, trainees.get(0), 2, trainees.get(1), 3, trainees.get(2));
    }

    private Answer give() {
        Answer given = runa.put("/api/jobs/" + id(), job(LONG, each()));
        assertThat(given.status()).as(given.body().toString()).isEqualTo(200);
        return given;
    }

    /** Measures a piece as it should be, but for some features. */
    private void measure(JsonNode piece, Map<String, Double> off) {
        Answer attempt = runa.put(
                "/api/attempts/" + id(),
                "{\"traineeId\":\"" + piece.at("/sheet/traineeId").asString() + "\",\"assignmentId\":\""
                        + piece.at("/sheet/assignmentId").asString() + "\"}");
        assertThat(attempt.status()).as(attempt.body().toString()).isEqualTo(200);
        for (JsonNode feature : attempt.at("/features").valueStream().toList()) {
            String name = feature.at("/id").asString();
            double value = feature.at("/target").asDouble() + off.getOrDefault(name, 0.0);
            Answer read = runa.put(
                    "/api/attempts/" + attempt.at("/id").asString() + "/readings/" + id(),
                    "{\"feature\":\"" + name + "\",\"text\":\"" + value + "\",\"bare\":\"in\"}");
            assertThat(read.status()).as(read.body().toString()).isEqualTo(200);
        }
    }

    @Test
    void everyPieceIsAnExerciseOfItsOwn_andLegsAddUp() {
        Answer given = give();
        assertThat(given.at("/pieces").size()).isEqualTo(3);
        assertThat(given.at("/pieces")
                        .valueStream()
                        .map(piece -> piece.at("/sheet/fullName").asString()))
                .containsExactly("Ada", "Bo", "Cy");
        double legs = given.at("/pieces")
                .valueStream()
                .flatMap(piece -> piece.at("/definition/bend/legs").valueStream())
                .mapToDouble(leg -> leg.at("/lengthIn").asDouble())
                .sum();
        assertThat(legs).isCloseTo(60 + 110 + 112 + 60, within(1e-9));
        Answer sheet =
                runa.get("/api/sheets/" + given.at("/pieces/1/sheet/code").asString());
        assertThat(sheet.at("/fullName").asString()).isEqualTo("Bo");
        assertThat(given.at("/fittings").toString())
                .contains("{\"what\":\"couplings\",\"count\":2}", "\"connectors\"", "\"straps\"");
        assertThat(given.at("/assembly").isNull()).isTrue();
    }

    @Test
    void repeated_itIsGivenOnce() {
        String job = id();
        String body = job(LONG, each());
        String first =
                runa.put("/api/jobs/" + job, body).at("/pieces/0/sheet/code").asString();
        assertThat(runa.put("/api/jobs/" + job, body).at("/pieces/0/sheet/code").asString())
                .isEqualTo(first);
        assertThat(runa.get("/api/jobs")
                        .body()
                        .valueStream()
                        .filter(each -> each.at("/id").asString().equals(job)))
                .hasSize(1);
    }

    @Test
    void oneStick_isNoJob_andEveryPieceNeedsSomebody() {
        Answer one = runa.put("/api/jobs/" + id(), job(SHORT, each()));
        assertThat(one.status()).isEqualTo(409);
        assertThat(one.at("/detail").asString()).contains("one piece");
        Answer nobody = runa.put("/api/jobs/" + id(), job(LONG, Map.of(1, trainees.getFirst())));
        assertThat(nobody.status()).isEqualTo(400);
        assertThat(nobody.body().toString()).contains("say who bends piece 2 of 3");
    }

    /** Leg 2 is on two pieces; its first part is an inch too long, and the run ends an inch further to the right. */
    @Test
    void putTogether_theRunEndsWhereItsPiecesBringIt_andTheOneThatSpentItIsNamed() {
        Answer given = give();
        String job = "/api/jobs/" + given.at("/id").asString();
        measure(given.at("/pieces/0"), Map.of("leg2", 1.0, "reachRight", 1.0));
        JsonNode soFar = runa.get(job).at("/assembly");
        assertThat(soFar.at("/complete").asBoolean()).isFalse();
        measure(given.at("/pieces/1"), Map.of());
        measure(given.at("/pieces/2"), Map.of());
        Answer whole = runa.get(job);
        JsonNode assembly = whole.at("/assembly");
        assertThat(assembly.at("/complete").asBoolean()).isTrue();
        assertThat(assembly.at("/enters").asBoolean()).isFalse();
        assertThat(assembly.at("/sentence").asString())
                .contains("does not go in", "in to the right", "Piece 1 spent most of it");
        assertThat(assembly.at("/spent/0/farIn").asDouble()).isCloseTo(1, within(0.07));
        assertThat(assembly.at("/spent/1/farIn").asDouble()).isLessThan(0.1);
        assertThat(whole.at("/pieces/0/sheet/passed").asBoolean()).isFalse();
        assertThat(whole.at("/pieces/1/sheet/passed").asBoolean()).isTrue();
        assertThat(assembly.at("/made/centreline").size())
                .isEqualTo(whole.at("/plan/wanted/centreline").size());
    }

    @Test
    void piecesAsTheyShouldBe_goIn() {
        Answer given = give();
        given.at("/pieces").valueStream().forEach(piece -> measure(piece, Map.of()));
        JsonNode assembly = runa.get("/api/jobs/" + given.at("/id").asString()).at("/assembly");
        assertThat(assembly.at("/enters").asBoolean()).as(assembly.toString()).isTrue();
    }

    @Test
    void itsPageHasThePieces_theCutList_andWhatIsNeededBesides() throws IOException {
        String job = give().at("/id").asString();
        try (PDDocument pdf = Loader.loadPDF(runa.file("/api/jobs/" + job + "/page.pdf?paper=a4"))) {
            assertThat(pdf.getNumberOfPages()).isEqualTo(1);
            String text = new PDFTextStripper().getText(pdf).replaceAll("\\s+", " ");
            assertThat(text)
                    .contains("Round the store", "Cut list", "2 couplings", "Ada", "Bo", "Cy", "Stick of 120 in");
        }
    }

    @Test
    void aPieceKnowsItsJob_andAnythingElseKnowsNone() {
        Answer given = give();
        String assignment = given.at("/pieces/0/sheet/assignmentId").asString();
        assertThat(runa.get("/api/jobs/of/" + assignment).at("/jobId").asString())
                .isEqualTo(given.at("/id").asString());
        assertThat(runa.get("/api/jobs/of/" + id()).at("/jobId").isNull()).isTrue();
    }

    /** Whoever teaches another cohort sees neither the job nor that there is one. */
    @Test
    void whoTeachesOthers_seesNothingOfIt(RunningServer.Address server) {
        Answer given = give();
        Client dessa = Client.signedIn(server, "dessa");
        assertThat(dessa.get("/api/jobs/" + given.at("/id").asString()).status())
                .isEqualTo(404);
        assertThat(dessa.get("/api/jobs").body().toString())
                .doesNotContain(given.at("/id").asString());
        String assignment = given.at("/pieces/0/sheet/assignmentId").asString();
        assertThat(dessa.get("/api/jobs/of/" + assignment).at("/jobId").isNull())
                .isTrue();
        assertThat(dessa.put("/api/jobs/" + id(), job(LONG, each())).status()).isEqualTo(404);
    }

    /** The rules are the lead's; what happens to be left over may be said by whoever teaches. */
    @Test
    void theSchoolKeepsItsRules_andWhatIsLeftOver(RunningServer.Address server) {
        Client oskar = Client.signedIn(server, "oskar");
        try {
            Answer kept = oskar.put("/api/run-rules", "{\"strapApartIn\":96,\"leftOversIn\":[70.5]}");
            assertThat(kept.status()).as(kept.body().toString()).isEqualTo(200);
            assertThat(runa.get("/api/run-rules").at("/rules/strapApartIn").asDouble())
                    .isEqualTo(96);
            assertThat(runa.get("/api/run-rules").at("/mayChange").asBoolean()).isFalse();
            assertThat(runa.put("/api/run-rules", "{\"strapApartIn\":60}").status())
                    .isEqualTo(403);
            Answer leftOver = runa.put("/api/run-rules", "{\"strapApartIn\":96,\"leftOversIn\":[119.9]}");
            assertThat(leftOver.status()).as(leftOver.body().toString()).isEqualTo(200);
            assertThat(give().at("/cuts").toString()).contains("\"leftOver\":true");
            Answer bad = oskar.put("/api/run-rules", "{\"kerfIn\":7}");
            assertThat(bad.status()).isEqualTo(400);
            assertThat(bad.body().toString()).contains("kerfIn");
        } finally {
            oskar.put("/api/run-rules", "{}");
        }
    }
}
