package lobrik.layout;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lobrik.bend.BackToBack90;
import lobrik.bend.Bend;
import lobrik.bend.BoxOffset;
import lobrik.bend.Form;
import lobrik.bend.Input;
import lobrik.bend.InputId;
import lobrik.bend.Kick;
import lobrik.bend.Offset;
import lobrik.bend.OverBent90;
import lobrik.bend.RollingOffset;
import lobrik.bend.Run;
import lobrik.bend.Saddle3;
import lobrik.bend.Saddle4;
import lobrik.bend.Stub90;
import lobrik.feature.FeatureId;
import lobrik.measure.Length;
import lobrik.shape.Feature;
import lobrik.shape.Obstacle;
import lobrik.shape.Vector3;

/**
 * A size that an exercise gives, with where it is drawn: on the piece, or on the obstacle that it is the size of.
 *
 * @param at what it is the place of: a feature's id, or {@code clearance}
 * @param from in the piece's frame, inches; for an angle the same as {@code to}
 */
public record GivenDimension(Input input, String at, Vector3 from, Vector3 to) {

    /** All given sizes of a laid out bend that have a place on its elevation. */
    static List<GivenDimension> of(Layout layout, Optional<Obstacle.OnSurface> asked) {
        List<GivenDimension> places = new ArrayList<>();
        for (Input input : Input.of(layout.job().bend())) {
            onObstacle(layout, input, asked)
                    .or(() -> onPiece(layout, input))
                    .or(() -> alongTheGround(layout, input))
                    .ifPresent(places::add);
        }
        return List.copyOf(places);
    }

    private static Optional<GivenDimension> onPiece(Layout layout, Input input) {
        return feature(layout.job().bend(), input)
                .flatMap(id -> layout.features().stream()
                        .map(PlannedFeature::onPredicted)
                        .filter(feature -> feature.id().equals(id))
                        .findFirst()
                        .map(feature -> on(input, feature)));
    }

    /** The feature that an input is the size of: of a run, that of the leg or the box that it belongs to. */
    private static Optional<FeatureId> feature(Bend bend, Input input) {
        return bend.run().isPresent()
                ? RunDimensions.feature(bend.run().get(), input.path())
                : input.field().on();
    }

    /** A piece that ends in the air has no feature of how far away that is: it is a size of the ground beneath. */
    private static Optional<GivenDimension> alongTheGround(Layout layout, Input input) {
        if (input.id() != InputId.DISTANCE || !(input.current() instanceof Length distance)) {
            return Optional.empty();
        }
        double surface = -layout.job().tooling().conduit().outsideDiameter().inches() / 2;
        return Optional.of(level(input, 0, distance.inches(), surface));
    }

    private static GivenDimension on(Input input, Feature feature) {
        return new GivenDimension(input, feature.id().id(), feature.from(), feature.to());
    }

    /** What an obstacle's own size is, is drawn on it; the conduit passes at a distance, its clearance. */
    private static Optional<GivenDimension> onObstacle(Layout layout, Input input, Optional<Obstacle.OnSurface> asked) {
        if (asked.isEmpty() || !(input.current() instanceof Length size)) {
            return Optional.empty();
        }
        Bend bend = layout.job().bend();
        double surface = -layout.job().tooling().conduit().outsideDiameter().inches() / 2;
        Span span = Span.of(asked.get());
        return switch (input.id()) {
            case RISE, HEIGHT ->
                Form.of(bend.kind()).has(InputId.CLEARANCE)
                        ? Optional.of(upright(input, span.at(bend), surface, size))
                        : Optional.empty();
            case CLEARANCE ->
                size.isPositive()
                        ? Optional.of(upright(input, span.at(bend), surface + span.height(), size))
                        : Optional.empty();
            case WIDTH -> Optional.of(level(input, span.from(), span.from() + size.inches(), surface));
            case DISTANCE ->
                isToTheObstacle(bend) ? Optional.of(level(input, 0, size.inches(), surface)) : Optional.empty();
            case LEG,
                    OTHER_LEG,
                    FIRST_LEG,
                    BETWEEN,
                    SECOND_LEG,
                    ROLL,
                    ANGLE,
                    OUTER_ANGLE,
                    CENTRE,
                    FIRST_MARK,
                    EDGE_CLEARANCE,
                    OVERALL,
                    DROP,
                    SET_BACK,
                    OVER_BEND,
                    LENGTH,
                    READ_FROM,
                    READ_TO,
                    PLAY,
                    START_INSERTION,
                    END_INSERTION,
                    LAST_MARK,
                    AT -> Optional.empty();
        };
    }

    /** Whether the distance is to the obstacle itself, not to where a ring lands. */
    private static boolean isToTheObstacle(Bend bend) {
        return switch (bend) {
            case Saddle4 _ -> true;
            case Stub90 _,
                    BackToBack90 _,
                    Offset _,
                    BoxOffset _,
                    RollingOffset _,
                    Kick _,
                    Saddle3 _,
                    OverBent90 _,
                    Run _ -> false;
        };
    }

    private static GivenDimension upright(Input input, double x, double from, Length size) {
        String at = input.field().place().orElseThrow();
        return new GivenDimension(input, at, new Vector3(x, from, 0), new Vector3(x, from + size.inches(), 0));
    }

    private static GivenDimension level(Input input, double from, double to, double y) {
        String at = input.field().place().orElseThrow();
        return new GivenDimension(input, at, new Vector3(from, y, 0), new Vector3(to, y, 0));
    }

    /** What an obstacle takes of the run, inches. */
    private record Span(double from, double width, double height) {

        static Span of(Obstacle.OnSurface obstacle) {
            return switch (obstacle) {
                case Obstacle.Round round ->
                    new Span(
                            round.centre().inches() - round.diameter().inches() / 2,
                            round.diameter().inches(),
                            round.diameter().inches());
                case Obstacle.Rectangular block ->
                    new Span(
                            block.from().inches(),
                            block.width().inches(),
                            block.height().inches());
            };
        }

        /** Where its height is drawn: in its middle, or at its edge where it goes on for ever. */
        double at(Bend bend) {
            return switch (bend) {
                case Offset _ -> from;
                case Stub90 _,
                        BackToBack90 _,
                        BoxOffset _,
                        RollingOffset _,
                        Kick _,
                        Saddle3 _,
                        Saddle4 _,
                        OverBent90 _,
                        Run _ -> from + width / 2;
            };
        }
    }
}
