package lobrik.server.shed;

import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.verdict.Entering;

/**
 * When a run goes into both of its fittings, as it is sent and stored.
 *
 * @param playIn by which its far end face may be off
 * @param squareDeg by which its last leg may be out of square
 */
public record EnteringFigures(double playIn, double squareDeg) {

    static EnteringFigures of(Entering entering) {
        return new EnteringFigures(entering.play().inches(), entering.square().degrees());
    }

    Entering toCore() {
        return new Entering(Length.ofInches(playIn), Angle.ofDegrees(squareDeg));
    }
}
