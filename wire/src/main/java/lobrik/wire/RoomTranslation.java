package lobrik.wire;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lobrik.bend.Bend;
import lobrik.fault.FaultCode;
import lobrik.measure.Length;
import lobrik.shape.Obstacle;
import lobrik.shape.RoomFrame;
import lobrik.shape.Solid;
import org.jspecify.annotations.Nullable;

/** Translates what stands in the room of a run. */
final class RoomTranslation {

    private static final int MOST_SOLIDS = 40;

    private final Translation translation;

    RoomTranslation(Translation translation) {
        this.translation = translation;
    }

    List<Solid> solids(LayoutRequest.@Nullable PlaceInput place) {
        if (place == null || place.room() == null) {
            return List.of();
        }
        List<LayoutRequest.@Nullable SolidInput> given = place.room();
        if (given.size() > MOST_SOLIDS) {
            translation.fault(
                    FaultCode.OUT_OF_RANGE,
                    "place/room",
                    "there are " + given.size() + " things in the room; name at most " + MOST_SOLIDS);
            return List.of();
        }
        List<Solid> solids = new ArrayList<>();
        for (int i = 0; i < given.size(); i++) {
            String at = "place/room/" + i;
            translation
                    .required(at, given.get(i))
                    .flatMap(input -> solid(at, input))
                    .ifPresent(solids::add);
        }
        return List.copyOf(solids);
    }

    /** What of it a bend has to keep clear of: only a run knows where in the room it is. */
    static Optional<Obstacle> around(Bend bend, List<Solid> solids) {
        return bend.run().filter(_ -> !solids.isEmpty()).map(run -> new Obstacle.InRoom(RoomFrame.of(run), solids));
    }

    /** As a request names it. */
    static LayoutRequest.SolidInput written(Solid solid) {
        return switch (solid) {
            case Solid.Surface surface ->
                new LayoutRequest.SolidInput(
                        SolidKind.of(surface), surface.away().inches(), null, null, null, null, null, null);
            case Solid.Block block ->
                new LayoutRequest.SolidInput(
                        SolidKind.of(block),
                        null,
                        block.right().inches(),
                        block.up().inches(),
                        block.out().inches(),
                        block.width().inches(),
                        block.height().inches(),
                        block.depth().inches());
        };
    }

    private Optional<Solid> solid(String at, LayoutRequest.SolidInput input) {
        return translation
                .required(at + "/kind", input.kind())
                .flatMap(kind -> kind.side().isPresent()
                        ? translation
                                .length(at + "/awayIn", input.awayIn())
                                .flatMap(away -> translation.built(
                                        at, () -> new Solid.Surface(kind.side().orElseThrow(), away)))
                        : block(at, kind.block().orElseThrow(), input));
    }

    private Optional<Solid> block(String at, Solid.Block.Kind kind, LayoutRequest.SolidInput input) {
        Optional<Length> right = translation.length(at + "/rightIn", input.rightIn());
        Optional<Length> up = translation.length(at + "/upIn", input.upIn());
        Optional<Length> out = translation.length(at + "/outIn", input.outIn());
        Optional<Length> width = translation.length(at + "/widthIn", input.widthIn());
        Optional<Length> height = translation.length(at + "/heightIn", input.heightIn());
        Optional<Length> depth = translation.length(at + "/depthIn", input.depthIn());
        boolean whole = List.of(right, up, out, width, height, depth).stream().allMatch(Optional::isPresent);
        return whole
                ? translation.built(
                        at,
                        () -> new Solid.Block(
                                kind,
                                right.orElseThrow(),
                                up.orElseThrow(),
                                out.orElseThrow(),
                                width.orElseThrow(),
                                height.orElseThrow(),
                                depth.orElseThrow()))
                : Optional.empty();
    }
}
