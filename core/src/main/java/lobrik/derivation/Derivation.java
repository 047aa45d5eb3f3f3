package lobrik.derivation;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
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
 * @param slopes that rings are spaced for, where they are: one, or one for each such stretch of a longer piece
 * @param aims of the places that are at an obstacle, likewise
 */
public record Derivation(List<Line> lines, List<BendAngle> angles, List<Slope> slopes, List<Aim> aims) {

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
     * @param shrink that goes with it
     * @param stretch whose rings they are, where a piece has several; else 0
     */
    public record Slope(Length rise, Angle angle, Length less, Length shrink, int stretch) {}

    /**
     * What a place is measured to: the middle of an obstacle, or its edge.
     *
     * @param half of the obstacle's width
     * @param isWidthKnown or whether it is only taken to be as wide as it is high
     * @param stretch whose place it is, where a piece has several; else 0
     */
    public record Aim(Length half, boolean isToMiddle, boolean isWidthKnown, int stretch) {}

    /** What a slip makes of the figures of a derivation. */
    public interface Slip {

        /**
         * What becomes of a figure.
         *
         * @param number of the leg or the stretch whose figure it is, where a piece has several; else 0
         */
        Length of(Part part, int number, Length figure);
    }

    /** Where the rings go, from the datum end, and what is cut, with a slip. */
    public record Outcome(List<Length> marks, Optional<Length> cut) {}

    static final Slip AS_IT_STANDS = (_, _, figure) -> figure;

    public Derivation {
        lines = List.copyOf(lines);
        angles = List.copyOf(angles);
        slopes = List.copyOf(slopes);
        aims = List.copyOf(aims);
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
        return with((part, _, figure) -> part == changed ? change.apply(figure) : figure);
    }

    /** The same of one leg or stretch alone. */
    public Outcome with(Part changed, int which, UnaryOperator<Length> change) {
        return with((part, number, figure) -> part == changed && number == which ? change.apply(figure) : figure);
    }

    /** Worked out with a slip; what is worked out from a wrong figure goes wrong with it. */
    public Outcome with(Slip slip) {
        Map<String, Length> worked = new HashMap<>();
        for (Line line : lines) {
            if (line.isAddedUp()) {
                worked.put(line.about(), sum(line.terms(), slip, worked));
            }
        }
        List<Length> marks = new ArrayList<>(angles.size());
        for (int i = 0; i < angles.size(); i++) {
            marks.add(Objects.requireNonNull(worked.get(FeatureId.mark(i + 1).id())));
        }
        return new Outcome(marks, Optional.ofNullable(worked.get(Line.CUT)));
    }

    /** @param worked what the lines above come to, by what they are about; of others the figure that is written counts */
    static Length sum(List<Line.Term> terms, Slip slip, Map<String, Length> worked) {
        Length sum = Length.ZERO;
        for (Line.Term term : terms) {
            Length figure = switch (term) {
                case Line.Term.Of(Operation _, Part part, int number, String _, Length length) ->
                    slip.of(part, number, length);
                case Line.Term.Above(Operation _, String about, String _, Length place) ->
                    worked.getOrDefault(about, place);
                case Line.Term.Of _, Line.Term.Above _, Line.Term.Factor _ ->
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
