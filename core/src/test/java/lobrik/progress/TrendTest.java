package lobrik.progress;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;

class TrendTest {

    @Test
    void level_isAnExponentiallyWeightedMean() {
        // Starts at (60 + 70 + 80) / 3 = 70; then 0.3 · 60 + 0.7 · 70 = 67, 0.3 · 70 + 0.7 · 67 = 67.9, and so on.
        List<Double> levels = Trend.of(List.of(60.0, 70.0, 80.0, 90.0), 0.01).levels();
        assertThat(levels).hasSize(4);
        assertThat(levels.get(0)).isCloseTo(67, within(1e-12));
        assertThat(levels.get(1)).isCloseTo(67.9, within(1e-12));
        assertThat(levels.get(2)).isCloseTo(71.53, within(1e-12));
        assertThat(levels.get(3)).isCloseTo(77.071, within(1e-12));
    }

    @Test
    void step_isFoundWhereItIs() {
        SplittableRandom random = new SplittableRandom(3);
        List<Double> figures = new ArrayList<>();
        for (int i = 0; i < 24; i++) {
            figures.add((i < 14 ? 2.5 : 0) + 0.6 * random.nextGaussian());
        }
        // One slip of half a foot is not taken for a change.
        figures.set(5, 60.0);
        Trend.Step step = Trend.of(figures, 0.01).step().orElseThrow();
        assertThat(step.at()).isBetween(13, 15);
        assertThat(step.before()).isCloseTo(2.5, within(0.5));
        assertThat(step.after()).isCloseTo(0, within(0.5));
    }

    @Test
    void statistic_isPettitts_asHisDefinitionHasIt() {
        SplittableRandom random = new SplittableRandom(11);
        for (int round = 0; round < 50; round++) {
            List<Double> figures = new ArrayList<>();
            int n = 8 + random.nextInt(20);
            for (int i = 0; i < n; i++) {
                // Rounded, so that there are ties.
                figures.add(Math.rint(random.nextGaussian() * 4) / 2);
            }
            double largest = 0;
            for (int t = 1; t < n; t++) {
                double u = 0;
                for (int i = 0; i < t; i++) {
                    for (int j = t; j < n; j++) {
                        u += Math.signum(figures.get(j) - figures.get(i));
                    }
                }
                largest = Math.max(largest, Math.abs(u));
            }
            double chance = Math.min(1, 2 * Math.exp(-6 * largest * largest / (Math.pow(n, 3) + n * n)));
            assertThat(Trend.mostLikelyStep(figures).map(Trend.Step::chance).orElse(1.0))
                    .isCloseTo(chance, within(1e-12));
        }
    }

    @Test
    void withoutAChange_oneIsClaimedAsSeldomAsIsSaid() {
        SplittableRandom random = new SplittableRandom(5);
        int claimed = 0;
        int all = 4000;
        for (int round = 0; round < all; round++) {
            List<Double> figures = new ArrayList<>();
            for (int i = 0; i < 20; i++) {
                figures.add(random.nextGaussian());
            }
            claimed += Trend.of(figures, 0.01).step().isPresent() ? 1 : 0;
        }
        assertThat(claimed).isLessThanOrEqualTo(all / 100);
    }

    @Test
    void fewFigures_haveALevelAndNoStep() {
        assertThat(Trend.of(List.of(), 0.01).levels()).isEmpty();
        assertThat(Trend.of(List.of(1.0, 1.0, 1.0, 9.0, 9.0, 9.0), 0.01).step()).isEmpty();
        assertThat(Trend.mostLikelyStep(List.of(1.0, 1.0, 1.0, 1.0, 1.0, 1.0, 1.0, 1.0)))
                .isEmpty();
    }
}
