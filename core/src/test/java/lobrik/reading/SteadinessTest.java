package lobrik.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.function.IntToDoubleFunction;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.reading.Steadiness.Sample;
import lobrik.reading.Steadiness.State;
import org.junit.jupiter.api.Test;

class SteadinessTest {

    /** Ten values a second for two seconds. */
    private static List<Sample> angles(IntToDoubleFunction degrees) {
        List<Sample> samples = new ArrayList<>();
        for (int i = 0; i <= 20; i++) {
            samples.add(new Sample(100L * i, Angle.ofDegrees(degrees.applyAsDouble(i))));
        }
        return samples;
    }

    @Test
    void valuesThatLieTogether_areSteady_andReadInTheirMiddle() {
        Steadiness steady = Steadiness.of(angles(i -> 30 + 0.05 * (i % 3)), 2_000);
        assertThat(steady.state()).isEqualTo(State.STEADY);
        assertThat(steady.reading()).contains(Angle.ofDegrees(30.05));
    }

    @Test
    void valuesThatStillRun_areMoving_untilTheyLieTogetherLongEnough() {
        assertThat(Steadiness.of(angles(i -> 10 + i), 2_000).state()).isEqualTo(State.MOVING);
        assertThat(Steadiness.of(angles(i -> Math.min(10 + 2 * i, 46)), 2_000).state())
                .as("still for 200 ms only")
                .isEqualTo(State.MOVING);
        assertThat(Steadiness.of(angles(i -> Math.min(10 + 4 * i, 46)), 2_000).reading())
                .contains(Angle.ofDegrees(46));
    }

    @Test
    void valuesThatJumpToAndFro_areNoisy_andNotRead() {
        Steadiness noisy = Steadiness.of(angles(i -> i % 2 == 0 ? 30 : 31.5), 2_000);
        assertThat(noisy.state()).isEqualTo(State.NOISY);
        assertThat(noisy.reading()).isEmpty();
        assertThat(noisy.spread()).isEqualTo(Angle.ofDegrees(1.5));
    }

    @Test
    void gaugeThatSaysNothing_isSilent() {
        assertThat(Steadiness.of(List.of(), 0).state()).isEqualTo(State.SILENT);
        assertThat(Steadiness.of(angles(i -> 30), 3_600).state()).isEqualTo(State.SILENT);
    }

    @Test
    void fewValues_areNotEnough() {
        List<Sample> two = List.of(new Sample(0, Length.ofInches(3)), new Sample(700, Length.ofInches(3)));
        assertThat(Steadiness.of(two, 700).state()).isNotEqualTo(State.STEADY);
    }

    @Test
    void lengths_lieTogetherWithinASixtyFourth() {
        List<Sample> samples = new ArrayList<>();
        for (int i = 0; i <= 10; i++) {
            samples.add(new Sample(100L * i, Length.ofMillimetres(88.9 + 0.1 * (i % 2))));
        }
        assertThat(Steadiness.of(samples, 1_000).state()).isEqualTo(State.STEADY);
    }
}
