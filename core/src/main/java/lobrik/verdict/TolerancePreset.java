package lobrik.verdict;

import lobrik.measure.Angle;
import lobrik.measure.Length;

/** The usual sets of tolerances, as starting values (handbook 7). */
public enum TolerancePreset {
    LEARNING("learning", Length.ofFraction(0, 1, 4), 3, 3, false, false),
    SITE("site", Length.ofFraction(0, 1, 8), 2, 2, true, false),
    ASSESSMENT("assessment", Length.ofFraction(0, 1, 16), 1, 1, true, true),
    /** Of what is bent warm and held by hand (handbook 4.10). */
    BY_HAND("by hand", Length.ofFraction(0, 1, 4), 4, 4, true, false);

    private final String label;
    private final Tolerances tolerances;

    TolerancePreset(
            String label,
            Length length,
            double angleDegrees,
            double dogLegDegrees,
            boolean unusableFails,
            boolean endsFail) {
        this.label = label;
        this.tolerances = new Tolerances(
                length,
                Angle.ofDegrees(angleDegrees),
                Angle.ofDegrees(dogLegDegrees),
                Tolerances.USUAL_PASS_MARK,
                Workmanship.usual(unusableFails, endsFail),
                Judging.USUAL,
                Rebending.USUAL);
    }

    /** As people call the set: {@code by hand}. */
    public String label() {
        return label;
    }

    public Tolerances tolerances() {
        return tolerances;
    }
}
