package lobrik.server.attempt;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import lobrik.server.Client.Answer;
import org.junit.jupiter.api.Test;

/** The last mark of an over-bent ninety is often found on the piece: it is written down, and held to nothing. */
class FoundMarkTest extends ClassOfTwo {

    private static final String OVER_BENT = DEFINITION.replaceAll("\"bend\":\\{.*}}", """
            "bend":{"kind":"overBent90","dropIn":24,"setBackIn":6,"overBendDeg":22.5,"otherLegIn":30}}""".strip());

    private String attempt = "";

    private Answer reading(String feature, String text, String more) {
        return runa.put(
                "/api/attempts/" + attempt + "/readings/" + UUID.randomUUID(),
                "{\"feature\":\"" + feature + "\",\"text\":\"" + text + "\"" + more + "}");
    }

    @Test
    void lastMark_asFound_costsNothing_howeverFarOff_andShowsWhereItShouldHaveBeen() {
        Answer given =
                runa.put("/api/givings/" + UUID.randomUUID(), exercise(OVER_BENT, "{\"cohortId\":\"" + cohort + "\"}"));
        assertThat(given.status()).as(given.body().toString()).isEqualTo(200);
        attempt = openAttempt(trainees.getFirst());
        Answer opened = runa.get("/api/attempts/" + attempt);
        assertThat(opened.at("/features/1/id").asString()).isEqualTo("mark2");
        assertThat(opened.at("/features/0/mayBeFound").asBoolean()).isFalse();
        assertThat(opened.at("/features/1/mayBeFound").asBoolean()).isTrue();
        assertThat(reading("mark1", "9", ",\"asFound\":true").status()).isEqualTo(400);
        Answer found = reading("mark2", "3", ",\"asFound\":true");
        assertThat(found.at("/features/1/state").asString()).isEqualTo("read");
        assertThat(found.at("/features/1/deviation").isNull()).isTrue();
        assertThat(found.at("/features/1/target").asDouble()).isGreaterThan(3);
        for (var feature : opened.at("/features")) {
            String id = feature.at("/id").asString();
            if (!id.equals("mark2")) {
                runa.put(
                        "/api/attempts/" + attempt + "/readings/" + UUID.randomUUID(),
                        "{\"feature\":\"" + id + "\",\"asAsked\":true}");
            }
        }
        Answer complete = runa.get("/api/attempts/" + attempt);
        assertThat(complete.at("/score/points").asDouble()).isEqualTo(100);
        String id = complete.at("/features/1/reading/id").asString();
        Answer corrected = reading("mark2", "4", ",\"corrects\":\"" + id + "\",\"reason\":\"misread\"");
        assertThat(corrected.at("/features/1/reading/asFound").asBoolean())
                .as("a correction is of the same sort")
                .isTrue();
    }
}
