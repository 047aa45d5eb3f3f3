package lobrik.layout;

import java.util.List;
import java.util.Optional;
import lobrik.bend.Bend;
import lobrik.bend.Stub90;
import lobrik.fault.Fault;
import lobrik.measure.Length;
import lobrik.measure.TapeDivision;
import lobrik.shape.Piece;
import lobrik.shop.Tooling;

/**
 * A bend laid out on a straight conduit.
 *
 * @param shrink one-sided; zero for bends that lose none
 * @param cutLength rounded to the tape's division; empty where the exercise leaves the far end open
 * @param warnings what can be bent but should be thought about
 * @param predicted the simulation of the rounded marks; with an open far end the conduit is as long as its drawing needs
 */
public record Layout(
        List<Mark> marks,
        Length shrink,
        Optional<Length> cutLength,
        List<PlannedFeature> features,
        List<Fault> warnings,
        Piece predicted) {

    /**
     * Lays a bend out.
     *
     * @throws lobrik.fault.Refused as impossible where no marks can give what is asked
     */
    public static Layout of(Bend bend, Tooling tooling, Method method, TapeDivision division) {
        return switch (bend) {
            // Chart and exact agree for a single ninety: take-up and gain are exact at 90° (handbook 4.1).
            case Stub90 stub -> StubLayout.of(stub, tooling, division);
        };
    }
}
