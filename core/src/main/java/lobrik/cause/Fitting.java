package lobrik.cause;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lobrik.fit.LeastSquares;

/**
 * Fits hypotheses to a scene and weighs them: the evidence of a hypothesis is the integral of likelihood times prior over
 * its free figures, by Laplace's method (D. J. C. MacKay, Information Theory, Inference, and Learning Algorithms, 2003,
 * chapter 28). A free figure so costs what it could have explained besides.
 */
final class Fitting {

    private static final double STEP = 1e-4;

    /** The part of its spread with which a figure is looked at first. */
    private static final double LOOK = 0.05;

    /** A round that gains less than this part decides nothing. */
    private static final double DONE = 1e-3;

    private final Scene scene;
    private final boolean openEnd;

    /** Hypotheses at the figures that suit the readings best. */
    static final class Fitted {

        private final List<Hypothesis> hypotheses;
        private final double[] amounts;
        private final Making making;
        private final double[] predicted;
        private final double logEvidence;

        private Fitted(
                List<Hypothesis> hypotheses, double[] amounts, Making making, double[] predicted, double logEvidence) {
            this.hypotheses = hypotheses;
            this.amounts = amounts;
            this.making = making;
            this.predicted = predicted;
            this.logEvidence = logEvidence;
        }

        List<Hypothesis> hypotheses() {
            return hypotheses;
        }

        /** Of a hypothesis by its index, inches or degrees; 0 for one without a free figure. */
        double amount(int index) {
            return amounts[index];
        }

        Making making() {
            return making;
        }

        /** What would be read in a slot. */
        double predicted(int slot) {
            return predicted[slot];
        }

        /** Natural logarithm, up to what is the same for all hypotheses of a scene. */
        double logEvidence() {
            return logEvidence;
        }
    }

    Fitting(Scene scene) {
        this.scene = scene;
        this.openEnd = scene.needsLength();
    }

    /** Fits hypotheses that happened together; empty where no conduit can be bent like that. */
    Optional<Fitted> fit(List<Hypothesis> hypotheses) {
        List<Integer> free = new ArrayList<>();
        for (int i = 0; i < hypotheses.size(); i++) {
            if (hypotheses.get(i).free().isPresent()) {
                free.add(i);
            }
        }
        int parameters = free.size() + (openEnd ? 1 : 0);
        return parameters == 0 ? asIs(hypotheses) : solved(hypotheses, free, parameters);
    }

    /** A hypothesis with a small figure, to see what it changes at all; its evidence says nothing. */
    Optional<Fitted> look(Hypothesis hypothesis) {
        Hypothesis.Free free = hypothesis.free().orElseThrow();
        double[] amounts = {free.start() == 0 ? LOOK * free.spread() : free.start()};
        Making making = made(List.of(hypothesis), amounts, 0);
        return scene.predicted(making).map(predicted -> new Fitted(List.of(hypothesis), amounts, making, predicted, 0));
    }

    private Optional<Fitted> asIs(List<Hypothesis> hypotheses) {
        double[] amounts = new double[hypotheses.size()];
        Making making = made(hypotheses, amounts, 0);
        return scene.predicted(making)
                .map(predicted ->
                        new Fitted(hypotheses, amounts, making, predicted, -0.5 * squares(residuals(predicted, 0))));
    }

    private Optional<Fitted> solved(List<Hypothesis> hypotheses, List<Integer> free, int parameters) {
        double[] spreads = new double[parameters];
        double[] start = new double[parameters];
        double[] steps = new double[parameters];
        for (int i = 0; i < parameters; i++) {
            spreads[i] = i < free.size() ? figure(hypotheses, free.get(i)).spread() : Scene.openEnd();
            start[i] = i < free.size() ? figure(hypotheses, free.get(i)).start() : 0;
            steps[i] = STEP * spreads[i];
        }
        return new LeastSquares(at -> residuals(hypotheses, free, at, spreads), steps, DONE)
                .solve(start)
                .flatMap(solution -> weighed(hypotheses, free, solution, spreads));
    }

    private static Hypothesis.Free figure(List<Hypothesis> hypotheses, int index) {
        return hypotheses.get(index).free().orElseThrow();
    }

    private Optional<double[]> residuals(
            List<Hypothesis> hypotheses, List<Integer> free, double[] at, double[] spreads) {
        return scene.predicted(made(hypotheses, amounts(hypotheses, free, at), length(free, at)))
                .map(predicted -> {
                    double[] residuals = residuals(predicted, at.length);
                    for (int i = 0; i < at.length; i++) {
                        residuals[predicted.length + i] = at[i] / spreads[i];
                    }
                    return residuals;
                });
    }

    private Optional<Fitted> weighed(
            List<Hypothesis> hypotheses, List<Integer> free, LeastSquares.Solution solution, double[] spreads) {
        double log = -0.5 * solution.squares() - 0.5 * solution.logDeterminant();
        for (double spread : spreads) {
            log -= Math.log(spread);
        }
        double logEvidence = log;
        double[] amounts = amounts(hypotheses, free, solution.at());
        Making making = made(hypotheses, amounts, length(free, solution.at()));
        return scene.predicted(making)
                .map(predicted -> new Fitted(hypotheses, amounts, making, predicted, logEvidence));
    }

    private static double[] amounts(List<Hypothesis> hypotheses, List<Integer> free, double[] at) {
        double[] amounts = new double[hypotheses.size()];
        for (int i = 0; i < free.size(); i++) {
            amounts[free.get(i)] = at[i];
        }
        return amounts;
    }

    private double length(List<Integer> free, double[] at) {
        return openEnd ? at[free.size()] : 0;
    }

    private Making made(List<Hypothesis> hypotheses, double[] amounts, double lengthBy) {
        Making making = scene.planned().copy();
        making.length += lengthBy;
        for (int i = 0; i < amounts.length; i++) {
            hypotheses.get(i).change().apply(making, amounts[i]);
        }
        return making;
    }

    /** Prediction less reading, in standard deviations, with room for the priors of free figures. */
    private double[] residuals(double[] predicted, int room) {
        double[] residuals = new double[predicted.length + room];
        for (int i = 0; i < predicted.length; i++) {
            Scene.Slot slot = scene.slots().get(i);
            residuals[i] = (predicted[i] - slot.read()) / slot.sigma();
        }
        return residuals;
    }

    static double squares(double[] values) {
        double sum = 0;
        for (double value : values) {
            sum += value * value;
        }
        return sum;
    }
}
