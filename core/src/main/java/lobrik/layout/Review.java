package lobrik.layout;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import lobrik.bending.BendingOrder;
import lobrik.bending.Standing;
import lobrik.fault.Cure;
import lobrik.fault.Fault;
import lobrik.fault.FaultCode;
import lobrik.fault.Refused;
import lobrik.shape.Clearance;
import lobrik.shape.Obstacle;

/**
 * A layout with all that a person wants to know before bending it.
 *
 * @param warnings what can be bent but should be thought about, each with what to change where that was found
 * @param obstacle what the conduit has to clear, if that is known
 * @param clearance the least gap to it
 * @param otherMethod what the other method gives; empty for bends where chart and exact agree
 * @param standing how the shoe stands at each bend, in the order of bending; of runs alone, and as far as everything can be bent
 */
public record Review(
        Layout layout,
        List<Warning> warnings,
        Optional<Obstacle> obstacle,
        Optional<Clearance> clearance,
        Optional<Comparison> otherMethod,
        List<Standing> standing) {

    /** The sizes that the exercise gives, with where each is drawn. */
    public List<GivenDimension> dimensions() {
        return GivenDimension.of(layout, ObstacleAsked.of(layout));
    }

    /**
     * Lays out and reviews.
     *
     * @param obstacle to clear; without one, what the bend's own inputs say
     * @throws Refused as impossible where no marks can give what is asked, with what to change
     */
    public static Review of(Job job, Optional<Obstacle> obstacle) {
        return of(laidOut(job, obstacle), obstacle);
    }

    /** Reviews what is laid out already. */
    public static Review of(Layout layout, Optional<Obstacle> obstacle) {
        Optional<Obstacle> cleared = cleared(layout, obstacle);
        Optional<Clearance> clearance = cleared.map(o -> Clearance.of(layout.predicted(), o));
        Optional<BendingOrder.Found> way = RunOrder.found(layout);
        List<Warning> warnings = Checks.of(layout, clearance, way).stream()
                .map(fault -> Warning.of(fault, layout, clearance).curedBy(cures(layout.job(), obstacle, fault)))
                .toList();
        List<Standing> standing = way.filter(BendingOrder.Found::isFree)
                .map(BendingOrder.Found::steps)
                .orElse(List.of());
        return new Review(layout, warnings, cleared, clearance, Comparison.of(layout), standing);
    }

    /** What a layout has to clear: what is given, else what the bend's own inputs say. */
    public static Optional<Obstacle> cleared(Layout layout, Optional<Obstacle> given) {
        return given.or(() -> ObstacleAsked.of(layout));
    }

    /** Codes of a layout's warnings, without looking for cures. */
    public static Set<FaultCode> concerns(Layout layout, Optional<Obstacle> obstacle) {
        Optional<Clearance> clearance = cleared(layout, obstacle).map(o -> Clearance.of(layout.predicted(), o));
        Set<FaultCode> codes = EnumSet.noneOf(FaultCode.class);
        Checks.of(layout, clearance, RunOrder.found(layout)).forEach(fault -> codes.add(fault.code()));
        return codes;
    }

    private static Layout laidOut(Job job, Optional<Obstacle> obstacle) {
        try {
            return Layout.of(job);
        } catch (Refused refused) {
            throw refused.with(fault -> fault.curedBy(cures(job, obstacle, fault)));
        }
    }

    private static List<Cure> cures(Job job, Optional<Obstacle> obstacle, Fault fault) {
        return Cures.of(job, fault, changed -> isFreeOf(fault.code(), changed, obstacle));
    }

    private static boolean isFreeOf(FaultCode code, Job job, Optional<Obstacle> obstacle) {
        try {
            Layout layout = Layout.of(job);
            Optional<Clearance> clearance = obstacle.or(() -> ObstacleAsked.of(layout))
                    .filter(_ -> code == FaultCode.OBSTACLE_TOUCHED)
                    .map(o -> Clearance.of(layout.predicted(), o));
            Optional<BendingOrder.Found> way =
                    code == FaultCode.BEND_BLOCKED ? RunOrder.found(layout) : Optional.empty();
            return Checks.of(layout, clearance, way).stream().noneMatch(fault -> fault.code() == code);
        } catch (Refused stillImpossible) {
            return false;
        }
    }
}
