package lobrik.layout;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import lobrik.measure.Angle;
import lobrik.shop.Placing;
import lobrik.shop.Tool;

/**
 * One time in the shoe: what to do before it, what to set where, and how far to pull.
 *
 * @param mark which ring, which mark of the shoe on it, hook to which side; its order is the step's
 * @param endForEnd whether the conduit is taken out and turned end for end first
 * @param turn how far the conduit is turned about its own axis since the bend before, or for the first bend out of the
 *     upright plane; clockwise seen from the datum end; more than −180° and at most 180°
 * @param rest angle that the bend shall have at rest
 * @param lever angle to pull it to, so that it springs back to rest
 */
public record BendingStep(Mark mark, boolean endForEnd, Angle turn, Angle rest, Angle lever) {

    /** The steps in the order of bending. */
    static List<BendingStep> of(List<Mark> marks, Tool tool) {
        List<Mark> inOrder = new ArrayList<>(marks);
        inOrder.sort(Comparator.comparingInt(Mark::order));
        List<BendingStep> steps = new ArrayList<>(inOrder.size());
        Placing before = inOrder.getFirst().placing();
        // How it lies before the first bend is anybody's choice, up to the plane that bend is made in.
        Angle lying = inOrder.getFirst()
                .roll()
                .minus(withinQuarterTurn(inOrder.getFirst().roll()));
        for (Mark mark : inOrder) {
            steps.add(new BendingStep(
                    mark,
                    mark.placing().isOtherWayRound(before),
                    mark.roll().minus(lying).withinHalfTurn(),
                    mark.angle(),
                    mark.angle().plus(tool.springback(mark.angle()))));
            before = mark.placing();
            lying = mark.roll();
        }
        return List.copyOf(steps);
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
