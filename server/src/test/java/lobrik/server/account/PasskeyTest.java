package lobrik.server.account;

import static org.assertj.core.api.Assertions.assertThat;

import lobrik.server.Client;
import lobrik.server.Client.Answer;
import lobrik.server.RunningServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** What is asked of a device, and what is made of answers that are none; a real device shows real ones in the interface tests. */
@ExtendWith(RunningServer.class)
class PasskeyTest {

    private static final String NO_KEY = """
            {"question":"%s","label":"Mine","credential":{"id":"AAAA","rawId":"AAAA","type":"public-key","clientExtensionResults":{},
             "response":{"clientDataJSON":"AAAA","attestationObject":"AAAA","authenticatorData":"AAAA","signature":"AAAA","userHandle":"AAAA"}}}""";

    private static Client stranger(RunningServer.Address server) {
        Client fresh = new Client(server);
        fresh.get("/api/me");
        return fresh;
    }

    @Test
    void deviceIsAskedToMakeSureWhoHoldsIt_andForAKeyThatItFindsByItself(RunningServer.Address server) {
        Client who = Client.byPassword(server, server.account(server.school(), "INSTRUCTOR"));
        Answer make = who.post("/api/me/passkeys", "");
        assertThat(make.status()).as(make.response().body()).isEqualTo(200);
        assertThat(make.at("/options/authenticatorSelection/userVerification").asString())
                .isEqualTo("required");
        assertThat(make.at("/options/authenticatorSelection/residentKey").asString())
                .isEqualTo("required");
        assertThat(make.at("/options/rp/id").asString()).isEqualTo("127.0.0.1");
        Answer show = stranger(server).post("/api/session/passkey/question", "");
        assertThat(show.status()).as(show.response().body()).isEqualTo(200);
        assertThat(show.at("/options/userVerification").asString()).isEqualTo("required");
        assertThat(show.at("/options/challenge").asString()).hasSizeGreaterThan(40);
        assertThat(stranger(server)
                        .post("/api/session/passkey/question", "")
                        .at("/options/challenge")
                        .asString())
                .isNotEqualTo(show.at("/options/challenge").asString());
    }

    @Test
    void answerThatIsNone_orToNoQuestion_letsNobodyIn(RunningServer.Address server) {
        Client stranger = stranger(server);
        String question = stranger.post("/api/session/passkey/question", "")
                .at("/question")
                .asString();
        assertThat(stranger.post("/api/session/passkey", NO_KEY.formatted(question))
                        .status())
                .isEqualTo(401);
        assertThat(stranger.post("/api/session/passkey", NO_KEY.formatted(question))
                        .at("/errors/0/code")
                        .asString())
                .as("each question once")
                .isEqualTo("not-in-time");
        assertThat(stranger.post("/api/session/passkey", "{}").status()).isEqualTo(400);
        assertThat(stranger.get("/api/me").status()).isEqualTo(401);
    }

    @Test
    void keyThatIsNone_isNotKept_andOneThatIsNobodys_notTakenAway(RunningServer.Address server) {
        Client who = Client.byPassword(server, server.account(server.school(), "INSTRUCTOR"));
        String question = who.post("/api/me/passkeys", "").at("/question").asString();
        assertThat(who.put("/api/me/passkeys", NO_KEY.formatted(question))
                        .at("/errors/0/code")
                        .asString())
                .isEqualTo("wrong-key");
        assertThat(who.get("/api/me/passkeys").body()).isEmpty();
        Client other = Client.byPassword(server, server.account(server.school(), "INSTRUCTOR"));
        String others = other.post("/api/me/passkeys", "").at("/question").asString();
        assertThat(who.put("/api/me/passkeys", NO_KEY.formatted(others))
                        .at("/errors/0/code")
                        .asString())
                .as("a question that was asked of somebody else")
                .isEqualTo("not-in-time");
        assertThat(who.delete("/api/me/passkeys/AAAA").status()).isEqualTo(404);
    }
}
