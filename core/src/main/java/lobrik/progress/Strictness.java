package lobrik.progress;

import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.verdict.Tolerances;

/** How closely a piece was judged: the limits that it had to keep. */
public record Strictness(Length length, Angle angle, Angle dogLeg) {

    /** The limits of a set of tolerances. */
    public static Strictness of(Tolerances tolerances) {
        return new Strictness(tolerances.length(), tolerances.angle(), tolerances.dogLeg());
    }

    /** Whether none of its limits is wider than the other's. */
    public boolean isAtLeastAsStrictAs(Strictness other) {
        return !length.isMoreThan(other.length) && !angle.isMoreThan(other.angle) && !dogLeg.isMoreThan(other.dogLeg);
    }
}
