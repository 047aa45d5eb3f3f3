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

/** Verdicts on recorded attempts, sets of tolerances of a centre's own, and the page that is printed. */
@ExtendWith(RunningServer.class)
class JudgementTest {

    private static final String OFFSET = """
            {"method":"chart","tapeDivisionIn":0.0625,"conduit":{"outsideDiameterIn":0.922},
             "bender":{"takeUpIn":6,"radiusIn":5.125},
             "bend":{"kind":"offset","riseIn":5,"clearanceIn":1,"angleDeg":30,"distanceIn":36,
               "layout":"beforeObstacle","overallIn":80}}""";

    private Client dessa;
    private RunningServer.Address server;

    @BeforeEach
    void signIn(RunningServer.Address address) {
        server = address;
        dessa = Client.signedIn(address, "dessa");
    }

    private void read(String attempt, String feature, String text) {
        Answer kept = dessa.put(
                "/api/attempts/" + attempt + "/readings/" + UUID.randomUUID(),
                "{\"feature\":\"" + feature + "\",\"text\":\"" + text
                        + "\",\"bare\":\"in\",\"takenWith\":\"keys\",\"takenAt\":\"2026-11-24T08:00:00Z\"}");
        assertThat(kept.status()).as(kept.body().toString()).isEqualTo(200);
    }

    /** An offset whose shrink was forgotten, measured to the end. */
    private String shortPiece() {
        String attempt = Bench.of(dessa, OFFSET, 1).open(0);
        List.of(
                        "mark1 24",
                        "mark2 36",
                        "rise 6 1/16",
                        "angle1 30",
                        "angle2 30",
                        "landing 34 1/2",
                        "dogLeg 0",
                        "overall 80")
                .forEach(each -> read(attempt, each.split(" ", 2)[0], each.split(" ", 2)[1]));
        return attempt;
    }

    @Test
    void verdict_saysWhatHappened_whereItCameFrom_andWhatToDo() {
        Answer verdict = dessa.get("/api/attempts/" + shortPiece() + "/judgement");
        assertThat(verdict.status()).as(verdict.body().toString()).isEqualTo(200);
        assertThat(verdict.at("/diagnosis/causes/0/id").asString()).isEqualTo("shrink-omitted");
        assertThat(verdict.at("/finding/named").asBoolean()).isTrue();
        assertThat(verdict.at("/finding/headline").asString()).isEqualTo("Shrink forgotten");
        assertThat(verdict.at("/advice/outcome").asString()).isEqualTo("scrap");
        assertThat(verdict.at("/nextTime/sentence").asString()).contains("add the shrink");
        assertThat(verdict.at("/nextTime/definition/bend/kind").asString()).isEqualTo("offset");
        for (JsonNode budget : verdict.at("/budgets")) {
            double sum = budget.at("/parts")
                    .valueStream()
                    .mapToDouble(part -> part.at("/change").asDouble())
                    .sum();
            assertThat(sum).isCloseTo(budget.at("/deviation").asDouble(), within(1e-9));
        }
        JsonNode sheet = verdict.at("/marksheet");
        double lost = sheet.at("/lost")
                .valueStream()
                .mapToDouble(each -> each.at("/points").asDouble())
                .sum();
        assertThat(sheet.at("/points").asDouble()).isCloseTo(100 - lost, within(1e-6));
        assertThat(sheet.at("/failing").toString()).isEqualTo("[\"landing\"]");
        assertThat(verdict.at("/marked/centreline").size()).isPositive();
    }

    /** A rise that no piece with these angles and rings can have: nothing is cut before it is read again. */
    @Test
    void readingThatDoesNotFit_isReadAgainBeforeAnythingIsDone() {
        String attempt = Bench.of(dessa, OFFSET, 1).open(0);
        List.of(
                        "mark1 25 1/2",
                        "mark2 37 1/2",
                        "rise 8",
                        "landing 36",
                        "angle1 30",
                        "angle2 30",
                        "dogLeg 0",
                        "overall 80")
                .forEach(each -> read(attempt, each.split(" ", 2)[0], each.split(" ", 2)[1]));
        Answer verdict = dessa.get("/api/attempts/" + attempt + "/judgement");
        assertThat(verdict.at("/diagnosis/causes/0/id").asString()).isEqualTo("reading-doubtful");
        assertThat(verdict.at("/advice/words").asString()).startsWith("First read the rise again: all that follows");
    }

    @Test
    void pieceInTheMiddleOfMeasuring_hasAVerdictAsFarAsItsReadingsGo() {
        String attempt = Bench.of(dessa, OFFSET, 1).open(0);
        assertThat(dessa.get("/api/attempts/" + attempt + "/judgement")
                        .at("/diagnosis")
                        .isNull())
                .isTrue();
        read(attempt, "landing", "34 1/2");
        Answer verdict = dessa.get("/api/attempts/" + attempt + "/judgement");
        assertThat(verdict.at("/marksheet").isNull()).isTrue();
        assertThat(verdict.at("/diagnosis/causes").size()).isPositive();
        assertThat(dessa.get("/api/attempts/" + attempt + "/comparison").status())
                .isEqualTo(409);
    }

    @Test
    void ownSet_judgesWhatIsSetWithIt_andItsChangeChangesNoOldVerdict() {
        String attempt = shortPiece();
        double before = dessa.get("/api/attempts/" + attempt + "/judgement")
                .at("/marksheet/points")
                .asDouble();
        String id = UUID.randomUUID().toString();
        String name = "Wide " + id.substring(0, 8);
        Answer kept =
                keep(id, name, 2, "\"scheme\":\"passFail\",\"weights\":{\"rise\":3},\"critical\":{\"dogLeg\":false},");
        assertThat(kept.status()).as(kept.body().toString()).isEqualTo(200);
        assertThat(dessa.get("/api/shed").at("/tolerances").toString()).contains(name);
        JsonNode wide = compared(attempt, name);
        assertThat(wide.at("/points").asDouble()).isEqualTo(100);
        assertThat(wide.at("/passed").asBoolean()).isTrue();
        assertThat(keep(id, name, 0.25, "").status()).isEqualTo(200);
        assertThat(compared(attempt, name).at("/passed").asBoolean()).isFalse();
        assertThat(dessa.get("/api/attempts/" + attempt + "/judgement")
                        .at("/marksheet/points")
                        .asDouble())
                .isEqualTo(before);
        assertThat(dessa.delete("/api/judging-presets/" + id).status()).isEqualTo(200);
        assertThat(dessa.get("/api/shed").at("/tolerances").toString()).doesNotContain(name);
    }

    @Test
    void ownSet_isChangedByItsMakerAndTheLeadAlone_andEveryChangeIsKept(RunningServer.Address server) {
        String id = UUID.randomUUID().toString();
        String name = "Whose " + id.substring(0, 8);
        keep(id, name, 0.5, "");
        keep(id, name, 0.5, "");
        keep(id, name, 0.25, "");
        Client runa = Client.signedIn(server, "runa");
        String figures = "{\"preset\":\"" + name + "\",\"lengthIn\":1,\"angleDeg\":3,\"dogLegDeg\":3,\"passMark\":80}";
        Answer refused = runa.put("/api/judging-presets/" + id, figures);
        assertThat(refused.status()).isEqualTo(403);
        assertThat(refused.at("/detail").asString()).contains("Dessa Quillow").contains("Make one like it");
        assertThat(runa.delete("/api/judging-presets/" + id).status()).isEqualTo(403);
        JsonNode seen = runa.get("/api/judging-presets")
                .at("/own")
                .valueStream()
                .filter(set -> set.at("/id").asString().equals(id))
                .findFirst()
                .orElseThrow();
        assertThat(seen.at("/mayChange").asBoolean()).isFalse();
        assertThat(seen.at("/madeBy").asString()).isEqualTo("Dessa Quillow");
        Client oskar = Client.signedIn(server, "oskar");
        assertThat(oskar.put("/api/judging-presets/" + id, figures).status()).isEqualTo(200);
        dessa.delete("/api/judging-presets/" + id);
        Answer versions = runa.get("/api/judging-presets/" + id + "/versions");
        assertThat(versions.body()
                        .valueStream()
                        .map(each -> each.at("/version").asInt() + " "
                                + each.at("/figures/lengthIn").asDouble() + " "
                                + each.at("/keptBy").asString() + " "
                                + each.at("/putAway").asBoolean()))
                .as("keeping the same again is no change")
                .containsExactly(
                        "4 1.0 Dessa Quillow true",
                        "3 1.0 Oskar Brindlemay false",
                        "2 0.25 Dessa Quillow false",
                        "1 0.5 Dessa Quillow false");
        assertThat(runa.get("/api/judging-presets/" + UUID.randomUUID() + "/versions")
                        .status())
                .isEqualTo(404);
    }

    /** The short piece lands short of its place: a set that lets it do so, and only to that side, passes it. */
    @Test
    void limitsOfADimension_holdEachSideByItself() {
        String attempt = shortPiece();
        double off = dessa.get("/api/attempts/" + attempt)
                .at("/features")
                .valueStream()
                .filter(feature -> feature.at("/id").asString().equals("landing"))
                .findFirst()
                .orElseThrow()
                .at("/deviation")
                .asDouble();
        assertThat(off).isNegative();
        String id = UUID.randomUUID().toString();
        String name = "Sides " + id.substring(0, 8);
        String limits = "\"limits\":{\"mark1\":{\"over\":0.1,\"under\":4},\"mark2\":{\"over\":0.1,\"under\":4},"
                + "\"landing\":{\"over\":%s,\"under\":%s}},";
        assertThat(keep(id, name, 0.125, limits.formatted(0.0625, -off)).status())
                .isEqualTo(200);
        assertThat(compared(attempt, name).at("/passed").asBoolean()).isTrue();
        assertThat(keep(id, name, 0.125, limits.formatted(-off, 0.0625)).status())
                .isEqualTo(200);
        assertThat(compared(attempt, name).at("/passed").asBoolean()).isFalse();
        Answer refused = keep(id, name, 0.125, limits.formatted(13, 0));
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.body().toString()).contains("landing");
        dessa.delete("/api/judging-presets/" + id);
    }

    private Answer keep(String id, String name, double lengthIn, String more) {
        return dessa.put(
                "/api/judging-presets/" + id,
                "{\"preset\":\"" + name + "\",\"lengthIn\":" + lengthIn + "," + more
                        + "\"angleDeg\":3,\"dogLegDeg\":3,\"passMark\":80}");
    }

    private JsonNode compared(String attempt, String preset) {
        return dessa.get("/api/attempts/" + attempt + "/comparison")
                .body()
                .valueStream()
                .filter(each -> each.at("/preset").asString().equals(preset))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void weightsAndSchemeOfAnExercise_areFrozenWithItsAttempt() {
        String more = "\"readings\":\"all\",";
        Bench bench = Bench.of(dessa, Bench.STUB, 1, more);
        String attempt = bench.open(0);
        List.of("mark1 11 5/8", "leg 17 3/4", "angle1 90", "otherLeg 22")
                .forEach(each -> read(attempt, each.split(" ", 2)[0], each.split(" ", 2)[1]));
        Answer verdict = dessa.get("/api/attempts/" + attempt + "/judgement");
        assertThat(verdict.at("/marksheet/points").asDouble()).isCloseTo(92.5, within(1e-9));
        assertThat(verdict.at("/marksheet/lost/0/times").asDouble()).isCloseTo(1, within(1e-9));
        assertThat(verdict.at("/marksheet/parts").size()).isEqualTo(3);
    }

    @Test
    void whatIsWithinTolerance_isSaidFirst_andNoCauseIsNamed() {
        String attempt = Bench.of(dessa, Bench.STUB, 1).open(0);
        read(attempt, "leg", "17 3/4");
        Answer some = dessa.get("/api/attempts/" + attempt + "/judgement");
        assertThat(some.at("/finding/named").asBoolean()).isFalse();
        assertThat(some.at("/finding/headline").asString()).isEqualTo("What is read so far is within tolerance");
        assertThat(some.at("/nextTime").isNull()).isTrue();
        List.of("mark1 11 11/16", "angle1 91", "otherLeg 22")
                .forEach(each -> read(attempt, each.split(" ", 2)[0], each.split(" ", 2)[1]));
        assertThat(dessa.get("/api/attempts/" + attempt + "/judgement")
                        .at("/finding/headline")
                        .asString())
                .isEqualTo("Everything is within tolerance");
        Answer view = dessa.get("/api/attempts/" + attempt);
        assertThat(view.at("/score/failing").size()).isZero();
        assertThat(view.at("/drawnTimes").asInt()).isEqualTo(4);
        assertThat(view.at("/edition").asInt()).isEqualTo(4);
    }

    @Test
    void setsAreOffered_withEverythingWrittenOut() {
        Answer presets = dessa.get("/api/judging-presets");
        assertThat(presets.at("/usual/1/critical/mark1").asBoolean()).isFalse();
        assertThat(presets.at("/usual/1/critical/rise").asBoolean()).isTrue();
        assertThat(presets.at("/usual/1/weights/rise").asDouble()).isEqualTo(1);
        assertThat(presets.at("/usual/1/rebending/mostEasedDeg").asDouble()).isEqualTo(10);
        assertThat(presets.at("/faults").size()).isEqualTo(9);
    }

    @Test
    void badSet_isRefusedWithItsReason() {
        String id = UUID.randomUUID().toString();
        assertThat(keep(id, "site", 1, "").at("/errors/0/code").asString()).isEqualTo("duplicate");
        assertThat(keep(id, " ", 1, "").at("/errors/0/pointer").asString()).isEqualTo("/preset");
        assertThat(keep(id, "Narrow", 0, "").status()).isEqualTo(400);
        assertThat(keep(id, "Heavy", 1, "\"weights\":{\"rise\":1000},").status())
                .isEqualTo(400);
        assertThat(keep(id, "Odd", 1, "\"weights\":{\"nose\":1},").status()).isEqualTo(400);
        assertThat(dessa.put("/api/judging-presets/" + id, "{}").at("/errors").size())
                .isEqualTo(5);
        assertThat(dessa.delete("/api/judging-presets/" + UUID.randomUUID()).status())
                .isEqualTo(404);
    }

    @Test
    void verdictOnPaper_isOnePage_withTheWordsOfTheScreen() throws IOException {
        String attempt = shortPiece();
        try (PDDocument pdf = Loader.loadPDF(dessa.file("/api/attempts/" + attempt + "/verdict.pdf?paper=a4"))) {
            assertThat(pdf.getNumberOfPages()).isEqualTo(1);
            String text = new PDFTextStripper().getText(pdf).replaceAll("\\s+", " ");
            assertThat(text)
                    .contains("Trainee 1", "Up from the box", "not yet", "Shrink forgotten", "Landing", "34 1/2 in")
                    .contains("Scrap: no bending, turning or cutting brings in the landing", "add the shrink")
                    .contains("licensed person");
        }
    }

    @Test
    void verdict_ofSomebodyElsesTrainee_isNotThere() {
        String attempt = shortPiece();
        Client colleague = Client.signedIn(server, "runa");
        assertThat(colleague.get("/api/attempts/" + attempt + "/judgement").status())
                .isEqualTo(404);
        assertThat(colleague.get("/api/attempts/" + attempt + "/comparison").status())
                .isEqualTo(404);
        assertThat(colleague.get("/api/attempts/" + attempt + "/verdict.pdf").status())
                .isEqualTo(404);
    }
}
