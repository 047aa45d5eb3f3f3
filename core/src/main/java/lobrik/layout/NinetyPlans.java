package lobrik.layout;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import lobrik.bend.BackToBack90;
import lobrik.bend.Placement;
import lobrik.bend.Stub90;
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
import lobrik.shop.Machine;
import lobrik.shop.Placing;
import lobrik.shop.Shoe;
import lobrik.shop.Tooling;

/**
 * Nineties (handbook 4.1 and 4.2). Take-up and gain are exact at 90°, so chart and exact agree.
 *
 * <p>Symbols: {@code S} leg, {@code B} back to back, {@code T} take-up, {@code G} gain.
 */
final class NinetyPlans {

    private NinetyPlans() {}

    static Plan of(Stub90 stub, Tooling tooling) {
        requireRoom(tooling, "bend/legIn", "the leg", stub.leg());
        stub.otherLeg().ifPresent(b -> requireRoom(tooling, "bend/otherLegIn", "the other leg", b));
        Working working = new Working(1);
        Mark mark = switch (stub.placement()) {
            case ARROW -> beforeTheBack(working, tooling, "leg", stub.leg(), 1);
            case STAR -> {
                Placing star = ToolMarks.placed(Placement.STAR, tooling).apply(tooling.leading(HookSide.FAR));
                Length place = working.mark(
                        1,
                        "stub-mark",
                        "The star shows where the back of a ninety comes to lie, so the mark is the leg itself.",
                        Sum.of(Part.PLACE, "leg", stub.leg()));
                yield new Mark(1, place, star, Angle.RIGHT, Angle.ZERO, 1);
            }
        };
        gain(working, tooling);
        stub.otherLeg()
                .ifPresent(b -> working.cut(
                        "cut-length",
                        "Both legs are measured to the back of the bend. The conduit takes the corner in a curve, which is"
                                + " shorter by the gain.",
                        Sum.of("leg", stub.leg()).plus("other leg", b).minus(Part.GAIN, "gain", tooling.gain())));
        Map<FeatureId, Quantity> targets = Plan.open();
        targets.put(FeatureId.LEG, stub.leg());
        stub.otherLeg().ifPresent(b -> targets.put(FeatureId.OTHER_LEG, b));
        return new Plan(List.of(mark), Length.ZERO, targets, working.done());
    }

    /** The shorter leg is bent first; the marks are the same. */
    static Plan of(BackToBack90 u, Tooling tooling) {
        requireRoom(tooling, "bend/firstLegIn", "the first leg", u.firstLeg());
        requireRoom(tooling, "bend/secondLegIn", "the second leg", u.secondLeg());
        Working working = new Working(2);
        boolean secondIsShorter = u.secondLeg().isLessThan(u.firstLeg());
        Mark first = beforeTheBack(working, tooling, "first leg", u.firstLeg(), secondIsShorter ? 2 : 1);
        gain(working, tooling);
        Mark second = new Mark(
                2,
                secondPlace(working, u, tooling),
                tooling.shoe().isPresent() ? Placing.star(HookSide.FAR) : Placing.middle(),
                Angle.RIGHT,
                Angle.ZERO,
                secondIsShorter ? 1 : 2);
        if (!secondIsShorter) {
            Length onLeg =
                    tooling.shoe().isPresent() ? u.between() : u.between().minus(tooling.middleToBack());
            second = fromTheBack(second, new BackDatum(1, onLeg));
        }
        working.cut(
                "cut-length",
                "All outside lengths, less one gain for each corner.",
                Sum.of("first leg", u.firstLeg())
                        .plus("back to back", u.between())
                        .plus("second leg", u.secondLeg())
                        .minusTwice(Part.GAIN, "gain", tooling.gain()));
        Map<FeatureId, Quantity> targets = Plan.targetsInPlane(Optional.empty());
        targets.put(FeatureId.LEG, u.firstLeg());
        targets.put(FeatureId.BETWEEN, u.between());
        targets.put(FeatureId.SECOND_LEG, u.secondLeg());
        return new Plan(List.of(first, second), Length.ZERO, targets, working.done());
    }

    /**
     * Mark {@code S − T}, arrow on it, hook towards the datum end. Formula {@code stub-mark}, handbook 4.1. What the conduit
     * is cut to is formula {@code cut-length}, handbook 4.1 and 4.2: all outside lengths less a gain for each bend.
     */
    private static Mark beforeTheBack(Working working, Tooling tooling, String name, Length leg, int order) {
        Length takeUp = tooling.takenOff();
        String called = ToolMarks.takeUp(tooling);
        if (leg.isLessThan(takeUp)) {
            throw Refused.impossible(new Fault(
                    FaultCode.MARK_OFF_CONDUIT,
                    "bend/legIn",
                    "the leg is " + leg.inWords() + ", less than the " + called + " of " + takeUp.inWords()
                            + ": the mark would be off the conduit",
                    new Figure("leg", leg),
                    new Figure(called, takeUp)));
        }
        Length place = working.mark(
                1,
                "stub-mark",
                switch (tooling.tool()) {
                    case Shoe _ ->
                        "The bend begins before the back of the leg. How much before is the bender's take-up: take it off the"
                                + " leg.";
                    case Machine _ ->
                        "The front of the shoe stands before the back of the leg. How much before is the deduct of this shoe:"
                                + " take it off the leg.";
                    case Former _ ->
                        "The ring is the middle of the curve. From there to the back it is the radius and half the diameter, less"
                                + " half of the curve.";
                },
                Sum.of(Part.PLACE, name, leg).minus(Part.TAKE_UP, called, takeUp));
        return new Mark(1, place, tooling.leading(HookSide.DATUM), Angle.RIGHT, Angle.ZERO, order);
    }

    /** The datum-end leg stands up by now, so the tape butts against its back (handbook 4.2). */
    private static Mark fromTheBack(Mark mark, BackDatum back) {
        return new Mark(
                mark.number(),
                mark.position(),
                mark.placing(),
                mark.angle(),
                mark.roll(),
                mark.order(),
                Optional.of(back));
    }

    /**
     * {@code S1 − G + B}: the second back on the straight conduit. Formula {@code u-second-mark}, handbook 4.2. The star goes there; the
     * middle of a curve lies before it.
     */
    private static Length secondPlace(Working working, BackToBack90 u, Tooling tooling) {
        Sum back = Sum.of(Part.PLACE, "first leg", u.firstLeg())
                .minus(Part.GAIN, "gain", tooling.gain())
                .plus("back to back", u.between());
        return tooling.shoe()
                .map(_ -> working.mark(
                        2,
                        "u-second-mark",
                        "The star goes where the second back comes to lie. On the straight conduit the first corner is shorter by"
                                + " one gain.",
                        back))
                .orElseGet(() -> working.mark(
                        2,
                        "u-second-mark",
                        "Up to where the second back comes to lie, less one gain for the first corner; the middle of the curve"
                                + " lies before its back.",
                        back.minus(Part.TAKE_UP, ToolMarks.takeUp(tooling), tooling.middleToBack())));
    }

    static void gain(Working working, Tooling tooling) {
        working.figure(
                "gain",
                "gain",
                "gain",
                "Round the corner outside it is twice the radius and a diameter; the conduit itself only takes a quarter"
                        + " circle. The difference is the gain.",
                Sum.ofTwice("radius", tooling.tool().radius())
                        .plus("diameter", tooling.conduit().outsideDiameter())
                        .minus("quarter circle", tooling.arcLength(Angle.RIGHT)),
                tooling.gain());
    }

    private static void requireRoom(Tooling tooling, String input, String name, Length leg) {
        Length least = tooling.backOfBend();
        if (leg.isLessThan(least)) {
            throw Refused.impossible(new Fault(
                    FaultCode.LEG_SHORTER_THAN_BEND,
                    input,
                    name + " is " + leg.inWords() + "; the bend alone takes " + least.inWords() + " of it",
                    new Figure("leg", leg),
                    new Figure("least leg", least)));
        }
    }
}
