package lobrik.server.study;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import lobrik.server.Bench;
import lobrik.server.Client;
import lobrik.server.RunningServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** A study at a school of the test's own: begun, read blind, closed, and what its readings are weighed by afterwards. */
@ExtendWith(RunningServer.class)
class StudyTest {

    /** A lead and two who read, of a school of their own. */
    private record School(UUID id, Client lead, Client one, Client other) {

        static School of(RunningServer.Address server) {
            UUID school = server.school();
            return new School(
                    school,
                    Client.byPassword(server, server.account(school, "LEAD")),
                    Client.byPassword(server, server.account(school, "INSTRUCTOR")),
                    Client.byPassword(server, server.account(school, "ASSISTANT")));
        }

        String begin() {
            String id = UUID.randomUUID().toString();
            Client.Answer begun = lead.put("/api/studies/" + id, """
                    {"title":"Stubs","instrument":"HAND","pieces":4,"repeats":2,"readers":["%s","%s"],
                     "asked":[{"feature":"leg","tolerance":0.125},{"feature":"angle","tolerance":2}]}""".formatted(account(one), account(other)));
            assertThat(begun.status()).as(begun.response().body()).isEqualTo(204);
            return id;
        }
    }

    private static String account(Client who) {
        return who.get("/api/me").at("/accountId").asString();
    }

    /** Reads whatever piece it is the turn of, so much long, with a repeat that differs by twice {@code again}. */
    private static List<Integer> readAll(Client who, String study, double bias, double again) {
        List<Integer> order = new ArrayList<>();
        while (true) {
            Client.Answer turn = who.get("/api/studies/" + study + "/turn");
            assertThat(turn.status()).as(turn.response().body()).isEqualTo(200);
            if (!turn.at("/piece").isNumber()) {
                return order;
            }
            int piece = turn.at("/piece").asInt();
            int round = turn.at("/round").asInt();
            order.add(piece);
            double leg = 10 + piece + bias + (round == 1 ? again : -again);
            Client.Answer written = write(who, study, piece, round, leg);
            assertThat(written.status()).as(written.response().body()).isEqualTo(204);
        }
    }

    private static Client.Answer write(Client who, String study, int piece, int round, double leg) {
        return who.post("/api/studies/" + study + "/figures", """
                {"piece":%d,"round":%d,"figures":[{"feature":"leg","value":%s},{"feature":"angle","value":%s}]}""".formatted(piece, round, leg, 90 + piece));
    }

    private static JsonNode study(Client who, String id) {
        for (JsonNode each : who.get("/api/studies").at("/studies")) {
            if (each.at("/id").asString().equals(id)) {
                return each;
            }
        }
        throw new AssertionError("no such study");
    }

    @Test
    void whatWasRead_isSeenByNobodyUntilItIsClosed_andTellsWhoReadsLong(RunningServer.Address server) {
        School school = School.of(server);
        String id = school.begin();
        readAll(school.one(), id, 0.125, 1 / 64.0);
        assertThat(school.lead()
                        .get("/api/studies/" + id + "/results")
                        .at("/errors/0/code")
                        .asString())
                .isEqualTo("going-on");
        assertThat(study(school.lead(), id).toString())
                .as("how far they are, and no figure")
                .doesNotContain("11.1");
        assertThat(study(school.one(), id).at("/mine").asInt()).isEqualTo(8);
        assertThat(study(school.lead(), id).at("/mine").isNumber()).isFalse();
        readAll(school.other(), id, 0, 1 / 64.0);
        assertThat(school.lead().post("/api/studies/" + id + "/close", "").status())
                .isEqualTo(204);
        Client.Answer results = school.one().get("/api/studies/" + id + "/results");
        JsonNode leg = results.at("/features/0");
        assertThat(leg.at("/repeatability").asDouble()).as("pooled").isCloseTo(2 / 64.0 / Math.sqrt(2), within(0.006));
        assertThat(leg.at("/reproducibility").asDouble())
                .as("1/8 in apart")
                .isCloseTo(0.125 / Math.sqrt(2), within(0.01));
        assertThat(leg.at("/share").asDouble()).isGreaterThan(0.3);
        List<String> words = leg.at("/readers")
                .valueStream()
                .map(each -> each.at("/words").asString())
                .toList();
        assertThat(words).containsExactlyInAnyOrder("reads 1/16 in long", "reads 1/16 in short");
        assertThat(results.at("/features/1/spread").asDouble())
                .as("angles never differed")
                .isZero();
        assertThat(write(school.one(), id, 1, 1, 11).status())
                .as("sent twice is kept once")
                .isEqualTo(204);
    }

    @Test
    void everybodyHasAnOrderOfTheirOwn_inEachRound(RunningServer.Address server) {
        School school = School.of(server);
        String id = school.begin();
        List<Integer> one = readAll(school.one(), id, 0, 0);
        assertThat(one.subList(0, 4)).containsExactlyInAnyOrder(1, 2, 3, 4);
        assertThat(one.subList(4, 8)).containsExactlyInAnyOrder(1, 2, 3, 4);
        assertThat(school.lead()
                        .get("/api/studies/" + id + "/turn")
                        .at("/piece")
                        .isNumber())
                .as("the lead is none of its readers")
                .isFalse();
    }

    @Test
    void anotherPieceThanWhoseTurnItIs_orHalfOfWhatIsAsked_isNotTaken(RunningServer.Address server) {
        School school = School.of(server);
        String id = school.begin();
        int piece =
                school.one().get("/api/studies/" + id + "/turn").at("/piece").asInt();
        assertThat(write(school.one(), id, piece % 4 + 1, 1, 11)
                        .at("/errors/0/code")
                        .asString())
                .isEqualTo("not-your-turn");
        assertThat(school.one()
                        .post(
                                "/api/studies/" + id + "/figures",
                                "{\"piece\":%d,\"round\":1,\"figures\":[{\"feature\":\"leg\",\"value\":11}]}"
                                        .formatted(piece))
                        .at("/errors/0/pointer")
                        .asString())
                .isEqualTo("/figures");
        assertThat(write(school.lead(), id, piece, 1, 11).status()).isEqualTo(409);
        assertThat(study(school.one(), id).at("/mine").asInt()).isZero();
    }

    @Test
    void closedEarly_leavesOutWhatNotEverybodyRead(RunningServer.Address server) {
        School school = School.of(server);
        String id = school.begin();
        readAll(school.one(), id, 0, 1 / 32.0);
        int piece =
                school.other().get("/api/studies/" + id + "/turn").at("/piece").asInt();
        write(school.other(), id, piece, 1, 11);
        assertThat(school.lead()
                        .delete("/api/studies/" + id)
                        .at("/errors/0/code")
                        .asString())
                .as("somebody has read for it")
                .isEqualTo("begun");
        school.lead().post("/api/studies/" + id + "/close", "");
        Client.Answer results = school.lead().get("/api/studies/" + id + "/results");
        assertThat(results.at("/features")).isEmpty();
        assertThat(results.at("/incomplete")).hasSize(4);
        assertThat(school.lead()
                        .put("/api/reading-spread", "{\"studyId\":\"" + id + "\"}")
                        .at("/errors/0/code")
                        .asString())
                .isEqualTo("too-little");
    }

    @Test
    void takenByTheLead_weighsPiecesThatAreBegunThen_andIsGivenUpAgain(RunningServer.Address server) {
        School school = School.of(server);
        shed(school.lead());
        String before = Bench.on(school.lead(), "Shoe", Bench.STUB).open(0);
        String id = school.begin();
        readAll(school.one(), id, 1 / 16.0, 1 / 16.0);
        readAll(school.other(), id, 0, 1 / 16.0);
        school.lead().post("/api/studies/" + id + "/close", "");
        assertThat(school.lead()
                        .put("/api/reading-spread", "{\"studyId\":\"" + id + "\"}")
                        .status())
                .isEqualTo(204);
        JsonNode known = school.lead().get("/api/studies").at("/spread/known");
        assertThat(known).hasSize(2);
        assertThat(known.get(0).at("/feature").asString()).isEqualTo("angle");
        assertThat(known.get(0).at("/spread").asDouble())
                .as("no reading is that sure")
                .isEqualTo(0.05);
        assertThat(known.get(1).at("/spread").asDouble()).isGreaterThan(1 / 32.0);
        String after = Bench.on(school.lead(), "Shoe", Bench.STUB).open(0);
        assertThat(nearLimits(school.lead(), before))
                .as("3/32 in short of its limit, as is usual")
                .isEmpty();
        assertThat(nearLimits(school.lead(), after))
                .as("readings of this school spread wider")
                .singleElement()
                .satisfies(sentence -> assertThat(sentence).startsWith("The leg reads 1/16 in inside its limit"));
        assertThat(school.lead().put("/api/reading-spread", "{}").status()).isEqualTo(204);
        assertThat(school.lead().get("/api/studies").at("/spread/known")).isEmpty();
        assertThat(school.lead().get("/api/audit?subject=school").body().toString())
                .contains("readings spread by", "as is usual");
    }

    /** Conduit and a bender for what is bent on them. */
    private static void shed(Client lead) {
        String conduit = UUID.randomUUID().toString();
        assertThat(lead.put("/api/conduits/" + conduit, "{\"label\":\"3/4 EMT\",\"outsideDiameterIn\":0.922}")
                        .status())
                .isEqualTo(204);
        assertThat(lead.put("/api/benders/" + UUID.randomUUID(), """
                        {"label":"Shoe","conduitId":"%s","figures":{"takeUpIn":6,"radiusIn":5.125},"reason":"as stamped"}""".formatted(conduit))
                        .status())
                .isEqualTo(204);
    }

    /** What is said of a piece whose leg is read 1/16 in short of what it is held to. */
    private static List<String> nearLimits(Client lead, String attempt) {
        double target = lead.get("/api/attempts/" + attempt)
                .at("/features")
                .valueStream()
                .filter(each -> each.at("/id").asString().equals("leg"))
                .findFirst()
                .orElseThrow()
                .at("/target")
                .asDouble();
        Client.Answer read = lead.put(
                "/api/attempts/" + attempt + "/readings/" + UUID.randomUUID(),
                "{\"feature\":\"leg\",\"text\":\"" + (target - 1 / 16.0) + "\"}");
        assertThat(read.status()).as(read.response().body()).isEqualTo(200);
        return lead.get("/api/attempts/" + attempt + "/judgement")
                .at("/nearLimits")
                .valueStream()
                .map(each -> each.at("/sentence").asString())
                .toList();
    }
}
