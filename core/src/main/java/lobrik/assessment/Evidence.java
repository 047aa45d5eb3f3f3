package lobrik.assessment;

import java.util.Map;
import java.util.Set;
import lobrik.feature.FeatureId;
import lobrik.measure.Length;
import lobrik.measure.Quantity;
import lobrik.verdict.InspectionPoint;

/**
 * What counts of all that was written down of a piece.
 *
 * @param values what was read, by feature
 * @param omitted features of which it was said that they were not measured
 * @param found marks that were found on the part-bent piece: what was read of them is held to nothing
 * @param disputed features that two people read differently
 * @param faulty points that were found faulty
 * @param lookedOver whether anybody looked at anything
 * @param disputedFinding whether two people found different things at a point
 * @param ownFigures the trainee's own figures, by number of the mark
 * @param stage 1 as first bent, one more after each rework
 */
public record Evidence(
        Map<FeatureId, Quantity> values,
        Set<FeatureId> omitted,
        Set<FeatureId> found,
        Set<FeatureId> disputed,
        Set<InspectionPoint> faulty,
        boolean lookedOver,
        boolean disputedFinding,
        Map<Integer, Length> ownFigures,
        int stage) {

    /** Of a piece as it was first bent, all of whose marks were worked out. */
    public Evidence(
            Map<FeatureId, Quantity> values,
            Set<FeatureId> omitted,
            Set<FeatureId> disputed,
            Set<InspectionPoint> faulty,
            boolean lookedOver,
            boolean disputedFinding,
            Map<Integer, Length> ownFigures) {
        this(values, omitted, Set.of(), disputed, faulty, lookedOver, disputedFinding, ownFigures, 1);
    }

    /** How often the piece was bent on or eased, and measured again. */
    int reworked() {
        return stage - 1;
    }

    Assessment.State state(FeatureId feature) {
        if (disputed.contains(feature)) {
            return Assessment.State.DISPUTED;
        }
        if (values.containsKey(feature)) {
            return Assessment.State.READ;
        }
        return omitted.contains(feature) ? Assessment.State.OMITTED : Assessment.State.OPEN;
    }
}
