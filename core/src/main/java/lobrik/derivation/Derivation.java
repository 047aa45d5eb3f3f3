package lobrik.derivation;

import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import lobrik.measure.Length;

/**
 * How the marks of a piece and its cut length are worked out, line by line. What explains them, an answer sheet and what
 * can go wrong with them are read off it: a slip is the same derivation with one figure left out, taken twice, or taken for another.
 *
 * @param lines in the order in which they are worked out
 * @param angles of the bends, from the datum end
 * @param slope that the rings are spaced for, where they are
 * @param aim of the place, where it is at an obstacle
 */
public record Derivation(List<Line> lines, List<BendAngle> angles, Optional<Slope> slope, Optional<Aim> aim) {

    /**
     * How a bend's angle follows from the one that is asked for: so many times that, and so much more.
     */
    public record BendAngle(int times, Angle plus) {

        /** What most bends are bent to. */
        public static final BendAngle AS_ASKED = new BendAngle(1, Angle.ZERO);

        /** Whether it is the angle that is asked for. */
        public boolean isAsAsked() {
            return equals(AS_ASKED);
        }

        /** What the bend comes to where something else is bent to, degrees. */
        public double whereBentTo(double degrees) {
            return times * degrees + plus.degrees();
        }
    }

    /**
     * What the spacing of rings climbs.
     *
     * @param less what the rings are closer than the slope, because one of them is the middle of its arc and not its arrow
     */
    public record Slope(Length rise, Angle angle, Length less) {}

    /**
     * What a place is measured to: the middle of an obstacle, or its edge.
     *
     * @param half of the obstacle's width
     * @param isWidthKnown or whether it is only taken to be as wide as it is high
     */
    public record Aim(Length half, boolean isToMiddle, boolean isWidthKnown) {}

    /** What a slip makes of the figures of a derivation. */
    public interface Slip {
        Length of(Part part, Length figure);
    }

    /** Where the rings go, from the datum end, and what is cut, with a slip. */
    public record Outcome(List<Length> marks, Optional<Length> cut) {}

    static final Slip AS_IT_STANDS = (_, figure) -> figure;

    public Derivation {
        lines = List.copyOf(lines);
        angles = List.copyOf(angles);
    }

    /** What is cut, before anything is rounded; empty where the far end stays open. */
    public Optional<Length> cut() {
        for (Line line : lines) {
            if (line.about().equals(Line.CUT) && line.result() instanceof Length length) {
                return Optional.of(length);
            }
        }
        return Optional.empty();
    }

    /** Worked out rightly, before anything is rounded. */
    public Outcome asItStands() {
        return with(AS_IT_STANDS);
    }

    /** Worked out with one kind of figure changed wherever it stands in a sum of a ring or of the cut. */
    public Outcome with(Part changed, UnaryOperator<Length> change) {
        return with((part, figure) -> part == changed ? change.apply(figure) : figure);
    }

    /** Worked out with a slip; what is worked out from a wrong figure goes wrong with it. */
    public Outcome with(Slip slip) {
        Length[] marks = new Length[angles.size()];
        Optional<Length> cut = Optional.empty();
        for (Line line : lines) {
            for (int i = 0; i < marks.length; i++) {
                if (line.about().equals(FeatureId.mark(i + 1).id())) {
                    marks[i] = sum(line.terms(), slip, marks);
                }
            }
            if (line.about().equals(Line.CUT)) {
                cut = Optional.of(sum(line.terms(), slip, marks));
            }
        }
        return new Outcome(List.of(marks), cut);
    }

    static Length sum(List<Line.Term> terms, Slip slip) {
        return sum(terms, slip, new Length[0]);
    }

    /** @param marks that stand above, from the datum end; of others the place that is written counts */
    private static Length sum(List<Line.Term> terms, Slip slip, Length[] marks) {
        Length sum = Length.ZERO;
        for (Line.Term term : terms) {
            Length figure = switch (term) {
                case Line.Term.Of(Operation _, Part part, String _, Length length) -> slip.of(part, length);
                case Line.Term.Ring(Operation _, int mark, String _, Length place) ->
                    mark <= marks.length ? marks[mark - 1] : place;
                case Line.Term.Of _, Line.Term.Ring _, Line.Term.Factor _ ->
                    throw new IllegalArgumentException("not a sum of lengths: " + term);
            };
            sum = added(sum, figure, term.operation().times());
        }
        return sum;
    }

    private static Length added(Length sum, Length figure, int times) {
        return sum.withCount(Math.addExact(sum.count(), Math.multiplyExact(figure.count(), times)));
    }
}
