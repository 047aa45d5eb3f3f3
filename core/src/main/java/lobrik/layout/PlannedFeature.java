package lobrik.layout;

import lobrik.measure.Quantity;
import lobrik.shape.FeatureId;

/**
 * A feature with what the exercise asks for and what the rounded marks will give on this bender.
 *
 * @param predicted from the simulation of the rounded marks
 */
public record PlannedFeature(FeatureId id, Quantity target, Quantity predicted) {}
