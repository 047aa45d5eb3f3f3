package lobrik.server.shed;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Path;
import java.util.UUID;
import lobrik.server.Client;
import lobrik.server.RunningServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** The cards of benders: added, doubted, put right by what the class bent on them. */
@ExtendWith(RunningServer.class)
class BenderCardTest {

    private static final String FIGURES = "{\"takeUpIn\":6,\"radiusIn\":5.125}";

    private static JsonNode card(Client who, String label) {
        for (JsonNode bender : who.get("/api/benders").at("/benders")) {
            if (bender.at("/label").asString().equals(label)) {
                return bender;
            }
        }
        throw new AssertionError("no bender is called " + label);
    }

    /** A lead of a school with conduit of its own. */
    private record OwnSchool(Client lead, UUID school, String conduit) {

        static OwnSchool of(RunningServer.Address server) {
            UUID school = server.school();
            Client lead = Client.byPassword(server, server.account(school, "LEAD"));
            String conduit = UUID.randomUUID().toString();
            assertThat(lead.put("/api/conduits/" + conduit, "{\"label\":\"Dock rail\",\"outsideDiameterIn\":0.875}")
                            .status())
                    .isEqualTo(204);
            return new OwnSchool(lead, school, conduit);
        }

        Client.Answer add(String id, String label) {
            return lead.put(
                    "/api/benders/" + id,
                    "{\"label\":\"" + label + "\",\"conduitId\":\"" + conduit + "\",\"figures\":" + FIGURES
                            + ",\"reason\":\"As it says on the shoe\"}");
        }
    }

    @Test
    void added_isOfferedOnTheDesk_once_andUnderALabelOfItsOwn(RunningServer.Address server) {
        OwnSchool own = OwnSchool.of(server);
        String id = UUID.randomUUID().toString();
        assertThat(own.add(id, "Shoe 1").status()).isEqualTo(204);
        assertThat(own.add(id, "Shoe 1").status()).isEqualTo(204);
        assertThat(own.lead().get("/api/shed").at("/benders")).hasSize(1);
        assertThat(own.lead().get("/api/shed").at("/conduits/0/label").asString())
                .isEqualTo("Dock rail");
        assertThat(card(own.lead(), "Shoe 1").at("/revisions/0/reason").asString())
                .isEqualTo("As it says on the shoe");
        Client.Answer taken = own.add(UUID.randomUUID().toString(), "shoe 1");
        assertThat(taken.status()).isEqualTo(400);
        assertThat(taken.at("/errors/0/pointer").asString()).isEqualTo("/label");
    }

    @Test
    void doubted_saysSoOnTheDesk_andOut_isOfferedNoMore(RunningServer.Address server) {
        OwnSchool own = OwnSchool.of(server);
        String id = UUID.randomUUID().toString();
        own.add(id, "Shoe 1");
        Client instructor = Client.byPassword(server, server.account(own.school(), "INSTRUCTOR"));
        String state = "{\"edition\":%d,\"label\":\"Shoe 1\",\"state\":\"%s\",\"reason\":\"%s\"}";
        assertThat(instructor
                        .put("/api/benders/" + id + "/state", state.formatted(0, "OUT", "bent"))
                        .status())
                .as("the lead takes it out")
                .isEqualTo(403);
        assertThat(instructor
                        .put("/api/benders/" + id + "/state", state.formatted(0, "DOUBTFUL", ""))
                        .status())
                .as("why is asked for")
                .isEqualTo(400);
        assertThat(instructor
                        .put("/api/benders/" + id + "/state", state.formatted(0, "DOUBTFUL", "slips"))
                        .status())
                .isEqualTo(204);
        assertThat(own.lead().get("/api/shed").at("/benders/0/doubtful").asBoolean())
                .isTrue();
        assertThat(own.lead()
                        .put("/api/benders/" + id + "/state", state.formatted(0, "OUT", "bent"))
                        .at("/errors/0/code")
                        .asString())
                .isEqualTo("changed-meanwhile");
        assertThat(own.lead()
                        .put("/api/benders/" + id + "/state", state.formatted(1, "OUT", "bent"))
                        .status())
                .isEqualTo(204);
        assertThat(own.lead().get("/api/shed").at("/benders")).isEmpty();
        assertThat(own.lead().get("/api/audit?subject=bender").body()).hasSize(3);
    }

    @Test
    void conduitPutAway_isOfferedNoMore_untilItIsTakenBack(RunningServer.Address server) {
        OwnSchool own = OwnSchool.of(server);
        String path = "/api/conduits/" + own.conduit() + "/put-away";
        assertThat(own.lead().put(path, "{\"putAway\":true}").status()).isEqualTo(204);
        assertThat(own.lead().get("/api/shed").at("/conduits")).isEmpty();
        assertThat(own.lead().put(path, "{\"putAway\":false}").status()).isEqualTo(204);
        assertThat(own.lead().get("/api/shed").at("/conduits")).hasSize(1);
        assertThat(own.lead()
                        .put("/api/conduits/" + UUID.randomUUID(), "{\"label\":\"Mast\",\"outsideDiameterIn\":90}")
                        .at("/errors/0/pointer")
                        .asString())
                .isEqualTo("/outsideDiameterIn");
    }

    /**
     * The made-up school has a bender that takes 1/4 in more than is stamped on it, and others that are as they say. It is
     * one that was kept, as in the school that all tests share anybody may have bent anything.
     */
    @Test
    void classOfTheDemoSchool_findsTheBenderThatIsOff_byAsMuchAsItIs(RunningServer.Address server) throws IOException {
        RunningServer.Address kept = server.restored(
                "class_of_v29",
                Path.of("src/test/resources/records/demo-school-v29.sql.gz").toAbsolutePath());
        try {
            assertFoundByTheClass(Client.signedIn(kept, "oskar"));
        } finally {
            kept.context().close();
        }
    }

    private static void assertFoundByTheClass(Client oskar) {
        JsonNode off = says(oskar, "Bender 7", "takeUp");
        assertThat(off.at("/now").asDouble()).isEqualTo(6);
        assertThat(off.at("/value").asDouble()).isCloseTo(6.25, within(1 / 32.0));
        assertThat(off.at("/differs").asBoolean()).isTrue();
        assertThat(off.at("/people").asInt()).isGreaterThan(3);
        JsonNode right = says(oskar, "Bender 4", "takeUp");
        assertThat(right.at("/value").asDouble()).isCloseTo(6, within(1 / 32.0));
        assertThat(right.at("/differs").asBoolean()).isFalse();
        assertThat(says(oskar, "Bender 4", "radius").at("/value").asDouble()).isCloseTo(5.125, within(1 / 16.0));
        String id = card(oskar, "Bender 7").at("/id").asString();
        Client.Answer all = oskar.get("/api/benders/" + id + "/class");
        assertThat(all.at("/offByToldIn").asDouble())
                .as("the same pieces fit better")
                .isLessThan(all.at("/offByNowIn").asDouble());
        assertThat(all.at("/series/0/weeks").size()).isGreaterThan(3);
    }

    private static JsonNode says(Client who, String label, String figure) {
        String id = card(who, label).at("/id").asString();
        for (JsonNode told : who.get("/api/benders/" + id + "/class").at("/figures")) {
            if (told.at("/figure").asString().equals(figure)) {
                return told;
            }
        }
        throw new AssertionError("nothing is said of the " + figure + " of " + label);
    }
}
