package lobrik.server.attempt;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.UUID;
import lobrik.server.Client.Answer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Angles are read by level: what the level reads on the floor is taken off, and both figures stay. */
class FloorTest extends ClassOfTwo {

    private String attempt;

    @BeforeEach
    void begin() {
        attempt = givenAndOpened();
    }

    private Answer floor(String of, String text, boolean bench, String more) {
        return runa.put(
                "/api/attempts/" + of + "/facts/" + UUID.randomUUID(),
                "{\"fact\":{\"kind\":\"floor\",\"text\":\"" + text + "\",\"bench\":" + bench + "}" + more + "}");
    }

    @Test
    void angleByLevel_isCorrected_andBothFiguresStay() {
        assertThat(floor(attempt, "+1/2", false, "").at("/bench/floor/deg").asDouble())
                .isEqualTo(0.5);
        Answer read = read(attempt, "angle1", "89 1/2");
        assertThat(read.at("/features/2/reading/typed").asString()).isEqualTo("89 1/2");
        assertThat(read.at("/features/2/reading/level/readDeg").asDouble()).isEqualTo(89.5);
        assertThat(read.at("/features/2/reading/level/floorDeg").asDouble()).isEqualTo(0.5);
        assertThat(read.at("/features/2/reading/value").asDouble()).isEqualTo(89);
        assertThat(read.at("/features/2/deviation").asDouble()).isEqualTo(-1);
        assertThat(read(attempt, "leg", "17 5/8")
                        .at("/features/1/reading/level")
                        .isNull())
                .as("no tape is off by a floor")
                .isTrue();
    }

    @Test
    void floorBelow_isAddedBack() {
        floor(attempt, "-1", false, "");
        assertThat(read(attempt, "angle1", "89").at("/features/2/reading/value").asDouble())
                .isEqualTo(90);
    }

    @Test
    void whatWasReadBefore_andByProtractor_staysAsItIs() {
        read(attempt, "angle1", "89");
        Answer later = floor(attempt, "+1", false, "");
        assertThat(later.at("/features/2/reading/value").asDouble()).isEqualTo(89);
        String wrong = later.at("/features/2/reading/id").asString();
        Answer protractor = runa.put(
                "/api/attempts/" + attempt + "/readings/" + UUID.randomUUID(),
                "{\"feature\":\"angle1\",\"text\":\"88\",\"byLevel\":false,\"corrects\":\"" + wrong
                        + "\",\"reason\":\"by protractor\"}");
        assertThat(protractor.at("/features/2/reading/value").asDouble()).isEqualTo(88);
    }

    @Test
    void floorThatWasMisread_isCorrectedUnderWhatWasReadOverIt() {
        String id = floor(attempt, "+2", false, "").at("/bench/floor/id").asString();
        read(attempt, "angle1", "91");
        Answer right = floor(attempt, "+1", false, ",\"corrects\":\"" + id + "\"");
        assertThat(right.at("/features/2/reading/value").asDouble()).isEqualTo(90);
        String now = right.at("/bench/floor/id").asString();
        Answer none =
                runa.put("/api/attempts/" + attempt + "/set-aside/" + now, "{\"reason\":\"it was a protractor\"}");
        assertThat(none.at("/features/2/reading/value").asDouble()).isEqualTo(91);
    }

    @Test
    void floorOfABench_holdsForWhoeverIsMeasuredThereToday() {
        floor(attempt, "+1/2", true, "");
        read(attempt, "mark1", "11 5/8");
        read(attempt, "leg", "17 5/8");
        read(attempt, "angle1", "90 1/2");
        assertThat(read(attempt, "otherLeg", "22").at("/score/points").asDouble())
                .isEqualTo(100);
        Answer again =
                runa.put("/api/attempts/" + UUID.randomUUID(), "{\"traineeId\":\"" + trainees.getFirst() + "\"}");
        assertThat(again.at("/bench/floor/text").asString()).isEqualTo("+1/2");
        Answer elsewhere =
                runa.put("/api/attempts/" + UUID.randomUUID(), "{\"traineeId\":\"" + trainees.getLast() + "\"}");
        assertThat(elsewhere.at("/bench/floor").isNull())
                .as("another bench stands on another floor")
                .isTrue();
        Answer kit = runa.get("/api/cohorts/" + cohort + "/kit");
        assertThat(kit.body().toString()).contains("+1/2");
    }

    @Test
    void floorThatNoFloorIs_isRefused() {
        Answer steep = floor(attempt, "12", false, "");
        assertThat(steep.status()).isEqualTo(400);
        assertThat(steep.body().toString()).contains("+12°", "−10°", "+10°", "lay the level on the floor");
        assertThat(floor(attempt, "level", false, "").status()).isEqualTo(400);
    }

    @Test
    void readingsFile_hasBothFigures() {
        floor(attempt, "+1/2", false, "");
        read(attempt, "angle1", "89 1/2");
        String csv = new String(runa.file("/api/readings.csv?cohort=" + cohort), StandardCharsets.UTF_8);
        assertThat(csv).contains(",89.5,0.5,");
    }
}
