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
    private static final double DONE = 1e-12;

    private final Function<double[], Optional<double[]>> residuals;
    private final double[] steps;

    /**
     * Sets a problem.
     *
     * @param residuals of parameters; empty where the model has no answer
     * @param steps for numerical derivatives, one for each parameter, small against what matters
     */
    public LeastSquares(Function<double[], Optional<double[]>> residuals, double[] steps) {
        this.residuals = residuals;
        this.steps = steps.clone();
    }

    /** Improves a start until nothing is gained; empty if the start itself has no answer. */
    public Optional<double[]> from(double[] start) {
        return residuals.apply(start.clone()).map(first -> improved(start.clone(), first));
    }

    private double[] improved(double[] start, double[] first) {
        double[] best = start;
        double[] rest = first;
        double damping = 1e-3;
        for (int round = 0; round < MOST_ROUNDS; round++) {
            double[][] slopes = slopes(best, rest);
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
                if (before - squares(rest) <= DONE * (1 + before)) {
                    return best;
                }
            } else {
                damping *= 11;
                if (damping > 1e12) {
                    return best;
                }
            }
        }
        return best;
    }

    /** Change of every residual for a step of every parameter; zero where the model has no answer beside the point. */
    private double[][] slopes(double[] at, double[] here) {
        double[][] slopes = new double[here.length][at.length];
        for (int j = 0; j < at.length; j++) {
            double[] beside = at.clone();
            beside[j] += steps[j];
            Optional<double[]> there = residuals.apply(beside);
            for (int i = 0; i < here.length && there.isPresent(); i++) {
                slopes[i][j] = there.get()[i] - here[i];
            }
        }
        return slopes;
    }

    /** Solves {@code (JᵀJ + µ·diag) move = −Jᵀr}. */
    private static double[] move(double[][] slopes, double[] rest, double damping) {
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
        for (int a = 0; a < n; a++) {
            normal[a][a] += damping * normal[a][a] + 1e-30;
        }
        return solved(normal);
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
