package lobrik.verdict;

import lobrik.measure.Angle;
import lobrik.measure.Length;

/** The usual sets of tolerances, as starting values (handbook 7). */
public enum TolerancePreset {
    LEARNING(Length.ofFraction(0, 1, 4), 3, 3, false, false),
    SITE(Length.ofFraction(0, 1, 8), 2, 2, true, false),
    ASSESSMENT(Length.ofFraction(0, 1, 16), 1, 1, true, true);

    private final Tolerances tolerances;

    TolerancePreset(Length length, double angleDegrees, double dogLegDegrees, boolean unusableFails, boolean endsFail) {
        this.tolerances = new Tolerances(
                length,
                Angle.ofDegrees(angleDegrees),
                Angle.ofDegrees(dogLegDegrees),
                Tolerances.USUAL_PASS_MARK,
                Workmanship.usual(unusableFails, endsFail),
                Judging.USUAL,
                Rebending.USUAL);
    }

    public Tolerances tolerances() {
        return tolerances;
    }
}
