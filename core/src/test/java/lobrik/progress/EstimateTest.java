package lobrik.progress;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.SplittableRandom;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import org.junit.jupiter.api.Test;

class EstimateTest {

    /**
     * Additional hours of sleep by the second drug over the first, the example with which Student introduced his
     * distribution (Biometrika 6, 1908): mean 1.58, and the 95 % interval that every textbook since has for it.
     */
    private static final List<Angle> SLEEP = DoubleStream.of(1.2, 2.4, 1.3, 1.3, 0.0, 1.0, 1.8, 0.8, 4.6, 1.4)
            .mapToObj(Angle::ofDegrees)
            .toList();

    private static Estimate of(List<Angle> deviations) {
        return Estimate.of(deviations, Estimate.USUAL_CONFIDENCE).orElseThrow();
    }

    @Test
    void students_ownExample_comesOutAsHeHadIt() {
        Estimate estimate = of(SLEEP);
        assertThat(estimate.bias().number()).isCloseTo(1.58, within(1e-9));
        assertThat(estimate.spread().orElseThrow().number()).isCloseTo(1.229995, within(1e-6));
        Interval interval = estimate.biasInterval().orElseThrow();
        assertThat(interval.from().number()).isCloseTo(0.7001142, within(1e-6));
        assertThat(interval.to().number()).isCloseTo(2.4598858, within(1e-6));
        assertThat(interval.holdsZero()).isFalse();
    }

    @Test
    void spread_hasItsInterval_byChiSquareWithNineDegreesOfFreedom() {
        // Tables: χ² of 9 degrees is 2.70039 at 2.5 % and 19.02277 at 97.5 %; √(13.616 / 19.02277), √(13.616 /
        // 2.70039).
        Interval interval = of(SLEEP).spreadInterval().orElseThrow();
        assertThat(interval.from().number()).isCloseTo(0.846034, within(1e-5));
        assertThat(interval.to().number()).isCloseTo(2.245484, within(1e-5));
    }

    @Test
    void intervals_holdTheTruth_asOftenAsTheySay() {
        SplittableRandom random = new SplittableRandom(7);
        int bias = 0;
        int spread = 0;
        int all = 4000;
        for (int i = 0; i < all; i++) {
            Estimate estimate = of(Stream.generate(() -> Angle.ofDegrees(1 + 0.5 * random.nextGaussian()))
                    .limit(5)
                    .toList());
            bias += holds(estimate.biasInterval().orElseThrow(), 1);
            spread += holds(estimate.spreadInterval().orElseThrow(), 0.5);
        }
        // 95 % ± 4 standard errors of 4,000 draws.
        assertThat((double) bias / all).isBetween(0.936, 0.964);
        assertThat((double) spread / all).isBetween(0.936, 0.964);
    }

    private static int holds(Interval interval, double truth) {
        return interval.from().number() <= truth && truth <= interval.to().number() ? 1 : 0;
    }

    @Test
    void oneDeviation_hasNoSpread_andNoneHaveNoEstimate() {
        Estimate one = Estimate.of(List.of(Length.ofInches(1)), 0.95).orElseThrow();
        assertThat(one.spread()).isEmpty();
        assertThat(one.biasInterval()).isEmpty();
        assertThat(Estimate.of(List.<Length>of(), 0.95)).isEmpty();
    }

    @Test
    void sameDeviationsAlways_haveAnIntervalOfNoWidth() {
        Estimate estimate = of(List.of(Angle.ofDegrees(2), Angle.ofDegrees(2), Angle.ofDegrees(2)));
        assertThat(estimate.biasInterval()).contains(new Interval(Angle.ofDegrees(2), Angle.ofDegrees(2)));
    }

    @Test
    void confidence_outsideZeroToOne_isRefused() {
        assertThatThrownBy(() -> Estimate.of(SLEEP, 1)).hasMessageContaining("between 0 and 1");
        assertThatThrownBy(() -> Estimate.of(SLEEP, Double.NaN)).hasMessageContaining("between 0 and 1");
    }
}
