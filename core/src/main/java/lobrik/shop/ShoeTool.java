package lobrik.shop;

import lobrik.measure.Length;

/** A tool that pushes the conduit round a shoe: by hand, or by a machine. It starts its arc at its arrow, and has a hook side. */
public sealed interface ShoeTool extends Tool permits Shoe, Machine {

    /** {@code T}: arrow, or front of the shoe, to the back of a 90. A machine's is called its deduct. */
    Length takeUp();

    /** Least conduit on the hook's side of the arrow: what the shoe can hold. */
    Length minGrip();

    @Override
    ShoeTool withRadius(Length radius);
}
