package lobrik.shop;

import lobrik.measure.Angle;
import lobrik.measure.Length;

/**
 * What conduit is bent with: a family, each with figures of its own. Where a bend lands when a tool stands on a ring, what stands
 * there, and what goes wrong with it belongs to the tool.
 */
public sealed interface Tool permits Shoe {

    /** {@code R}: radius of the centreline. */
    Length radius();

    /** Least straight conduit between two bends; of a box offset, least distance of its marks. */
    Length minSpacing();

    /** How much conduit beyond the last bend there is on a drawing where nobody says how long the piece is. */
    Length roomBeyond();

    /** How far a bend of this angle opens when it is let go. */
    Angle springback(Angle rest);
}
