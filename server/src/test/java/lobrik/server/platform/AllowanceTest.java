package lobrik.server.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import org.junit.jupiter.api.Test;

class AllowanceTest {

    @Test
    void goes_areCountedForEverybodyApart() {
        Allowance allowance = new Allowance(3, Duration.ofHours(1));
        for (int i = 0; i < 3; i++) {
            assertThat(allowance.use("10.0.0.1")).isTrue();
        }
        assertThat(allowance.use("10.0.0.1")).isFalse();
        assertThat(allowance.hasLeft("10.0.0.1")).isFalse();
        assertThat(allowance.use("10.0.0.2")).isTrue();
        assertThat(allowance.hasLeft("10.0.0.2")).isTrue();
    }

    @Test
    void goes_comeBack() {
        Allowance allowance = new Allowance(1_000_000, Duration.ofMillis(1));
        for (int i = 0; i < 100_000; i++) {
            assertThat(allowance.use("somebody")).isTrue();
        }
    }
}
