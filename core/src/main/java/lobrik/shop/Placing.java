package lobrik.shop;

import java.util.Optional;

/** What of a tool is set on a ring of the conduit, and which way round the tool stands. Each tool has placings of its own. */
public sealed interface Placing permits ShoePlacing, WarmPlacing {

    /** The middle of a curve that is bent with heat. */
    static WarmPlacing middle() {
        return new WarmPlacing(WarmPlacing.On.MIDDLE);
    }

    /** The arrow of a shoe. */
    static ShoePlacing arrow(HookSide hookTowards) {
        return new ShoePlacing(Reference.ARROW, hookTowards);
    }

    /** The star of a shoe. */
    static ShoePlacing star(HookSide hookTowards) {
        return new ShoePlacing(Reference.STAR, hookTowards);
    }

    /** The notch of a shoe. */
    static ShoePlacing notch(HookSide hookTowards) {
        return new ShoePlacing(Reference.NOTCH, hookTowards);
    }

    /** What to set and which way round: {@code arrow, hook to the datum end}. */
    default String words() {
        return switch (this) {
            case ShoePlacing shoe ->
                shoe.reference().words()
                        + switch (shoe.hookTowards()) {
                            case DATUM -> ", hook to the datum end";
                            case FAR -> ", hook to the far end";
                        };
            case WarmPlacing warm ->
                switch (warm.on()) {
                    case MIDDLE -> "middle of the curve";
                    case START -> "start of the curve";
                    case END -> "end of the curve";
                };
        };
    }

    /** Whether the conduit has to be taken out and turned end for end to get from one to the other. */
    default boolean isOtherWayRound(Placing other) {
        return hook().isPresent() && other.hook().isPresent() && !hook().equals(other.hook());
    }

    /** The end that the hook looks to; what is bent with heat has none. */
    default Optional<HookSide> hook() {
        return onShoe().map(ShoePlacing::hookTowards);
    }

    /** How a shoe stands on the ring, where it is one. */
    default Optional<ShoePlacing> onShoe() {
        return switch (this) {
            case ShoePlacing shoe -> Optional.of(shoe);
            case WarmPlacing _ -> Optional.empty();
        };
    }
}
