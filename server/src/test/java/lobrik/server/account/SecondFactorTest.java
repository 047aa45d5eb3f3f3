package lobrik.server.account;

import static org.assertj.core.api.Assertions.assertThat;

import com.eatthepath.otp.TimeBasedOneTimePasswordGenerator;
import java.security.InvalidKeyException;
import java.time.Instant;
import java.util.UUID;
import javax.crypto.spec.SecretKeySpec;
import lobrik.server.Client;
import lobrik.server.Client.Answer;
import lobrik.server.RunningServer;
import org.apache.commons.codec.binary.Base32;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** The second factor, with an app of the test's own that makes codes as any does. */
@ExtendWith(RunningServer.class)
class SecondFactorTest {

    private static final String WITH_CODE =
            "{\"name\":\"%s\",\"password\":\"" + RunningServer.Address.PASSWORD + "\",\"code\":\"%s\"}";

    /** What an app makes of a secret, a number of half minutes from now. */
    private static String code(String secret, int ahead) {
        TimeBasedOneTimePasswordGenerator app = new TimeBasedOneTimePasswordGenerator();
        try {
            return app.generateOneTimePasswordString(
                    new SecretKeySpec(new Base32().decode(secret), app.getAlgorithm()),
                    Instant.now().plus(app.getTimeStep().multipliedBy(ahead)));
        } catch (InvalidKeyException e) {
            throw new IllegalStateException(e);
        }
    }

    private static Answer signIn(RunningServer.Address server, String name, String code) {
        Client fresh = new Client(server);
        fresh.get("/api/me");
        return fresh.post("/api/session", WITH_CODE.formatted(name, code));
    }

    /** Somebody with a second factor, its secret and what is on their paper. */
    private record Guarded(Client who, String secret, JsonNode paper) {

        static Guarded of(Client who) {
            Answer begun = who.post("/api/me/second-factor", "");
            assertThat(begun.status()).as(begun.response().body()).isEqualTo(200);
            String secret = begun.at("/secret").asString();
            assertThat(begun.at("/address").asString()).contains("otpauth://totp/Lobrik:", secret);
            assertThat(begun.at("/code").size())
                    .isEqualTo(begun.at("/code/0").asString().length());
            // Of the half minute before, so that those of now and of the next are still good.
            Answer confirmed = who.put("/api/me/second-factor", "{\"code\":\"" + code(secret, -1) + "\"}");
            assertThat(confirmed.status()).as(confirmed.response().body()).isEqualTo(200);
            return new Guarded(who, secret, confirmed.at("/recoveryCodes"));
        }
    }

    @Test
    void onceConfirmed_signingInTakesACodeOfTheApp_thatWorksOnce(RunningServer.Address server) {
        String name = server.account(server.school(), "INSTRUCTOR");
        Client who = Client.byPassword(server, name);
        Client elsewhere = Client.byPassword(server, name);
        who.post("/api/me/second-factor", "");
        assertThat(who.put("/api/me/second-factor", "{\"code\":\"000\"}")
                        .at("/errors/0/code")
                        .asString())
                .isEqualTo("wrong-code");
        assertThat(signIn(server, name, "").status())
                .as("not confirmed, so not asked for")
                .isEqualTo(200);
        Guarded guarded = Guarded.of(who);
        assertThat(elsewhere.get("/api/me").status()).as("signed out elsewhere").isEqualTo(401);
        assertThat(who.get("/api/me").status()).isEqualTo(200);
        Answer without = signIn(server, name, "");
        assertThat(without.status()).isEqualTo(401);
        assertThat(without.at("/errors/0/code").asString()).isEqualTo("second-factor");
        assertThat(signIn(server, name, "123456").status()).isEqualTo(401);
        String code = code(guarded.secret(), 0);
        assertThat(signIn(server, name, code).status()).isEqualTo(200);
        assertThat(signIn(server, name, code).status()).as("each works once").isEqualTo(401);
    }

    @Test
    void wrongPassword_saysNothingOfASecondFactor(RunningServer.Address server) {
        String name = server.account(server.school(), "INSTRUCTOR");
        Guarded.of(Client.byPassword(server, name));
        Client fresh = new Client(server);
        fresh.get("/api/me");
        assertThat(fresh.post("/api/session", "{\"name\":\"" + name + "\",\"password\":\"wrong\"}")
                        .at("/errors/0/code")
                        .asString())
                .isEqualTo("not-signed-in");
    }

    @Test
    void codeFromPaper_standsInOnce_andItIsEndedByPassword(RunningServer.Address server) {
        String name = server.account(server.school(), "ASSISTANT");
        Guarded guarded = Guarded.of(Client.byPassword(server, name));
        String paper = guarded.paper().get(3).asString();
        assertThat(signIn(server, name, paper.toLowerCase(java.util.Locale.ROOT))
                        .status())
                .isEqualTo(200);
        assertThat(signIn(server, name, paper).status()).as("used up").isEqualTo(401);
        assertThat(guarded.who().get("/api/me/second-factor").at("/codesLeft").asInt())
                .isEqualTo(7);
        assertThat(guarded.who()
                        .put("/api/me/second-factor/ended", "{\"password\":\"wrong\"}")
                        .status())
                .isEqualTo(400);
        assertThat(guarded.who()
                        .put("/api/me/second-factor/ended", "{\"password\":\"" + RunningServer.Address.PASSWORD + "\"}")
                        .status())
                .isEqualTo(204);
        assertThat(signIn(server, name, "").status()).isEqualTo(200);
    }

    @Test
    void askedOfLeads_holdsBackThoseWhoHaveNone_atOnce_untilTheyDo(RunningServer.Address server) {
        UUID school = server.school();
        Client asks = Client.byPassword(server, server.account(school, "LEAD"));
        String otherName = server.account(school, "LEAD");
        Client other = Client.byPassword(server, otherName);
        assertThat(asks.put("/api/leads-confirm", "{\"needed\":true}")
                        .at("/errors/0/code")
                        .asString())
                .as("somebody has to be a lead afterwards")
                .isEqualTo("have-none");
        Guarded.of(asks);
        assertThat(asks.put("/api/leads-confirm", "{\"needed\":true}").status()).isEqualTo(204);
        assertThat(other.get("/api/people").status()).as("at once").isEqualTo(401);
        other = Client.byPassword(server, otherName);
        assertThat(other.get("/api/me").at("/role").asString()).isEqualTo("INSTRUCTOR");
        assertThat(other.get("/api/me").at("/heldBack").asBoolean()).isTrue();
        assertThat(other.get("/api/people").status()).isEqualTo(403);
        JsonNode me = person(asks, asks.get("/api/me").at("/accountId").asString());
        assertThat(asks.put(
                                "/api/people/" + me.at("/id").asString() + "/role",
                                "{\"edition\":" + me.at("/edition").asInt()
                                        + ",\"fullName\":\"Guest\",\"role\":\"INSTRUCTOR\"}")
                        .at("/errors/0/code")
                        .asString())
                .as("who is held back leads nothing")
                .isEqualTo("last-lead");
        Guarded.of(other);
        assertThat(other.get("/api/me").at("/role").asString()).isEqualTo("LEAD");
        assertThat(other.get("/api/people").status()).isEqualTo(200);
        String third = UUID.randomUUID().toString();
        asks.put(
                "/api/people/" + third,
                "{\"fullName\":\"Ida Rook\",\"signInName\":\"ida-" + third.substring(0, 8) + "\",\"role\":\"LEAD\"}");
        assertThat(person(asks, third).at("/heldBack").asBoolean()).isTrue();
        assertThat(asks.put("/api/leads-confirm", "{\"needed\":false}").status())
                .isEqualTo(204);
        assertThat(person(asks, third).at("/heldBack").asBoolean()).isFalse();
        assertThat(asks.get("/api/audit?subject=school").body().toString()).contains("leads need a second factor");
    }

    @Test
    void lost_isTakenOffByALead_andACodeForAnotherPasswordDoesNotGoRoundIt(RunningServer.Address server) {
        UUID school = server.school();
        Client lead = Client.byPassword(server, server.account(school, "LEAD"));
        String name = server.account(school, "INSTRUCTOR");
        Guarded guarded = Guarded.of(Client.byPassword(server, name));
        String id = guarded.who().get("/api/me").at("/accountId").asString();
        assertThat(person(lead, id).at("/secondFactor").asBoolean()).isTrue();
        String invitation = lead.put("/api/people/" + id + "/invitation", "")
                .at("/invitation/code")
                .asString();
        Client fresh = new Client(server);
        fresh.get("/api/me");
        assertThat(fresh.put("/api/invitations/" + invitation, "{\"password\":\"weir-lantern-ox\"}")
                        .at("/errors/0/code")
                        .asString())
                .isEqualTo("second-factor");
        assertThat(lead.delete("/api/people/" + id + "/second-factor").status()).isEqualTo(204);
        assertThat(guarded.who().get("/api/me").status()).isEqualTo(401);
        assertThat(fresh.put("/api/invitations/" + invitation, "{\"password\":\"weir-lantern-ox\"}")
                        .status())
                .isEqualTo(200);
    }

    private static JsonNode person(Client lead, String id) {
        for (JsonNode person : lead.get("/api/people").at("/people")) {
            if (person.at("/id").asString().equals(id)) {
                return person;
            }
        }
        throw new AssertionError("nobody of this id");
    }
}
