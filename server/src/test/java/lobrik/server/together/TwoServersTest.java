package lobrik.server.together;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.locks.LockSupport;
import java.util.function.BooleanSupplier;
import lobrik.server.Bench;
import lobrik.server.Client;
import lobrik.server.Client.Answer;
import lobrik.server.EventStream;
import lobrik.server.RunningServer;
import lobrik.server.platform.Guesses;
import lobrik.server.platform.TurnedDown;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.extension.ExtendWith;

/** Two servers of one record: whoever comes to one is as well served as at the other. */
@ExtendWith(RunningServer.class)
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class TwoServersTest {

    private RunningServer.Address first;
    private RunningServer.Address second;

    @BeforeAll
    void startSecond(RunningServer.Address server) {
        first = server;
        second = server.second();
        within(10, () -> together(first).servers() == 2 && together(second).servers() == 2);
    }

    @AfterAll
    void endSecond() {
        second.context().close();
        within(2, () -> together(first).isAlone());
    }

    private static Together together(RunningServer.Address at) {
        return at.context().getBean(Together.class);
    }

    private static void within(int seconds, BooleanSupplier what) {
        long until = System.nanoTime() + TimeUnit.SECONDS.toNanos(seconds);
        while (!what.getAsBoolean()) {
            assertThat(System.nanoTime()).as("within " + seconds + " s").isLessThan(until);
            LockSupport.parkNanos(Duration.ofMillis(20).toNanos());
        }
    }

    private static Client[] runaAtBoth(RunningServer.Address first, RunningServer.Address second) {
        Client here = Client.byPassword(first, "runa");
        return new Client[] {here, here.at(second)};
    }

    @Test
    void screenHears_whatWasWrittenAtTheOther_withoutWhatItWroteItself() throws Exception {
        Client[] runa = runaAtBoth(first, second);
        Bench bench = Bench.of(runa[0], Bench.STUB, 1);
        String attempt = bench.open(0);
        UUID screen = UUID.randomUUID();
        try (EventStream there = EventStream.open(runa[1], screen, bench.cohort());
                EventStream other = EventStream.open(runa[1], UUID.randomUUID(), bench.cohort())) {
            assertThat(there.next("hello")).isNotNull();
            assertThat(other.next("hello")).isNotNull();
            // Its stream is at the second server, and what it writes happens to come to the first.
            Answer written = runa[0].put(
                    "/api/attempts/" + attempt + "/readings/" + UUID.randomUUID(),
                    "{\"feature\":\"leg\",\"text\":\"17\"}",
                    screen.toString());
            assertThat(written.status()).isEqualTo(200);
            assertThat(there.next("changed")).contains("\"attemptIds\":[]");
            assertThat(other.next("changed")).contains("\"attemptIds\":[\"" + attempt + "\"]");
            assertThat(runa[1].get("/api/attempts/" + attempt).at("/edition")).isEqualTo(written.at("/edition"));
        }
    }

    @Test
    void whoeverSignsOutAtOne_isSignedOutAtBoth_andNothingGoesOnThere() throws Exception {
        Client[] who = runaAtBoth(first, second);
        Bench bench = Bench.of(who[0], Bench.STUB, 1);
        try (EventStream there = EventStream.open(who[1], UUID.randomUUID(), bench.cohort())) {
            assertThat(there.next("hello")).isNotNull();
            assertThat(who[0].delete("/api/session").status()).isEqualTo(204);
            assertThat(there.hasEnded(5, TimeUnit.SECONDS)).isTrue();
        }
        assertThat(who[1].get("/api/me").status()).isEqualTo(401);
    }

    @Test
    void gaugeOfOne_isReadAtTheOther_andTakenOverFromThere() throws Exception {
        Client[] runa = runaAtBoth(first, second);
        Bench bench = Bench.of(runa[0], Bench.STUB, 1);
        UUID there = UUID.randomUUID();
        UUID here = UUID.randomUUID();
        within(10, () -> runa[1].get("/api/gauges?screen=" + there).body().size() == 2);
        String claim = "/api/gauges/height-1/claim";
        try (EventStream stream = EventStream.open(runa[1], there, bench.cohort());
                EventStream near = EventStream.open(runa[0], here, bench.cohort())) {
            assertThat(stream.next("hello")).isNotNull();
            assertThat(near.next("hello")).isNotNull();
            assertThat(runa[1].put(claim, "{\"screen\":\"" + there + "\",\"takeOver\":true}")
                            .at("/mine")
                            .asBoolean())
                    .isTrue();
            assertThat(stream.nextWith("gauge", "\"mine\":true")).isTrue();
            assertThat(runa[0].put(claim, "{\"screen\":\"" + here + "\",\"takeOver\":false}")
                            .status())
                    .as("the other server knows who has it")
                    .isEqualTo(409);
            assertThat(runa[0].put(claim, "{\"screen\":\"" + here + "\",\"takeOver\":true}")
                            .status())
                    .isEqualTo(200);
            assertThat(stream.nextWith("gauge", "\"mine\":false")).isTrue();
            assertThat(near.nextWith("gauge", "\"mine\":true")).isTrue();
        } finally {
            runa[0].delete(claim + "?screen=" + here);
        }
        within(
                5,
                () -> runa[1].get("/api/gauges?screen=" + there)
                        .body()
                        .valueStream()
                        .allMatch(gauge -> gauge.at("/claimedBy").isNull()));
    }

    @Test
    void printingBegunAtOne_isFetchedAtTheOther_andStoppedThere() {
        Client[] runa = runaAtBoth(first, second);
        Bench bench = Bench.of(runa[0], Bench.STUB, 3);
        String giving =
                runa[0].get("/api/givings?cohort=" + bench.cohort()).at("/0/id").asString();
        String prints = "/api/givings/" + giving + "/prints";
        String path = "/api/prints/" + runa[0].post(prints, "{}").at("/id").asString();
        within(60, () -> runa[1].get(path).at("/finished").asBoolean());
        assertThat(runa[1].file(path + "/file")).startsWith('%', 'P', 'D', 'F');
        assertThat(runa[1].delete(path).status()).isEqualTo(204);
        assertThat(runa[0].get(path).status()).isEqualTo(404);
    }

    @Test
    void printingOfAServerThatEnded_isSaidToHaveFailed() {
        Client runa = Client.byPassword(second, "runa");
        UUID left = UUID.randomUUID();
        first.change("""
                insert into printing (id, account_id, file_name, pages, alive_at)
                select '%s', id, 'left.pdf', 3, clock_timestamp() - interval '1 minute' from account where sign_in_name = 'runa'""".formatted(left));
        assertThat(runa.get("/api/prints/" + left).at("/failed").asBoolean()).isTrue();
    }

    @Test
    void wrongPasswords_atBoth_areCountedTogether() {
        String name = first.guest();
        Client[] strangers = {new Client(first), new Client(second)};
        for (Client each : strangers) {
            each.get("/api/me");
        }
        int tried = 0;
        Answer last;
        do {
            last = strangers[tried % 2].post("/api/session", "{\"name\":\"" + name + "\",\"password\":\"wrong\"}");
            tried++;
        } while (last.status() == 401 && tried < 30);
        assertThat(last.status()).isEqualTo(429);
        assertThat(tried)
                .as("ten are free, and a slow machine lets one more through")
                .isBetween(11, 14);
    }

    @Test
    void questionOfAPasskey_askedAtOne_isAnsweredAtTheOther_once() {
        Client stranger = new Client(first);
        stranger.get("/api/me");
        String question = stranger.post("/api/session/passkey/question", "")
                .at("/question")
                .asString();
        Client there = stranger.at(second);
        String answer = """
                {"question":"%s","credential":{"id":"AAAA","rawId":"AAAA","type":"public-key","clientExtensionResults":{},
                 "response":{"clientDataJSON":"AAAA","authenticatorData":"AAAA","signature":"AAAA","userHandle":"AAAA"}}}""".formatted(question);
        assertThat(there.post("/api/session/passkey", answer).status())
                .as("known, and the key is none")
                .isEqualTo(401);
        assertThat(stranger.post("/api/session/passkey", answer)
                        .at("/errors/0/code")
                        .asString())
                .isEqualTo("not-in-time");
    }

    @Test
    void workThatOneServerDoes_isLeftBeByTheOther_untilItIsDone() throws Exception {
        CountDownLatch begun = new CountDownLatch(1);
        CountDownLatch goOn = new CountDownLatch(1);
        String what = "test " + UUID.randomUUID();
        OneServer there = second.context().getBean(OneServer.class);
        Thread working = Thread.ofVirtual().start(() -> {
            boolean _ = first.context().getBean(OneServer.class).does(what, () -> {
                begun.countDown();
                LockSupport.park();
            });
            goOn.countDown();
        });
        assertThat(begun.await(10, TimeUnit.SECONDS)).isTrue();
        assertThat(there.does(what, () -> {
                    throw new IllegalStateException("done twice");
                }))
                .isFalse();
        LockSupport.unpark(working);
        assertThat(goOn.await(10, TimeUnit.SECONDS)).isTrue();
        assertThat(there.does(what, () -> {})).isTrue();
    }

    @Test
    void serverThatFallsSilent_isMissedWithinFiveSeconds_andScreensAskForEverything() throws Exception {
        Client runa = Client.byPassword(first, "runa");
        Bench bench = Bench.of(runa, Bench.STUB, 1);
        try (EventStream stream = EventStream.open(runa, UUID.randomUUID(), bench.cohort())) {
            assertThat(stream.next("hello")).isNotNull();
            // One that was heard once, and was killed before it told what it had written.
            first.change("do $$ begin perform pg_notify('lobrik', '{\"from\":\"" + UUID.randomUUID()
                    + "\",\"about\":\"beat\",\"said\":\"\"}'); end $$");
            within(2, () -> together(first).servers() == 3);
            long killed = System.nanoTime();
            assertThat(stream.nextWith("changed", "\"traineeIds\":null")).isTrue();
            assertThat(Duration.ofNanos(System.nanoTime() - killed)).isLessThan(Duration.ofSeconds(5));
            assertThat(together(first).servers()).isEqualTo(2);
        }
    }

    @Test
    void serverThatCouldNotHear_hasItsScreensAskForEverything() throws Exception {
        Client runa = Client.byPassword(second, "runa");
        Bench bench = Bench.of(runa, Bench.STUB, 1);
        try (EventStream stream = EventStream.open(runa, UUID.randomUUID(), bench.cohort())) {
            assertThat(stream.next("hello")).isNotNull();
            first.administered(
                    "select pg_terminate_backend(pid) from pg_stat_activity where application_name = 'lobrik-together'");
            assertThat(stream.nextWith("changed", "\"traineeIds\":null")).isTrue();
        }
        within(5, () -> together(first).servers() == 2 && together(second).servers() == 2);
    }

    @Test
    void codesThatOpenNothing_areCountedTogether() {
        List<Guesses> both =
                List.of(first.context().getBean(Guesses.class), second.context().getBean(Guesses.class));
        String address = "an address " + UUID.randomUUID();
        assertThat(both.getFirst().ask(address, "MINE", () -> "open")).isEqualTo("open");
        int looked = 0;
        while (isLookedAt(both.get(looked % 2), address, "WRONG" + looked) && looked < 100) {
            looked++;
        }
        assertThat(looked).as("thirty a minute").isBetween(30, 36);
        assertThat(both.getLast().ask(address, "MINE", () -> "open"))
                .as("what opened something at one goes on at the other")
                .isEqualTo("open");
    }

    /** Whether a wrong code is found to be one; else whoever tries it has to wait. */
    private static boolean isLookedAt(Guesses at, String address, String code) {
        AtomicBoolean looked = new AtomicBoolean();
        assertThatThrownBy(() -> at.ask(address, code, () -> {
                    looked.set(true);
                    throw TurnedDown.notFound("sheet");
                }))
                .isInstanceOf(TurnedDown.class);
        return looked.get();
    }
}
