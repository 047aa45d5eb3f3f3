package lobrik.server.account;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.persistence.EntityManager;
import java.time.Duration;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicInteger;
import lobrik.server.RunningServer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.transaction.PlatformTransactionManager;

/** Wrong tries: each next one waits longer, none for long, and many at once are many, at two servers as at one. */
@ExtendWith(RunningServer.class)
class TriesTest {

    private final String kind = "test " + UUID.randomUUID();
    private RunningServer.Address server;
    private Tries tries;

    @BeforeEach
    void count(RunningServer.Address at) {
        server = at;
        tries = another();
    }

    private Tries another() {
        return new Tries(
                server.context().getBean(EntityManager.class),
                server.context().getBean(PlatformTransactionManager.class),
                kind,
                3);
    }

    /** As if so much time had passed: what was to come is so much nearer. */
    private void pass(Duration time) {
        server.change(
                "update tried set next_at = next_at - interval '%1$d ms', forgotten_at = forgotten_at - interval '%1$d ms' where what = '%2$s'"
                        .formatted(time.toMillis(), kind));
    }

    @Test
    void firstOnes_areFree_thenEachWaitsTwiceAsLong_halfAMinuteAtMost() {
        assertThat(tries.begin("runa")).isTrue();
        assertThat(tries.begin("runa")).isTrue();
        assertThat(tries.begin("runa")).isTrue();
        for (int seconds : new int[] {1, 2, 4, 8, 16, 30, 30, 30}) {
            assertThat(tries.begin("runa")).isFalse();
            assertThat(tries.pause("runa"))
                    .isGreaterThan(Duration.ofSeconds(seconds).dividedBy(2))
                    .isLessThanOrEqualTo(Duration.ofSeconds(seconds));
            pass(Duration.ofSeconds(seconds).dividedBy(2));
            assertThat(tries.begin("runa")).isFalse();
            pass(Duration.ofSeconds(seconds).dividedBy(2));
            assertThat(tries.begin("runa")).isTrue();
        }
    }

    @Test
    void tryThatComesTooEarly_doesNotMakeTheWaitLonger() {
        for (int i = 0; i < 3; i++) {
            tries.begin("runa");
        }
        for (int i = 0; i < 100; i++) {
            assertThat(tries.begin("runa")).isFalse();
        }
        assertThat(tries.pause("runa")).isLessThanOrEqualTo(Duration.ofSeconds(1));
    }

    @Test
    void afterAQuarterOfAnHour_allIsForgotten() {
        for (int i = 0; i < 10; i++) {
            tries.begin("runa");
        }
        pass(Duration.ofMinutes(16));
        for (int i = 0; i < 3; i++) {
            assertThat(tries.begin("runa")).isTrue();
        }
        assertThat(tries.begin("runa")).isFalse();
    }

    @Test
    void oneDoesNotWaitForAnother_andWhoIsForgivenBeginsAnew() {
        for (int i = 0; i < 3; i++) {
            tries.begin("runa");
        }
        assertThat(tries.begin("dessa")).isTrue();
        tries.forgive("runa");
        assertThat(tries.begin("runa")).isTrue();
        assertThat(tries.pause("nobody")).isZero();
    }

    @Test
    void tryThatCameToNothing_isTakenBack_butNotThoseBeforeIt() {
        tries.begin("runa");
        tries.begin("runa");
        tries.begin("runa");
        tries.takeBack("runa");
        assertThat(tries.begin("runa")).isTrue();
        assertThat(tries.begin("runa")).isFalse();
        tries.takeBack("nobody");
        assertThat(tries.begin("nobody")).isTrue();
    }

    @Test
    void hundredAtOnce_areCountedEach() throws Exception {
        AtomicInteger begun = new AtomicInteger();
        Tries atAnotherServer = another();
        try (ExecutorService many = Executors.newVirtualThreadPerTaskExecutor()) {
            for (int i = 0; i < 100; i++) {
                Tries at = i % 2 == 0 ? tries : atAnotherServer;
                many.execute(() -> {
                    if (at.begin("runa")) {
                        begun.incrementAndGet();
                    }
                });
            }
        }
        assertThat(begun).hasValue(3);
    }
}
