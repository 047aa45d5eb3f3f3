package lobrik.progress;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import lobrik.progress.BenderComparison.Seen;
import org.hipparchus.distribution.continuous.TDistribution;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.EigenDecompositionSymmetric;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;

/**
 * Least squares of {@code off = person + bender + kind + chance}, all three with fixed effects.
 *
 * <p>Persons are many, so they are taken out first: each row less the mean of its person's rows leaves the same bender and kind
 * effects (Frisch, Waugh and Lovell). People's spreads differ, so the fit is made twice: the second time each row weighs by the
 * inverse of its person's variance from the first, drawn towards that of all ({@value #PRIOR_ROWS} rows' worth). Effects are known
 * only up to a constant for each set that hangs together, so only contrasts that the rows can tell are given out: a bender that only
 * people use who use no other has none.
 */
final class ThreeWayFit {

    private static final double PRIOR_ROWS = 5;
    private static final double CONFIDENCE = 0.95;
    private static final double NOTHING = 1e-9;

    /**
     * A bender against others.
     *
     * @param off how much more, in counts of the quantity
     * @param error standard error of that
     * @param reach half the width of its 95 % interval
     * @param chance of such a difference where there is none, to both sides
     */
    record Contrast(double off, double error, double reach, double chance) {}

    private final Map<String, Integer> columns;
    private final Map<String, Integer> pieces;
    private final RealVector effects;
    private final RealMatrix inverse;
    private final RealMatrix reachable;
    private final double variance;
    private final int freedom;

    private ThreeWayFit(
            Map<String, Integer> columns,
            Map<String, Integer> pieces,
            RealVector effects,
            RealMatrix inverse,
            RealMatrix reachable,
            double variance,
            int freedom) {
        this.columns = columns;
        this.pieces = pieces;
        this.effects = effects;
        this.inverse = inverse;
        this.reachable = reachable;
        this.variance = variance;
        this.freedom = freedom;
    }

    /** The fit of some pieces, of which there is at least one. */
    static ThreeWayFit of(List<Seen> seen) {
        Rows rows = new Rows(seen);
        return fit(rows, weights(rows, unweighted(rows)));
    }

    /** The first of the two fits, in which all count alike. */
    static ThreeWayFit unweighted(List<Seen> seen) {
        return unweighted(new Rows(seen));
    }

    private static ThreeWayFit unweighted(Rows rows) {
        double[] alike = new double[rows.persons()];
        Arrays.fill(alike, 1);
        return fit(rows, alike);
    }

    private static double[] weights(Rows rows, ThreeWayFit fit) {
        double[] squares = new double[rows.persons()];
        int[] count = new int[rows.persons()];
        double[] means = rows.residualMeans(fit.effects);
        double all = 0;
        for (int i = 0; i < rows.size(); i++) {
            int person = rows.person[i];
            double residual = rows.residual(i, fit.effects) - means[person];
            squares[person] += residual * residual;
            count[person]++;
            all += residual * residual;
        }
        double usual = Math.max(all / Math.max(1, fit.freedom), Double.MIN_NORMAL);
        double[] weights = new double[rows.persons()];
        for (int person = 0; person < weights.length; person++) {
            double own = (squares[person] + PRIOR_ROWS * usual) / (Math.max(0, count[person] - 1) + PRIOR_ROWS);
            weights[person] = usual / own;
        }
        return weights;
    }

    private static ThreeWayFit fit(Rows rows, double[] weights) {
        int width = rows.width();
        double[][] products = new double[width][width];
        double[] right = new double[width];
        double total = 0;
        double[][] means = rows.means();
        double[] meanOff = rows.meanOff();
        double[] x = new double[width];
        for (int i = 0; i < rows.size(); i++) {
            int person = rows.person[i];
            for (int c = 0; c < width; c++) {
                x[c] = -means[person][c];
            }
            x[rows.bender[i]] += 1;
            x[rows.kind[i]] += 1;
            double y = rows.off[i] - meanOff[person];
            double w = weights[person];
            for (int a = 0; a < width; a++) {
                if (x[a] != 0) {
                    right[a] += w * x[a] * y;
                    for (int b = 0; b < width; b++) {
                        products[a][b] += w * x[a] * x[b];
                    }
                }
            }
            total += w * y * y;
        }
        EigenDecompositionSymmetric eigen =
                new EigenDecompositionSymmetric(MatrixUtils.createRealMatrix(products), NOTHING, true);
        RealMatrix inverse = MatrixUtils.createRealMatrix(width, width);
        RealMatrix reachable = MatrixUtils.createRealMatrix(width, width);
        double largest = Math.max(eigen.getEigenvalue(0), Double.MIN_NORMAL);
        int rank = 0;
        for (int k = 0; k < width; k++) {
            double value = eigen.getEigenvalue(k);
            if (value > NOTHING * largest) {
                rank++;
                RealMatrix outer = eigen.getEigenvector(k).outerProduct(eigen.getEigenvector(k));
                inverse = inverse.add(outer.scalarMultiply(1 / value));
                reachable = reachable.add(outer);
            }
        }
        RealVector effects = inverse.operate(new ArrayRealVector(right));
        double rest = Math.max(0, total - effects.dotProduct(new ArrayRealVector(right)));
        int freedom = rows.size() - rows.persons() - rank;
        return new ThreeWayFit(
                rows.benders, rows.pieces, effects, inverse, reachable, rest / Math.max(1, freedom), freedom);
    }

    /**
     * A bender less the mean of others, each by its pieces; itself is left out of them. Empty where the rows cannot tell.
     */
    Optional<Contrast> contrast(String bender, Set<String> others) {
        double[] row = new double[effects.getDimension()];
        double weight = others.stream()
                .filter(other -> !other.equals(bender))
                .mapToDouble(pieces::get)
                .sum();
        if (weight == 0 || freedom < 1) {
            return Optional.empty();
        }
        row[columns.get(bender)] = 1;
        for (String other : others) {
            if (!other.equals(bender)) {
                row[columns.get(other)] -= pieces.get(other) / weight;
            }
        }
        RealVector c = new ArrayRealVector(row);
        if (reachable.operate(c).subtract(c).getNorm() > 1e-6) {
            return Optional.empty();
        }
        double off = c.dotProduct(effects);
        double error = Math.sqrt(variance * c.dotProduct(inverse.operate(c)));
        TDistribution t = new TDistribution(freedom);
        double chance = error == 0 ? (off == 0 ? 1 : 0) : 2 * t.cumulativeProbability(-Math.abs(off) / error);
        return Optional.of(
                new Contrast(off, error, t.inverseCumulativeProbability((1 + CONFIDENCE) / 2) * error, chance));
    }

    /** Pieces as rows of numbers: benders have the first columns, kinds the others. */
    private static final class Rows {

        private final int[] person;
        private final int[] bender;
        private final int[] kind;
        private final double[] off;
        private final Map<String, Integer> benders = new HashMap<>();
        private final Map<String, Integer> pieces = new HashMap<>();
        private final int kinds;
        private final int persons;

        private Rows(List<Seen> seen) {
            person = new int[seen.size()];
            bender = new int[seen.size()];
            kind = new int[seen.size()];
            off = new double[seen.size()];
            Map<BenderComparison.Hands, Integer> people = new HashMap<>();
            List<Family> known = new ArrayList<>();
            for (int i = 0; i < seen.size(); i++) {
                Seen one = seen.get(i);
                person[i] = people.computeIfAbsent(one.hands(), _ -> people.size());
                bender[i] = benders.computeIfAbsent(one.bender(), _ -> benders.size());
                pieces.merge(one.bender(), 1, Integer::sum);
                if (!known.contains(one.family())) {
                    known.add(one.family());
                }
                kind[i] = known.indexOf(one.family());
                off[i] = one.off().count();
            }
            for (int i = 0; i < kind.length; i++) {
                kind[i] += benders.size();
            }
            kinds = known.size();
            persons = people.size();
        }

        int size() {
            return off.length;
        }

        int width() {
            return benders.size() + kinds;
        }

        int persons() {
            return persons;
        }

        double[][] means() {
            double[][] means = new double[persons][width()];
            int[] count = new int[persons];
            for (int i = 0; i < size(); i++) {
                means[person[i]][bender[i]]++;
                means[person[i]][kind[i]]++;
                count[person[i]]++;
            }
            for (int p = 0; p < persons; p++) {
                for (int c = 0; c < width(); c++) {
                    means[p][c] /= count[p];
                }
            }
            return means;
        }

        double[] meanOff() {
            return meansOf(off);
        }

        double residual(int i, RealVector effects) {
            return off[i] - effects.getEntry(bender[i]) - effects.getEntry(kind[i]);
        }

        double[] residualMeans(RealVector effects) {
            double[] residuals = new double[size()];
            for (int i = 0; i < size(); i++) {
                residuals[i] = residual(i, effects);
            }
            return meansOf(residuals);
        }

        private double[] meansOf(double[] values) {
            double[] sums = new double[persons];
            int[] count = new int[persons];
            for (int i = 0; i < size(); i++) {
                sums[person[i]] += values[i];
                count[person[i]]++;
            }
            for (int p = 0; p < persons; p++) {
                sums[p] /= count[p];
            }
            return sums;
        }
    }
}
