package lobrik.server.account;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicLong;
import org.junit.jupiter.api.Test;

/** Wrong tries: each next one waits longer, none for long, and many at once are many. */
class TriesTest {

    private final AtomicLong now = new AtomicLong(Long.MAX_VALUE - 5);
    private final Tries tries = new Tries(3, now::get);

    private void pass(Duration time) {
        now.addAndGet(time.toNanos());
    }

    @Test
    void firstOnes_areFree_thenEachWaitsTwiceAsLong_halfAMinuteAtMost() {
        assertThat(tries.begin("runa")).isTrue();
        assertThat(tries.begin("runa")).isTrue();
        assertThat(tries.begin("runa")).isTrue();
        for (int seconds : new int[] {1, 2, 4, 8, 16, 30, 30, 30}) {
            assertThat(tries.begin("runa")).isFalse();
            assertThat(tries.pause("runa")).isEqualTo(Duration.ofSeconds(seconds));
            pass(Duration.ofSeconds(seconds).minusNanos(1));
            assertThat(tries.begin("runa")).isFalse();
            pass(Duration.ofNanos(1));
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
        assertThat(tries.pause("runa")).isEqualTo(Duration.ofSeconds(1));
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
        try (ExecutorService many = Executors.newVirtualThreadPerTaskExecutor()) {
            for (int i = 0; i < 100; i++) {
                many.execute(() -> {
                    if (tries.begin("runa")) {
                        begun.incrementAndGet();
                    }
                });
            }
        }
        assertThat(begun).hasValue(3);
    }
}
