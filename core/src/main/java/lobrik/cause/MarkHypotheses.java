package lobrik.cause;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import lobrik.bend.Bend;
import lobrik.bend.Entries;
import lobrik.bend.Form;
import lobrik.bend.Input;
import lobrik.bend.InputId;
import lobrik.bend.Role;
import lobrik.derivation.Derivation;
import lobrik.derivation.Part;
import lobrik.fault.Refused;
import lobrik.feature.FeatureId;
import lobrik.layout.Layout;
import lobrik.measure.Length;
import lobrik.shop.Former;
import lobrik.shop.HandBenderTable;
import lobrik.shop.Machine;
import lobrik.shop.MachineTable;
import lobrik.shop.Shoe;
import lobrik.shop.TradeSize;

/** What can go wrong before the conduit is in the shoe: in the figures, and with the tape. */
final class MarkHypotheses {

    private static final Hypothesis.Free MISREAD = new Hypothesis.Free(0.3, 0);

    /** Of a wrong figure, or of a ring in a wrong place: it may be any. */
    private static final Hypothesis.Free ANY = new Hypothesis.Free(3, 0);

    /** How often a conduit is cut by the same wrong figure as it is marked by; else it was there already. */
    private static final double CUT_TOO = 0.5;

    /** Seldom is the conduit cut in the same go as it is marked. */
    private static final double BURNED_CUT = 0.2;

    private final Case seen;
    private final Layout layout;
    private final Bend bend;
    private final int bends;
    private final Misworked misworked;
    private final List<Hypothesis> all = new ArrayList<>();

    private MarkHypotheses(Case seen) {
        this.seen = seen;
        this.layout = seen.layout();
        this.bend = layout.job().bend();
        this.bends = layout.marks().size();
        this.misworked = new Misworked(layout);
    }

    static List<Hypothesis> of(Case seen) {
        MarkHypotheses hypotheses = new MarkHypotheses(seen);
        hypotheses.takeUp();
        hypotheses.shrink();
        hypotheses.all.addAll(SpacingHypotheses.of(seen.layout(), hypotheses.misworked));
        hypotheses.ofTheBend();
        hypotheses.clearance();
        hypotheses.edgeForCentre();
        hypotheses.tape();
        hypotheses.anyFigure();
        return List.copyOf(hypotheses.all);
    }

    private void takeUp() {
        double takeUp = layout.job().tooling().takenOff().inches();
        takeUp(CauseId.TAKEUP_OMITTED, 0, 1, _ -> Length.ZERO);
        takeUp(CauseId.TAKEUP_TWICE, 2 * takeUp, 1, right -> right.plus(right));
        for (TradeSize size : TradeSize.values()) {
            takeUpOf(size)
                    .filter(other -> Math.abs(other.inches() - takeUp) > 0.01)
                    // Neighbouring sizes hang side by side.
                    .ifPresent(other -> takeUp(
                            CauseId.TAKEUP_WRONG_SIZE,
                            other.inches(),
                            1 / Math.abs(other.inches() - takeUp),
                            _ -> other));
        }
    }

    /** What another size of the same tool takes up; only a shoe does. */
    private Optional<Length> takeUpOf(TradeSize size) {
        return switch (layout.job().tooling().tool()) {
            case Shoe _ -> HandBenderTable.forEmt(size).map(Shoe::takeUp);
            case Machine _ -> MachineTable.forEmt(size).map(Machine::takeUp);
            case Former _ -> Optional.empty();
        };
    }

    /** A mark by itself; or those after it, too, which may be measured from its bend. */
    private void takeUp(CauseId cause, double amount, double weight, UnaryOperator<Length> slip) {
        double[] by = misworked.off(layout.derivation().with(Part.TAKE_UP, slip));
        for (int mark = 0; mark < bends; mark++) {
            if (by[mark] != 0) {
                double[] alone = new double[bends];
                alone[mark] = by[mark];
                marks(cause, amount, weight, alone, 0);
                if (mark < bends - 1) {
                    double[] both = new double[bends];
                    Arrays.fill(both, mark, bends, by[mark]);
                    marks(cause, amount, weight, both, 0);
                }
            }
        }
    }

    private void shrink() {
        boolean inMarks = shrink(CauseId.SHRINK_OMITTED, _ -> Length.ZERO);
        shrink(CauseId.SHRINK_TWICE, right -> right.plus(right));
        shrink(CauseId.SHRINK_SUBTRACTED, right -> right.times(-1));
        if (!inMarks && layout.shrink().isPositive()) {
            place(CauseId.SHRINK_NEEDLESS, 0, 0, 1, layout.shrink());
        }
    }

    /** @return whether marks are worked out with the shrink */
    private boolean shrink(CauseId cause, UnaryOperator<Length> slip) {
        Derivation.Outcome wrong = layout.derivation().with(Part.SHRINK, slip);
        double[] by = misworked.off(wrong);
        double cutBy = misworked.cutOff(wrong);
        boolean inMarks = isOff(by);
        if (inMarks) {
            marks(cause, 0, 1, by, 0);
        }
        if (inMarks && cutBy != 0) {
            marks(cause, 0, CUT_TOO, by, cutBy);
        }
        if (cutBy != 0) {
            marks(cause, 0, inMarks ? 0.1 : 1, all(0), cutBy);
        }
        return inMarks;
    }

    private static boolean isOff(double[] by) {
        return Arrays.stream(by).anyMatch(each -> each != 0);
    }

    /** Measured to another place. */
    private void place(CauseId cause, int stretch, double amount, double weight, Length further) {
        Derivation.Outcome wrong = layout.derivation().with(Part.PLACE, stretch, place -> place.plus(further));
        marks(cause, amount, weight, misworked.off(wrong), 0);
    }

    /** What is added and taken off a run's legs; of anything else, what goes into the fitting at its datum end. */
    private void ofTheBend() {
        bend.run().ifPresentOrElse(run -> all.addAll(RunHypotheses.of(run, layout, misworked)), this::insertion);
    }

    private void insertion() {
        double by = -seen.insertion().inches();
        if (by == 0) {
            return;
        }
        marks(CauseId.INSERTION_OMITTED, -by, 1, all(by), 0);
        if (layout.cutLength().isPresent()) {
            marks(CauseId.INSERTION_OMITTED, -by, 1, all(by), by);
            marks(CauseId.INSERTION_OMITTED, -by, 1, all(0), by);
            marks(CauseId.INSERTION_OMITTED, -by, 0.5, all(by), 2 * by);
        }
    }

    /** What is to be left free was forgotten: above the obstacle, beside it, or both. */
    private void clearance() {
        List<Input> left = Input.of(bend).stream()
                .filter(input -> input.field().role() == Role.CLEARANCE)
                .filter(input -> input.current() instanceof Length length && length.isPositive())
                .toList();
        for (Input input : left) {
            laidOutFor(input.id() == InputId.CLEARANCE ? 1 : 0.5, input.with().apply(Length.ZERO));
        }
        if (left.size() > 1) {
            Entries said = Form.of(bend.kind()).read(bend);
            for (Input input : left) {
                said = said.with(input.id(), Length.ZERO);
            }
            laidOutFor(0.5, Form.of(bend.kind()).make(said));
        }
    }

    /** Marks, and perhaps the cut, as they are worked out for another bend. */
    private void laidOutFor(double weight, Bend other) {
        try {
            Layout without = Layout.of(layout.job().with(other));
            double[] by = new double[bends];
            for (int i = 0; i < bends; i++) {
                by[i] = without.marks()
                        .get(i)
                        .position()
                        .minus(layout.marks().get(i).position())
                        .inches();
            }
            Optional<Length> cut =
                    layout.cutLength().flatMap(planned -> without.cutLength().map(c -> c.minus(planned)));
            exactMarks(CauseId.CLEARANCE_OMITTED, 0, weight, by, 0);
            cut.filter(c -> c.count() != 0)
                    .ifPresent(c -> exactMarks(CauseId.CLEARANCE_OMITTED, 0, CUT_TOO * weight, by, c.inches()));
        } catch (Refused nobodyCanLayThatOut) {
            // Then nobody has.
        }
    }

    private void edgeForCentre() {
        layout.derivation().aims().forEach(aim -> {
            Length half = aim.isToMiddle() ? aim.half().times(-1) : aim.half();
            place(CauseId.EDGE_FOR_CENTRE, aim.stretch(), half.inches(), 1, half);
            place(
                    CauseId.EDGE_FOR_CENTRE,
                    aim.stretch(),
                    -half.inches(),
                    aim.isWidthKnown() ? 0.3 : 0.5,
                    half.times(-1));
        });
    }

    private void tape() {
        for (double inch : new double[] {-1, 1}) {
            burned(inch, 1, 0);
            if (layout.cutLength().isPresent()) {
                burned(inch, BURNED_CUT, inch);
            }
        }
        for (int i = 0; i < bends; i++) {
            ringed(CauseId.MISREAD_FRACTION, i, MISREAD);
        }
    }

    /** A ring set somewhere else, by itself or with those after it, which are often measured from it. */
    private void ringed(CauseId cause, int mark, Hypothesis.Free free) {
        all.add(Hypothesis.fitted(cause, mark + 1, "", 1, free, (making, amount) -> making.mark(mark, amount)));
        if (mark < bends - 1) {
            all.add(Hypothesis.fitted(cause, mark + 1, "", 1, free, (making, amount) -> making.markFrom(mark, amount)));
        }
    }

    /** What no named slip comes to, where it was seen: a figure of the trainee's own, by itself or carried on, or a ring. */
    private void anyFigure() {
        for (int i = 0; i < bends; i++) {
            int mark = i;
            if (seen.own().containsKey(i + 1)) {
                figured(mark, (making, amount) -> making.workOut(mark, amount));
                if (mark < bends - 1) {
                    figured(mark, (making, amount) -> making.workOutFrom(mark, amount));
                }
            }
            if (seen.readings().containsKey(FeatureId.mark(i + 1))) {
                ringed(CauseId.MARK_MISPLACED, i, ANY);
            }
        }
    }

    private void figured(int mark, Hypothesis.Change change) {
        all.add(Hypothesis.fitted(CauseId.FIGURE_WRONG, mark + 1, "", 1, ANY, change));
    }

    /** The trainee's own figures are right: only the tape was not. */
    private void burned(double inch, double weight, double cutBy) {
        all.add(Hypothesis.ofAmount(CauseId.BURNED_INCH, 0, "", weight, inch, (making, _) -> {
            for (int i = 0; i < bends; i++) {
                making.mark(i, inch);
            }
            making.length += cutBy;
        }));
    }

    private double[] all(double by) {
        double[] same = new double[bends];
        Arrays.fill(same, by);
        return same;
    }

    private void marks(CauseId cause, double amount, double weight, double[] by, double cutBy) {
        all.addAll(misworked.by(cause, amount, weight, by, cutBy));
    }

    private void exactMarks(CauseId cause, double amount, double weight, double[] by, double cutBy) {
        all.add(Misworked.exactly(cause, amount, weight, by, cutBy));
    }
}
