package lobrik.layout;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import lobrik.bend.BackToBack90;
import lobrik.bend.Stub90;
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
 * Nineties (handbook 4.1 and 4.2). Take-up and gain are exact at 90°, so chart and exact agree.
 *
 * <p>Symbols: {@code S} leg, {@code B} back to back, {@code T} take-up, {@code G} gain.
 */
final class NinetyPlans {

    private NinetyPlans() {}

    static Plan of(Stub90 stub, Tooling tooling) {
        requireRoom(tooling, "bend/legIn", "the leg", stub.leg());
        stub.otherLeg().ifPresent(b -> requireRoom(tooling, "bend/otherLegIn", "the other leg", b));
        Mark mark = switch (stub.placement()) {
            case ARROW -> byTheArrow(tooling, stub.leg(), 1);
            case STAR -> byTheStar(1, stub.leg(), 1);
        };
        Map<FeatureId, Quantity> targets = Plan.open();
        targets.put(FeatureId.LEG, stub.leg());
        stub.otherLeg().ifPresent(b -> targets.put(FeatureId.OTHER_LEG, b));
        return new Plan(
                List.of(mark), Length.ZERO, stub.otherLeg().map(b -> cutLength(tooling, 1, stub.leg(), b)), targets);
    }

    /** The shorter leg is bent first; the marks are the same. */
    static Plan of(BackToBack90 u, Tooling tooling) {
        requireRoom(tooling, "bend/firstLegIn", "the first leg", u.firstLeg());
        requireRoom(tooling, "bend/secondLegIn", "the second leg", u.secondLeg());
        boolean secondIsShorter = u.secondLeg().isLessThan(u.firstLeg());
        Mark first = byTheArrow(tooling, u.firstLeg(), secondIsShorter ? 2 : 1);
        Mark second = byTheStar(2, secondBack(u, tooling), secondIsShorter ? 1 : 2);
        if (!secondIsShorter) {
            second = fromTheBack(second, new BackDatum(1, u.between()));
        }
        Map<FeatureId, Quantity> targets = Plan.targetsInPlane(Optional.empty());
        targets.put(FeatureId.LEG, u.firstLeg());
        targets.put(FeatureId.BETWEEN, u.between());
        targets.put(FeatureId.SECOND_LEG, u.secondLeg());
        Length cut = cutLength(tooling, 2, u.firstLeg(), u.between(), u.secondLeg());
        return new Plan(List.of(first, second), Length.ZERO, Optional.of(cut), targets);
    }

    /** Mark {@code S − T}, arrow on it, hook towards the datum end. Formula {@code stub-mark}, handbook 4.1. */
    private static Mark byTheArrow(Tooling tooling, Length leg, int order) {
        Length takeUp = tooling.bender().takeUp();
        if (leg.isLessThan(takeUp)) {
            throw Refused.impossible(new Fault(
                    FaultCode.MARK_OFF_CONDUIT,
                    "bend/legIn",
                    "the leg is " + leg.inWords() + ", less than the take-up of " + takeUp.inWords()
                            + ": the mark would be off the conduit",
                    new Figure("leg", leg),
                    new Figure("take-up", takeUp)));
        }
        return new Mark(1, leg.minus(takeUp), Reference.ARROW, HookSide.DATUM, Angle.RIGHT, Angle.ZERO, order);
    }

    /** The mark is where the back comes to lie; star on it, hook towards the far end (handbook 4.1). */
    private static Mark byTheStar(int number, Length back, int order) {
        return new Mark(number, back, Reference.STAR, HookSide.FAR, Angle.RIGHT, Angle.ZERO, order);
    }

    /** The datum-end leg stands up by now, so the tape butts against its back (handbook 4.2). */
    private static Mark fromTheBack(Mark mark, BackDatum back) {
        return new Mark(
                mark.number(),
                mark.position(),
                mark.reference(),
                mark.hookTowards(),
                mark.angle(),
                mark.roll(),
                mark.order(),
                Optional.of(back));
    }

    /** {@code S1 − G + B}: the second back on the straight conduit. Formula {@code u-second-mark}, handbook 4.2. */
    private static Length secondBack(BackToBack90 u, Tooling tooling) {
        return u.firstLeg().minus(tooling.gain()).plus(u.between());
    }

    /** All outside lengths less a gain for each bend. Formula {@code cut-length}, handbook 4.1 and 4.2. */
    private static Length cutLength(Tooling tooling, int bends, Length... outside) {
        Length sum = tooling.gain().times(-bends);
        for (Length length : outside) {
            sum = sum.plus(length);
        }
        return sum;
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
