package lobrik.server.attempt;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import lobrik.server.Client;
import lobrik.server.Client.Answer;
import lobrik.server.RunningServer;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What somebody was given stays in hand, in its order, until it is measured or taken off. */
class WorkInHandTest extends ClassOfTwo {

    private String giveAda(String title) {
        return runa.put(
                        "/api/givings/" + UUID.randomUUID(),
                        exercise(DEFINITION, "{\"traineeIds\":[\"" + trainees.getFirst() + "\"]}")
                                .replace("Up from the box", title))
                .at("/sheets/0/code")
                .asString();
    }

    private static List<String> inHand(Answer floor) {
        JsonNode ada = floor.at("/benches/0");
        return Stream.concat(Stream.of(ada), ada.at("/others").valueStream())
                .map(each -> each.at("/exerciseTitle").asString() + " "
                        + each.at("/state").asString())
                .toList();
    }

    @Test
    void whatIsGivenBeforeTheFirstIsMeasured_isAllKept_inItsOrder(RunningServer.Address server) {
        String first = giveAda("First");
        String second = giveAda("Second");
        giveAda("Third");
        assertThat(inHand(runa.get("/api/floor/" + cohort)))
                .containsExactly("First notStarted", "Second notStarted", "Third notStarted");
        assertThat(runa.get("/api/cohorts/" + cohort + "/kit").body().size()).isEqualTo(3);
        Client phone = new Client(server);
        phone.get("/api/status");
        assertThat(phone.get("/api/benches/" + first)
                        .at("/others")
                        .valueStream()
                        .map(other -> other.at("/title").asString())
                        .toList())
                .containsExactly("Second", "Third");
        // The phone begins the second: whoever is called to the bench measures that.
        phone.put("/api/benches/" + second + "/steps/" + UUID.randomUUID(), "{\"step\":\"called\"}");
        assertThat(inHand(runa.get("/api/floor/" + cohort)))
                .containsExactly("Second called", "First notStarted", "Third notStarted");
        String attempt = openAttempt(trainees.getFirst());
        assertThat(runa.get("/api/attempts/" + attempt).at("/exercise/title").asString())
                .isEqualTo("Second");
        for (String feature : List.of("mark1 11 5/8", "leg 17 5/8", "angle1 90", "otherLeg 22")) {
            read(attempt, feature.split(" ", 2)[0], feature.split(" ", 2)[1]);
        }
        Answer left = runa.get("/api/floor/" + cohort);
        assertThat(inHand(left)).containsExactly("First notStarted", "Third notStarted");
        String measured =
                runa.get("/api/attempts/" + attempt).at("/assignmentId").asString();
        assertThat(runa.put(
                                "/api/attempts/" + UUID.randomUUID(),
                                "{\"traineeId\":\"" + trainees.getFirst() + "\",\"assignmentId\":\"" + measured + "\"}")
                        .at("/exercise/title")
                        .asString())
                .as("another try is of the same, whatever else is in hand")
                .isEqualTo("Second");
        assertThat(runa.delete("/api/assignments/" + measured).status())
                .as("nothing of the new try is measured")
                .isEqualTo(204);

        String assignment = left.at("/benches/0/assignmentId").asString();
        assertThat(runa.delete("/api/assignments/" + assignment).status()).isEqualTo(204);
        assertThat(runa.delete("/api/assignments/" + assignment).status())
                .as("once more changes nothing")
                .isEqualTo(204);
        assertThat(inHand(runa.get("/api/floor/" + cohort))).containsExactly("Third notStarted");
        phone.put("/api/benches/" + first + "/steps/" + UUID.randomUUID(), "{\"step\":\"bending\"}");
        assertThat(inHand(runa.get("/api/floor/" + cohort)))
                .as("whoever goes on with it has it in hand again")
                .containsExactly("First bending", "Third notStarted");
    }

    @Test
    void whatIsPartlyMeasured_staysInHand_andStrangersTakeNothingOff() {
        giveAda("First");
        String attempt = openAttempt(trainees.getFirst());
        read(attempt, "mark1", "11 5/8");
        String path = "/api/assignments/"
                + runa.get("/api/floor/" + cohort).at("/benches/0/assignmentId").asString();
        Answer refused = runa.delete(path);
        assertThat(refused.status()).isEqualTo(409);
        assertThat(refused.at("/errors/0/message").asString()).startsWith("Ada Finch has readings of it already");
        assertThat(dessa.delete(path).status()).isEqualTo(404);
        assertThat(runa.delete("/api/assignments/" + UUID.randomUUID()).status())
                .isEqualTo(404);
    }

    @Test
    void openAttempt_isGoneOnWith_untilItIsComplete() {
        String attempt = givenAndOpened();
        read(attempt, "leg", "17 3/4");
        assertThat(openAttempt(trainees.getFirst())).isEqualTo(attempt);
        read(attempt, "mark1", "11 5/8");
        read(attempt, "angle1", "90");
        read(attempt, "otherLeg", "22");
        assertThat(openAttempt(trainees.getFirst())).isNotEqualTo(attempt);
    }

    @Test
    void exerciseGivenTwice_isGivenOnce_andABadOneIsNotGiven() {
        String path = "/api/givings/" + UUID.randomUUID();
        String giveTo = "{\"traineeIds\":[\"" + trainees.getFirst() + "\"]}";
        assertThat(runa.put(path, exercise(DEFINITION, giveTo)).at("/sheets").size())
                .isEqualTo(1);
        assertThat(runa.put(path, exercise(DEFINITION, giveTo)).at("/sheets").size())
                .isEqualTo(1);
        assertThat(give(runa, "{}").status()).isEqualTo(400);
        String tooShort = DEFINITION.replace("17.625", "3");
        assertThat(runa.put("/api/givings/" + UUID.randomUUID(), exercise(tooShort, giveTo))
                        .status())
                .isEqualTo(422);
        String noLeg = DEFINITION.replace("17.625", "0");
        assertThat(runa.put("/api/givings/" + UUID.randomUUID(), exercise(noLeg, giveTo))
                        .status())
                .isEqualTo(400);
        String endless = exercise(DEFINITION, giveTo).replace("0.125", "1e999");
        assertThat(runa.put("/api/givings/" + UUID.randomUUID(), endless).status())
                .isEqualTo(400);
        assertThat(runa.put("/api/givings/" + UUID.randomUUID(), "{}").status()).isEqualTo(400);
        assertThat(runa.put("/api/attempts/" + UUID.randomUUID(), "{\"traineeId\":\"" + trainees.get(1) + "\"}")
                        .at("/errors/0/code")
                        .asString())
                .isEqualTo("nothing-given");
    }

    @Test
    void wall_tellsWhatTheLeadChooses(RunningServer.Address server) {
        Client oskar = Client.signedIn(server, "oskar");
        assertThat(runa.get("/api/floor/" + cohort).at("/wall/scores").asBoolean())
                .isTrue();
        String without = "{\"scores\":false,\"initials\":true}";
        assertThat(runa.put("/api/wall", without).status()).isEqualTo(403);
        assertThat(oskar.put("/api/wall", "{\"scores\":false}")
                        .at("/errors/0/pointer")
                        .asString())
                .isEqualTo("/initials");
        assertThat(oskar.put("/api/wall", without).at("/initials").asBoolean()).isTrue();
        Answer floor = runa.get("/api/floor/" + cohort);
        assertThat(floor.at("/wall/scores").asBoolean()).isFalse();
        assertThat(floor.at("/wall/initials").asBoolean()).isTrue();
        oskar.put("/api/wall", "{\"scores\":true,\"initials\":false}");
    }
}
