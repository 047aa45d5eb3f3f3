package lobrik.server.judging;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.UUID;
import lobrik.server.Bench;
import lobrik.server.Client;
import lobrik.server.Client.Answer;
import lobrik.server.RunningServer;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Bender 7 of the demo school adds a quarter of an inch to everybody's legs: that is the bender's, and nobody's slip. */
@ExtendWith(RunningServer.class)
class BenderShareTest {

    private Client runa;
    private Client oskar;

    @BeforeEach
    void signIn(RunningServer.Address server) {
        runa = Client.signedIn(server, "runa");
        oskar = Client.signedIn(server, "oskar");
    }

    @AfterEach
    void asItWas() {
        choose(false);
    }

    private void choose(boolean leftOut) {
        assertThat(oskar.put("/api/benders/points", "{\"leftOut\":" + leftOut + "}")
                        .status())
                .isEqualTo(200);
    }

    /** A stub of 17 5/8 in whose ring stands right and whose leg reads so. */
    private String stub(String bender, String leg, String otherLeg) {
        String attempt = Bench.on(runa, bender, Bench.STUB).open(0);
        read(attempt, "mark1", "11 5/8");
        read(attempt, "leg", leg);
        read(attempt, "angle1", "90");
        read(attempt, "otherLeg", otherLeg);
        return attempt;
    }

    private void read(String attempt, String feature, String text) {
        Answer kept = runa.put(
                "/api/attempts/" + attempt + "/readings/" + UUID.randomUUID(),
                "{\"feature\":\"" + feature + "\",\"text\":\"" + text
                        + "\",\"bare\":\"in\",\"takenWith\":\"keys\",\"takenAt\":\"2026-11-24T08:00:00Z\"}");
        assertThat(kept.status()).as(kept.body().toString()).isEqualTo(200);
    }

    private Answer verdict(String attempt) {
        return runa.get("/api/attempts/" + attempt + "/judgement");
    }

    @Test
    void quarterOnBender7_isTheBenders_andOnAnotherBenderTheHands() {
        Answer onSeven = verdict(stub("Bender 7", "17 7/8", "21 3/4"));
        assertThat(onSeven.at("/diagnosis/causes/0/id").asString()).isEqualTo("bender");
        assertThat(onSeven.at("/finding/headline").asString()).isEqualTo("The bender, not the hands");
        assertThat(onSeven.at("/bender/sentence").asString())
                .matches("Bender 7 adds .* in to legs; without that yours is within\\.");
        assertThat(onSeven.at("/bender/features/0/feature").asString()).isEqualTo("leg");
        assertThat(onSeven.at("/bender/features/0/adds").asDouble()).isBetween(0.17, 0.33);
        assertThat(onSeven.at("/budgets/0/parts").valueStream())
                .anyMatch(part -> part.at("/stage").asString().equals("bender")
                        && part.at("/change").asDouble() > 0.15);
        assertThat(onSeven.at("/nextTime").isNull())
                .as("nothing to learn from it")
                .isTrue();

        Answer onFour = verdict(stub("Bender 4", "17 7/8", "21 3/4"));
        assertThat(onFour.at("/diagnosis/causes/0/id").asString()).isEqualTo("mark-slipped");
        assertThat(onFour.at("/bender").isNull()).isTrue();
    }

    @Test
    void whatTheHandsAddBesides_staysTheirs() {
        Answer verdict = verdict(stub("Bender 7", "18 3/8", "21 1/4"));
        assertThat(verdict.at("/diagnosis/causes/0/id").asString()).isEqualTo("mark-slipped");
        assertThat(verdict.at("/diagnosis/causes/0/amount").asDouble()).isCloseTo(0.5, within(0.09));
        assertThat(verdict.at("/bender/sentence").asString()).endsWith("are outside all the same.");
    }

    @Test
    void pointsLeaveItOut_whereTheLeadSoChooses_forPiecesThatAreBegunFromThenOn() {
        String before = stub("Bender 7", "17 7/8", "21 3/4");
        choose(true);
        String after = stub("Bender 7", "17 7/8", "21 3/4");
        assertThat(verdict(before).at("/marksheet/passed").asBoolean()).isFalse();
        assertThat(verdict(before).at("/bender/leftOut").asBoolean()).isFalse();
        Answer leftOut = verdict(after);
        assertThat(leftOut.at("/bender/leftOut").asBoolean()).isTrue();
        assertThat(leftOut.at("/marksheet/passed").asBoolean()).isTrue();
        assertThat(leftOut.at("/marksheet/points").asDouble()).isGreaterThan(95);
        assertThat(runa.get("/api/attempts/" + after).at("/features/1/target").asDouble())
                .as("held to what the right piece comes to on this bender")
                .isBetween(17.79, 17.96);
        choose(false);
        assertThat(verdict(after).at("/marksheet/passed").asBoolean())
                .as("each piece keeps the points it was judged to")
                .isTrue();
    }

    @Test
    void onlyTheLeadChooses_andSaysWhat() {
        assertThat(runa.get("/api/benders/points").at("/leftOut").asBoolean()).isFalse();
        assertThat(runa.put("/api/benders/points", "{\"leftOut\":true}").status())
                .isEqualTo(403);
        Answer nothing = oskar.put("/api/benders/points", "{}");
        assertThat(nothing.status()).isEqualTo(400);
        assertThat(nothing.at("/errors/0/field").asString("") + nothing.body().toString())
                .contains("/leftOut");
    }
}
