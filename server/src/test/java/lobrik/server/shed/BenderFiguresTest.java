package lobrik.server.shed;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import lobrik.server.Client;
import lobrik.server.Client.Answer;
import lobrik.server.RunningServer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** A machine's tables from test bends, and what becomes of them. */
@ExtendWith(RunningServer.class)
class BenderFiguresTest {

    private static final String TESTS = "{\"tests\":[{\"travelIn\":2.75,\"underLoadDeg\":31.5,\"restDeg\":30},"
            + "{\"travelIn\":8.9,\"underLoadDeg\":93.5,\"restDeg\":90},{\"travelIn\":8.8,\"underLoadDeg\":93,\"restDeg\":89.5}]}";

    private Client lead;
    private Client dessa;
    private JsonNode machine;

    @BeforeEach
    void find(RunningServer.Address server) {
        lead = Client.signedIn(server, "oskar");
        dessa = Client.signedIn(server, "dessa");
        machine = machine();
    }

    private JsonNode machine() {
        return lead.get("/api/shed")
                .at("/benders")
                .valueStream()
                .filter(bender -> bender.at("/figures/kind").asString().equals("machine"))
                .findFirst()
                .orElseThrow();
    }

    private Answer revise(Client who, String key, String figures, String reason) {
        return who.put(
                "/api/benders/" + machine.at("/id").asString() + "/revisions/" + key,
                "{\"figures\":" + figures + ",\"reason\":\"" + reason + "\"}");
    }

    @Test
    void testBends_makeTables_whichTheLeadGivesToTheMachine(RunningServer.Address server) {
        Answer fit = new Client(server).post("/api/calc/machine-tests", TESTS);
        assertThat(fit.status()).as(fit.body().toString()).isEqualTo(200);
        assertThat(fit.at("/ramTravel").size()).isEqualTo(2);
        assertThat(fit.at("/travelScatterIn").asDouble()).isPositive();
        String figures = "{\"kind\":\"machine\",\"takeUpIn\":20,\"radiusIn\":16,\"minPastShoeIn\":4,\"minStubIn\":24,"
                + "\"springback\":" + fit.at("/springback") + ",\"ramTravel\":" + fit.at("/ramTravel") + "}";
        assertThat(revise(dessa, UUID.randomUUID().toString(), figures, "3 test bends")
                        .status())
                .isEqualTo(403);
        int before = machine.at("/revision").asInt();
        String key = UUID.randomUUID().toString();
        Answer given = revise(lead, key, figures, "3 test bends");
        assertThat(given.status()).as(given.body().toString()).isEqualTo(200);
        assertThat(given.at("/revision").asInt()).isEqualTo(before + 1);
        assertThat(given.at("/figures/ramTravel").size()).isEqualTo(2);
        assertThat(revise(lead, key, figures, "3 test bends").at("/revision").asInt())
                .as("sent again it adds nothing")
                .isEqualTo(before + 1);
    }

    @Test
    void figuresOfAnotherKindOfTool_orWithoutAReason_areRefused() {
        String key = UUID.randomUUID().toString();
        assertThat(revise(lead, key, "{\"takeUpIn\":6,\"radiusIn\":5}", "x")
                        .body()
                        .toString())
                .contains("is no hand bender");
        assertThat(revise(lead, key, "{\"kind\":\"machine\",\"takeUpIn\":6,\"radiusIn\":5}", " ")
                        .status())
                .isEqualTo(400);
        Answer turned = revise(lead, key, "{\"kind\":\"machine\",\"takeUpIn\":6,\"radiusIn\":-5}", "x");
        assertThat(turned.status()).isEqualTo(400);
        assertThat(turned.body().toString()).contains("radius");
    }

    @Test
    void testBendsThatAreNoTable_areRefusedWithTheirCure(RunningServer.Address server) {
        Answer wrong = new Client(server)
                .post(
                        "/api/calc/machine-tests",
                        "{\"tests\":[{\"travelIn\":6,\"underLoadDeg\":30,\"restDeg\":29},{\"travelIn\":4,\"underLoadDeg\":60,"
                                + "\"restDeg\":61}]}");
        assertThat(wrong.status()).isEqualTo(400);
        assertThat(wrong.at("/errors/0/pointer").asString()).isEqualTo("/tests/1/restDeg");
        assertThat(wrong.body().toString()).contains("give the larger angle");
    }
}
