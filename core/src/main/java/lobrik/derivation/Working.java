package lobrik.derivation;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lobrik.feature.FeatureKind;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Quantity;

/**
 * A derivation while it is worked out: each line gives its figure to those below. What is marked and cut is what the sum that
 * explains it comes to, so the two cannot differ.
 *
 * <p>A longer piece is worked out in stretches. A stretch counts its rings and its places from where it begins, as the bend does that
 * it is when it stands alone; what is written is counted from the datum end.
 */
public final class Working {

    /** What is written: one for a piece, whatever its stretches. */
    private record Paper(
            List<Line> lines,
            Map<String, Length> places,
            List<Derivation.BendAngle> angles,
            List<Derivation.Slope> slopes,
            List<Derivation.Aim> aims) {}

    /**
     * Where a stretch begins.
     *
     * @param number of the stretch, from 1; 0 for a piece that is none
     * @param marksBefore how many rings stand before its first
     * @param from sum of the place that its own places are counted from; empty at the datum end
     */
    private record Stretch(int number, int marksBefore, List<Line.Term> from) {}

    private static final String MARK = FeatureKind.MARK.id();

    private final Paper paper;
    private final Stretch stretch;

    private Working(Paper paper, Stretch stretch) {
        this.paper = paper;
        this.stretch = stretch;
    }

    /** Of a piece with so many bends, all of them to the angle that is asked for. */
    public Working(int bends) {
        this(
                new Paper(
                        new ArrayList<>(8 * bends),
                        new HashMap<>(),
                        new ArrayList<>(bends),
                        new ArrayList<>(1),
                        new ArrayList<>(1)),
                new Stretch(0, 0, List.of()));
        for (int i = 0; i < bends; i++) {
            paper.angles.add(Derivation.BendAngle.AS_ASKED);
        }
    }

    /**
     * A stretch of this piece.
     *
     * @param number from 1
     * @param marksBefore how many rings stand before its first
     * @param from what its own places are counted from; a sum without terms at the datum end
     */
    public Working stretch(int number, int marksBefore, Sum from) {
        return new Working(paper, new Stretch(number, marksBefore, List.copyOf(from.terms())));
    }

    /** A bend to another angle than what is asked for. */
    public Working bent(int bend, int times, Angle plus) {
        paper.angles.set(stretch.marksBefore + bend - 1, new Derivation.BendAngle(times, plus));
        return this;
    }

    /**
     * What the rings are spaced for.
     *
     * @param less what they are closer than the slope, because one of them is the middle of its arc
     */
    public void climbs(Length rise, Angle angle, Length less, Length shrink) {
        paper.slopes.add(new Derivation.Slope(rise, angle, less, shrink, stretch.number));
    }

    /** What the place is measured to; see {@link Derivation.Aim}. */
    public Working aimsAt(Length half, boolean isToMiddle, boolean isWidthKnown) {
        paper.aims.add(new Derivation.Aim(half, isToMiddle, isWidthKnown, stretch.number));
        return this;
    }

    /** A figure on the way: the result comes from its formula, to which the sum is the explanation. */
    public <Q extends Quantity> Q figure(String about, String name, String formula, String words, Sum sum, Q result) {
        write(numbered(about), name, formula, words, sum.terms(), result);
        return result;
    }

    /** Where a ring goes; the result is the sum, counted from the datum end. */
    public Length mark(int number, String formula, String words, Sum sum) {
        int mark = stretch.marksBefore + number;
        String name = paper.angles.size() == 1 ? "the mark" : "mark " + mark;
        return added(MARK + mark, name, formula, words, fromDatumEnd(sum.terms()));
    }

    /** Where the back of a corner comes to lie on the straight conduit; the result is the sum. */
    public Length back(int corner, String formula, String words, Sum sum) {
        return added(Line.back(corner), "back of ninety " + corner, formula, words, sum.terms());
    }

    /** Begins with the back of a corner that stands above. */
    public Sum fromBack(int corner) {
        return Sum.ofAbove(Line.back(corner), "back of ninety " + corner, place(Line.back(corner)));
    }

    /** Begins with the far end, where the cut length stands above. */
    public Sum fromFarEnd() {
        return Sum.ofAbove(Line.CUT, "cut length", place(Line.CUT));
    }

    /** Where the far end is, where the cut length stands above. */
    public Length farEnd() {
        return place(Line.CUT);
    }

    /** Where a ring of this stretch stands that was worked out already, from the datum end. */
    public Length ring(int number) {
        return place(MARK + (stretch.marksBefore + number));
    }

    /** What the conduit is cut to; the result is the sum. */
    public Length cut(String formula, String words, Sum sum) {
        return added(Line.CUT, "cut length", formula, words, sum.terms());
    }

    private Length added(String about, String name, String formula, String words, List<Line.Term> terms) {
        Length result = Derivation.sum(terms, Derivation.AS_IT_STANDS, Map.of());
        write(about, name, formula, words, terms, result);
        paper.places.put(about, result);
        return result;
    }

    private void write(
            String about, String name, String formula, String words, List<Line.Term> terms, Quantity result) {
        paper.lines.add(new Line(about, name, formula, words, terms, result, Optional.empty()));
    }

    private String numbered(String about) {
        return stretch.number == 0 ? about : about + "/" + stretch.number;
    }

    private Length place(String about) {
        Length place = paper.places.get(about);
        if (place == null) {
            throw new IllegalStateException(about + " is not worked out yet");
        }
        return place;
    }

    /** A sum of a stretch as it is written for the whole piece: figures get its number, rings theirs, and places begin where it does. */
    private List<Line.Term> fromDatumEnd(List<Line.Term> terms) {
        if (stretch.number == 0) {
            return terms;
        }
        List<Line.Term> all = new ArrayList<>(stretch.from.size() + terms.size());
        for (Line.Term term : terms) {
            switch (term) {
                case Line.Term.Of(Operation operation, Part part, int _, String name, Quantity value) -> {
                    boolean fromItsStart = operation == Operation.START && !stretch.from.isEmpty();
                    if (fromItsStart) {
                        all.addAll(stretch.from);
                    }
                    Operation added = fromItsStart ? Operation.PLUS : operation;
                    all.add(new Line.Term.Of(added, part, stretch.number, name, value));
                }
                case Line.Term.Above above -> all.add(numberedOn(above));
                case Line.Term.Factor factor -> all.add(factor);
            }
        }
        return all;
    }

    /** A ring of this stretch by its number along the piece; what else stands above is the piece's own. */
    private Line.Term numberedOn(Line.Term.Above above) {
        if (!above.about().startsWith(MARK)) {
            return above;
        }
        int mark = stretch.marksBefore + Integer.parseInt(above.about().substring(MARK.length()));
        String about = MARK + mark;
        return new Line.Term.Above(above.operation(), about, "mark " + mark, place(about));
    }

    /** All of it. */
    public Derivation done() {
        return new Derivation(paper.lines, paper.angles, paper.slopes, paper.aims);
    }
}
