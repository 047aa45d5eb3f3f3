package lobrik.layout;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.shop.Former;
import lobrik.shop.Machine;
import lobrik.shop.Placing;
import lobrik.shop.Shoe;
import lobrik.shop.Tooling;

/**
 * One bend made: what to do before it, what to set where, and how far to go.
 *
 * @param mark which ring, what of the tool on it, which way round; its order is the step's
 * @param endForEnd whether the conduit is taken out and turned end for end first
 * @param turn how far the conduit is turned about its own axis since the bend before, or for the first bend out of the
 *     upright plane; clockwise seen from the datum end; more than −180° and at most 180°
 * @param rest angle that the bend shall have at rest
 * @param lever angle to go to, so that it springs back to rest
 * @param by how the tool is told how far to go
 */
public record BendingStep(Mark mark, boolean endForEnd, Angle turn, Angle rest, Angle lever, By by) {

    /** How a tool is told how far to go. */
    public sealed interface By {

        /** By the angle lines of a shoe. */
        record Line() implements By {}

        /**
         * By a protractor, and by how far the ram is out.
         *
         * @param travel empty where the machine's rows do not reach
         */
        record Ram(Optional<Length> travel) implements By {}

        /**
         * By hand, warm.
         *
         * @param from where on the straight conduit warming begins, from its datum end; never before it
         * @param to where it ends
         * @param warmSeconds about how long until it is soft
         * @param coolSeconds about how long it is held until it is cold
         */
        record Heat(Length from, Length to, int warmSeconds, int coolSeconds) implements By {}
    }

    /** The steps in the order of bending. */
    static List<BendingStep> of(List<Mark> marks, Tooling tooling) {
        List<Mark> inOrder = new ArrayList<>(marks);
        inOrder.sort(Comparator.comparingInt(Mark::order));
        List<BendingStep> steps = new ArrayList<>(inOrder.size());
        Placing before = inOrder.getFirst().placing();
        // How it lies before the first bend is anybody's choice, up to the plane that bend is made in.
        Angle lying = inOrder.getFirst()
                .roll()
                .minus(withinQuarterTurn(inOrder.getFirst().roll()));
        for (Mark mark : inOrder) {
            Angle lever = mark.angle().plus(tooling.tool().springback(mark.angle()));
            steps.add(new BendingStep(
                    mark,
                    mark.placing().isOtherWayRound(before),
                    mark.roll().minus(lying).withinHalfTurn(),
                    mark.angle(),
                    lever,
                    by(mark, lever, tooling)));
            before = mark.placing();
            lying = mark.roll();
        }
        return List.copyOf(steps);
    }

    private static By by(Mark mark, Angle lever, Tooling tooling) {
        return switch (tooling.tool()) {
            case Shoe _ -> new By.Line();
            case Machine machine -> new By.Ram(machine.ramTravel().at(lever));
            case Former former -> {
                Length start = tooling.arcStart(mark.position(), mark.placing(), mark.angle());
                yield new By.Heat(
                        start.minus(Former.WARMED_BESIDE).max(Length.ZERO),
                        start.plus(tooling.arcLength(mark.angle())).plus(Former.WARMED_BESIDE),
                        former.warmSeconds(),
                        former.coolSeconds());
            }
        };
    }

    /** The same plane: more than −90° and at most 90°. */
    private static Angle withinQuarterTurn(Angle roll) {
        Angle within = roll.withinHalfTurn();
        if (within.isMoreThan(Angle.RIGHT)) {
            return within.minus(Angle.HALF_TURN);
        }
        return within.plus(Angle.RIGHT).isMoreThan(Angle.ZERO) ? within : within.plus(Angle.HALF_TURN);
    }
}
