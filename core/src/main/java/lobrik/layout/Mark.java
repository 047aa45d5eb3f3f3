package lobrik.layout;

import java.util.Optional;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.TapeDivision;
import lobrik.shape.BendMade;
import lobrik.shop.Placing;

/**
 * A ring on the straight conduit and the bend that is made there.
 *
 * @param number from the datum end, starting at 1
 * @param position from the datum end
 * @param placing what of the tool is set on the ring
 * @param roll turn of the conduit about its own axis before bending
 * @param order of bending, starting at 1
 * @param back of an earlier bend that the mark is taught and rung from, where there is one
 */
public record Mark(
        int number, Length position, Placing placing, Angle angle, Angle roll, int order, Optional<BackDatum> back) {

    /** A mark that is measured from the end of the straight conduit. */
    public Mark(int number, Length position, Placing placing, Angle angle, Angle roll, int order) {
        this(number, position, placing, angle, roll, order, Optional.empty());
    }

    /** Its figure as it is taught: from the back of the bend before, or from the end of the straight conduit. */
    public Length taught() {
        return back.map(BackDatum::figure).orElse(position);
    }

    /** Where a figure that was measured from the back of the bend before stands, from the end of the straight conduit. */
    public Length fromBack(Length measured) {
        return position.plus(measured).minus(taught());
    }

    /** What a tape against the back of the bend before reads at a place, which is from the end of the straight conduit. */
    public Length onBack(Length place) {
        return place.minus(position).plus(taught());
    }

    /** The bend that follows this mark faithfully. */
    public BendMade asMarked() {
        return new BendMade(position, placing, angle, roll);
    }

    /** The same mark on the nearest line of a tape, from wherever it is measured. */
    Mark rounded(TapeDivision division) {
        return new Mark(
                number,
                position.nearest(division),
                placing,
                angle,
                roll,
                order,
                back.map(datum -> new BackDatum(datum.bend(), datum.figure().nearest(division))));
    }
}
