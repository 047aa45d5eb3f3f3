package lobrik.server.shed;

import java.util.Locale;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.server.platform.TurnedDown;
import lobrik.verdict.TolerancePreset;
import lobrik.verdict.Tolerances;

/** A set of tolerances by name, as it is sent and stored. */
public record ToleranceFigures(String preset, double lengthIn, double angleDeg, double dogLegDeg, double passMark) {

    /** A preset as it stands. */
    public static ToleranceFigures of(TolerancePreset preset) {
        Tolerances figures = preset.tolerances();
        return new ToleranceFigures(
                preset.name().toLowerCase(Locale.ROOT),
                figures.length().inches(),
                figures.angle().degrees(),
                figures.dogLeg().degrees(),
                figures.passMark());
    }

    /**
     * The figures as the core has them.
     *
     * @throws lobrik.fault.Refused if a figure is outside its range
     * @throws TurnedDown if a figure is no length or angle at all
     */
    public Tolerances toCore() {
        try {
            return new Tolerances(
                    Length.ofInches(lengthIn), Angle.ofDegrees(angleDeg), Angle.ofDegrees(dogLegDeg), passMark);
        } catch (IllegalArgumentException e) {
            throw TurnedDown.badInput("/tolerances", "out-of-range", String.valueOf(e.getMessage()));
        }
    }
}
