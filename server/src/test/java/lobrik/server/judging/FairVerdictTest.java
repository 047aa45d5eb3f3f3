package lobrik.server.judging;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.util.List;
import java.util.UUID;
import lobrik.server.Bench;
import lobrik.server.Client;
import lobrik.server.Client.Answer;
import lobrik.server.RunningServer;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Who does exactly what was set has full points; what the method misses is told before it is given out. */
@ExtendWith(RunningServer.class)
class FairVerdictTest {

    /** By the chart it comes out at 8 3/16 (worked by hand in the core's RightPieceTest). */
    private static final String KICK = """
            {"method":"chart","tapeDivisionIn":0.0625,"conduit":{"outsideDiameterIn":0.922},
             "bender":{"takeUpIn":6,"radiusIn":5.125},
             "bend":{"kind":"kick","riseIn":9,"angleDeg":30,"distanceIn":44,"layout":"beforeObstacle"}}""";

    private static final String SITE =
            "{\"preset\":\"site\",\"lengthIn\":0.125,\"angleDeg\":2,\"dogLegDeg\":2,\"passMark\":70}";

    private static final String BACK_TO_BACK = """
            {"method":"chart","tapeDivisionIn":0.0625,"conduit":{"outsideDiameterIn":0.922},
             "bender":{"takeUpIn":6,"radiusIn":5.125},
             "bend":{"kind":"backToBack90","firstLegIn":12,"betweenIn":20,"secondLegIn":14}}""";

    private Client runa;

    @BeforeEach
    void signIn(RunningServer.Address server) {
        runa = Client.signedIn(server, "runa");
    }

    private Answer read(String attempt, String feature, String body) {
        Answer kept = runa.put(
                "/api/attempts/" + attempt + "/readings/" + UUID.randomUUID(),
                "{\"feature\":\"" + feature + "\"," + body + "}");
        assertThat(kept.status()).as(kept.body().toString()).isEqualTo(200);
        return kept;
    }

    private static JsonNode feature(Answer attempt, String id) {
        return attempt.at("/features")
                .valueStream()
                .filter(feature -> feature.at("/id").asString().equals(id))
                .findFirst()
                .orElseThrow();
    }

    private static List<String> ids(Answer attempt) {
        return attempt.at("/features")
                .valueStream()
                .map(feature -> feature.at("/id").asString())
                .toList();
    }

    /** The words of the verdict on one page. */
    private String page(String attempt) throws IOException {
        try (PDDocument pdf = Loader.loadPDF(runa.file("/api/attempts/" + attempt + "/verdict.pdf?paper=a4"))) {
            return new PDFTextStripper().getText(pdf);
        }
    }

    @Test
    void kickBentByItsOwnChartMarks_hasAHundredPoints_andPasses() {
        String attempt = Bench.of(runa, KICK, 1).open(0);
        read(attempt, "mark1", "\"text\":\"28 1/4\"");
        read(attempt, "angle1", "\"text\":\"30\"");
        Answer done = read(attempt, "rise", "\"text\":\"8 3/16\"");
        assertThat(feature(done, "rise").at("/asked").asDouble()).isEqualTo(9);
        assertThat(feature(done, "rise").at("/target").asDouble()).isEqualTo(8.1875);
        assertThat(done.at("/score/points").asDouble()).isEqualTo(100);
        assertThat(done.at("/score/passed").asBoolean()).isTrue();
        Answer judged = runa.get("/api/attempts/" + attempt + "/judgement");
        assertThat(judged.at("/finding/headline").asString()).startsWith("Nothing went wrong");
        assertThat(judged.at("/advice/outcome").asString()).isEqualTo("leave");
    }

    @Test
    void whatWasAsked_isJudgedWhereTheMethodIsFree_andNoMarks() throws IOException {
        String attempt = Bench.of(runa, KICK, 1, "\"methodFree\":true,").open(0);
        Answer opened = runa.get("/api/attempts/" + attempt);
        assertThat(ids(opened)).containsExactly("rise", "angle1");
        Answer mark = runa.put(
                "/api/attempts/" + attempt + "/readings/" + UUID.randomUUID(),
                "{\"feature\":\"mark1\",\"text\":\"28 1/4\"}");
        assertThat(mark.status()).as("what nobody measures is not written down").isEqualTo(400);
        assertThat(mark.at("/errors/0/pointer").asString()).isEqualTo("/feature");
        read(attempt, "angle1", "\"text\":\"30\"");
        Answer done = read(attempt, "rise", "\"text\":\"9\"");
        assertThat(done.at("/score/points").asDouble()).isEqualTo(100);
        // By the chart, which nobody asked for, a bend would stand beside its ring.
        Answer judged = runa.get("/api/attempts/" + attempt + "/judgement");
        assertThat(judged.at("/finding/headline").asString()).isEqualTo("Everything is within tolerance");
        assertThat(judged.at("/diagnosis").isNull()).isTrue();
        assertThat(page(attempt)).contains("What happened: Everything is within tolerance");
        Answer again = read(
                attempt,
                "rise",
                "\"text\":\"8 3/16\",\"corrects\":\""
                        + feature(done, "rise").at("/reading/id").asString() + "\",\"reason\":\"misread\"");
        assertThat(again.at("/score/passed").asBoolean()).isFalse();
        assertThat(feature(again, "rise").at("/deviation").asDouble()).isCloseTo(-0.8125, within(1e-9));
    }

    /** 20 in between the backs: the second mark is taught 20 from the back of the first bend, and is right from the end, too. */
    @Test
    void markOfABackToBack_isRightFromEitherDatum_andIsSaidWhich() {
        String attempt = Bench.of(runa, BACK_TO_BACK, 1).open(0);
        Answer opened = runa.get("/api/attempts/" + attempt);
        assertThat(opened.at("/plan/marks/1/back/bend").asInt()).isEqualTo(1);
        assertThat(opened.at("/plan/marks/1/back/figureIn").asDouble()).isEqualTo(20);
        double fromEnd = opened.at("/plan/marks/1/positionIn").asDouble();
        Answer kept = runa.put(
                "/api/attempts/" + attempt + "/facts/" + UUID.randomUUID(),
                "{\"fact\":{\"kind\":\"figures\",\"marks\":[{\"mark\":1,\"text\":\"6\"},{\"mark\":2,\"text\":\"20\"}]}}");
        assertThat(kept.at("/bench/own/points").asDouble()).isEqualTo(100);
        assertThat(kept.at("/bench/own/marks/1/from").asString()).isEqualTo("back");
        Answer fromBack = read(attempt, "mark2", "\"text\":\"20\",\"from\":\"back\"");
        assertThat(feature(fromBack, "mark2").at("/deviation").asDouble()).isZero();
        assertThat(feature(fromBack, "mark2").at("/reading/value").asDouble()).isEqualTo(fromEnd);
        assertThat(feature(fromBack, "mark2").at("/reading/from").asString()).isEqualTo("back");
        String again = feature(fromBack, "mark2").at("/reading/id").asString();
        Answer straight = read(
                attempt,
                "mark2",
                "\"text\":\"" + fromEnd + "\",\"from\":\"end\",\"corrects\":\"" + again
                        + "\",\"reason\":\"measured from the end\"");
        assertThat(feature(straight, "mark2").at("/deviation").asDouble()).isZero();
        assertThat(feature(straight, "mark2").at("/reading/from").asString()).isEqualTo("end");
    }

    /** The first bend went a quarter beside its ring; the second was rung from its back: between the backs it is right. */
    @Test
    void markFromTheBackOfABendThatSlipped_blamesOneSlip() throws IOException {
        Bench bench = Bench.of(runa, BACK_TO_BACK, 1);
        String attempt = bench.open(0);
        read(attempt, "mark1", "\"asAsked\":true");
        read(attempt, "mark2", "\"text\":\"20\",\"from\":\"back\"");
        read(attempt, "leg", "\"text\":\"12 1/4\"");
        read(attempt, "between", "\"asAsked\":true");
        read(attempt, "secondLeg", "\"text\":\"13 3/4\"");
        read(attempt, "angle1", "\"asAsked\":true");
        read(attempt, "angle2", "\"asAsked\":true");
        read(attempt, "dogLeg", "\"asAsked\":true");
        Answer judged = runa.get("/api/attempts/" + attempt + "/judgement");
        assertThat(judged.at("/diagnosis/causes/0/id").asString()).isEqualTo("mark-slipped");
        assertThat(judged.at("/diagnosis/causes/0/bendNumber").asInt()).isEqualTo(1);
        assertThat(judged.at("/diagnosis/causes/0/probability").asDouble()).isGreaterThan(0.6);
        // The phone and the page tell the mark as it was taken: who worked out 20 must not find another figure there.
        JsonNode told = runa.get("/api/benches/" + bench.code(0)).at("/checked/features/1");
        assertThat(told.at("/backOf").asInt()).isEqualTo(1);
        assertThat(told.at("/target").asDouble()).isEqualTo(20);
        assertThat(told.at("/value").asDouble()).isEqualTo(20);
        assertThat(page(attempt)).containsPattern("Mark 2, from back 1 +20 in +20 in");
    }

    /** The shrink of 1 1/2 was forgotten on paper, and the rings stand where the paper says. */
    @Test
    void ringsOnTheOwnWrongFigures_loseForArithmetic_andNotAgainForLayout() {
        String offset = """
                {"method":"chart","tapeDivisionIn":0.0625,"conduit":{"outsideDiameterIn":0.922},
                 "bender":{"takeUpIn":6,"radiusIn":5.125},
                 "bend":{"kind":"offset","riseIn":6,"angleDeg":30,"distanceIn":36,"layout":"beforeObstacle"}}""";
        String attempt = Bench.of(runa, offset, 1).open(0);
        Answer kept = runa.put(
                "/api/attempts/" + attempt + "/facts/" + UUID.randomUUID(),
                "{\"fact\":{\"kind\":\"figures\",\"marks\":[{\"mark\":1,\"text\":\"24\"},{\"mark\":2,\"text\":\"36\"}]}}");
        assertThat(kept.status()).as(kept.body().toString()).isEqualTo(200);
        // Charged once on paper; the second figure follows rightly from the first.
        assertThat(kept.at("/bench/own/points").asDouble()).isEqualTo(50);
        read(attempt, "mark1", "\"text\":\"24\"");
        Answer ringed = read(attempt, "mark2", "\"text\":\"36\"");
        for (String mark : List.of("mark1", "mark2")) {
            assertThat(feature(ringed, mark).at("/carried").asString()).isEqualTo("ownFigure");
            assertThat(feature(ringed, mark).at("/credit").asDouble()).isEqualTo(1);
            assertThat(feature(ringed, mark).at("/deviation").asDouble()).isZero();
        }
        assertThat(feature(ringed, "mark2").at("/asked").asDouble()).isEqualTo(37.5);
    }

    @Test
    void foresight_saysWhatTheChartMisses_andWhatToChange() {
        Answer seen = runa.post("/api/library/foresight", "{\"definition\":" + KICK + ",\"tolerances\":" + SITE + "}");
        assertThat(seen.at("/worst").asString()).isEqualTo("beyond");
        assertThat(seen.at("/misses/0/feature").asString()).isEqualTo("rise");
        assertThat(seen.at("/misses/0/miss").asDouble()).isCloseTo(-0.8125, within(1e-9));
        assertThat(seen.at("/cures")
                        .valueStream()
                        .map(cure -> cure.at("/pointer").asString()))
                .contains("/method");
        Answer exact = runa.post(
                "/api/library/foresight",
                "{\"definition\":" + KICK.replace("chart", "exact") + ",\"tolerances\":" + SITE + "}");
        assertThat(exact.at("/worst").asString()).isEqualTo("slight");
        assertThat(exact.at("/misses").size()).isZero();
        assertThat(runa.post("/api/library/foresight", "{}").status()).isEqualTo(400);
    }
}
