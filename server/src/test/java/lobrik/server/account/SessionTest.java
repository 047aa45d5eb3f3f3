package lobrik.server.account;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import lobrik.server.Bench;
import lobrik.server.Client;
import lobrik.server.Client.Answer;
import lobrik.server.EventStream;
import lobrik.server.RunningServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.parallel.Isolated;

@ExtendWith(RunningServer.class)
@Isolated("An account's unit is what all that is said to it is said in.")
class SessionTest {

    /** For a name; the next ones wait for each other. */
    private static final int FREE_TRIES = 10;

    @Test
    void signingIn_opensASession_andSigningOutEndsIt(RunningServer.Address server) {
        Client client = Client.byPassword(server, "runa");
        assertThat(client.get("/api/me").at("/fullName").asString()).isEqualTo("Runa Tolvane");
        assertThat(client.delete("/api/session").status()).isEqualTo(204);
        assertThat(client.get("/api/me").status()).isEqualTo(401);
    }

    private static Answer tryIn(Client client, String name, String password) {
        return client.post("/api/session", "{\"name\":\"" + name + "\",\"password\":\"" + password + "\"}");
    }

    @Test
    void wrongPassword_andUnknownName_areToldAlike_andTooManyTriesAreHeldUp(RunningServer.Address server) {
        Client client = new Client(server);
        client.get("/api/me");
        var wrong = tryIn(client, "oskar", "wrong");
        var unknown = tryIn(client, "nobody", "wrong");
        assertThat(wrong.status()).isEqualTo(401);
        assertThat(unknown.at("/detail").asString())
                .isEqualTo(wrong.at("/detail").asString());
        Answer last = unknown;
        int wrongTries = 0;
        while (wrongTries < 2 * FREE_TRIES && last.status() == 401) {
            wrongTries++;
            last = tryIn(client, "nobody", "wrong");
        }
        assertThat(last.status()).isEqualTo(429);
        // A second after the last free try; on a machine that takes longer for a try, one more comes through, and the
        // wait doubles.
        Matcher wait = Pattern.compile("wait (\\d+) seconds? and")
                .matcher(last.at("/detail").asString());
        assertThat(wait.find()).as(last.at("/detail").asString()).isTrue();
        assertThat(Integer.parseInt(wait.group(1))).isBetween(1, 1 << (wrongTries - FREE_TRIES));
        assertThat(client.post("/api/session", "{}").status()).isEqualTo(401);
        assertThat(tryIn(client, "n".repeat(10_000), "wrong").status()).isEqualTo(401);
        Client oskar = Client.signedIn(server, "oskar");
        for (String what : List.of("signInFailed&text=nobody", "signInHeldUp&text=nobody", "signedIn&text=oskar")) {
            assertThat(oskar.get("/api/audit?what=" + what).body()).as(what).isNotEmpty();
        }
    }

    @Test
    void strangerWhoTriesAName_doesNotHoldUpItsOwner_onADeviceThatIsKnown(RunningServer.Address server)
            throws Exception {
        String name = server.guest();
        Client own = Client.byPassword(server, name);
        own.delete("/api/session");
        Client stranger = new Client(server);
        stranger.get("/api/me");
        int status = 401;
        for (int i = 0; i < 12 && status == 401; i++) {
            status = tryIn(stranger, name, "wrong").status();
        }
        assertThat(status).isEqualTo(429);
        assertThat(tryIn(own, name, RunningServer.Address.PASSWORD).status()).isEqualTo(200);
        // The device says only that somebody was there before.
        assertThat(tryIn(own, name, "wrong").status()).isEqualTo(401);
    }

    @Test
    void signingIn_renewsTheTokenAgainstForgery_andItsCookieStaysOnThisSite(RunningServer.Address server) {
        Client client = new Client(server);
        Answer first = client.get("/api/status");
        String before = client.cookie("XSRF-TOKEN");
        assertThat(setCookies(first))
                .anyMatch(cookie -> cookie.startsWith("XSRF-TOKEN=") && cookie.contains("SameSite=Lax"));
        Answer in = tryIn(client, "runa", RunningServer.Address.PASSWORD);
        assertThat(in.status()).isEqualTo(200);
        assertThat(client.cookie("XSRF-TOKEN")).isNotEqualTo(before);
        assertThat(setCookies(in))
                .anyMatch(cookie -> cookie.startsWith("lobrik-session=") && cookie.contains("SameSite=Lax"))
                .anyMatch(cookie -> cookie.startsWith("lobrik-device=")
                        && cookie.contains("SameSite=Strict")
                        && cookie.contains("HttpOnly"));
        assertThat(client.put("/api/me/preferences", "{\"unit\":\"in\"}").status())
                .isEqualTo(200);
    }

    private static List<String> setCookies(Answer answer) {
        return answer.response().headers().allValues("set-cookie");
    }

    @Test
    void signingOut_endsTheLiveScreensOfTheSession_andEverywhereThoseOfAllSessions(RunningServer.Address server)
            throws Exception {
        String name = server.guest();
        Client here = Client.byPassword(server, name);
        Client there = Client.byPassword(server, name);
        String cohort = Bench.of(here, Bench.STUB, 1).cohort();
        try (EventStream live = EventStream.open(here, UUID.randomUUID(), cohort);
                EventStream other = EventStream.open(there, UUID.randomUUID(), cohort)) {
            assertThat(live.next("hello")).isNotNull();
            assertThat(other.next("hello")).isNotNull();
            here.delete("/api/session");
            assertThat(live.hasEnded(45, TimeUnit.SECONDS)).isTrue();
            assertThat(here.get("/api/me").status()).isEqualTo(401);
            assertThat(there.get("/api/me").status()).isEqualTo(200);
            Client third = Client.byPassword(server, name);
            assertThat(third.delete("/api/sessions").status()).isEqualTo(204);
            assertThat(other.hasEnded(45, TimeUnit.SECONDS)).isTrue();
            assertThat(there.get("/api/me").status()).isEqualTo(401);
            assertThat(third.get("/api/me").status()).isEqualTo(401);
        }
    }

    @Test
    void liveScreensOfAnAccount_haveALimit(RunningServer.Address server) throws Exception {
        Client guest = Client.byPassword(server, server.guest());
        String cohort = Bench.of(guest, Bench.STUB, 1).cohort();
        List<EventStream> open = new ArrayList<>();
        for (int i = 0; i < 60; i++) {
            EventStream stream = EventStream.open(guest, UUID.randomUUID(), cohort);
            assertThat(stream.next("hello")).isNotNull();
            open.add(stream);
        }
        String one = "/api/live?cohort=" + cohort + "&screen=";
        assertThat(guest.get(one + UUID.randomUUID()).status()).isEqualTo(429);
        for (EventStream stream : open) {
            stream.close();
        }
    }

    @Test
    void audit_isForTheLead(RunningServer.Address server) {
        assertThat(Client.signedIn(server, "runa").get("/api/audit").status()).isEqualTo(403);
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
