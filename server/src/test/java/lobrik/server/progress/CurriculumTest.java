package lobrik.server.progress;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.UUID;
import lobrik.server.Bench;
import lobrik.server.Client;
import lobrik.server.Client.Answer;
import lobrik.server.RunningServer;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.parallel.Isolated;
import tools.jackson.databind.JsonNode;

/** The order in which a school teaches bends, and families of bends by tool. */
@ExtendWith(RunningServer.class)
@Isolated("The order is the whole centre's.")
class CurriculumTest {

    private static final String AT_THE_MACHINE =
            Bench.STUB.replace("\"bender\":{", "\"bender\":{\"kind\":\"machine\",");

    private Client runa;
    private Client oskar;
    private String before;

    @BeforeEach
    void signIn(RunningServer.Address server) {
        runa = Client.signedIn(server, "runa");
        oskar = Client.signedIn(server, "oskar");
        before = body(runa.get("/api/curriculum").at("/steps"));
    }

    @AfterEach
    void asItWas() {
        assertThat(keep(oskar, before).status()).isEqualTo(200);
    }

    private static String body(JsonNode steps) {
        return "{\"steps\":" + steps + "}";
    }

    private static Answer keep(Client who, String order) {
        return who.put("/api/curriculum/" + UUID.randomUUID(), order);
    }

    private List<String> families(Taught taught) {
        return runa.get("/api/cohorts/" + taught.id() + "/matrix")
                .at("/families")
                .valueStream()
                .map(JsonNode::asString)
                .toList();
    }

    private JsonNode next(Taught taught) {
        return runa.get("/api/trainees/" + taught.trainee(0) + "/progress").at("/next");
    }

    @Test
    void usualOrder_hasEveryTool() {
        assertThat(runa.get("/api/curriculum").at("/usual").size()).isEqualTo(29);
        assertThat(runa.get("/api/curriculum").at("/mayChange").asBoolean()).isFalse();
        assertThat(oskar.get("/api/curriculum").at("/mayChange").asBoolean()).isTrue();
    }

    @Test
    void leadWritesAnother_andItCountsForWhatComesNext() {
        Taught taught = Taught.of(runa, "Ada Finch");
        String order = "{\"steps\":[{\"family\":\"kick\",\"after\":[]},{\"family\":\"stub90\",\"after\":[\"kick\"]}]}";
        assertThat(keep(runa, order).status()).isEqualTo(403);
        assertThat(next(taught).at("/family").asString()).isEqualTo("stub90");
        Answer kept = keep(oskar, order);
        assertThat(kept.status()).as(kept.body().toString()).isEqualTo(200);
        assertThat(kept.at("/history/0/by").asString()).isEqualTo("Oskar Brindlemay");
        assertThat(kept.at("/history/0/steps").asInt()).isEqualTo(2);
        assertThat(next(taught).at("/family").asString()).isEqualTo("kick");
        assertThat(families(taught)).containsExactly("kick", "stub90");
        assertThat(runa.get("/api/cohorts/" + taught.id() + "/plan")
                        .at("/groups/0/family")
                        .asString())
                .isEqualTo("kick");
    }

    @Test
    void repeatedRequest_writesOnce() {
        String path = "/api/curriculum/" + UUID.randomUUID();
        int changes = oskar.put(path, before).at("/history").size();
        assertThat(oskar.put(path, before).at("/history").size()).isEqualTo(changes);
    }

    @Test
    void orderThatCannotBeKept_isRefusedAtItsStep() {
        Answer backwards = keep(
                oskar, "{\"steps\":[{\"family\":\"stub90\",\"after\":[\"kick\"]},{\"family\":\"kick\",\"after\":[]}]}");
        assertThat(backwards.status()).isEqualTo(400);
        assertThat(backwards.at("/errors/0/pointer").asString()).isEqualTo("/steps/0/after");
        assertThat(backwards.at("/errors/0/message").asString()).contains("move that up");
        Answer unknown = keep(oskar, "{\"steps\":[{\"family\":\"knot\",\"after\":[]}]}");
        assertThat(unknown.at("/errors/0/pointer").asString()).isEqualTo("/steps/0/family");
        assertThat(keep(oskar, "{\"steps\":[]}").status()).isEqualTo(400);
        assertThat(keep(oskar, "{}").status()).isEqualTo(400);
    }

    @Test
    void stubAtTheMachine_isAFamilyOfItsOwn_fromTheMatrixToTheSignature() {
        Taught taught = Taught.with(runa, AT_THE_MACHINE, "Ada Finch");
        taught.bends(0, 6, "17 5/8");
        assertThat(families(taught)).startsWith("stub90.machine").doesNotContain("stub90", "boxOffset.machine");
        assertThat(next(taught).at("/family").asString()).isEqualTo("stub90.machine");
        taught.bends(0, 4, "17 5/8");
        taught.bends(0, 2, "17 5/8");
        assertThat(taught.standing(0)).isEqualTo("ready");
        Answer signed = runa.put(
                "/api/trainees/" + taught.trainee(0) + "/sign-offs/" + UUID.randomUUID(),
                "{\"family\":\"stub90.machine\"}");
        assertThat(signed.status()).as(signed.body().toString()).isEqualTo(200);
        assertThat(signed.at("/signOffs/0/family").asString()).isEqualTo("stub90.machine");
        assertThat(signed.at("/signOffs/0/evidence").size()).isEqualTo(3);
        assertThat(signed.at("/families/0/id").asString()).isEqualTo("stub90.machine");
        assertThat(signed.at("/families").size()).isEqualTo(1);
        assertThat(next(taught).at("/family").asString()).isEqualTo("backToBack90.machine");
        Answer byHand = runa.put(
                "/api/trainees/" + taught.trainee(0) + "/sign-offs/" + UUID.randomUUID(), "{\"family\":\"stub90\"}");
        assertThat(byHand.status()).as("nothing of it was bent by hand").isEqualTo(409);
    }
}
