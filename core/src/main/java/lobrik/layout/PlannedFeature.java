package lobrik.layout;

import lobrik.measure.Quantity;
import lobrik.shape.Feature;
import lobrik.shape.FeatureId;

/**
 * A feature with what the exercise asks for and what the rounded marks will give on this bender.
 *
 * @param onPredicted the feature of the simulated piece, with where it is measured
 */
public record PlannedFeature(Quantity target, Feature onPredicted) {

    public FeatureId id() {
        return onPredicted.id();
    }

    /** From the simulation of the rounded marks. */
    public Quantity predicted() {
        return onPredicted.value();
    }
}
