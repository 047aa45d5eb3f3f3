package lobrik.sticks;

import java.util.ArrayList;
import java.util.List;
import lobrik.bend.RunShape;
import lobrik.measure.Angle;

/**
 * Where a run needs a box to pull wire at (handbook 4.9): bends between two pull points may add up to a limit. Both ends of a run are
 * boxes.
 *
 * @param total of all bends
 * @param boxesOnLegs numbers of the legs, from 1, on which a pull box keeps each part within the limit: as few as do, each as far on as
 *     can be; none where the whole run is within it
 */
public record PullPoints(Angle total, List<Integer> boxesOnLegs) {

    public PullPoints {
        boxesOnLegs = List.copyOf(boxesOnLegs);
    }

    /**
     * Looks for them.
     *
     * @param most degrees between two pull points
     */
    public static PullPoints of(RunShape shape, Angle most) {
        List<Angle> angles = shape.angles();
        Angle total = Angle.ZERO;
        Angle since = Angle.ZERO;
        List<Integer> boxes = new ArrayList<>();
        for (RunShape.Stretch stretch : shape.stretches()) {
            Angle of = Angle.ZERO;
            for (int bend = stretch.firstBend(); bend <= stretch.lastBend(); bend++) {
                of = of.plus(angles.get(bend - 1));
            }
            total = total.plus(of);
            if (since.plus(of).isMoreThan(most) && since.isMoreThan(Angle.ZERO)) {
                // Before this stretch: on the leg that it lies on, or ends.
                boxes.add(stretch.leg());
                since = Angle.ZERO;
            }
            since = since.plus(of);
        }
        return new PullPoints(total, boxes);
    }
}
