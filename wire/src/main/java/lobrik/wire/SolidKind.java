package lobrik.wire;

import java.util.Optional;
import java.util.stream.Stream;
import lobrik.bend.Towards;
import lobrik.shape.Solid;

/** What stands in a room: its surfaces, and what conduit goes round. */
public enum SolidKind {
    WALL("wall", Towards.IN),
    LEFT_WALL("leftWall", Towards.LEFT),
    RIGHT_WALL("rightWall", Towards.RIGHT),
    CEILING("ceiling", Towards.UP),
    FLOOR("floor", Towards.DOWN),
    WALL_BEHIND("wallBehind", Towards.OUT),
    COLUMN(Solid.Block.Kind.COLUMN),
    DOOR(Solid.Block.Kind.DOOR),
    WINDOW(Solid.Block.Kind.WINDOW),
    DUCT(Solid.Block.Kind.DUCT),
    BEAM(Solid.Block.Kind.BEAM),
    CABINET(Solid.Block.Kind.CABINET);

    private final String id;
    private final Optional<Towards> side;
    private final Optional<Solid.Block.Kind> block;

    SolidKind(String id, Towards side) {
        this.id = id;
        this.side = Optional.of(side);
        this.block = Optional.empty();
    }

    SolidKind(Solid.Block.Kind block) {
        this.id = block.id();
        this.side = Optional.empty();
        this.block = Optional.of(block);
    }

    /** As programs see it: {@code leftWall}. */
    public String id() {
        return id;
    }

    static SolidKind of(Solid.Surface surface) {
        return Stream.of(values())
                .filter(kind -> kind.side.equals(Optional.of(surface.side())))
                .findFirst()
                .orElseThrow();
    }

    static SolidKind of(Solid.Block block) {
        return Stream.of(values())
                .filter(kind -> kind.block.equals(Optional.of(block.kind())))
                .findFirst()
                .orElseThrow();
    }

    /** Of a surface: on which side of the run it is. */
    Optional<Towards> side() {
        return side;
    }

    /** Of anything else: what it is. */
    Optional<Solid.Block.Kind> block() {
        return block;
    }
}
