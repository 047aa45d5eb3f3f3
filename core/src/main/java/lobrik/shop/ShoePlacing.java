package lobrik.shop;

/**
 * A shoe on a ring.
 *
 * @param reference the mark of the shoe that is set on the ring
 */
public record ShoePlacing(Reference reference, HookSide hookTowards) implements Placing {

    /** The same with the hook to the other side. */
    public ShoePlacing turned() {
        return new ShoePlacing(reference, hookTowards.other());
    }

    /** The same with another mark of the shoe on the ring. */
    public ShoePlacing by(Reference other) {
        return new ShoePlacing(other, hookTowards);
    }
}
