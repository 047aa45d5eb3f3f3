package lobrik.shape;

import java.util.Optional;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.shop.Placing;
import lobrik.shop.Tool;
import lobrik.shop.Tooling;

/**
 * One bend as it was really made.
 *
 * @param position where the tool stood, from the datum end of the straight conduit
 * @param angle angle at rest, 0° to 180°
 * @param roll turn of the conduit about its own axis, see the package
 * @param other what it was made with, where that is not the tool of the other bends: another shoe, or a tighter curve
 */
public record BendMade(Length position, Placing placing, Angle angle, Angle roll, Optional<Tool> other) {

    /** With the tool of the piece. */
    public BendMade(Length position, Placing placing, Angle angle, Angle roll) {
        this(position, placing, angle, roll, Optional.empty());
    }

    /** What it was made with. */
    Tooling on(Tooling usual) {
        return other.isEmpty() ? usual : new Tooling(usual.conduit(), other.get());
    }
}
