package lobrik.layout;

import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Percentage;
import lobrik.measure.Quantity;
import lobrik.measure.TapeDivision;
import lobrik.shape.Feature;

/**
 * A feature with what the exercise asks for, and what the right piece has: the one that is bent faithfully on the rounded
 * marks, on this bender.
 *
 * @param asked by the exercise
 * @param right of the right piece, as it is read on the tape that the marks are rounded to
 * @param onPredicted the feature of the simulated piece, with where it is measured
 */
public record PlannedFeature(Quantity asked, Quantity right, Feature onPredicted) {

    static PlannedFeature of(Quantity asked, Feature onPredicted, TapeDivision division) {
        Quantity right = switch (onPredicted.value()) {
            case Length length -> length.nearest(division);
            case Angle angle -> angle;
            case Percentage part -> part;
        };
        return new PlannedFeature(asked, right, onPredicted);
    }

    public FeatureId id() {
        return onPredicted.id();
    }

    /** From the simulation of the rounded marks. */
    public Quantity predicted() {
        return onPredicted.value();
    }
}
