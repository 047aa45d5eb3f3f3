package lobrik.layout;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import lobrik.derivation.Derivation;
import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Percentage;
import lobrik.measure.Quantity;

/**
 * A bend laid out before anything is rounded.
 *
 * @param marks from the datum end
 * @param shrink one-sided
 * @param targets what the exercise asks of the finished piece, besides marks and angles
 * @param derivation how marks and cut length are worked out
 */
record Plan(List<Mark> marks, Length shrink, Map<FeatureId, Quantity> targets, Derivation derivation) {

    /** With the targets that follow from the marks: their positions and angles. */
    Plan {
        targets = new TreeMap<>(targets);
        for (Mark mark : marks) {
            targets.put(FeatureId.mark(mark.number()), mark.position());
            targets.put(FeatureId.angle(mark.number()), mark.angle());
            if (mark.placing().onShoe().isEmpty()) {
                targets.put(FeatureId.flattening(mark.number()), Percentage.ZERO);
            }
        }
    }

    /** If the exercise says how long the piece is to be. */
    Optional<Length> cutLength() {
        return derivation.cut();
    }

    /** Nothing asked yet. */
    static Map<FeatureId, Quantity> open() {
        return new TreeMap<>();
    }

    /** Targets of a piece whose legs should run true: no dog leg, and the overall length if it is given. */
    static Map<FeatureId, Quantity> targetsInPlane(Optional<Length> overall) {
        Map<FeatureId, Quantity> targets = open();
        targets.put(FeatureId.DOG_LEG, Angle.ZERO);
        overall.ifPresent(length -> targets.put(FeatureId.OVERALL, length));
        return targets;
    }
}
