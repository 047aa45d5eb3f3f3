package lobrik.layout;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import lobrik.bend.Placement;
import lobrik.bend.Saddle3;
import lobrik.bend.Saddle4;
import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Quantity;
import lobrik.shop.HookSide;
import lobrik.shop.Reference;
import lobrik.shop.Tooling;

/**
 * Saddles (handbook 4.6 and 4.7).
 *
 * <p>Symbols: {@code h} height with clearance, {@code C} centre on the straight conduit, {@code k} centre to outer mark,
 * {@code α} outer angle, {@code e} arrow lead, {@code R} radius, {@code A} near inner mark, {@code L} spacing of the
 * marks of one side.
 */
final class SaddlePlans {

    private SaddlePlans() {}

    static Plan of(Saddle3 saddle, Job job) {
        Map<FeatureId, Quantity> targets = targets(saddle.overall());
        targets.put(FeatureId.HEIGHT, saddle.raised());
        targets.put(FeatureId.CENTRE, saddle.centre());
        return switch (job.school().method()) {
            case CHART -> chart(saddle, job.school().chart(), targets);
            case EXACT -> exact(saddle, job.tooling(), targets);
        };
    }

    /** {@code C = D + shrink}, outer marks {@code C ± k}. Formula {@code saddle3-chart-marks}, handbook 4.6. */
    private static Plan chart(Saddle3 saddle, MultiplierChart chart, Map<FeatureId, Quantity> targets) {
        Length shrink = chart.shrink(saddle.raised(), saddle.outerAngle());
        Length centre = saddle.centre().plus(shrink);
        Length k = saddle.raised().times(spacingPerInch(saddle, chart));
        boolean pushed = saddle.order() == Saddle3.Order.PUSH_THROUGH;
        List<Mark> marks = List.of(
                pushed
                        ? mark(saddle, 1, centre.minus(k), Reference.STAR, HookSide.DATUM)
                        : mark(saddle, 1, centre.minus(k), Reference.ARROW, HookSide.FAR),
                mark(saddle, 2, centre, Reference.NOTCH, HookSide.DATUM),
                mark(saddle, 3, centre.plus(k), Reference.ARROW, HookSide.DATUM));
        return new Plan(marks, shrink, cutLength(saddle.overall(), shrink), targets);
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
    private static Plan exact(Saddle3 saddle, Tooling tooling, Map<FeatureId, Quantity> targets) {
        ExactOffset side = ExactOffset.of(tooling, saddle.raised(), saddle.outerAngle());
        Length centre = saddle.centre().plus(side.shrink());
        Length halfArc = tooling.arcLength(saddle.outerAngle());
        Length nearArc = centre.minus(side.spacing()).minus(halfArc);
        Length farArc = centre.plus(side.spacing());
        boolean pushed = saddle.order() == Saddle3.Order.PUSH_THROUGH;
        List<Mark> marks = List.of(
                pushed
                        ? landing(saddle, tooling, 1, nearArc, Reference.STAR, HookSide.DATUM)
                        : landing(saddle, tooling, 1, nearArc, Reference.ARROW, HookSide.FAR),
                landing(saddle, tooling, 2, centre.minus(halfArc), Reference.NOTCH, HookSide.DATUM),
                landing(saddle, tooling, 3, farArc, Reference.ARROW, HookSide.DATUM));
        return new Plan(marks, side.shrink(), cutLength(saddle.overall(), side.shrink()), targets);
    }

    private static Mark landing(
            Saddle3 saddle, Tooling tooling, int number, Length arcStart, Reference reference, HookSide hook) {
        Length position = tooling.markFor(arcStart, reference, hook, angle(saddle, number));
        return mark(saddle, number, position, reference, hook);
    }

    private static Mark mark(Saddle3 saddle, int number, Length position, Reference reference, HookSide hook) {
        Angle roll = number == 2 ? Angle.HALF_TURN : Angle.ZERO;
        return new Mark(number, position, reference, hook, angle(saddle, number), roll, order(saddle.order(), number));
    }

    private static Angle angle(Saddle3 saddle, int number) {
        return number == 2 ? saddle.centreAngle() : saddle.outerAngle();
    }

    /** Centre first, then the outer bend that needs no turning end for end, then the other; or straight through. */
    private static int order(Saddle3.Order order, int number) {
        return switch (order) {
            case CENTRE_FIRST ->
                switch (number) {
                    case 1 -> 3;
                    case 2 -> 1;
                    default -> 2;
                };
            case PUSH_THROUGH -> number;
        };
    }

    /**
     * Near inner mark {@code A = D − c + shrink} to a near edge, or half the flat before the middle; outer marks {@code L}
     * further out; all hooks towards the obstacle, so that every arc falls outside the flat top. Each side's inner bend is
     * made before its outer one. Formula {@code saddle4-marks}, handbook 4.7.
     */
    static Plan of(Saddle4 saddle, Job job) {
        OffsetFigures side = job.offset(saddle.raised(), saddle.angle());
        Length nearInner = switch (saddle.measuredTo()) {
            case NEAR_EDGE -> saddle.distance().minus(saddle.edgeClearance()).plus(side.shrink());
            case CENTRED -> saddle.distance().minus(saddle.flat().times(0.5));
        };
        Length farInner = nearInner.plus(saddle.flat());
        Reference reference = saddle.placement() == Placement.STAR ? Reference.STAR : Reference.ARROW;
        Angle angle = saddle.angle();
        List<Mark> marks = List.of(
                new Mark(1, nearInner.minus(side.spacing()), reference, HookSide.FAR, angle, Angle.ZERO, 2),
                new Mark(2, nearInner, reference, HookSide.FAR, angle, Angle.HALF_TURN, 1),
                new Mark(3, farInner, reference, HookSide.DATUM, angle, Angle.HALF_TURN, 3),
                new Mark(4, farInner.plus(side.spacing()), reference, HookSide.DATUM, angle, Angle.ZERO, 4));
        Map<FeatureId, Quantity> targets = targets(saddle.overall());
        targets.put(FeatureId.HEIGHT, saddle.raised());
        targets.put(FeatureId.FLAT, saddle.flat());
        targets.put(FeatureId.LANDING, landing(saddle, job));
        return new Plan(marks, side.shrink(), cutLength(saddle.overall(), side.shrink()), targets);
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
    private static Optional<Length> cutLength(Optional<Length> overall, Length shrink) {
        return overall.map(length -> length.plus(shrink.times(2)));
    }
}
