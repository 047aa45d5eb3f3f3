package lobrik.fit;

import java.util.Optional;
import java.util.function.Function;

/**
 * Least squares by Levenberg and Marquardt's method with numerical derivatives: finds parameters that make the sum of
 * squared residuals least. Residuals are pure numbers, each divided by its standard deviation; parameters are scaled by the
 * steps that are given for them.
 *
 * <p>Source: K. Madsen, H. B. Nielsen, O. Tingleff, Methods for Non-Linear Least Squares Problems, 2004, section 3.2.
 */
public final class LeastSquares {

    private static final int MOST_ROUNDS = 60;
    private static final double ALL_BUT_NOTHING = 1e-12;

    private final Function<double[], Optional<double[]>> residuals;
    private final double[] steps;
    private final double done;

    /** Where the sum of squares is least. */
    public static final class Solution {

        private final double[] at;
        private final double squares;
        private final double logDeterminant;

        private Solution(double[] at, double squares, double logDeterminant) {
            this.at = at;
            this.squares = squares;
            this.logDeterminant = logDeterminant;
        }

        /** The parameters. */
        public double[] at() {
            return at.clone();
        }

        /** The sum of squares there. */
        public double squares() {
            return squares;
        }

        /**
         * Natural logarithm of the determinant of {@code JᵀJ} there, in units of the parameters: how sharply the residuals
         * decide them. Infinite where nothing can be said beside the solution.
         */
        public double logDeterminant() {
            return logDeterminant;
        }
    }

    /**
     * Sets a problem that is solved to the last digit.
     *
     * @param residuals of parameters; empty where the model has no answer
     * @param steps for numerical derivatives, one for each parameter, small against what matters
     */
    public LeastSquares(Function<double[], Optional<double[]>> residuals, double[] steps) {
        this(residuals, steps, ALL_BUT_NOTHING);
    }

    /**
     * Sets a problem that is solved until a round gains less than a given part.
     *
     * @param done of one more than the sum of squares
     */
    public LeastSquares(Function<double[], Optional<double[]>> residuals, double[] steps, double done) {
        this.residuals = residuals;
        this.steps = steps.clone();
        this.done = done;
    }

    /** Improves a start until nothing is gained; empty if the start itself has no answer. */
    public Optional<double[]> from(double[] start) {
        return solve(start).map(Solution::at);
    }

    /** As {@link #from}, with how good the solution is and how sharp. */
    public Optional<Solution> solve(double[] start) {
        return residuals.apply(start.clone()).map(first -> improved(start.clone(), first));
    }

    private Solution improved(double[] start, double[] first) {
        double[] best = start;
        double[] rest = first;
        double[][] slopes = slopes(best, rest);
        double damping = 1e-3;
        for (int round = 0; round < MOST_ROUNDS; round++) {
            double[] next = best.clone();
            double[] move = move(slopes, rest, damping);
            for (int i = 0; i < next.length; i++) {
                next[i] += move[i] * steps[i];
            }
            Optional<double[]> tried = residuals.apply(next);
            double before = squares(rest);
            if (tried.isPresent() && squares(tried.get()) < before) {
                best = next;
                rest = tried.get();
                damping = Math.max(damping / 9, 1e-12);
                if (before - squares(rest) <= done * (1 + before)) {
                    break;
                }
                slopes = slopes(best, rest);
            } else {
                damping *= 11;
                if (damping > 1e12 || before <= 0) {
                    break;
                }
                if (movesLittle(move, slopes, before)) {
                    break;
                }
            }
        }
        return new Solution(best, squares(rest), logDeterminant(slopes));
    }

    /** Whether even the full move would gain less than counts as done. */
    private boolean movesLittle(double[] move, double[][] slopes, double squares) {
        double change = 0;
        for (double[] row : slopes) {
            double along = 0;
            for (int j = 0; j < move.length; j++) {
                along += row[j] * move[j];
            }
            change += along * along;
        }
        return change <= done * (1 + squares);
    }

    /** Of {@code JᵀJ}, from its Gauss elimination. */
    private double logDeterminant(double[][] slopes) {
        double[][] normal = normal(slopes, new double[slopes.length]);
        solved(normal);
        double sum = 0;
        for (int a = 0; a < steps.length; a++) {
            if (normal[a][a] == 0) {
                return Double.POSITIVE_INFINITY;
            }
            sum += Math.log(Math.abs(normal[a][a])) - 2 * Math.log(steps[a]);
        }
        return sum;
    }

    /**
     * Change of every residual for a step of every parameter, forwards or, where the model has no answer there, backwards;
     * zero where it has none on either side.
     */
    private double[][] slopes(double[] at, double[] here) {
        double[][] slopes = new double[here.length][at.length];
        for (int j = 0; j < at.length; j++) {
            double sign = 1;
            Optional<double[]> there = beside(at, j, steps[j]);
            if (there.isEmpty()) {
                sign = -1;
                there = beside(at, j, -steps[j]);
            }
            for (int i = 0; i < here.length && there.isPresent(); i++) {
                slopes[i][j] = sign * (there.get()[i] - here[i]);
            }
        }
        return slopes;
    }

    private Optional<double[]> beside(double[] at, int parameter, double step) {
        double[] beside = at.clone();
        beside[parameter] += step;
        return residuals.apply(beside);
    }

    /** Solves {@code (JᵀJ + µ·diag) move = −Jᵀr}. */
    private static double[] move(double[][] slopes, double[] rest, double damping) {
        double[][] normal = normal(slopes, rest);
        for (int a = 0; a < normal.length; a++) {
            normal[a][a] += damping * normal[a][a] + 1e-30;
        }
        return solved(normal);
    }

    /** {@code JᵀJ} with {@code −Jᵀr} as its last column. */
    private static double[][] normal(double[][] slopes, double[] rest) {
        int n = slopes[0].length;
        double[][] normal = new double[n][n + 1];
        for (int a = 0; a < n; a++) {
            for (int i = 0; i < rest.length; i++) {
                for (int b = 0; b < n; b++) {
                    normal[a][b] += slopes[i][a] * slopes[i][b];
                }
                normal[a][n] -= slopes[i][a] * rest[i];
            }
        }
        return normal;
    }

    /** Gauss elimination with the largest pivot; the matrix is positive definite but for rounding. */
    private static double[] solved(double[][] m) {
        int n = m.length;
        for (int column = 0; column < n; column++) {
            int pivot = column;
            for (int row = column + 1; row < n; row++) {
                if (Math.abs(m[row][column]) > Math.abs(m[pivot][column])) {
                    pivot = row;
                }
            }
            double[] swapped = m[pivot];
            m[pivot] = m[column];
            m[column] = swapped;
            for (int row = column + 1; row < n; row++) {
                double factor = m[row][column] / m[column][column];
                for (int k = column; k <= n; k++) {
                    m[row][k] -= factor * m[column][k];
                }
            }
        }
        double[] solution = new double[n];
        for (int row = n - 1; row >= 0; row--) {
            double sum = m[row][n];
            for (int k = row + 1; k < n; k++) {
                sum -= m[row][k] * solution[k];
            }
            solution[row] = sum / m[row][row];
        }
        return solution;
    }

    private static double squares(double[] values) {
        double sum = 0;
        for (double value : values) {
            sum += value * value;
        }
        return sum;
    }
}
