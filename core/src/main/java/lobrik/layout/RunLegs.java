package lobrik.layout;

import java.util.ArrayList;
import java.util.List;
import lobrik.bend.Leg;
import lobrik.bend.Run;
import lobrik.derivation.Operation;
import lobrik.derivation.Part;
import lobrik.derivation.Sum;
import lobrik.derivation.Working;
import lobrik.measure.Length;
import lobrik.shop.Tooling;

/**
 * The legs of a run on the straight conduit (handbook 4.9): where each begins, where the back of each ninety comes to lie, and what is
 * cut. They are worked out from the datum end, one after the other.
 *
 * <p>Symbols: {@code Lk} outside length of leg k, {@code G} gain, {@code σ} shrink of what was passed.
 */
final class RunLegs {

    private final Run run;
    private final Tooling tooling;
    private final Working working;

    /** What was passed on the leg that is being worked out. */
    private final List<Shrunk> passed = new ArrayList<>();

    private Length shrunk = Length.ZERO;

    /**
     * What a stretch takes off the length that it covers.
     *
     * @param stretch its number, from 1
     */
    private record Shrunk(int stretch, String name, Operation operation, Length shrink) {}

    RunLegs(Run run, Tooling tooling, Working working) {
        this.run = run;
        this.tooling = tooling;
        this.working = working;
    }

    /** All that offsets and saddles took off so far. */
    Length shrunk() {
        return shrunk;
    }

    /** Something was passed on this leg: what comes after it lies so much further on. */
    void pass(Length shrink, int number, Operation operation, String name) {
        passed.add(new Shrunk(number, name, operation, shrink));
        shrunk = shrunk.plus(shrink.times(operation.times()));
    }

    /** The back of ninety k lies at {@code L1 + … + Lk − (k − 1)G + Σσ}. Formula {@code run-back}, handbook 4.9. */
    void back(int number, String words) {
        Sum sum = number == 1 ? leg(new Sum(), number) : leg(past(number - 1), number);
        working.back(number, "run-back", words, shrinks(sum));
        passed.clear();
    }

    /** {@code ΣL − nG + Σσ}. Formula {@code run-cut-length}, handbook 4.9. */
    void cut() {
        int last = run.legs().size();
        Sum sum = leg(past(last - 1), last);
        working.cut("run-cut-length", "From the last back to the far end.", shrinks(sum));
        passed.clear();
    }

    /** Where a leg begins on the straight conduit, past what lies on it so far. */
    Sum here(int leg) {
        return shrinks(leg == 1 ? new Sum() : past(leg - 1));
    }

    /** Where the leg after a corner begins on the straight conduit: its back, less the gain. */
    private Sum past(int corner) {
        return working.fromBack(corner).and(Operation.MINUS, Part.GAIN, corner, "gain", tooling.gain());
    }

    /** The shrinks of what was passed on this leg. */
    private Sum shrinks(Sum sum) {
        for (Shrunk each : passed) {
            sum.and(each.operation(), Part.SHRINK, each.stretch(), each.name(), each.shrink());
        }
        return sum;
    }

    /** A leg with what is added and taken off. Formula {@code run-leg}, handbook 4.9. */
    private Sum leg(Sum sum, int leg) {
        Leg asked = run.legs().get(leg - 1);
        Length length = asked.measured().length();
        String name = "leg " + leg;
        switch (asked.measured()) {
            case Leg.Measured.Outright _ -> {
                // It was measured as such.
            }
            case Leg.Measured.FromOneSurface readings ->
                working.figure(
                        "leg" + leg,
                        name,
                        "run-leg",
                        "Both ends of the leg were measured from one surface; the leg is what lies between.",
                        Sum.of("further reading", readings.from().max(readings.to()))
                                .minus(
                                        "nearer reading",
                                        readings.from()
                                                .plus(readings.to())
                                                .minus(readings.from().max(readings.to()))),
                        length);
        }
        sum.and(sum.terms().isEmpty() ? Operation.START : Operation.PLUS, Part.LEG, leg, name, length);
        insertion(sum, leg == 1, 1, "insertion at the start", run.startInsertion());
        insertion(sum, leg == run.legs().size(), 2, "insertion at the end", run.endInsertion());
        if (asked.play().isPositive()) {
            sum.and(Operation.MINUS, Part.PLAY, leg, "play", asked.play());
        }
        return sum;
    }

    private static void insertion(Sum sum, boolean here, int end, String name, Length insertion) {
        if (here && insertion.isPositive()) {
            sum.and(Operation.PLUS, Part.INSERTION, end, name, insertion);
        }
    }
}
