package lobrik.layout;

import java.util.List;
import java.util.Map;
import lobrik.bend.Kick;
import lobrik.bend.OffsetLayout;
import lobrik.derivation.Part;
import lobrik.derivation.Sum;
import lobrik.derivation.Working;
import lobrik.fault.Fault;
import lobrik.fault.FaultCode;
import lobrik.fault.Figure;
import lobrik.fault.Refused;
import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Quantity;
import lobrik.shop.HookSide;
import lobrik.shop.Tooling;

/**
 * Kicks (handbook 4.5).
 *
 * <p>Symbols: {@code h} rise, {@code θ} angle, {@code R} radius, {@code d} diameter.
 */
final class KickPlans {

    private static final String BEYOND = "from the mark to the far end";

    private KickPlans() {}

    static Plan of(Kick kick, Job job) {
        KickFigures figures = KickFigures.of(kick, job);
        Working working = new Working(1);
        Length beyond = beyond(working, kick, job, figures);
        Length mark = switch (kick.layout()) {
            case BEFORE_OBSTACLE ->
                working.mark(
                        1,
                        "kick-leg",
                        "The distance runs to the far end. Add the shrink, then go back by the kicked leg.",
                        Sum.of(Part.PLACE, "distance", kick.distance())
                                .plus(Part.SHRINK, "shrink", figures.shrink())
                                .minus(Part.SPACING, BEYOND, beyond));
            case FROM_EDGE ->
                working.mark(
                        1,
                        "kick-leg",
                        "The distance runs to the mark itself.",
                        Sum.of(Part.PLACE, "distance", kick.distance()));
        };
        working.cut(
                "kick-leg",
                "Up to the mark and from there to the far end.",
                Sum.ofRing(1, "mark", mark).plus(Part.SPACING, BEYOND, beyond));
        Map<FeatureId, Quantity> targets = Plan.open();
        targets.put(FeatureId.RISE, kick.rise());
        return new Plan(
                List.of(new Mark(1, mark, job.tooling().leading(HookSide.DATUM), kick.angle(), Angle.ZERO, 1)),
                figures.shrink(),
                targets,
                working.done());
    }

    /** The card gives the leg and the shrink that belongs to it; exactly both come out of one simulation, which is no sum. */
    private static Length beyond(Working working, Kick kick, Job job, KickFigures figures) {
        SlopeLines slope = SlopeLines.of(
                working, job, kick.rise(), kick.angle(), new OffsetFigures(figures.beyondMark(), figures.shrink()));
        return switch (job.school().method()) {
            case CHART -> {
                Length beyond = slope.chartSpacing(
                        BEYOND, "The kicked leg is the slope: the rise times the multiplier of the angle.");
                if (kick.layout() == OffsetLayout.BEFORE_OBSTACLE) {
                    slope.shrink();
                }
                yield beyond;
            }
            case EXACT -> figures.beyondMark();
        };
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
                    job.tooling().tool().radius().times(Math.sin(theta)).plus(leg.times(Math.cos(theta)));
            return new KickFigures(job.tooling().lead(kick.angle()).plus(developed), developed.minus(covered));
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
