package lobrik.progress;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.function.DoubleUnaryOperator;
import org.hipparchus.distribution.continuous.TDistribution;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;

/**
 * What is seen as {@code y = Xβ + person + chance}, where persons are drawn from a normal distribution about zero: so benders are
 * told apart from the hands that used them, and what all hands together show is the bender's.
 *
 * <p>Symbols: {@code λ = σ²person / σ²chance}. For each person with {@code n} rows the covariance is {@code σ²chance (I + λ 11')}, whose
 * inverse is {@code I − λ/(1 + λn) 11'}; so everything needed are sums over each person's rows. {@code λ} maximises the restricted
 * likelihood (REML; Patterson and Thompson 1971). Intervals are by Student's t with Satterthwaite's degrees of freedom: few people say
 * little about how people differ, and that widens them.
 */
final class MixedFit {

    private static final double CONFIDENCE = 0.95;
    private static final double SMALLEST_LOG = -9;
    private static final double LARGEST_LOG = 7;
    private static final double COARSE = 0.5;
    private static final double FINE = 1e-3;
    private static final double GOLDEN = (Math.sqrt(5) - 1) / 2;

    /** A difference for derivatives, of what is differentiated. */
    private static final double STEP = 1e-3;

    /** Persons that differ less than that, against chance, are taken as alike. */
    private static final double ALIKE = 1e-4;

    /**
     * Something that was seen.
     *
     * @param person by whom
     * @param x a figure for each fixed effect, mostly 0 or 1
     * @param y what was seen
     */
    record Row(String person, List<Double> x, double y) {}

    /**
     * What is known of a combination of effects.
     *
     * @param value of it
     * @param error standard error
     * @param freedom degrees of freedom of that
     */
    record Known(double value, double error, double freedom) {

        /** Half the width of the interval at 95 %. */
        double reach() {
            return error * new TDistribution(freedom).inverseCumulativeProbability((1 + CONFIDENCE) / 2);
        }

        /** How likely a value that far from zero or further is where there is none, to both sides. */
        double chance() {
            return 2 * new TDistribution(freedom).cumulativeProbability(-Math.abs(value) / error);
        }
    }

    /** The rows of one person: how many, the sum of their x and of their y. */
    private static final class Sums {

        private final RealVector x;
        private int rows;
        private double y;

        private Sums(int effects) {
            x = new ArrayRealVector(effects);
        }
    }

    /** The normal equations for one λ. */
    private record Solved(RealMatrix inverse, double logDeterminant, RealVector effects, double squares) {}

    private final int effects;
    private final int rows;
    private final RealMatrix xx;
    private final RealVector xy;
    private final double yy;
    private final List<Sums> people;
    private final double ratio;
    private final double variance;
    private final Solved solved;

    private MixedFit(List<Row> seen, OptionalDouble known) {
        effects = seen.getFirst().x().size();
        rows = seen.size();
        xx = new Array2DRowRealMatrix(effects, effects);
        xy = new ArrayRealVector(effects);
        Map<String, Sums> byPerson = new HashMap<>();
        double squares = 0;
        for (Row row : seen) {
            RealVector x = new ArrayRealVector(
                    row.x().stream().mapToDouble(Double::doubleValue).toArray());
            Sums sums = byPerson.computeIfAbsent(row.person(), person -> new Sums(effects));
            sums.rows++;
            sums.y += row.y();
            sums.x.combineToSelf(1, 1, x);
            addOuter(xx, 1, x);
            xy.combineToSelf(1, row.y(), x);
            squares += row.y() * row.y();
        }
        yy = squares;
        people = new ArrayList<>(byPerson.values());
        ratio = known.isPresent() ? known.getAsDouble() : likeliest(log -> deviance(Math.exp(log)));
        solved = solve(ratio);
        variance = solved.squares() / freedom();
    }

    /**
     * Fits.
     *
     * @param seen more rows than effects, each of which some row has
     */
    static MixedFit of(List<Row> seen) {
        return new MixedFit(seen, OptionalDouble.empty());
    }

    /** The same where it is known how much persons differ against chance, from a fit of much the same: much quicker. */
    static MixedFit of(List<Row> seen, double ratio) {
        return new MixedFit(seen, OptionalDouble.of(ratio));
    }

    /** λ. */
    double ratio() {
        return ratio;
    }

    private int freedom() {
        return Math.max(1, rows - effects);
    }

    private static void addOuter(RealMatrix to, double weight, RealVector x) {
        for (int i = 0; i < x.getDimension(); i++) {
            if (x.getEntry(i) == 0) {
                continue;
            }
            for (int j = 0; j < x.getDimension(); j++) {
                to.addToEntry(i, j, weight * x.getEntry(i) * x.getEntry(j));
            }
        }
    }

    private Solved solve(double lambda) {
        RealMatrix matrix = xx.copy();
        RealVector right = xy.copy();
        double squares = yy;
        for (Sums person : people) {
            double weight = lambda / (1 + lambda * person.rows);
            addOuter(matrix, -weight, person.x);
            right.combineToSelf(1, -weight * person.y, person.x);
            squares -= weight * person.y * person.y;
        }
        CholeskyDecomposition cholesky = new CholeskyDecomposition(matrix, 1e-9, 1e-12);
        RealVector found = cholesky.getSolver().solve(right);
        return new Solved(
                cholesky.getSolver().getInverse(),
                Math.log(cholesky.getDeterminant()),
                found,
                Math.max(1e-12, squares - found.dotProduct(right)));
    }

    /** Minus twice the restricted likelihood, but for a constant, with the best σ²chance for this λ. */
    private double deviance(double lambda) {
        Solved now = solve(lambda);
        return freedom() * Math.log(now.squares() / freedom()) + spread(lambda) + now.logDeterminant();
    }

    /** The same with both variances given. */
    private double deviance(double chance, double person) {
        double lambda = Math.max(0, person) / chance;
        Solved now = solve(lambda);
        return freedom() * Math.log(chance) + spread(lambda) + now.logDeterminant() + now.squares() / chance;
    }

    private double spread(double lambda) {
        double sum = 0;
        for (Sums person : people) {
            sum += Math.log1p(lambda * person.rows);
        }
        return sum;
    }

    /** The λ of the least deviance: by steps, then by golden section; 0 where that is no worse. */
    private double likeliest(DoubleUnaryOperator deviance) {
        double best = SMALLEST_LOG;
        for (double log = SMALLEST_LOG; log <= LARGEST_LOG; log += COARSE) {
            if (deviance.applyAsDouble(log) < deviance.applyAsDouble(best)) {
                best = log;
            }
        }
        double from = best - COARSE;
        double to = best + COARSE;
        while (to - from > FINE) {
            double left = to - GOLDEN * (to - from);
            double right = from + GOLDEN * (to - from);
            if (deviance.applyAsDouble(left) < deviance.applyAsDouble(right)) {
                to = right;
            } else {
                from = left;
            }
        }
        double found = Math.exp((from + to) / 2);
        return found < ALIKE || deviance(0) <= deviance(found) ? 0 : found;
    }

    /** A combination of the effects: the sum of each, so many times. */
    Known known(List<Double> weights) {
        RealVector l = new ArrayRealVector(
                weights.stream().mapToDouble(Double::doubleValue).toArray());
        double squared = variance * quadratic(solved.inverse(), l);
        return new Known(solved.effects().dotProduct(l), Math.sqrt(squared), freedom(l, squared));
    }

    private static double quadratic(RealMatrix matrix, RealVector l) {
        return l.dotProduct(matrix.operate(l));
    }

    /** Satterthwaite: 2 f² / Var f, where f is the squared error as a function of both variances, and these are as sure as REML has them. */
    private double freedom(RealVector l, double squared) {
        double most = freedom();
        if (ratio == 0) {
            return most;
        }
        double chance = variance;
        double person = ratio * variance;
        double hc = STEP * chance;
        double hp = STEP * Math.max(person, ALIKE * chance);
        double cc = (deviance(chance + hc, person) - 2 * deviance(chance, person) + deviance(chance - hc, person))
                / (hc * hc)
                / 2;
        double pp = (deviance(chance, person + hp) - 2 * deviance(chance, person) + deviance(chance, person - hp))
                / (hp * hp)
                / 2;
        double cp = (deviance(chance + hc, person + hp)
                        - deviance(chance + hc, person - hp)
                        - deviance(chance - hc, person + hp)
                        + deviance(chance - hc, person - hp))
                / (4 * hc * hp)
                / 2;
        double determinant = cc * pp - cp * cp;
        if (!(determinant > 0) || !(cc > 0)) {
            return Math.max(1, Math.min(most, people.size() - 1.0));
        }
        double gc = (error(l, chance + hc, person) - error(l, chance - hc, person)) / (2 * hc);
        double gp = (error(l, chance, person + hp) - error(l, chance, person - hp)) / (2 * hp);
        double ofVariance = (gc * gc * pp - 2 * gc * gp * cp + gp * gp * cc) / determinant;
        return Math.max(1, Math.min(most, 2 * squared * squared / ofVariance));
    }

    private double error(RealVector l, double chance, double person) {
        return chance * quadratic(solve(Math.max(0, person) / chance).inverse(), l);
    }

    /** Standard deviation of chance. */
    double scatter() {
        return Math.sqrt(variance);
    }

    /** Standard deviation between people. */
    double betweenPeople() {
        return Math.sqrt(ratio * variance);
    }
}
