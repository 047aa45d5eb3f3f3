package lobrik.server.attempt;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import lobrik.server.Client.Answer;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** A piece that is bent on or eased, and measured again: what it was stays, what it is counts. */
class BentAgainTest extends ClassOfTwo {

    private static final String ADDED =
            "{\"fact\":{\"kind\":\"stage\",\"number\":2,\"bends\":[{\"bend\":1,\"change\":\"added\"}]}}";
    private static final String COSTS_FIVE = "\"passMark\":70,\"rebending\":{\"mostEasedDeg\":10,\"mostAddedDeg\":20,"
            + "\"mostTimes\":4,\"pointsEach\":5}}";

    private String attempt;

    @BeforeEach
    void giveOut() {
        Answer given = runa.put(
                "/api/givings/" + UUID.randomUUID(),
                exercise(DEFINITION, "{\"cohortId\":\"" + cohort + "\"}").replace("\"passMark\":70}", COSTS_FIVE));
        assertThat(given.status()).as(given.body().toString()).isEqualTo(200);
        attempt = openAttempt(trainees.getFirst());
    }

    private Answer fact(String body) {
        return runa.put("/api/attempts/" + attempt + "/facts/" + UUID.randomUUID(), body);
    }

    private Answer reading(String body) {
        return runa.put("/api/attempts/" + attempt + "/readings/" + UUID.randomUUID(), body);
    }

    /** Bent 4° short on its mark: of the back of a bend that is not square the leg reads shorter. */
    private Answer underBent() {
        read(attempt, "mark1", "11 5/8");
        read(attempt, "leg", "17 9/32");
        read(attempt, "angle1", "86");
        return read(attempt, "otherLeg", "22");
    }

    @Test
    void stage_keepsWhatWasRead_andAsksForThePieceAnew() {
        double before = underBent().at("/score/points").asDouble();
        Answer begun = fact(ADDED);
        assertThat(begun.status()).as(begun.body().toString()).isEqualTo(200);
        assertThat(begun.at("/score").isNull()).isTrue();
        assertThat(begun.at("/features/0/state").asString())
                .as("a ring stays where it is")
                .isEqualTo("read");
        assertThat(begun.at("/features/2/state").asString()).isEqualTo("open");
        assertThat(begun.at("/features/2/history/0/typed").asString()).isEqualTo("86");
        assertThat(begun.at("/bench/stages/0/before/points").asDouble()).isEqualTo(before);
        read(attempt, "leg", "17 5/8");
        read(attempt, "angle1", "90");
        Answer now = read(attempt, "otherLeg", "22");
        assertThat(now.at("/score/points").asDouble()).as("5 off").isEqualTo(95);
        assertThat(now.at("/score/passed").asBoolean()).isTrue();
        assertThat(now.at("/features/2/history/1/stage").asInt()).isEqualTo(2);
        assertThat(now.at("/madeFirst").isNull()).isFalse();
        assertThat(now.at("/bench/stages/0/after/points").asDouble()).isEqualTo(95);
        assertThat(now.at("/bench/stages/0/bends/0/change").asString()).isEqualTo("added");
    }

    @Test
    void verdict_isOfTheLastStage_itsCauseOfTheFirst() {
        underBent();
        fact(ADDED);
        read(attempt, "leg", "17 5/8");
        read(attempt, "angle1", "90");
        read(attempt, "otherLeg", "22");
        Answer judgement = runa.get("/api/attempts/" + attempt + "/judgement");
        assertThat(judgement.at("/marksheet/points").asDouble()).isEqualTo(95);
        assertThat(judgement.at("/marksheet/lost/0/fault").asString()).isEqualTo("bent again");
        assertThat(judgement.at("/diagnosis/causes/0/id").asString()).isEqualTo("angle-off");
        assertThat(judgement.at("/advice/outcome").asString()).isEqualTo("leave");
        assertThat(page())
                .contains("It came to as first bent", "then 95 points; each time took 5 off", "Dashed: as first bent");
        assertThat(piece("points").asDouble()).isEqualTo(95);
        assertThat(piece("rebent").asInt()).isEqualTo(1);
        assertThat(piece("slip").toString())
                .as("that it was bent short is what it says of whoever bent it")
                .contains("angle-off");
    }

    /** The words of the verdict on paper. */
    private String page() {
        try (PDDocument pdf = Loader.loadPDF(runa.file("/api/attempts/" + attempt + "/verdict.pdf"))) {
            return new PDFTextStripper().getText(pdf).replaceAll("\\s+", " ");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private JsonNode piece(String member) {
        Answer progress = runa.get("/api/trainees/" + trainees.getFirst() + "/progress");
        return progress.at("/families")
                .valueStream()
                .flatMap(family -> family.at("/history").valueStream())
                .findFirst()
                .orElseThrow(() -> new AssertionError(progress.body()))
                .at("/" + member);
    }

    @Test
    void whileItIsMeasuredAgain_whatItCameToStands() {
        underBent();
        double before = piece("points").asDouble();
        fact(ADDED);
        assertThat(piece("points").asDouble()).isEqualTo(before);
    }

    @Test
    void stage_isRefusedBeforeAnythingIsRead_andTwice() {
        assertThat(fact(ADDED).at("/errors/0/code").asString()).isEqualTo("nothing-read");
        underBent();
        assertThat(fact(ADDED).status()).isEqualTo(200);
        assertThat(fact(ADDED).at("/errors/0/code").asString()).isEqualTo("stage-begun");
        assertThat(fact(ADDED.replace("\"number\":2", "\"number\":3").replace("\"bend\":1", "\"bend\":7"))
                        .status())
                .isEqualTo(400);
    }

    @Test
    void readingOfAnEarlierStage_comesTooLate_butMayBeCorrected() {
        Answer first = underBent();
        fact(ADDED);
        assertThat(reading("{\"feature\":\"angle1\",\"text\":\"87\",\"stage\":1}")
                        .at("/errors/0/code")
                        .asString())
                .isEqualTo("another-stage");
        String wrong = first.at("/features/2/reading/id").asString();
        double before = piece("points").asDouble();
        Answer corrected = reading(
                "{\"feature\":\"angle1\",\"text\":\"85\",\"corrects\":\"" + wrong + "\",\"reason\":\"misread\"}");
        assertThat(corrected.status()).isEqualTo(200);
        assertThat(corrected.at("/features/2/state").asString())
                .as("it is of the piece as first bent")
                .isEqualTo("open");
        assertThat(corrected.at("/bench/stages/0/before/off").toString()).contains("-5");
        assertThat(piece("points").asDouble()).as("5° short costs more than 4°").isLessThan(before);
    }

    @Test
    void stagePressedByMistake_isTakenBack_asLongAsNothingIsRead() {
        underBent();
        String id = fact(ADDED).at("/bench/stages/0/id").asString();
        Answer back = runa.put("/api/attempts/" + attempt + "/set-aside/" + id, "{\"reason\":\"pressed by mistake\"}");
        assertThat(back.at("/score/points").asDouble()).isPositive();
        assertThat(back.at("/bench/stages").size()).isZero();
        String again = fact(ADDED).at("/bench/stages/0/id").asString();
        read(attempt, "angle1", "90");
        assertThat(runa.put("/api/attempts/" + attempt + "/set-aside/" + again, "{\"reason\":\"x\"}")
                        .at("/errors/0/code")
                        .asString())
                .isEqualTo("measured-already");
    }

    @Test
    void readingsFile_saysOfWhichStageEachIs() {
        underBent();
        fact(ADDED);
        read(attempt, "angle1", "90");
        String csv = new String(runa.file("/api/readings.csv?cohort=" + cohort), StandardCharsets.UTF_8);
        List<String> lines =
                csv.lines().filter(line -> line.contains("\"angle1\"")).toList();
        assertThat(lines).hasSize(2);
        assertThat(lines.getFirst()).contains("\"deg\",1,");
        assertThat(lines.getLast()).contains("\"deg\",2,");
    }
}
