package lobrik.cause;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import lobrik.bend.BackToBack90;
import lobrik.bend.Bend;
import lobrik.bend.BoxOffset;
import lobrik.bend.Kick;
import lobrik.bend.Offset;
import lobrik.bend.OffsetLayout;
import lobrik.bend.Placement;
import lobrik.bend.RollingOffset;
import lobrik.bend.Saddle3;
import lobrik.bend.Saddle4;
import lobrik.bend.Stub90;
import lobrik.fault.Refused;
import lobrik.feature.FeatureId;
import lobrik.layout.Layout;
import lobrik.measure.Length;
import lobrik.shop.HandBenderTable;
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
    private final List<Hypothesis> all = new ArrayList<>();

    private MarkHypotheses(Case seen) {
        this.seen = seen;
        this.layout = seen.layout();
        this.bend = layout.job().bend();
        this.bends = layout.marks().size();
    }

    static List<Hypothesis> of(Case seen) {
        MarkHypotheses hypotheses = new MarkHypotheses(seen);
        hypotheses.takeUp();
        hypotheses.shrink();
        hypotheses.all.addAll(SpacingHypotheses.of(seen.layout()));
        hypotheses.insertion();
        hypotheses.clearance();
        hypotheses.edgeForCentre();
        hypotheses.tape();
        hypotheses.anyFigure();
        return List.copyOf(hypotheses.all);
    }

    private void takeUp() {
        boolean arrow = switch (bend) {
            case Stub90 stub -> stub.placement() == Placement.ARROW;
            case BackToBack90 _ -> true;
            case Offset _, BoxOffset _, RollingOffset _, Kick _, Saddle3 _, Saddle4 _ -> false;
        };
        if (!arrow) {
            return;
        }
        double takeUp = layout.job().tooling().bender().takeUp().inches();
        firstMark(CauseId.TAKEUP_OMITTED, 0, 1, takeUp);
        firstMark(CauseId.TAKEUP_TWICE, 2 * takeUp, 1, -takeUp);
        for (TradeSize size : TradeSize.values()) {
            HandBenderTable.forEmt(size)
                    .map(bender -> bender.takeUp().inches())
                    .filter(other -> Math.abs(other - takeUp) > 0.01)
                    // Neighbouring sizes hang side by side.
                    .ifPresent(other ->
                            firstMark(CauseId.TAKEUP_WRONG_SIZE, other, 1 / Math.abs(other - takeUp), takeUp - other));
        }
    }

    /** Moves the first mark; of a U, the second is measured along the floor from the first back, so it may follow. */
    private void firstMark(CauseId cause, double amount, double weight, double by) {
        double[] alone = new double[bends];
        alone[0] = by;
        marks(cause, amount, weight, alone, 0);
        if (bends > 1) {
            double[] both = new double[bends];
            Arrays.fill(both, by);
            marks(cause, amount, weight, both, 0);
        }
    }

    private void shrink() {
        double shrink = layout.shrink().inches();
        double inMarks = inMarks(bend) ? shrink : 0;
        double inCut = inCut(shrink, inMarks);
        shrink(CauseId.SHRINK_OMITTED, -1, inMarks, inCut);
        shrink(CauseId.SHRINK_TWICE, 1, inMarks, inCut);
        shrink(CauseId.SHRINK_SUBTRACTED, -2, inMarks, inCut);
        if (inMarks == 0 && shrink > 0) {
            marks(CauseId.SHRINK_NEEDLESS, 0, 1, all(shrink), 0);
        }
    }

    /** What the cut length has of the shrink: once for an offset, twice for a saddle; a kick's ends where it is marked. */
    private double inCut(double shrink, double inMarks) {
        if (layout.workedCut().isEmpty()) {
            return 0;
        }
        return switch (bend) {
            case Kick _ -> inMarks;
            case Saddle3 _, Saddle4 _ -> 2 * shrink;
            case Stub90 _, BackToBack90 _, Offset _, BoxOffset _, RollingOffset _ -> shrink;
        };
    }

    private void shrink(CauseId cause, double factor, double inMarks, double inCut) {
        if (inMarks != 0) {
            marks(cause, 0, 1, all(factor * inMarks), 0);
        }
        if (inMarks != 0 && inCut != 0) {
            marks(cause, 0, CUT_TOO, all(factor * inMarks), factor * inCut);
        }
        if (inCut != 0) {
            marks(cause, 0, inMarks == 0 ? 1 : 0.1, all(0), factor * inCut);
        }
    }

    /** Whether the marks of a layout are moved by the shrink. */
    static boolean inMarks(Bend bend) {
        return switch (bend) {
            case Offset offset -> offset.layout() == OffsetLayout.BEFORE_OBSTACLE;
            case RollingOffset rolling -> rolling.layout() == OffsetLayout.BEFORE_OBSTACLE;
            case Kick kick -> kick.layout() == OffsetLayout.BEFORE_OBSTACLE;
            case Saddle3 _ -> true;
            case Saddle4 saddle -> saddle.measuredTo() == Saddle4.MeasuredTo.NEAR_EDGE;
            case BoxOffset _, Stub90 _, BackToBack90 _ -> false;
        };
    }

    private void insertion() {
        double by = -seen.insertion().inches();
        if (by == 0) {
            return;
        }
        marks(CauseId.INSERTION_OMITTED, -by, 1, all(by), 0);
        if (layout.workedCut().isPresent()) {
            marks(CauseId.INSERTION_OMITTED, -by, 1, all(by), by);
            marks(CauseId.INSERTION_OMITTED, -by, 1, all(0), by);
            marks(CauseId.INSERTION_OMITTED, -by, 0.5, all(by), 2 * by);
        }
    }

    private void clearance() {
        switch (bend) {
            case Offset o
            when o.clearance().isPositive() ->
                laidOutFor(1, new Offset(o.rise(), Length.ZERO, o.angle(), o.distance(), o.layout(), o.overall()));
            case Saddle3 s
            when s.clearance().isPositive() ->
                laidOutFor(
                        1,
                        new Saddle3(
                                s.height(),
                                Length.ZERO,
                                s.outerAngle(),
                                s.centre(),
                                s.spacing(),
                                s.order(),
                                s.overall()));
            case Saddle4 s -> {
                if (s.clearance().isPositive()) {
                    laidOutFor(1, without(s, Length.ZERO, s.edgeClearance()));
                }
                if (s.edgeClearance().isPositive()) {
                    laidOutFor(0.5, without(s, s.clearance(), Length.ZERO));
                }
                if (s.clearance().isPositive() && s.edgeClearance().isPositive()) {
                    laidOutFor(0.5, without(s, Length.ZERO, Length.ZERO));
                }
            }
            case Stub90 _, BackToBack90 _, Offset _, BoxOffset _, RollingOffset _, Kick _, Saddle3 _ -> {
                // Nothing is left free, or nothing was to be.
            }
        }
    }

    private static Saddle4 without(Saddle4 s, Length clearance, Length edgeClearance) {
        return new Saddle4(
                s.height(),
                clearance,
                s.angle(),
                s.width(),
                edgeClearance,
                s.measuredTo(),
                s.distance(),
                s.placement(),
                s.overall());
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
        switch (bend) {
            case Saddle3 saddle -> {
                // Nothing says how wide the obstacle is; a pipe is as wide as it is high.
                double half = saddle.height().inches() / 2;
                marks(CauseId.EDGE_FOR_CENTRE, -half, 1, all(-half), 0);
                marks(CauseId.EDGE_FOR_CENTRE, half, 0.5, all(half), 0);
            }
            case Saddle4 saddle -> {
                double half = saddle.width().inches() / 2;
                boolean toEdge = saddle.measuredTo() == Saddle4.MeasuredTo.NEAR_EDGE;
                marks(CauseId.EDGE_FOR_CENTRE, half, toEdge ? 1 : 0.3, all(half), 0);
                marks(CauseId.EDGE_FOR_CENTRE, -half, toEdge ? 0.3 : 1, all(-half), 0);
            }
            case Stub90 _, BackToBack90 _, Offset _, BoxOffset _, RollingOffset _, Kick _ -> {
                // Nothing has a middle.
            }
        }
    }

    private void tape() {
        for (double inch : new double[] {-1, 1}) {
            burned(inch, 1, 0);
            if (layout.workedCut().isPresent()) {
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
        all.addAll(new Misworked(layout).by(cause, amount, weight, by, cutBy));
    }

    private void exactMarks(CauseId cause, double amount, double weight, double[] by, double cutBy) {
        all.add(Misworked.exactly(cause, amount, weight, by, cutBy));
    }
}
