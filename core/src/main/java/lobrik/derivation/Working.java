package lobrik.derivation;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Quantity;

/**
 * A derivation while it is worked out: each line gives its figure to those below. What is marked and cut is what the sum that
 * explains it comes to, so the two cannot differ.
 */
public final class Working {

    private final int bends;
    private final List<Line> lines = new ArrayList<>(8);
    private final List<Derivation.BendAngle> angles;
    private Optional<Derivation.Slope> slope = Optional.empty();
    private Optional<Derivation.Aim> aim = Optional.empty();

    /** Of a piece with so many bends, all of them to the angle that is asked for. */
    public Working(int bends) {
        this.bends = bends;
        this.angles = new ArrayList<>(bends);
        for (int i = 0; i < bends; i++) {
            angles.add(Derivation.BendAngle.AS_ASKED);
        }
    }

    /** A bend to another angle than what is asked for. */
    public Working bent(int bend, int times, Angle plus) {
        angles.set(bend - 1, new Derivation.BendAngle(times, plus));
        return this;
    }

    /** What the rings are spaced for. */
    public Working climbs(Derivation.Slope climbed) {
        slope = Optional.of(climbed);
        return this;
    }

    /** What the place is measured to. */
    public Working aimsAt(Derivation.Aim aimed) {
        aim = Optional.of(aimed);
        return this;
    }

    /** A figure on the way: the result comes from its formula, to which the sum is the explanation. */
    public <Q extends Quantity> Q figure(String about, String name, String formula, String words, Sum sum, Q result) {
        lines.add(new Line(about, name, formula, words, sum.terms(), result, Optional.empty()));
        return result;
    }

    /** Where a ring goes; the result is the sum. */
    public Length mark(int number, String formula, String words, Sum sum) {
        String name = bends == 1 ? "the mark" : "mark " + number;
        return added(FeatureId.mark(number).id(), name, formula, words, sum);
    }

    /** What the conduit is cut to; the result is the sum. */
    public Length cut(String formula, String words, Sum sum) {
        return added(Line.CUT, "cut length", formula, words, sum);
    }

    private Length added(String about, String name, String formula, String words, Sum sum) {
        Length result = Derivation.sum(sum.terms(), Derivation.AS_IT_STANDS);
        return figure(about, name, formula, words, sum, result);
    }

    /** All of it. */
    public Derivation done() {
        return new Derivation(lines, angles, slope, aim);
    }
}
