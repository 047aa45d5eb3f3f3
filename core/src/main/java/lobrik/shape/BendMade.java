package lobrik.shape;

import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.shop.HookSide;
import lobrik.shop.Reference;

/**
 * One bend as it was really made.
 *
 * @param position where the reference stood, from the datum end of the straight conduit
 * @param angle angle at rest, 0° to 180°
 * @param roll turn of the conduit about its own axis, see the package
 */
public record BendMade(Length position, Reference reference, HookSide hookTowards, Angle angle, Angle roll) {}
