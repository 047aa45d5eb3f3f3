package lobrik.wire;

import java.util.Optional;
import lobrik.shop.HookSide;
import lobrik.shop.Placing;
import lobrik.shop.Reference;
import lobrik.shop.ShoePlacing;
import lobrik.shop.WarmPlacing;
import org.jspecify.annotations.Nullable;

/** What stands on a ring: a mark of a shoe, or the middle of a curve that is bent with heat. */
public enum OnRing {
    ARROW("arrow"),
    STAR("star"),
    NOTCH("notch"),
    MIDDLE("middle");

    private final String id;

    OnRing(String id) {
        this.id = id;
    }

    /** As programs see it: {@code middle}. */
    public String id() {
        return id;
    }

    static OnRing of(Placing placing) {
        return switch (placing) {
            case ShoePlacing shoe ->
                switch (shoe.reference()) {
                    case ARROW -> ARROW;
                    case STAR -> STAR;
                    case NOTCH -> NOTCH;
                };
            case WarmPlacing _ -> MIDDLE;
        };
    }

    /** The side that the hook of a shoe looks to; what is bent with heat has none. */
    static @Nullable HookSide hookOf(Placing placing) {
        return placing.hook().orElse(null);
    }

    /** Which mark of a shoe it is; none for a middle. */
    Optional<Reference> reference() {
        return switch (this) {
            case ARROW -> Optional.of(Reference.ARROW);
            case STAR -> Optional.of(Reference.STAR);
            case NOTCH -> Optional.of(Reference.NOTCH);
            case MIDDLE -> Optional.empty();
        };
    }
}
