package lobrik.layout;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Quantity;

/**
 * A bend laid out before anything is rounded.
 *
 * @param marks from the datum end
 * @param shrink one-sided
 * @param cutLength if the exercise says how long the piece is to be
 * @param targets what the exercise asks of the finished piece, besides marks and angles
 */
record Plan(List<Mark> marks, Length shrink, Optional<Length> cutLength, Map<FeatureId, Quantity> targets) {

    /** With the targets that follow from the marks: their positions and angles. */
    Plan {
        targets = new TreeMap<>(targets);
        for (Mark mark : marks) {
            targets.put(FeatureId.mark(mark.number()), mark.position());
            targets.put(FeatureId.angle(mark.number()), mark.angle());
        }
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
