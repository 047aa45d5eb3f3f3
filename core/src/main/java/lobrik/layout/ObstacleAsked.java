package lobrik.layout;

import java.util.Optional;
import lobrik.bend.BackToBack90;
import lobrik.bend.Bend;
import lobrik.bend.BoxOffset;
import lobrik.bend.Kick;
import lobrik.bend.Offset;
import lobrik.bend.OffsetLayout;
import lobrik.bend.OverBent90;
import lobrik.bend.RollingOffset;
import lobrik.bend.Run;
import lobrik.bend.Saddle3;
import lobrik.bend.Saddle4;
import lobrik.bend.Stub90;
import lobrik.feature.FeatureId;
import lobrik.measure.Length;
import lobrik.shape.Obstacle;

/** What a bend is there to pass, as far as its own inputs say it. */
final class ObstacleAsked {

    private ObstacleAsked() {}

    /** The obstacle of a laid out bend; none where it only changes the conduit's direction or surface. */
    static Optional<Obstacle.OnSurface> of(Layout layout) {
        Bend bend = layout.job().bend();
        return switch (bend) {
            case Stub90 _, BackToBack90 _, BoxOffset _, RollingOffset _, Kick _, OverBent90 _, Run _ ->
                Optional.empty();
            // The plinth or beam that the conduit goes up onto: it begins at D and goes on.
            case Offset offset ->
                offset.layout() == OffsetLayout.BEFORE_OBSTACLE
                        ? Optional.of(new Obstacle.Rectangular(offset.distance(), Obstacle.LARGEST, offset.rise()))
                        : Optional.empty();
            case Saddle3 saddle -> Optional.of(new Obstacle.Round(saddle.centre(), saddle.height()));
            case Saddle4 saddle ->
                Optional.of(new Obstacle.Rectangular(
                        landing(layout).plus(saddle.edgeClearance()), saddle.width(), saddle.height()));
        };
    }

    private static Length landing(Layout layout) {
        for (PlannedFeature feature : layout.features()) {
            if (FeatureId.LANDING.equals(feature.id()) && feature.asked() instanceof Length length) {
                return length;
            }
        }
        throw new IllegalStateException("a four-point saddle has a landing");
    }
}
