package lobrik.shop;

import lobrik.measure.Angle;
import lobrik.measure.Length;

/**
 * What conduit is bent with: a family, each with figures of its own. Where a bend lands when a tool stands on a ring, what stands
 * there, what there is to check, how it is bent and what goes wrong with it belongs to the tool.
 */
public sealed interface Tool permits ShoeTool, Former {

    /** Used where a profile does not name it; generic, to be edited. */
    Length USUAL_MIN_SPACING = Length.ofInches(3);

    /** Larger figures are typing mistakes. */
    Length LARGEST_FIGURE = Length.ofInches(120);

    /** {@code R}: radius of the centreline. */
    Length radius();

    /** Least straight conduit between two bends; of a box offset, least distance of its marks. */
    Length minSpacing();

    /** How much conduit beyond the last bend there is on a drawing where nobody says how long the piece is. */
    Length roomBeyond();

    /** How far a bend of this angle opens when it is let go. */
    Angle springback(Angle rest);

    /** The same tool with another radius: what a bend comes to that was made tighter, or wider. */
    Tool withRadius(Length radius);

    /** What sort of tool it is. */
    default ToolKind kind() {
        return switch (this) {
            case Shoe _ -> ToolKind.SHOE;
            case Machine _ -> ToolKind.MACHINE;
            case Former _ -> ToolKind.FORMER;
        };
    }
}
