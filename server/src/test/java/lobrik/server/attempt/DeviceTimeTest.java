package lobrik.server.attempt;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import lobrik.server.attempt.DeviceTime.Said;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

/** What is concluded from a device's clock is possible, and right where the device tells how wrong it is. */
class DeviceTimeTest {

    private static final Instant GIVEN = Instant.parse("2026-11-29T08:00:00Z");
    private static final Instant NOW = Instant.parse("2026-11-29T10:00:00Z");

    private static DeviceTime of(@Nullable String taken, @Nullable String sent) {
        return DeviceTime.of(
                new Said(taken == null ? null : Instant.parse(taken), sent == null ? null : Instant.parse(sent)),
                GIVEN,
                NOW);
    }

    @Test
    void rightClock_isBelieved() {
        DeviceTime time = of("2026-11-29T09:30:00Z", "2026-11-29T09:59:58Z");
        assertThat(time.at()).isEqualTo("2026-11-29T09:30:00Z");
        assertThat(time.wrongBySeconds()).isNull();
    }

    @Test
    void clockThatIsHoursOff_isPutRight_andWhatItSaidIsKept() {
        // Taken half an hour before it was sent, by a clock that is three hours behind, and by one that is three ahead.
        DeviceTime behind = of("2026-11-29T06:30:00Z", "2026-11-29T07:00:00Z");
        assertThat(behind.at()).isEqualTo("2026-11-29T09:30:00Z");
        assertThat(behind.said()).isEqualTo("2026-11-29T06:30:00Z");
        assertThat(behind.wrongBySeconds()).isEqualTo(-3 * 3600);
        DeviceTime ahead = of("2026-11-29T12:30:00Z", "2026-11-29T13:00:00Z");
        assertThat(ahead.at()).isEqualTo("2026-11-29T09:30:00Z");
        assertThat(ahead.ahead()).isEqualTo(Duration.ofHours(3));
    }

    @Test
    void whatCannotBe_isNotConcluded() {
        assertThat(of("2001-01-01T00:00:00Z", null).at())
                .as("before it was given")
                .isEqualTo(GIVEN);
        assertThat(of("2099-01-01T00:00:00Z", null).at()).as("after it came in").isEqualTo(NOW);
        assertThat(of("2099-01-01T00:00:00Z", null).said()).isEqualTo("2099-01-01T00:00:00Z");
        assertThat(of("+1000000000-12-31T23:59:59Z", "-1000000000-01-01T00:00:00Z"))
                .as("a year that nobody can keep says nothing")
                .isEqualTo(new DeviceTime(NOW, null, null));
        assertThat(of(null, null).at()).isEqualTo(NOW);
    }

    @Test
    void nonsense_saysNothing_andTurnsNothingDown() {
        Instant taken = Instant.parse("2026-11-29T09:30:00Z");
        assertThat(Said.of(taken, "yesterday")).isEqualTo(new Said(taken, null));
        assertThat(Said.of(taken, null)).isEqualTo(new Said(taken, null));
        assertThat(Said.of(null, "2026-11-29T09:59:58Z").sent()).isEqualTo("2026-11-29T09:59:58Z");
        assertThat(DeviceTime.of(Said.of(taken, "+1000000000-12-31T00:00:00Z"), GIVEN, NOW)
                        .at())
                .isEqualTo(taken);
    }

    @Test
    void ourOwnClockPutBack_movesNothingIntoTheFuture() {
        Instant before = GIVEN.minus(Duration.ofDays(400));
        assertThat(DeviceTime.of(Said.NOTHING, GIVEN, before).at()).isEqualTo(before);
        assertThat(DeviceTime.of(new Said(before.minusSeconds(60), before), GIVEN, before)
                        .at())
                .isEqualTo(before);
    }
}
