package lobrik.progress;

import java.util.Collection;
import lobrik.bend.BendKind;
import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Percentage;
import lobrik.verdict.Tolerances;

/** How closely a piece was judged: the limits that it had to keep. */
public record Strictness(Length length, Angle angle, Angle dogLeg) {

    /** The limits of a set of tolerances that has none of their own for some features. */
    public static Strictness of(Tolerances tolerances) {
        return new Strictness(tolerances.length(), tolerances.angle(), tolerances.dogLeg());
    }

    /** The widest limits that readings of a kind of bend were held to; where there were none of a sort, those of the set. */
    public static Strictness of(Tolerances tolerances, BendKind kind, Collection<FeatureId> read) {
        Length length = Length.ZERO;
        Angle angle = Angle.ZERO;
        Angle dogLeg = Angle.ZERO;
        for (FeatureId feature : read) {
            switch (tolerances.of(kind, feature).widest()) {
                case Length limit -> length = limit.isMoreThan(length) ? limit : length;
                case Angle limit -> {
                    if (FeatureId.DOG_LEG.equals(feature)) {
                        dogLeg = limit;
                    } else {
                        angle = limit.isMoreThan(angle) ? limit : angle;
                    }
                }
                case Percentage _ -> {
                    // A set that is strict of lengths and angles is a strict one.
                }
            }
        }
        Strictness set = of(tolerances);
        return new Strictness(
                length.isPositive() ? length : set.length,
                angle.isMoreThan(Angle.ZERO) ? angle : set.angle,
                dogLeg.isMoreThan(Angle.ZERO) ? dogLeg : set.dogLeg);
    }

    /** Whether none of its limits is wider than the other's. */
    public boolean isAtLeastAsStrictAs(Strictness other) {
        return !length.isMoreThan(other.length) && !angle.isMoreThan(other.angle) && !dogLeg.isMoreThan(other.dogLeg);
    }
}
