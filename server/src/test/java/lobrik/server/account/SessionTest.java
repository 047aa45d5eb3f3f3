package lobrik.server.account;

import static org.assertj.core.api.Assertions.assertThat;

import lobrik.server.Client;
import lobrik.server.RunningServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.parallel.Isolated;

@ExtendWith(RunningServer.class)
@Isolated("An account's unit is what all that is said to it is said in.")
class SessionTest {

    @Test
    void signingIn_opensASession_andSigningOutEndsIt(RunningServer.Address server) {
        Client client = Client.byPassword(server, "runa");
        assertThat(client.get("/api/me").at("/fullName").asString()).isEqualTo("Runa Tolvane");
        assertThat(client.delete("/api/session").status()).isEqualTo(204);
        assertThat(client.get("/api/me").status()).isEqualTo(401);
    }

    @Test
    void wrongPassword_andUnknownName_areToldAlike_andTooManyTriesAreHeldUp(RunningServer.Address server) {
        Client client = new Client(server);
        client.get("/api/me");
        var wrong = client.post("/api/session", "{\"name\":\"oskar\",\"password\":\"wrong\"}");
        var unknown = client.post("/api/session", "{\"name\":\"nobody\",\"password\":\"wrong\"}");
        assertThat(wrong.status()).isEqualTo(401);
        assertThat(unknown.at("/detail").asString())
                .isEqualTo(wrong.at("/detail").asString());
        int status = 401;
        for (int i = 0; i < 12 && status == 401; i++) {
            status = client.post("/api/session", "{\"name\":\"nobody\",\"password\":\"wrong\"}")
                    .status();
        }
        assertThat(status).isEqualTo(429);
        assertThat(client.post("/api/session", "{}").status()).isEqualTo(401);
    }

    @Test
    void whatAWindowWritesForSomebodyElse_isTurnedDown(RunningServer.Address server) {
        Client browser = Client.signedIn(server, "oskar");
        String oskar = browser.get("/api/me").at("/accountId").asString();
        String dessa =
                Client.signedIn(server, "dessa").get("/api/me").at("/accountId").asString();
        String path = "/api/me/preferences";
        var refused = browser.putFor(dessa, path, "{\"unit\":\"mm\"}");
        assertThat(refused.status()).isEqualTo(403);
        assertThat(refused.at("/errors/0/code").asString()).isEqualTo("another-account");
        assertThat(browser.get("/api/me").at("/unit").asString()).isEqualTo("in");
        assertThat(browser.putFor(oskar, path, "{\"unit\":\"in\"}").status()).isEqualTo(200);
    }

    @Test
    void unit_isKeptWithTheAccount(RunningServer.Address server) {
        Client client = Client.signedIn(server, "dessa");
        assertThat(client.put("/api/me/preferences", "{\"unit\":\"mm\"}")
                        .at("/unit")
                        .asString())
                .isEqualTo("mm");
        assertThat(Client.signedIn(server, "dessa").get("/api/me").at("/unit").asString())
                .isEqualTo("mm");
        assertThat(client.put("/api/me/preferences", "{\"unit\":\"cubit\"}").status())
                .isEqualTo(400);
        client.put("/api/me/preferences", "{\"unit\":\"in\"}");
    }
}
