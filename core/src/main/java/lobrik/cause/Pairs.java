package lobrik.cause;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import lobrik.cause.Fitting.Fitted;

/**
 * Finds the pairs of hypotheses that are worth a simulation. What two changes do together is, to first order, the sum of
 * what each does; all pairs are compared with the readings by that sum, and the best are simulated.
 */
final class Pairs {

    private static final int MOST = 16;

    private final Scene scene;
    private final double[] off;
    private final double sameForAll;
    private final List<Single> singles = new ArrayList<>();

    /** A hypothesis with what it changes in each reading, in standard deviations; for a fitted one, by one unit. */
    static final class Single {

        private final Hypothesis hypothesis;
        private final double logPrior;
        private final double[] change;
        private final double spread;

        private Single(Hypothesis hypothesis, double logPrior, double[] change) {
            this.hypothesis = hypothesis;
            this.logPrior = logPrior;
            this.change = change;
            this.spread = hypothesis.free().map(Hypothesis.Free::spread).orElse(0.0);
        }

        private boolean isFree() {
            return spread > 0;
        }
    }

    /** Two hypotheses with what their evidence and their priors come to, to first order. */
    record Guess(Single one, Single other, double log) {

        List<Hypothesis> hypotheses() {
            return List.of(one.hypothesis, other.hypothesis);
        }
    }

    /** @param nothing the fit of "nothing went wrong" */
    Pairs(Scene scene, Fitted nothing) {
        this.scene = scene;
        this.off = new double[scene.size()];
        for (int i = 0; i < off.length; i++) {
            Scene.Slot slot = scene.slots().get(i);
            off[i] = (slot.read() - nothing.predicted(i)) / slot.sigma();
        }
        // What an open end costs every hypothesis.
        this.sameForAll = nothing.logEvidence() + 0.5 * Fitting.squares(off);
    }

    void add(Fitted single, Fitted nothing, double logPrior) {
        singles.add(single(single, nothing, logPrior));
    }

    /** What a hypothesis with a figure comes to by itself, to first order. */
    double alone(Fitted look, Fitted nothing, double logPrior) {
        Single single = single(look, nothing, logPrior);
        return logPrior + sameForAll + logEvidence(single);
    }

    private Single single(Fitted fitted, Fitted nothing, double logPrior) {
        Hypothesis hypothesis = fitted.hypotheses().getFirst();
        double amount = hypothesis.free().isPresent() && fitted.amount(0) != 0 ? fitted.amount(0) : 1;
        double[] change = new double[off.length];
        for (int i = 0; i < off.length; i++) {
            change[i] = (fitted.predicted(i) - nothing.predicted(i))
                    / scene.slots().get(i).sigma()
                    / amount;
        }
        return new Single(hypothesis, logPrior, change);
    }

    /** The pairs that may come to more than this, the likeliest first. */
    List<Guess> worthwhile(double logPosterior) {
        List<Guess> guesses = new ArrayList<>();
        for (int i = 0; i < singles.size(); i++) {
            for (int j = 0; j < i; j++) {
                Single one = singles.get(i);
                Single other = singles.get(j);
                if (one.hypothesis.goesWith(other.hypothesis)) {
                    double log = one.logPrior + other.logPrior + sameForAll + logEvidence(one, other);
                    if (log > logPosterior) {
                        guesses.add(new Guess(one, other, log));
                    }
                }
            }
        }
        return guesses.stream()
                .sorted(Comparator.comparingDouble(Guess::log).reversed())
                .limit(MOST)
                .toList();
    }

    private double logEvidence(Single single) {
        double rest = 0;
        double square = 1 / (single.spread * single.spread);
        double along = 0;
        for (int i = 0; i < off.length; i++) {
            rest += off[i] * off[i];
            square += single.change[i] * single.change[i];
            along += single.change[i] * off[i];
        }
        return -0.5 * (rest - along * along / square) - Math.log(single.spread) - 0.5 * Math.log(square);
    }

    /** Of the sum of both changes: fixed ones are taken off, fitted ones projected out with their priors. */
    private double logEvidence(Single one, Single other) {
        double rest = 0;
        double oneOne = 0;
        double oneOther = 0;
        double otherOther = 0;
        double oneRest = 0;
        double otherRest = 0;
        boolean oneFree = one.isFree();
        boolean otherFree = other.isFree();
        for (int i = 0; i < off.length; i++) {
            double a = one.change[i];
            double b = other.change[i];
            double r = off[i] - (oneFree ? 0 : a) - (otherFree ? 0 : b);
            rest += r * r;
            oneOne += a * a;
            oneOther += a * b;
            otherOther += b * b;
            oneRest += a * r;
            otherRest += b * r;
        }
        if (!oneFree && !otherFree) {
            return -0.5 * rest;
        }
        if (!oneFree || !otherFree) {
            double spread = oneFree ? one.spread : other.spread;
            double square = (oneFree ? oneOne : otherOther) + 1 / (spread * spread);
            double along = oneFree ? oneRest : otherRest;
            return -0.5 * (rest - along * along / square) - Math.log(spread) - 0.5 * Math.log(square);
        }
        double p = oneOne + 1 / (one.spread * one.spread);
        double q = otherOther + 1 / (other.spread * other.spread);
        double determinant = p * q - oneOther * oneOther;
        double gain =
                (q * oneRest * oneRest - 2 * oneOther * oneRest * otherRest + p * otherRest * otherRest) / determinant;
        return -0.5 * (rest - gain) - Math.log(one.spread * other.spread) - 0.5 * Math.log(determinant);
    }
}
