package lobrik.progress;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import org.junit.jupiter.api.Test;

class TendencyTest {

    @Test
    void deviations_haveABiasAndASpread() {
        // mean of 1, 2, 3, 6 is 3; squares 4 + 1 + 0 + 9 = 14; 14 / 3 = 4.6667, root 2.16025
        Tendency tendency = Tendency.of(List.of(deg(1), deg(2), deg(3), deg(6))).orElseThrow();
        assertThat(tendency.count()).isEqualTo(4);
        assertThat(tendency.bias()).isEqualTo(deg(3));
        assertThat(tendency.spread()).contains(Angle.ofDegrees(Math.sqrt(14.0 / 3)));
    }

    @Test
    void oneDeviation_hasNoSpread_andNoneHaveNoTendency() {
        assertThat(Tendency.of(List.of(Length.ofInches(1))).orElseThrow().spread())
                .isEmpty();
        assertThat(Tendency.of(List.<Length>of())).isEmpty();
    }

    private static Angle deg(double degrees) {
        return Angle.ofDegrees(degrees);
    }
}
