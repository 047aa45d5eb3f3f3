package lobrik.layout;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import lobrik.bend.Offset;
import lobrik.bend.OffsetLayout;
import lobrik.bend.RollingOffset;
import lobrik.derivation.Operation;
import lobrik.derivation.Part;
import lobrik.derivation.Sum;
import lobrik.derivation.Working;
import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Quantity;
import lobrik.shop.HookSide;
import lobrik.shop.Tooling;

/**
 * Offsets (handbook 4.3 to 4.5).
 *
 * <p>Symbols: {@code D} distance, {@code L} spacing of marks, {@code h} rise, {@code θ} angle, {@code R} radius.
 */
final class OffsetPlans {

    private OffsetPlans() {}

    static Plan of(Offset offset, Job job) {
        Map<FeatureId, Quantity> targets = targets(offset.distance(), offset.overall());
        targets.put(FeatureId.RISE, offset.height());
        Working working = new Working(2);
        SlopeLines.raised(working, "rise", offset.rise(), offset.clearance(), offset.height());
        Placed placed = new Placed(offset.layout(), offset.distance(), offset.angle(), Angle.ZERO);
        return placed.plan(working, job, offset.height(), offset.overall(), targets);
    }

    static Plan of(RollingOffset rolling, Job job) {
        Map<FeatureId, Quantity> targets = targets(rolling.distance(), rolling.overall());
        targets.put(FeatureId.RISE, rolling.rise());
        targets.put(FeatureId.ROLL, rolling.roll());
        Working working = new Working(2);
        Length rise = working.figure(
                "trueOffset",
                "true offset",
                "true-offset",
                "Up and across make the two short sides of a set square; the conduit takes its long side.",
                new Sum()
                        .and(Operation.ROOT_OF_SQUARE, Part.FIGURE, "rise", rolling.rise())
                        .and(Operation.AND_SQUARE, Part.FIGURE, "roll", rolling.roll())
                        .by(Operation.END_OF_ROOT, "", 1),
                rolling.trueOffset());
        Angle turn = working.figure(
                "turn",
                "turn of the conduit",
                "rolling-turn",
                "The angle whose tangent is roll over rise: so far the offset leans to the side.",
                Sum.of("roll", rolling.roll()).and(Operation.OVER, Part.FIGURE, "rise", rolling.rise()),
                rolling.turn());
        Placed placed = new Placed(rolling.layout(), rolling.distance(), rolling.angle(), turn);
        return placed.plan(working, job, rise, rolling.overall(), targets);
    }

    private static Map<FeatureId, Quantity> targets(Length distance, Optional<Length> overall) {
        Map<FeatureId, Quantity> targets = Plan.targetsInPlane(overall);
        targets.put(FeatureId.LANDING, distance);
        return targets;
    }

    /** Where an offset goes, which way it leans, and how steep it is. */
    private record Placed(OffsetLayout layout, Length distance, Angle angle, Angle turn) {

        Plan plan(Working working, Job job, Length rise, Optional<Length> overall, Map<FeatureId, Quantity> targets) {
            SlopeLines slope = SlopeLines.of(working, job, rise, angle);
            List<Mark> marks = marks(working, job.tooling(), slope);
            overall.ifPresent(length -> SlopeLines.cut(working, length, slope.shrunk()));
            return new Plan(marks, slope.shrunk(), targets, working.done());
        }

        /**
         * Before an obstacle: far mark at {@code D + shrink}, near mark {@code L} nearer, hooks towards the far end. From an
         * edge: near mark at {@code D}, far mark {@code L} beyond, hooks towards the datum end. The bend on the hook's side
         * is made first, so that the other never has a bend under the shoe. Formula {@code offset-marks}, handbook 4.3.
         */
        private List<Mark> marks(Working working, Tooling tooling, SlopeLines slope) {
            Angle back = turn.plus(Angle.HALF_TURN);
            Length spacing = slope.spacing();
            return switch (layout) {
                case BEFORE_OBSTACLE -> {
                    Length far = working.mark(
                            2,
                            "offset-marks",
                            "The distance was measured to where the conduit must already be up. Bending draws the far end in"
                                    + " by the shrink, so the mark goes that much further on.",
                            Sum.of(Part.PLACE, "distance", distance).plus(Part.SHRINK, "shrink", slope.shrink()));
                    Length near = working.mark(
                            1,
                            "offset-marks",
                            "The other mark lies one spacing nearer to the datum end.",
                            Sum.ofRing(2, "mark 2", far).minus(Part.SPACING, "spacing", spacing));
                    yield List.of(
                            new Mark(1, near, tooling.leading(HookSide.FAR), angle, turn, 2),
                            new Mark(2, far, tooling.leading(HookSide.FAR), angle, back, 1));
                }
                case FROM_EDGE -> {
                    Length near = working.mark(
                            1,
                            "offset-marks",
                            "The distance was measured to where the conduit leaves its surface. That mark stays where it is,"
                                    + " so there is no shrink to add.",
                            Sum.of(Part.PLACE, "distance", distance));
                    Length far = working.mark(
                            2,
                            "offset-marks",
                            "The other mark lies one spacing further on.",
                            Sum.ofRing(1, "mark 1", near).plus(Part.SPACING, "spacing", spacing));
                    yield List.of(
                            new Mark(1, near, tooling.leading(HookSide.DATUM), angle, turn, 1),
                            new Mark(2, far, tooling.leading(HookSide.DATUM), angle, back, 2));
                }
            };
        }
    }
}
