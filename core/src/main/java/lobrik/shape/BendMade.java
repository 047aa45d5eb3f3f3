package lobrik.shape;

import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.shop.Placing;

/**
 * One bend as it was really made.
 *
 * @param position where the tool stood, from the datum end of the straight conduit
 * @param angle angle at rest, 0° to 180°
 * @param roll turn of the conduit about its own axis, see the package
 */
public record BendMade(Length position, Placing placing, Angle angle, Angle roll) {}
