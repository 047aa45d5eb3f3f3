package lobrik.layout;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import lobrik.bend.Saddle3;
import lobrik.bend.Saddle4;
import lobrik.derivation.Operation;
import lobrik.derivation.Part;
import lobrik.derivation.Sum;
import lobrik.derivation.Working;
import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Quantity;
import lobrik.shop.HookSide;
import lobrik.shop.Placing;
import lobrik.shop.Tooling;

/**
 * Saddles (handbook 4.6 and 4.7).
 *
 * <p>Symbols: {@code h} height with clearance, {@code C} centre on the straight conduit, {@code k} centre to outer mark,
 * {@code α} outer angle, {@code e} arrow lead, {@code R} radius, {@code A} near inner mark, {@code L} spacing of the
 * marks of one side.
 */
final class SaddlePlans {

    private static final String MIDDLE_WORDS =
            "Bending the near side draws the middle back by the shrink, so the middle mark goes that much further on.";

    private SaddlePlans() {}

    /**
     * What a saddle is made of, before it is known how long the piece is.
     *
     * @param shrink one-sided
     */
    record Laid(List<Mark> marks, Length shrink) {}

    static Plan of(Saddle3 saddle, Job job) {
        Map<FeatureId, Quantity> targets = targets(saddle.overall());
        targets.put(FeatureId.HEIGHT, saddle.raised());
        targets.put(FeatureId.CENTRE, saddle.centre());
        Working working = new Working(3);
        Laid laid = lay(working, saddle, job);
        saddle.overall().ifPresent(length -> cut(working, length, laid.shrink));
        return new Plan(laid.marks, laid.shrink, targets, working.done());
    }

    static Laid lay(Working working, Saddle3 saddle, Job job) {
        working.bent(2, 2, Angle.ZERO)
                // Nothing says how wide the obstacle is; a pipe is as wide as it is high.
                .aimsAt(saddle.height().times(0.5), true, false);
        SlopeLines.raised(working, "height", saddle.height(), saddle.clearance(), saddle.raised());
        SlopeLines slope = SlopeLines.of(
                working,
                job,
                saddle.raised(),
                saddle.outerAngle(),
                job.tooling().lead(saddle.outerAngle()));
        Length shrink = slope.shrink();
        List<Mark> marks = switch (job.school().method()) {
            case CHART -> chart(working, saddle, job, shrink);
            case EXACT -> exact(working, saddle, job.tooling(), shrink);
        };
        return new Laid(marks, shrink);
    }

    /** {@code C = D + shrink}, outer marks {@code C ± k}. Formula {@code saddle3-chart-marks}, handbook 4.6. */
    private static List<Mark> chart(Working working, Saddle3 saddle, Job job, Length shrink) {
        String formula = "saddle3-chart-marks";
        Length centre = working.mark(2, formula, MIDDLE_WORDS, middle(saddle, shrink));
        double perInch = spacingPerInch(saddle, job.school().chart());
        Length k = working.figure(
                "spacing",
                "middle mark to an outer mark",
                formula,
                "From the middle mark to each outer mark: so many times the height.",
                Sum.of("height to bend", saddle.raised())
                        .times("factor for " + saddle.outerAngle().text(), perInch),
                saddle.raised().times(perInch));
        Length near = outer(working, 1, formula, centre, Operation.MINUS, k);
        Length far = outer(working, 3, formula, centre, Operation.PLUS, k);
        Tooling tooling = job.tooling();
        return List.of(
                mark(saddle, 1, near, near(saddle, tooling)),
                mark(saddle, 2, centre, tooling.middle(HookSide.DATUM)),
                mark(saddle, 3, far, tooling.leading(HookSide.DATUM)));
    }

    /** Pushed through, the hook looks the other way than at a bend that begins at the centre, so a shoe takes its star. */
    private static Placing near(Saddle3 saddle, Tooling tooling) {
        boolean pushed = saddle.order() == Saddle3.Order.PUSH_THROUGH;
        return pushed && tooling.shoe().isPresent() ? Placing.star(HookSide.DATUM) : tooling.leading(HookSide.FAR);
    }

    private static double spacingPerInch(Saddle3 saddle, MultiplierChart chart) {
        boolean byFactor = saddle.spacing() == Saddle3.Spacing.FACTOR
                && saddle.outerAngle().equals(MultiplierChart.SADDLE_FACTOR_ANGLE);
        return byFactor ? MultiplierChart.SADDLE_FACTOR : chart.multiplier(saddle.outerAngle());
    }

    /**
     * Each side is an offset of height {@code h} whose far arc is half the centre bend: {@code C = D + shrink} and
     * {@code k = L − e}. The marks are set so that the arcs land there, also where chart practice would let them slip.
     * Formula {@code saddle3-exact-marks}, handbook 4.6.
     */
    private static List<Mark> exact(Working working, Saddle3 saddle, Tooling tooling, Length shrink) {
        String formula = "saddle3-exact-marks";
        ExactOffset side = ExactOffset.of(tooling, saddle.raised(), saddle.outerAngle());
        Length middle = saddle.centre().plus(shrink);
        Length halfArc = tooling.arcLength(saddle.outerAngle());
        Mark centre = landing(saddle, tooling, 2, middle.minus(halfArc), tooling.middle(HookSide.DATUM));
        Sum sum = middle(saddle, shrink);
        if (!centre.position().equals(middle)) {
            sum.plus("so that the curve's middle lands there", centre.position().minus(middle));
        }
        working.mark(2, formula, MIDDLE_WORDS, sum);
        Length nearArc = middle.minus(side.spacing()).minus(halfArc);
        Mark near = landing(saddle, tooling, 1, nearArc, near(saddle, tooling));
        Length farArc = middle.plus(side.spacing());
        Mark far = landing(saddle, tooling, 3, farArc, tooling.leading(HookSide.DATUM));
        Length at = centre.position();
        outer(working, 1, formula, at, Operation.MINUS, at.minus(near.position()));
        outer(working, 3, formula, at, Operation.PLUS, far.position().minus(at));
        return List.of(near, centre, far);
    }

    private static Sum middle(Saddle3 saddle, Length shrink) {
        return Sum.of(Part.PLACE, "centre", saddle.centre()).plus(Part.SHRINK, "shrink", shrink);
    }

    private static Length outer(
            Working working, int number, String formula, Length centre, Operation sign, Length spacing) {
        return working.mark(
                number,
                formula,
                number == 1
                        ? "The near outer mark lies before the middle mark."
                        : "The far outer mark lies beyond the middle mark.",
                Sum.ofRing(2, "mark 2", centre).and(sign, Part.SPACING, "middle to outer mark", spacing));
    }

    private static Mark landing(Saddle3 saddle, Tooling tooling, int number, Length arcStart, Placing placing) {
        Length position = tooling.markFor(arcStart, placing, angle(saddle, number));
        return mark(saddle, number, position, placing);
    }

    private static Mark mark(Saddle3 saddle, int number, Length position, Placing placing) {
        Angle roll = number == 2 ? Angle.HALF_TURN : Angle.ZERO;
        return new Mark(number, position, placing, angle(saddle, number), roll, order(saddle.order(), number));
    }

    private static Angle angle(Saddle3 saddle, int number) {
        return number == 2 ? saddle.centreAngle() : saddle.outerAngle();
    }

    /** Centre first, then the outer bend that needs no turning end for end, then the other; or straight through. */
    private static int order(Saddle3.Order order, int number) {
        return switch (order) {
            case CENTRE_FIRST -> List.of(3, 1, 2).get(number - 1);
            case PUSH_THROUGH -> number;
        };
    }

    static Plan of(Saddle4 saddle, Job job) {
        Working working = new Working(4);
        Laid laid = lay(working, saddle, job);
        saddle.overall().ifPresent(length -> cut(working, length, laid.shrink));
        Map<FeatureId, Quantity> targets = targets(saddle.overall());
        targets.put(FeatureId.HEIGHT, saddle.raised());
        targets.put(FeatureId.FLAT, saddle.flat());
        targets.put(FeatureId.LANDING, landing(saddle, job));
        return new Plan(laid.marks, laid.shrink, targets, working.done());
    }

    /**
     * Near inner mark {@code A = D − c + shrink} to a near edge, or half the flat before the middle; outer marks {@code L}
     * further out; all hooks towards the obstacle, so that every arc falls outside the flat top. Each side's inner bend is
     * made before its outer one. Formula {@code saddle4-marks}, handbook 4.7.
     */
    static Laid lay(Working working, Saddle4 saddle, Job job) {
        boolean toMiddle = saddle.measuredTo() == Saddle4.MeasuredTo.CENTRED;
        working.aimsAt(saddle.width().times(0.5), toMiddle, true);
        SlopeLines.raised(working, "height", saddle.height(), saddle.clearance(), saddle.raised());
        SlopeLines slope = SlopeLines.of(working, job, saddle.raised(), saddle.angle());
        Length spacing = slope.spacing();
        Length nearInner = nearInner(working, saddle, slope);
        Length near = saddle4Mark(
                working,
                1,
                "One spacing nearer to the datum end.",
                Sum.ofRing(2, "mark 2", nearInner).minus(Part.SPACING, "spacing", spacing));
        Length farInner = saddle4Mark(
                working,
                3,
                "The flat top is as wide as the obstacle, with the edge clearance on both sides.",
                Sum.ofRing(2, "mark 2", nearInner)
                        .plus("width", saddle.width())
                        .plusTwice(Part.FIGURE, "edge clearance", saddle.edgeClearance()));
        Length far = saddle4Mark(
                working,
                4,
                "One spacing further on.",
                Sum.ofRing(3, "mark 3", farInner).plus(Part.SPACING, "spacing", spacing));
        UnaryOperator<Placing> placed = ToolMarks.placed(saddle.placement(), job.tooling());
        Placing nearSide = placed.apply(job.tooling().leading(HookSide.FAR));
        Placing farSide = placed.apply(job.tooling().leading(HookSide.DATUM));
        Angle angle = saddle.angle();
        List<Mark> marks = List.of(
                new Mark(1, near, nearSide, angle, Angle.ZERO, 2),
                new Mark(2, nearInner, nearSide, angle, Angle.HALF_TURN, 1),
                new Mark(3, farInner, farSide, angle, Angle.HALF_TURN, 3),
                new Mark(4, far, farSide, angle, Angle.ZERO, 4));
        return new Laid(marks, slope.shrunk());
    }

    private static Length nearInner(Working working, Saddle4 saddle, SlopeLines slope) {
        Sum place = Sum.of(Part.PLACE, "distance", saddle.distance());
        return switch (saddle.measuredTo()) {
            case NEAR_EDGE ->
                saddle4Mark(
                        working,
                        2,
                        "The conduit must be up before the edge, by the edge clearance; bending draws it in by the shrink.",
                        place.minus("edge clearance", saddle.edgeClearance())
                                .plus(Part.SHRINK, "shrink", slope.shrink()));
            case CENTRED ->
                saddle4Mark(
                        working,
                        2,
                        "Half of the flat top lies before the middle. Both ends are free, so there is no shrink to add.",
                        place.minus("half the flat", saddle.flat().times(0.5)));
        };
    }

    private static Length saddle4Mark(Working working, int number, String words, Sum sum) {
        return working.mark(number, "saddle4-marks", words, sum);
    }

    /**
     * Where the near inner ring belongs. Marked from the middle with both ends free, the piece draws in by the shrink; how
     * much that is, is a matter of geometry, not of the method.
     */
    private static Length landing(Saddle4 saddle, Job job) {
        return switch (saddle.measuredTo()) {
            case NEAR_EDGE -> saddle.distance().minus(saddle.edgeClearance());
            case CENTRED ->
                saddle.distance()
                        .minus(saddle.flat().times(0.5))
                        .minus(ExactOffset.of(job.tooling(), saddle.raised(), saddle.angle())
                                .shrink());
        };
    }

    private static Map<FeatureId, Quantity> targets(Optional<Length> overall) {
        Map<FeatureId, Quantity> targets = Plan.targetsInPlane(overall);
        targets.put(FeatureId.TAIL_LIFT, Length.ZERO);
        return targets;
    }

    /** A saddle loses the shrink on both sides. Formula {@code saddle-cut-length}, handbook 4.6 and 4.7. */
    private static void cut(Working working, Length overall, Length shrink) {
        working.cut(
                "saddle-cut-length",
                "A saddle goes up and down again: it loses the shrink on both sides.",
                Sum.of("overall", overall).plusTwice(Part.SHRINK, "shrink", shrink));
    }
}
