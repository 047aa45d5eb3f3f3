package lobrik.server.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.util.concurrent.atomic.AtomicInteger;
import lobrik.server.together.OwnConnection;
import lobrik.server.together.Together;
import org.junit.jupiter.api.Test;

/** Codes cannot be guessed, and whoever has one is not held up by those who try. */
class GuessesTest {

    private static final String SCHOOL = "192.0.2.1";

    private final Guesses guesses = new Guesses(
            new Allowance(Guesses.WRONG_AT_AN_ADDRESS, Duration.ofMinutes(1)),
            new Allowance(Guesses.WRONG_EVERYWHERE, Duration.ofMinutes(1)),
            new Together(new OwnConnection("jdbc:postgresql:nowhere", "nobody", ""), _ -> {}));
    private final AtomicInteger looked = new AtomicInteger();

    private static String opens() {
        return "open";
    }

    private String opensNothing() {
        looked.incrementAndGet();
        throw TurnedDown.notFound("sheet");
    }

    private void guess(String address, int times) {
        for (int i = 0; i < times; i++) {
            String code = "WRNG" + i;
            assertThatThrownBy(() -> guesses.ask(address, code, this::opensNothing))
                    .isInstanceOf(TurnedDown.class);
        }
    }

    @Test
    void wrongCodes_areLookedUpSoOften_andNoMore_fromOneAddress() {
        guess(SCHOOL, 100);
        assertThat(looked.get()).isEqualTo(Guesses.WRONG_AT_AN_ADDRESS);
        assertThatThrownBy(() -> guesses.ask(SCHOOL, "NEW1", GuessesTest::opens))
                .as("a right one is not told from a wrong one either")
                .hasMessageContaining("wait a minute");
        assertThat(guesses.ask("192.0.2.2", "NEW1", GuessesTest::opens)).isEqualTo("open");
    }

    @Test
    void whoeverOpenedSomething_goesOnWithIt_whateverOthersTryThere() {
        guesses.ask(SCHOOL, "7K2M-9QXD-04TB", GuessesTest::opens);
        guess(SCHOOL, 100);
        assertThat(guesses.ask(SCHOOL, "7k2m-9qxd-04tb", GuessesTest::opens)).isEqualTo("open");
    }

    @Test
    void guessesFromManyAddresses_areFewTogether_andHoldUpNoAddressWhereCodesWork() {
        guesses.ask(SCHOOL, "GOOD1", GuessesTest::opens);
        for (int i = 0; i < 100; i++) {
            guess("198.51.100." + i, 10);
        }
        assertThat(looked.get()).isBetween(Guesses.WRONG_EVERYWHERE, Guesses.WRONG_EVERYWHERE + 20);
        assertThat(guesses.ask(SCHOOL, "GOOD2", GuessesTest::opens)).isEqualTo("open");
        assertThatThrownBy(() -> guesses.ask("203.0.113.9", "GOOD2", GuessesTest::opens))
                .hasMessageContaining("wait a minute");
    }

    @Test
    void guessesMadeAtOnce_areWaitedForAfterwards() throws InterruptedException {
        Thread[] many = new Thread[200];
        for (int i = 0; i < many.length; i++) {
            String code = "W" + i;
            many[i] = Thread.ofVirtual().start(() -> {
                try {
                    guesses.ask(SCHOOL, code, this::opensNothing);
                } catch (TurnedDown expected) {
                    // All of them are wrong.
                }
            });
        }
        for (Thread each : many) {
            each.join();
        }
        int before = looked.get();
        guess(SCHOOL, 50);
        assertThat(looked.get()).isEqualTo(before);
    }

    /** Sixty bits, a million sheets, five wrong codes a second from everywhere. */
    @Test
    void millionSheets_standForMoreThanAHundredYears() {
        double codes = Math.pow(32, 12);
        double aSecond = Guesses.WRONG_EVERYWHERE / 60.0;
        double years = codes / 1_000_000 / aSecond / (365.25 * 24 * 3600);
        assertThat(years).isGreaterThan(7000);
    }

    @Test
    void oneCode_isNotAskedWithoutEnd() {
        assertThatThrownBy(() -> {
                    for (int i = 0; i < 100; i++) {
                        guesses.ask(SCHOOL, "MINE", GuessesTest::opens);
                    }
                })
                .hasMessageContaining("wait a second");
    }
}
