package lobrik.shop;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.ToDoubleFunction;
import lobrik.fault.Fault;
import lobrik.fault.FaultCode;
import lobrik.fault.Faults;
import lobrik.fault.Refused;
import lobrik.fit.LeastSquares;
import lobrik.measure.Angle;
import lobrik.measure.Length;

/**
 * A machine's tables from test bends (handbook 4.11). Each test bend says how far the ram was out, the angle that the conduit stood at
 * under load, and the angle that stayed when it was let go.
 *
 * <p>Springback is fitted as a straight line over the angle at rest, travel as a parabola over the angle under load, each by least
 * squares over all test bends; the rows are that fit at the angles that were bent, so that one bad reading does not make a row of its
 * own. Fewer different angles carry a simpler curve: two a straight line, one the mean. Formula {@code machine-tests}, handbook 4.
 *
 * @param springbackScatter standard deviation of a test bend about the fit; empty where there are no more bends than the fit has figures
 * @param travelScatter likewise
 * @param residuals of each test bend, in the order in which they were given
 * @param doubtful the one test bend, by its place from 0, without which all others scatter far less; it is worth bending once more
 */
public record MachineTests(
        Springback springback,
        RamTravel travel,
        Optional<Angle> springbackScatter,
        Optional<Length> travelScatter,
        List<Residual> residuals,
        OptionalInt doubtful) {

    private static final int MOST_TESTS = 100;

    /** Bends that are meant to be the same angle are no further apart. */
    private static final Angle SAME = Angle.ofDegrees(3);

    /** The others scatter less by so many times without a bend that is not one of them. */
    private static final double FAR_LESS = 2.5;

    private static final int LINE = 1;
    private static final int PARABOLA = 2;
    private static final Angle LEAST = Angle.ofDegrees(1);
    private static final Angle MOST = Angle.ofDegrees(180);

    /**
     * A bend that was made to measure the machine.
     *
     * @param travel of the ram, more than 0
     * @param underLoad angle while the ram pushes, 1° to 180°
     * @param rest angle that stays, 1° up to that under load
     */
    public record TestBend(Length travel, Angle underLoad, Angle rest) {

        /** @throws lobrik.fault.Refused with every figure that is outside its range */
        public TestBend {
            Faults faults = new Faults();
            faults.requirePositive("travelIn", "the travel", travel, Tool.LARGEST_FIGURE);
            faults.requireWithin("underLoadDeg", "the angle under load", underLoad, LEAST, MOST);
            faults.requireWithin("restDeg", "the angle at rest", rest, LEAST, MOST);
            if (rest.isMoreThan(underLoad)) {
                faults.add(
                        FaultCode.OUT_OF_RANGE,
                        "restDeg",
                        "the angle at rest is " + rest.text() + ", more than the " + underLoad.text()
                                + " under load; a bend that is let go opens: give the larger angle as the one under load");
            }
            faults.refuseIfAny();
        }

        Angle springback() {
            return underLoad.minus(rest);
        }
    }

    /** What was read on a test bend less what the fit gives. */
    public record Residual(Angle springback, Length travel) {}

    /**
     * Fits a machine's tables.
     *
     * @throws Refused for no test bends or too many; where the fit is no table, as a larger angle would need no more travel
     */
    public static MachineTests of(List<TestBend> tests) {
        if (tests.isEmpty() || tests.size() > MOST_TESTS) {
            throw Refused.badInput(List.of(new Fault(
                    FaultCode.OUT_OF_RANGE,
                    "tests",
                    "there are " + tests.size() + " test bends; give from 1 to " + MOST_TESTS)));
        }
        Curve springback = Curve.through(
                tests,
                LINE,
                test -> test.rest().degrees(),
                test -> test.springback().degrees());
        Curve travel = Curve.through(
                tests,
                PARABOLA,
                test -> test.underLoad().degrees(),
                test -> test.travel().inches());
        return new MachineTests(
                new Springback(springback.angles().stream()
                        .map(at -> new Springback.Row(
                                Angle.ofDegrees(at), Angle.ofDegrees(Math.max(0, springback.at(at)))))
                        .toList()),
                new RamTravel(travel.angles().stream()
                        .map(at -> new RamTravel.Row(Angle.ofDegrees(at), Length.ofInches(travel.at(at))))
                        .toList()),
                springback.scatter().map(Angle::ofDegrees),
                travel.scatter().map(Length::ofInches),
                tests.stream()
                        .map(test -> new Residual(
                                Angle.ofDegrees(test.springback().degrees()
                                        - springback.at(test.rest().degrees())),
                                Length.ofInches(test.travel().inches()
                                        - travel.at(test.underLoad().degrees()))))
                        .toList(),
                doubtful(tests, springback, travel));
    }

    private static OptionalInt doubtful(List<TestBend> tests, Curve springback, Curve travel) {
        OptionalInt worst = OptionalInt.empty();
        double least = 1 / FAR_LESS;
        for (int i = 0; i < tests.size(); i++) {
            double left =
                    Math.min(springback.scatterLeftWithout(tests.get(i)), travel.scatterLeftWithout(tests.get(i)));
            if (left < least) {
                least = left;
                worst = OptionalInt.of(i);
            }
        }
        return worst;
    }

    /** A polynomial by least squares, in an angle that is counted from the middle of all, so that its figures stay small. */
    private static final class Curve {

        private static final double STEP = 1e-6;
        private static final double NOTHING = 1e-6;

        private final Kind kind;
        private final List<TestBend> tests;
        private final List<double[]> points;
        private final double middle;
        private final double[] figures;

        private Curve(Kind kind, List<TestBend> tests, List<double[]> points, double middle, double[] figures) {
            this.kind = kind;
            this.tests = tests;
            this.points = points;
            this.middle = middle;
            this.figures = figures;
        }

        /** What is fitted: of which degree at most, and over which angle. */
        private record Kind(int degree, ToDoubleFunction<TestBend> angle, ToDoubleFunction<TestBend> figure) {}

        static Curve through(
                List<TestBend> tests, int degree, ToDoubleFunction<TestBend> angle, ToDoubleFunction<TestBend> figure) {
            return through(tests, new Kind(degree, angle, figure));
        }

        private static Curve through(List<TestBend> tests, Kind kind) {
            List<double[]> points = tests.stream()
                    .map(test -> new double[] {
                        kind.angle().applyAsDouble(test), kind.figure().applyAsDouble(test)
                    })
                    .sorted(Comparator.comparingDouble(point -> point[0]))
                    .toList();
            double middle =
                    points.stream().mapToDouble(point -> point[0]).average().orElseThrow();
            int figures = Math.min(kind.degree(), different(points).size() - 1) + 1;
            double[] steps = new double[figures];
            Arrays.fill(steps, STEP);
            double[] fitted = new LeastSquares(
                            at -> Optional.of(points.stream()
                                    .mapToDouble(point -> point[1] - value(at, middle, point[0]))
                                    .toArray()),
                            steps)
                    .from(new double[figures])
                    .orElseThrow();
            return new Curve(kind, tests, points, middle, fitted);
        }

        private static double value(double[] figures, double middle, double angle) {
            double sum = 0;
            for (int i = figures.length - 1; i >= 0; i--) {
                sum = sum * (angle - middle) + figures[i];
            }
            return sum;
        }

        /** The angles that were bent, those that are meant to be the same as one. */
        private static List<Double> different(List<double[]> points) {
            List<Double> angles = new ArrayList<>();
            List<Double> same = new ArrayList<>();
            for (double[] point : points) {
                if (!same.isEmpty() && point[0] - same.getFirst() > SAME.degrees()) {
                    angles.add(mean(same));
                    same.clear();
                }
                same.add(point[0]);
            }
            angles.add(mean(same));
            return List.copyOf(angles);
        }

        private static double mean(List<Double> of) {
            return of.stream().mapToDouble(Double::doubleValue).average().orElseThrow();
        }

        /** The angles that were bent, from the smallest to the largest of all, so that the table reaches both. */
        List<Double> angles() {
            List<Double> angles = new ArrayList<>(different(points));
            if (angles.size() > 1) {
                angles.set(0, points.getFirst()[0]);
                angles.set(angles.size() - 1, points.getLast()[0]);
            }
            return List.copyOf(angles);
        }

        /** What part of the scatter is left without one test bend; all of it where that cannot be said. */
        double scatterLeftWithout(TestBend one) {
            List<TestBend> others =
                    tests.stream().filter(test -> !test.equals(one)).toList();
            double all = scatter().orElse(0.0);
            if (all < NOTHING || others.isEmpty()) {
                return 1;
            }
            return through(others, kind).scatter().map(left -> left / all).orElse(1.0);
        }

        double at(double angle) {
            return value(figures, middle, angle);
        }

        Optional<Double> scatter() {
            int free = points.size() - figures.length;
            double squares = 0;
            for (double[] point : points) {
                double off = point[1] - at(point[0]);
                squares += off * off;
            }
            return free > 0 ? Optional.of(Math.sqrt(squares / free)) : Optional.empty();
        }
    }
}
