package lobrik.wire;

import java.util.List;
import lobrik.feature.FeatureKind;
import lobrik.measure.Angle;
import lobrik.measure.Quantity;
import lobrik.shape.Feature;
import lobrik.shape.Piece;

/** A piece as it came out. */
public record SimulateAnswer(List<FeatureValue> features, List<List<Double>> centreline) {

    /** A feature of the piece. */
    public record FeatureValue(String id, Unit unit, double value) {

        static FeatureValue of(Feature feature) {
            return new FeatureValue(feature.id().id(), Unit.of(feature.id()), Numbers.of(written(feature)));
        }

        /** A turn is written from 0° to less than a whole one. */
        private static Quantity written(Feature feature) {
            return feature.id().kind() == FeatureKind.TURN && feature.value() instanceof Angle turn
                    ? turn.withinTurn()
                    : feature.value();
        }
    }

    static SimulateAnswer of(Piece piece, List<Feature> features) {
        return new SimulateAnswer(features.stream().map(FeatureValue::of).toList(), PieceShape.points(piece));
    }
}
