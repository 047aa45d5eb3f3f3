package lobrik.progress;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * How a figure moves from piece to piece.
 *
 * <p>The level is an exponentially weighted mean: {@code z₀} is the mean of the first three (or as many as there are), then
 * {@code zᵢ = λ xᵢ + (1 − λ) zᵢ₋₁} (S. W. Roberts, Technometrics 1, 1959). A step is looked for with Pettitt's test (A. N.
 * Pettitt, Applied Statistics 28, 1979): it works on ranks, so one slip of half a foot does not sway it.
 *
 * @param levels one for each figure
 * @param step where the level changed, if it clearly did
 */
public record Trend(List<Double> levels, Optional<Step> step) {

    /** How much the last piece counts. */
    public static final double WEIGHT = 0.3;

    private static final int FIRST = 3;
    private static final int FEWEST = 8;

    public Trend {
        levels = List.copyOf(levels);
    }

    /**
     * A change of level.
     *
     * @param at index of the first figure after it
     * @param before median up to it
     * @param after median from it on
     * @param chance how likely a step as clear as this is if nothing changed
     */
    public record Step(int at, double before, double after, double chance) {}

    /**
     * The trend of some figures, from the oldest.
     *
     * @param falseAlarm with which probability a step may be claimed where there is none, such as 0.01
     */
    public static Trend of(List<Double> figures, double falseAlarm) {
        return new Trend(smoothed(figures), mostLikelyStep(figures).filter(step -> step.chance() <= falseAlarm));
    }

    private static List<Double> smoothed(List<Double> figures) {
        List<Double> levels = new ArrayList<>();
        double level = figures.stream()
                .limit(FIRST)
                .mapToDouble(Double::doubleValue)
                .average()
                .orElse(0);
        for (double figure : figures) {
            level = WEIGHT * figure + (1 - WEIGHT) * level;
            levels.add(level);
        }
        return levels;
    }

    /**
     * The place at which the figures before and after differ most, by ranks, and the chance of that: {@code p ≈ 2 exp(−6 K² /
     * (n³ + n²))} with {@code K = max |Σᵢ≤ₜ Σⱼ>ₜ sgn(xⱼ − xᵢ)|}. Empty with fewer than eight.
     */
    static Optional<Step> mostLikelyStep(List<Double> figures) {
        int n = figures.size();
        if (n < FEWEST) {
            return Optional.empty();
        }
        double u = 0;
        double largest = 0;
        int at = 0;
        for (int t = 0; t < n - 1; t++) {
            // U(t) = U(t − 1) + Σⱼ sgn(xⱼ − x(t)): pairs on the same side cancel.
            for (int j = 0; j < n; j++) {
                u += Math.signum(figures.get(j) - figures.get(t));
            }
            if (Math.abs(u) > largest) {
                largest = Math.abs(u);
                at = t + 1;
            }
        }
        if (at == 0) {
            return Optional.empty();
        }
        double cubed = (double) n * n * n + (double) n * n;
        double chance = Math.min(1, 2 * Math.exp(-6 * largest * largest / cubed));
        return Optional.of(new Step(at, median(figures.subList(0, at)), median(figures.subList(at, n)), chance));
    }

    private static double median(List<Double> figures) {
        List<Double> sorted = figures.stream().sorted().toList();
        int middle = sorted.size() / 2;
        return sorted.size() % 2 == 1 ? sorted.get(middle) : (sorted.get(middle - 1) + sorted.get(middle)) / 2;
    }
}
