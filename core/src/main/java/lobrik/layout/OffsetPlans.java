package lobrik.layout;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import lobrik.bend.Kick;
import lobrik.bend.Offset;
import lobrik.bend.OffsetLayout;
import lobrik.bend.RollingOffset;
import lobrik.fault.Fault;
import lobrik.fault.FaultCode;
import lobrik.fault.Figure;
import lobrik.fault.Refused;
import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Quantity;
import lobrik.shop.HookSide;
import lobrik.shop.Reference;
import lobrik.shop.Tooling;

/**
 * Offsets and kicks (handbook 4.3 to 4.5).
 *
 * <p>Symbols: {@code D} distance, {@code L} spacing of marks, {@code h} rise, {@code θ} angle, {@code R} radius.
 */
final class OffsetPlans {

    private OffsetPlans() {}

    static Plan of(Offset offset, Job job) {
        Map<FeatureId, Quantity> targets = targets(offset.distance(), offset.overall());
        targets.put(FeatureId.RISE, offset.height());
        OffsetFigures figures = job.offset(offset.height(), offset.angle());
        List<Mark> marks = marks(offset.layout(), offset.distance(), figures, offset.angle(), Angle.ZERO);
        return new Plan(marks, figures.shrink(), cutLength(offset.overall(), figures), targets);
    }

    static Plan of(RollingOffset rolling, Job job) {
        Map<FeatureId, Quantity> targets = targets(rolling.distance(), rolling.overall());
        targets.put(FeatureId.RISE, rolling.rise());
        targets.put(FeatureId.ROLL, rolling.roll());
        OffsetFigures figures = job.offset(rolling.trueOffset(), rolling.angle());
        List<Mark> marks = marks(rolling.layout(), rolling.distance(), figures, rolling.angle(), rolling.turn());
        return new Plan(marks, figures.shrink(), cutLength(rolling.overall(), figures), targets);
    }

    private static Map<FeatureId, Quantity> targets(Length distance, Optional<Length> overall) {
        Map<FeatureId, Quantity> targets = Plan.targetsInPlane(overall);
        targets.put(FeatureId.LANDING, distance);
        return targets;
    }

    /**
     * Before an obstacle: far mark at {@code D + shrink}, near mark {@code L} nearer, hooks towards the far end. From an
     * edge: near mark at {@code D}, far mark {@code L} beyond, hooks towards the datum end. The bend on the hook's side is
     * made first, so that the other never has a bend under the shoe. Formula {@code offset-marks}, handbook 4.3.
     */
    private static List<Mark> marks(
            OffsetLayout layout, Length distance, OffsetFigures figures, Angle angle, Angle turn) {
        Angle back = turn.plus(Angle.HALF_TURN);
        return switch (layout) {
            case BEFORE_OBSTACLE -> {
                Length far = distance.plus(figures.shrink());
                yield List.of(
                        new Mark(1, far.minus(figures.spacing()), Reference.ARROW, HookSide.FAR, angle, turn, 2),
                        new Mark(2, far, Reference.ARROW, HookSide.FAR, angle, back, 1));
            }
            case FROM_EDGE ->
                List.of(
                        new Mark(1, distance, Reference.ARROW, HookSide.DATUM, angle, turn, 1),
                        new Mark(2, distance.plus(figures.spacing()), Reference.ARROW, HookSide.DATUM, angle, back, 2));
        };
    }

    /** The overall length loses the shrink once. Formula {@code offset-cut-length}, handbook 4.3. */
    private static Optional<Length> cutLength(Optional<Length> overall, OffsetFigures figures) {
        return overall.map(length -> length.plus(figures.shrink()));
    }

    static Plan of(Kick kick, Job job) {
        KickFigures figures = KickFigures.of(kick, job);
        Length mark = switch (kick.layout()) {
            case BEFORE_OBSTACLE -> kick.distance().plus(figures.shrink()).minus(figures.beyondMark());
            case FROM_EDGE -> kick.distance();
        };
        Map<FeatureId, Quantity> targets = Plan.open();
        targets.put(FeatureId.RISE, kick.rise());
        return new Plan(
                List.of(new Mark(1, mark, Reference.ARROW, HookSide.DATUM, kick.angle(), Angle.ZERO, 1)),
                figures.shrink(),
                Optional.of(mark.plus(figures.beyondMark())),
                targets);
    }

    /**
     * A kick, measured from its mark to the far end.
     *
     * @param beyondMark conduit from the mark to the far end face
     * @param shrink what that is longer than the distance it covers along the datum leg
     */
    private record KickFigures(Length beyondMark, Length shrink) {

        static KickFigures of(Kick kick, Job job) {
            return switch (job.school().method()) {
                // A leg of h·csc θ that starts at the mark covers h·csc θ less the same shrink as an offset's.
                case CHART ->
                    new KickFigures(
                            job.school().chart().spacing(kick.rise(), kick.angle()),
                            job.school().chart().shrink(kick.rise(), kick.angle()));
                case EXACT -> exact(kick, job);
            };
        }

        /**
         * The rise runs from underside to underside, so the centreline rises {@code c = h − (d/2)(1 − cos θ)}. Leg beyond the
         * arc {@code (c − R(1 − cos θ)) / sin θ}; it covers {@code R sin θ + leg·cos θ}. An offset of the rise
         * {@code c + R(1 − cos θ)} has the same straight. Formula {@code kick-leg}, handbook 4.5 and 6.
         */
        private static KickFigures exact(Kick kick, Job job) {
            double theta = kick.angle().radians();
            Length arcRise = ExactOffset.leastRise(job.tooling(), kick.angle()).times(0.5);
            Length tilt = tilt(kick, job.tooling());
            requireRise(kick, arcRise.plus(tilt));
            Length leg = ExactOffset.of(job.tooling(), kick.rise().minus(tilt).plus(arcRise), kick.angle())
                    .straight();
            Length developed = job.tooling().arcLength(kick.angle()).plus(leg);
            Length covered =
                    job.tooling().bender().radius().times(Math.sin(theta)).plus(leg.times(Math.cos(theta)));
            return new KickFigures(job.tooling().arrowLead().plus(developed), developed.minus(covered));
        }

        /**
         * How much more the underside of a tilted end rises than its centreline: {@code (d/2)(1 − cos θ)}. Formula
         * {@code kick-tilt}; it follows from handbook 6, where rises run from underside to underside.
         */
        private static Length tilt(Kick kick, Tooling tooling) {
            return tooling.conduit()
                    .outsideDiameter()
                    .times(0.5 * (1 - Math.cos(kick.angle().radians())));
        }

        private static void requireRise(Kick kick, Length least) {
            if (kick.rise().isLessThan(least)) {
                throw Refused.impossible(new Fault(
                        FaultCode.SPACING_IMPOSSIBLE,
                        "bend/riseIn",
                        "a rise of " + kick.rise().inWords() + " cannot be bent at "
                                + kick.angle().text() + ": the bend alone rises " + least.inWords(),
                        new Figure("rise", kick.rise()),
                        new Figure("least rise at this angle", least)));
            }
        }
    }
}
