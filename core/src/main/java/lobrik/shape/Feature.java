package lobrik.shape;

import lobrik.feature.FeatureId;
import lobrik.measure.Quantity;

/**
 * A feature with its size on one piece.
 *
 * @param from where the tape begins, in the piece's frame; for a mark or an angle, where it is
 * @param to where the tape ends
 */
public record Feature(FeatureId id, Quantity value, Vector3 from, Vector3 to) {}
