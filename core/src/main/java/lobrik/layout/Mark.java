package lobrik.layout;

import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.TapeDivision;
import lobrik.shape.BendMade;
import lobrik.shop.HookSide;
import lobrik.shop.Reference;

/**
 * A ring on the straight conduit and the bend that is made there.
 *
 * @param number from the datum end, starting at 1
 * @param position from the datum end
 * @param reference the mark of the shoe that is set on the ring
 * @param roll turn of the conduit about its own axis before bending
 * @param order of bending, starting at 1
 */
public record Mark(
        int number, Length position, Reference reference, HookSide hookTowards, Angle angle, Angle roll, int order) {

    /** The bend that follows this mark faithfully. */
    public BendMade asMarked() {
        return new BendMade(position, reference, hookTowards, angle, roll);
    }

    /** The same mark on the nearest line of a tape. */
    Mark rounded(TapeDivision division) {
        return new Mark(number, position.nearest(division), reference, hookTowards, angle, roll, order);
    }
}
