package lobrik.server.account;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Locale;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import lobrik.server.Client;
import lobrik.server.EventStream;
import lobrik.server.RunningServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;

/** The people of a school: invited, let in, changed and shut out, by its lead. */
@ExtendWith(RunningServer.class)
class PeopleTest {

    private static final String GOOD = "\"a slow ferry at noon\"";

    private static Client lead(RunningServer.Address server, UUID school) {
        return Client.byPassword(server, server.account(school, "LEAD"));
    }

    private static String name() {
        return "somebody-" + UUID.randomUUID().toString().substring(0, 8);
    }

    private static String person(String name, String role) {
        return "{\"fullName\":\"Wim Askel\",\"signInName\":\"" + name + "\",\"role\":\"" + role + "\"}";
    }

    private static String code(Client.Answer answer) {
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
        return answer.at("/invitation/code").asString();
    }

    private static int edition(Client lead, UUID id) {
        for (var person : lead.get("/api/people").at("/people")) {
            if (person.at("/id").asString().equals(id.toString())) {
                return person.at("/edition").asInt();
            }
        }
        throw new AssertionError("not among the people of the school");
    }

    /** Somebody who has taken their account up, and the session that it began. */
    private record Taken(UUID id, String name, Client client) {}

    private static Taken taken(RunningServer.Address server, Client lead, String role) {
        UUID id = UUID.randomUUID();
        String name = name();
        String code = code(lead.put("/api/people/" + id, person(name, role)));
        Client client = new Client(server);
        client.get("/api/status");
        assertThat(client.put("/api/invitations/" + code, "{\"password\":" + GOOD + "}")
                        .status())
                .isEqualTo(200);
        return new Taken(id, name, client);
    }

    @Test
    void invited_choosesAPassword_isLetIn_andTheCodeOpensNothingAfterwards(RunningServer.Address server) {
        Client lead = lead(server, server.school());
        String name = name();
        String code = code(lead.put("/api/people/" + UUID.randomUUID(), person(name, "ASSISTANT")));
        Client somebody = new Client(server);
        Client.Answer opened = somebody.get("/api/invitations/" + code.toLowerCase(Locale.ROOT));
        assertThat(opened.at("/fullName").asString()).isEqualTo("Wim Askel");
        assertThat(opened.at("/fresh").asBoolean()).isTrue();
        assertThat(somebody.put("/api/invitations/" + code, "{\"password\":\"short\"}")
                        .status())
                .isEqualTo(400);
        assertThat(somebody.put("/api/invitations/" + code, "{\"password\":\"" + name + "12\"}")
                        .status())
                .isEqualTo(400);
        Client.Answer in = somebody.put("/api/invitations/" + code, "{\"password\":" + GOOD + "}");
        assertThat(in.at("/role").asString()).isEqualTo("ASSISTANT");
        assertThat(in.at("/rights").toString()).contains("MEASURE").doesNotContain("SIGN", "TEACH");
        assertThat(somebody.get("/api/me").status()).isEqualTo(200);
        assertThat(somebody.get("/api/invitations/" + code).status()).isEqualTo(404);
        assertThat(new Client(server).get("/api/invitations/" + code).status()).isEqualTo(404);
        assertThat(somebody.post("/api/session", "{\"name\":\"" + name + "\",\"password\":" + GOOD + "}")
                        .status())
                .isEqualTo(200);
    }

    @Test
    void anotherCode_endsTheOneBefore_andTheOldPasswordWithItsUse(RunningServer.Address server) {
        Client lead = lead(server, server.school());
        Taken taken = taken(server, lead, "INSTRUCTOR");
        String first = code(lead.put("/api/people/" + taken.id() + "/invitation", "{}"));
        String second = code(lead.put("/api/people/" + taken.id() + "/invitation", "{}"));
        Client elsewhere = new Client(server);
        assertThat(elsewhere.get("/api/invitations/" + first).status()).isEqualTo(404);
        assertThat(elsewhere.get("/api/invitations/" + second).at("/fresh").asBoolean())
                .isFalse();
        assertThat(taken.client().get("/api/me").status()).isEqualTo(200);
        assertThat(elsewhere
                        .put("/api/invitations/" + second, "{\"password\":\"another slow ferry\"}")
                        .status())
                .isEqualTo(200);
        assertThat(taken.client().get("/api/me").status()).isEqualTo(401);
        assertThat(elsewhere.get("/api/me").status()).isEqualTo(200);
    }

    @Test
    void disabledWhileSignedIn_isRefusedWithTheNextRequest_andNotLetInAgain(RunningServer.Address server) {
        Client lead = lead(server, server.school());
        Taken taken = taken(server, lead, "INSTRUCTOR");
        String path = "/api/people/" + taken.id() + "/disabled";
        assertThat(lead.put(path, "{\"edition\":" + edition(lead, taken.id()) + ",\"disabled\":true,\"reason\":\"\"}")
                        .status())
                .isEqualTo(400);
        assertThat(lead.put(
                                path,
                                "{\"edition\":" + edition(lead, taken.id()) + ",\"disabled\":true,\"reason\":\"left\"}")
                        .status())
                .isEqualTo(204);
        assertThat(taken.client().get("/api/me").status()).isEqualTo(401);
        taken.client().get("/api/status");
        String credentials = "{\"name\":\"" + taken.name() + "\",\"password\":" + GOOD + "}";
        assertThat(taken.client().post("/api/session", credentials).status()).isEqualTo(401);
        assertThat(lead.put("/api/people/" + taken.id() + "/invitation", "{}").status())
                .isEqualTo(409);

        assertThat(lead.put(path, "{\"edition\":" + edition(lead, taken.id()) + ",\"disabled\":false}")
                        .status())
                .isEqualTo(204);
        assertThat(taken.client().get("/api/me").status()).isEqualTo(401);
        assertThat(taken.client().post("/api/session", credentials).status()).isEqualTo(200);
    }

    @Test
    void rightTakenAway_endsLiveScreensToo(RunningServer.Address server) throws Exception {
        UUID school = server.school();
        Client lead = lead(server, school);
        Taken taken = taken(server, lead, "INSTRUCTOR");
        String cohort = lead.get("/api/cohorts").at("/0/id").asString();
        assertThat(lead.put(
                                "/api/people/" + taken.id() + "/cohorts",
                                "{\"seen\":[],\"cohortIds\":[\"" + cohort + "\"]}")
                        .status())
                .isEqualTo(204);
        assertThat(taken.client().get("/api/cohorts").at("/0/id").asString()).isEqualTo(cohort);
        try (EventStream stream = EventStream.open(taken.client(), UUID.randomUUID(), cohort)) {
            lead.put(
                    "/api/people/" + taken.id() + "/role",
                    "{\"edition\":" + edition(lead, taken.id())
                            + ",\"fullName\":\"Wim Askel\",\"role\":\"ASSISTANT\"}");
            assertThat(stream.hasEnded(10, TimeUnit.SECONDS)).isTrue();
        }
        assertThat(taken.client().get("/api/me").status()).isEqualTo(401);
    }

    @Test
    void lastLead_cannotBeRemoved_whileAnInvitedOneDoesNotCount(RunningServer.Address server) {
        Client lead = lead(server, server.school());
        UUID self = UUID.fromString(lead.get("/api/me").at("/accountId").asString());
        lead.put("/api/people/" + UUID.randomUUID(), person(name(), "LEAD"));
        String demoted = "{\"edition\":" + edition(lead, self) + ",\"fullName\":\"Guest\",\"role\":\"INSTRUCTOR\"}";
        Client.Answer refused = lead.put("/api/people/" + self + "/role", demoted);
        assertThat(refused.status()).isEqualTo(409);
        assertThat(refused.at("/errors/0/code").asString()).isEqualTo("last-lead");
        assertThat(lead.put(
                                "/api/people/" + self + "/disabled",
                                "{\"edition\":" + edition(lead, self) + ",\"disabled\":true,\"reason\":\"gone\"}")
                        .at("/errors/0/code")
                        .asString())
                .isEqualTo("last-lead");
        taken(server, lead, "LEAD");
        assertThat(lead.put("/api/people/" + self + "/role", demoted).status()).isEqualTo(204);
        assertThat(lead.get("/api/me").status()).isEqualTo(401);
    }

    @Test
    void twoLeadsAtOnce_theSecondIsToldThatSomebodyChangedIt(RunningServer.Address server) {
        Client lead = lead(server, server.school());
        Taken taken = taken(server, lead, "INSTRUCTOR");
        int seen = edition(lead, taken.id());
        String change = "{\"edition\":" + seen + ",\"fullName\":\"%s\",\"role\":\"INSTRUCTOR\"}";
        assertThat(lead.put("/api/people/" + taken.id() + "/role", change.formatted("Wim Askel-Brand"))
                        .status())
                .isEqualTo(204);
        Client.Answer second = lead.put("/api/people/" + taken.id() + "/role", change.formatted("Wim Brand"));
        assertThat(second.status()).isEqualTo(409);
        assertThat(second.at("/errors/0/code").asString()).isEqualTo("changed-meanwhile");
        assertThat(lead.get("/api/people?text=askel-brand").at("/all").asInt()).isEqualTo(1);
    }

    @Test
    void nameThatIsTaken_orNoGood_isTurnedDownAtItsField(RunningServer.Address server) {
        Client lead = lead(server, server.school());
        for (String bad : new String[] {"oskar", "two words", "Ümlaut", "", "-x"}) {
            Client.Answer answer = lead.put("/api/people/" + UUID.randomUUID(), person(bad, "LEAD"));
            assertThat(answer.status()).as(bad).isEqualTo(400);
            assertThat(answer.at("/errors/0/pointer").asString()).isEqualTo("/signInName");
        }
    }

    @Test
    void ownPassword_isChosenWithTheCurrentOne_andEverywhereElseIsSignedOut(RunningServer.Address server) {
        Client lead = lead(server, server.school());
        Taken taken = taken(server, lead, "AUDITOR");
        Client phone = new Client(server);
        phone.get("/api/status");
        phone.post("/api/session", "{\"name\":\"" + taken.name() + "\",\"password\":" + GOOD + "}");
        assertThat(phone.get("/api/sessions").body()).hasSize(2);
        assertThat(taken.client()
                        .put("/api/me/password", "{\"current\":\"wrong one\",\"next\":\"a tall grey heron\"}")
                        .status())
                .isEqualTo(400);
        assertThat(taken.client()
                        .put("/api/me/password", "{\"current\":" + GOOD + ",\"next\":\"a tall grey heron\"}")
                        .status())
                .isEqualTo(204);
        assertThat(taken.client().get("/api/me").status()).isEqualTo(200);
        assertThat(phone.get("/api/me").status()).isEqualTo(401);
    }

    @Test
    void longPassword_isTakenWhole_andAShortOneTurnedDown(RunningServer.Address server) {
        Taken taken = taken(server, lead(server, server.school()), "AUDITOR");
        String longest = "Цапля стоит у причала, ".repeat(6).substring(0, 128);
        String change = "{\"current\":%s,\"next\":\"%s\"}";
        assertThat(taken.client()
                        .put("/api/me/password", change.formatted(GOOD, "tall heron"))
                        .at("/errors/0/message")
                        .asString())
                .contains("at least 12 characters, this one has 10");
        assertThat(taken.client()
                        .put("/api/me/password", change.formatted(GOOD, longest))
                        .status())
                .isEqualTo(204);
        Client phone = new Client(server);
        phone.get("/api/status");
        String signIn = "{\"name\":\"" + taken.name() + "\",\"password\":\"%s\"}";
        assertThat(phone.post("/api/session", signIn.formatted(longest.substring(0, 127) + "!"))
                        .status())
                .as("its last character counts")
                .isEqualTo(401);
        assertThat(phone.post("/api/session", signIn.formatted(longest)).status())
                .isEqualTo(200);
    }

    @Test
    void passwordOfAnEarlierBuild_letsInStill(RunningServer.Address server) {
        String name = server.guest();
        server.change("update account set password_hash = '{bcrypt}"
                + new BCryptPasswordEncoder().encode("a tall grey heron") + "' where sign_in_name = '" + name + "'");
        Client phone = new Client(server);
        phone.get("/api/status");
        assertThat(phone.post("/api/session", "{\"name\":\"" + name + "\",\"password\":\"a tall grey heron\"}")
                        .status())
                .isEqualTo(200);
    }

    @Test
    void sessions_areListedWithTheirDevice_andEndedOneByOne(RunningServer.Address server) {
        Client lead = lead(server, server.school());
        Taken taken = taken(server, lead, "INSTRUCTOR");
        Client phone = new Client(server);
        phone.get("/api/status");
        phone.post("/api/session", "{\"name\":\"" + taken.name() + "\",\"password\":" + GOOD + "}");
        var places = taken.client().get("/api/sessions").body();
        assertThat(places).hasSize(2);
        String other = places.at("/0/thisOne").asBoolean()
                ? places.at("/1/id").asString()
                : places.at("/0/id").asString();
        assertThat(places.at("/0/device").asString()).contains("Java");
        assertThat(taken.client().delete("/api/sessions/" + other).status()).isEqualTo(204);
        assertThat(phone.get("/api/me").status()).isEqualTo(401);
        assertThat(taken.client().get("/api/me").status()).isEqualTo(200);
        String last =
                lead.get("/api/people/" + taken.id() + "/sessions").at("/0/id").asString();
        assertThat(lead.delete("/api/people/" + taken.id() + "/sessions/" + last)
                        .status())
                .isEqualTo(204);
        assertThat(taken.client().get("/api/me").status()).isEqualTo(401);
    }

    @Test
    void trainee_withAnAccount_seesTheirOwnPage_andTheAccountGoesWithThem(RunningServer.Address server) {
        UUID school = server.school();
        Client lead = lead(server, school);
        UUID cohort = UUID.randomUUID();
        lead.put("/api/cohorts/" + cohort, "{\"name\":\"Evening\",\"trainees\":[\"Fen Ostrow\"]}");
        String trainee = "";
        for (var each : lead.get("/api/cohorts").body()) {
            if (each.at("/id").asString().equals(cohort.toString())) {
                trainee = each.at("/trainees/0/id").asString();
            }
        }
        String name = name();
        String code = lead.put(
                        "/api/trainees/" + trainee + "/account",
                        "{\"accountId\":\"" + UUID.randomUUID() + "\",\"signInName\":\"" + name + "\"}")
                .at("/code")
                .asString();
        Client phone = new Client(server);
        phone.get("/api/status");
        assertThat(phone.put("/api/invitations/" + code, "{\"password\":" + GOOD + "}")
                        .status())
                .isEqualTo(200);
        assertThat(phone.get("/api/me/page").at("/fullName").asString()).isEqualTo("Fen Ostrow");
        assertThat(phone.get("/api/cohorts").status()).isEqualTo(403);
        assertThat(lead.put(
                                "/api/trainees/" + trainee + "/erasures/" + UUID.randomUUID(),
                                "{\"fullName\":\"Fen Ostrow\",\"reason\":\"asked to\"}")
                        .status())
                .isEqualTo(200);
        assertThat(phone.get("/api/me").status()).isEqualTo(401);
        assertThat(lead.get("/api/people?text=" + name).at("/all").asInt()).isZero();
        assertThat(lead.get("/api/audit?text=Ostrow").body()).isEmpty();
        assertThat(lead.get("/api/audit/chain").at("/0/fault").isNull()).isTrue();
        assertThat(lead.get("/api/audit/chain").at("/0/blanked").asInt()).isPositive();
    }

    @Test
    void manyPeople_areAskedForAHundredAtATime(RunningServer.Address server) {
        UUID school = server.school();
        Client lead = lead(server, school);
        server.change("""
                insert into account (id, centre_id, sign_in_name, full_name, role, unit, created_at)
                select gen_random_uuid(), '%s', 'many-' || n || '-' || substr('%s', 1, 8), 'Person ' || lpad(n::text, 5, '0'),
                  'INSTRUCTOR', 'INCH', now() from generate_series(1, 5000) n""".formatted(school, school));
        Client.Answer first = lead.get("/api/people");
        assertThat(first.at("/all").asInt()).isEqualTo(5001);
        assertThat(first.at("/people")).hasSize(100);
        assertThat(lead.get("/api/people?from=4900&text=person")
                        .at("/people/99/fullName")
                        .asString())
                .isEqualTo("Person 05000");
        assertThat(lead.get("/api/people?text=person%2004321")
                        .at("/people/0/fullName")
                        .asString())
                .isEqualTo("Person 04321");
    }
}
