package lobrik.layout;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import lobrik.bend.OverBent90;
import lobrik.derivation.Operation;
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
import lobrik.shop.Former;
import lobrik.shop.HookSide;
import lobrik.shop.ShoeFigures;
import lobrik.shop.Tooling;

/**
 * Over-bent nineties (handbook 4.8). There is no chart for them: both methods lay them out exactly.
 *
 * <p>Symbols: {@code H} drop, {@code β} over-bend, {@code t} straight between the bends, {@code s1} straight from the datum end
 * to the first arc, {@code R} radius, {@code d} diameter, {@code e} arrow lead.
 */
final class OverBentPlans {

    private final OverBent90 bend;
    private final Tooling tooling;
    private final Angle second;
    private final Working working = new Working(2).bent(2, 1, Angle.RIGHT);

    private OverBentPlans(OverBent90 bend, Tooling tooling) {
        this.bend = bend;
        this.tooling = tooling;
        this.second = bend.overBend().plus(Angle.RIGHT);
    }

    static Plan of(OverBent90 bend, Tooling tooling) {
        return new OverBentPlans(bend, tooling).plan();
    }

    /** The over-bend is made first, as shop practice does, and then what leans away from it; both by the arrow, from the datum end. */
    private Plan plan() {
        Length straight = straight();
        Length spacing = spacing(straight);
        Length near = firstMark(standing(straight));
        Length far = working.mark(
                2,
                "over-bent-marks",
                "The second ring lies one spacing further on.",
                Sum.ofRing(1, "mark 1", near).plus(Part.SPACING, "spacing", spacing));
        bend.otherLeg().ifPresent(leg -> cut(far, leg));
        Map<FeatureId, Quantity> targets = Plan.targetsInPlane(Optional.empty());
        targets.put(FeatureId.DROP, bend.drop());
        targets.put(FeatureId.SET_BACK, bend.setBack());
        bend.otherLeg().ifPresent(leg -> targets.put(FeatureId.OTHER_LEG, leg));
        List<Mark> marks = List.of(
                new Mark(1, near, tooling.leading(HookSide.DATUM), bend.overBend(), Angle.ZERO, 2),
                new Mark(2, far, tooling.leading(HookSide.DATUM), second, Angle.HALF_TURN, 1));
        return new Plan(marks, Length.ZERO, targets, working.done());
    }

    /**
     * {@code t = (set-back − 2R(1 − cos β)) / sin β}: the set-back is that of an offset. Formula {@code over-bent-straight},
     * handbook 4.8.
     */
    private Length straight() {
        Angle beta = bend.overBend();
        Length curves = ExactOffset.leastRise(tooling, beta);
        if (bend.setBack().isLessThan(curves)) {
            throw Refused.impossible(new Fault(
                    FaultCode.SPACING_IMPOSSIBLE,
                    "bend/setBackIn",
                    "a set-back of " + bend.setBack().inWords() + " cannot be bent at " + beta.text()
                            + ": the curves alone take " + curves.inWords(),
                    new Figure("set-back", bend.setBack()),
                    new Figure("least set-back at this angle", curves),
                    new Figure("largest angle for this set-back", ExactOffset.largestAngle(tooling, bend.setBack()))));
        }
        return working.figure(
                "straight",
                "straight between the bends",
                "over-bent-straight",
                "The two curves set the conduit back a little. The rest is taken by the straight between them.",
                Sum.of("set-back", bend.setBack())
                        .minus("set-back of the curves", curves)
                        .by(Operation.DIVIDED_BY, "sine of " + beta.text(), Math.sin(beta.radians())),
                ExactOffset.of(tooling, bend.setBack(), beta).straight());
    }

    /** Between the starts of the curves, or between their middles. Formula {@code over-bent-spacing}, handbook 4.8 and 4.10. */
    private Length spacing(Length straight) {
        Length near = tooling.arcLength(bend.overBend());
        return tooling.shoe()
                .map(_ -> working.figure(
                        "spacing",
                        "spacing of the marks",
                        "over-bent-spacing",
                        "From the start of one curve to the start of the other: one straight and one curve. Both arrows stand as"
                                + " far before their curves.",
                        Sum.of("straight", straight).plus("one curve", near),
                        straight.plus(near)))
                .orElseGet(() -> {
                    Length halfNear = near.times(0.5);
                    Length halfFar = tooling.arcLength(second).times(0.5);
                    return working.figure(
                            "spacing",
                            "spacing of the marks",
                            "over-bent-spacing",
                            "From the middle of one curve to the middle of the other: half of each, and the straight.",
                            Sum.of("straight", straight)
                                    .plus("half of the first curve", halfNear)
                                    .plus("half of the second", halfFar),
                            straight.plus(halfNear).plus(halfFar));
                });
    }

    /**
     * {@code t cos β + 2R sin β + R}: how high both bends stand, from the start of the first arc to the axis of the run. Formula
     * {@code over-bent-stand}, handbook 4.8.
     */
    private Length standing(Length straight) {
        double beta = bend.overBend().radians();
        Length radius = tooling.tool().radius();
        Length curve = radius.times(Math.sin(beta));
        return working.figure(
                "stand",
                "height of the bends",
                "over-bent-stand",
                "What the bends take of the drop: the slope, both sides of it, and the quarter circle over the edge.",
                Sum.of("straight", straight)
                        .times("cosine of " + bend.overBend().text(), Math.cos(beta))
                        .plusTwice(Part.FIGURE, "height of a curve", curve)
                        .plus("radius", radius),
                straight.times(Math.cos(beta)).plus(curve.times(2)).plus(radius));
    }

    /** {@code s1 − e}, with {@code s1 = H + d/2 −} what the bends stand. Formula {@code over-bent-marks}, handbook 4.8. */
    private Length firstMark(Length stand) {
        Length mark = working.mark(
                1,
                "over-bent-marks",
                "The drop is measured to the underside of the run. Half the conduit brings it to its axis; take off what the"
                        + " bends stand, and go back to the ring from where its curve begins.",
                ToolMarks.backToRing(
                        Sum.of(Part.PLACE, "drop", bend.drop())
                                .plus(
                                        "half the diameter",
                                        tooling.conduit().outsideDiameter().times(0.5))
                                .minus("height of the bends", stand),
                        tooling,
                        bend.overBend()));
        requireGrip(mark);
        return mark;
    }

    /** What the tool has to hold before the first bend: up to the ring with a shoe, up to the curve with heat. */
    private void requireGrip(Length mark) {
        Length held = tooling.shoe().isPresent() ? mark : mark.plus(tooling.lead(bend.overBend()));
        Length least = tooling.shoe().map(ShoeFigures::minGrip).orElse(Former.WARMED_BESIDE);
        if (held.isLessThan(least)) {
            String where = tooling.shoe().isPresent()
                    ? "before the first ring; the shoe holds "
                    : "before the first curve; that much is warmed: ";
            throw Refused.impossible(new Fault(
                    FaultCode.GRIP_TOO_SHORT,
                    "bend/dropIn",
                    "a drop of " + bend.drop().inWords() + " leaves " + held.inWords() + " " + where + least.inWords()
                            + " or more",
                    new Figure("before the ring", held),
                    new Figure("least grip", least)));
        }
    }

    /** {@code m2 + e + R(π/2 + β) +} what of the other leg is beyond its curve. Formula {@code over-bent-cut}, handbook 4.8. */
    private void cut(Length mark, Length leg) {
        working.cut(
                "over-bent-cut",
                "To the last ring, through its curve, and on to the far end; the other leg is measured from the outside of the"
                        + " curve.",
                ToolMarks.throughCurve(Sum.ofRing(2, "mark 2", mark), tooling, second, "curve of the over-bend")
                        .plus("other leg", leg)
                        .minus("radius and half the diameter", tooling.backOfBend()));
    }
}
