package lobrik.shop;

/** What of a tool is set on a ring of the conduit, and which way round the tool stands. Each tool has placings of its own. */
public sealed interface Placing permits ShoePlacing {

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
        };
    }

    /** Whether the conduit has to be taken out and turned end for end to get from one to the other. */
    default boolean isOtherWayRound(Placing other) {
        return switch (this) {
            case ShoePlacing shoe ->
                switch (other) {
                    case ShoePlacing next -> shoe.hookTowards() != next.hookTowards();
                };
        };
    }
}
