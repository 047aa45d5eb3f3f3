package lobrik.shape;

import lobrik.measure.Quantity;

/** A feature with its size on one piece. */
public record Feature(FeatureId id, Quantity value) {}
