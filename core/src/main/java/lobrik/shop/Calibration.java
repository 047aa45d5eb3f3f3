package lobrik.shop;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lobrik.fault.Fault;
import lobrik.fault.FaultCode;
import lobrik.fault.Faults;
import lobrik.fault.Figure;
import lobrik.fault.Refused;
import lobrik.measure.Angle;
import lobrik.measure.Length;

/**
 * Take-up and radius of a bender from test bends (handbook 2), by least squares over both legs of every piece.
 *
 * <p>Symbols: {@code L0} straight length, {@code m} mark, {@code a} leg that carries the mark, {@code b} other leg,
 * {@code θ} angle, {@code d} outside diameter, {@code T} take-up, {@code R} radius. Both legs are linear in T and R:
 *
 * <pre>
 * a = m + T − R − d/2 + back        back = (R (1 − cos θ) + d/2) / sin θ
 * b = L0 − m − T + R + d/2 − Rθ + back
 * </pre>
 *
 * which at 90° are {@code T = a − m} and {@code G = a + b − L0}, {@code R = (G − d) / (2 − π/2)}. Formula
 * {@code calibration}, handbook 2.
 *
 * @param scatter standard deviation of a leg about the fit; empty for a single test bend, which always fits
 * @param takeUpError standard error of the take-up; empty like the scatter
 * @param radiusError standard error of the radius; empty like the scatter
 * @param residuals of each test bend
 */
public record Calibration(
        Length takeUp,
        Length radius,
        Optional<Length> scatter,
        Optional<Length> takeUpError,
        Optional<Length> radiusError,
        List<Residual> residuals) {

    private static final int MOST_TESTS = 100;

    /**
     * A bend made to measure the bender: arrow on the mark, hook towards the datum end.
     *
     * @param straight length before bending
     * @param mark from the datum end
     * @param markedLeg datum end face to back
     * @param otherLeg back to far end face
     * @param angle at rest, 60° to 120°
     */
    public record TestBend(Length straight, Length mark, Length markedLeg, Length otherLeg, Angle angle) {

        /** @throws lobrik.fault.Refused with every figure that is outside its range */
        public TestBend {
            Faults faults = new Faults();
            faults.requirePositive("straightIn", "the straight length", straight, Length.LONGEST_ENTRY);
            faults.requireWithin("markIn", "the mark", mark, Length.ZERO, Length.LONGEST_ENTRY);
            faults.requirePositive("markedLegIn", "the marked leg", markedLeg, Length.LONGEST_ENTRY);
            faults.requirePositive("otherLegIn", "the other leg", otherLeg, Length.LONGEST_ENTRY);
            faults.requireWithin("angleDeg", "the angle", angle, Angle.ofDegrees(60), Angle.ofDegrees(120));
            faults.refuseIfAny();
        }
    }

    /** What was read on a test bend less what the fit gives. */
    public record Residual(Length markedLeg, Length otherLeg) {}

    /** One leg of a test bend as an equation: {@code measured = ofTakeUp·T + ofRadius·R}, inches. */
    private record Equation(double ofTakeUp, double ofRadius, double measured) {

        double residual(double takeUp, double radius) {
            return measured - ofTakeUp * takeUp - ofRadius * radius;
        }
    }

    /**
     * Fits a bender's figures.
     *
     * @throws Refused for no test bends or too many; as impossible where no bender gives such pieces
     */
    public static Calibration of(Conduit conduit, List<TestBend> tests) {
        if (tests.isEmpty() || tests.size() > MOST_TESTS) {
            throw Refused.badInput(List.of(new Fault(
                    FaultCode.OUT_OF_RANGE,
                    "tests",
                    "there are " + tests.size() + " test bends; give from 1 to " + MOST_TESTS)));
        }
        List<Equation> equations = new ArrayList<>();
        for (TestBend test : tests) {
            equations.add(markedLeg(conduit, test));
            equations.add(otherLeg(conduit, test));
        }
        return solved(conduit, equations);
    }

    private static Equation markedLeg(Conduit conduit, TestBend test) {
        double half = conduit.outsideDiameter().inches() / 2;
        double theta = test.angle().radians();
        double known = test.mark().inches() - half + half / Math.sin(theta);
        return new Equation(1, backOfRadius(theta) - 1, test.markedLeg().inches() - known);
    }

    private static Equation otherLeg(Conduit conduit, TestBend test) {
        double half = conduit.outsideDiameter().inches() / 2;
        double theta = test.angle().radians();
        double known = test.straight().inches() - test.mark().inches() + half + half / Math.sin(theta);
        return new Equation(-1, 1 - theta + backOfRadius(theta), test.otherLeg().inches() - known);
    }

    /** The part of {@link Tooling#backOfBend(Angle)} that goes with the radius: {@code (1 − cos θ) / sin θ}. */
    private static double backOfRadius(double theta) {
        return (1 - Math.cos(theta)) / Math.sin(theta);
    }

    private static Calibration solved(Conduit conduit, List<Equation> equations) {
        double tt = 0;
        double tr = 0;
        double rr = 0;
        double tm = 0;
        double rm = 0;
        for (Equation e : equations) {
            tt += e.ofTakeUp() * e.ofTakeUp();
            tr += e.ofTakeUp() * e.ofRadius();
            rr += e.ofRadius() * e.ofRadius();
            tm += e.ofTakeUp() * e.measured();
            rm += e.ofRadius() * e.measured();
        }
        double determinant = tt * rr - tr * tr;
        double takeUp = (rr * tm - tr * rm) / determinant;
        double radius = (tt * rm - tr * tm) / determinant;
        requireBender(conduit, takeUp, radius);
        int free = equations.size() - 2;
        double squares = 0;
        for (Equation e : equations) {
            squares += e.residual(takeUp, radius) * e.residual(takeUp, radius);
        }
        double variance = squares / Math.max(1, free);
        return new Calibration(
                Length.ofInches(takeUp),
                Length.ofInches(radius),
                known(free, Math.sqrt(variance)),
                known(free, Math.sqrt(variance * rr / determinant)),
                known(free, Math.sqrt(variance * tt / determinant)),
                residuals(equations, takeUp, radius));
    }

    private static Optional<Length> known(int free, double inches) {
        return free > 0 ? Optional.of(Length.ofInches(inches)) : Optional.empty();
    }

    private static List<Residual> residuals(List<Equation> equations, double takeUp, double radius) {
        List<Residual> residuals = new ArrayList<>();
        for (int i = 0; i < equations.size(); i += 2) {
            residuals.add(new Residual(
                    Length.ofInches(equations.get(i).residual(takeUp, radius)),
                    Length.ofInches(equations.get(i + 1).residual(takeUp, radius))));
        }
        return List.copyOf(residuals);
    }

    private static void requireBender(Conduit conduit, double takeUp, double radius) {
        Length least = conduit.outsideDiameter().times(0.5);
        if (!(radius > least.inches() && takeUp > 0)) {
            Length fitted = Length.ofInches(radius);
            throw Refused.impossible(new Fault(
                    FaultCode.NOT_DETERMINED,
                    "tests",
                    "no bender gives such pieces: the fit has a radius of " + fitted.inWords()
                            + ", and it must be more than " + least.inWords()
                            + "; measure the straight length and both legs again",
                    new Figure("radius", fitted),
                    new Figure("least radius", least)));
        }
    }
}
