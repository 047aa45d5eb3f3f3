package lobrik.shop;

/** Which end of the conduit the hook of the shoe points to. */
public enum HookSide {
    /** Towards the datum end: the arc grows away from it. */
    DATUM,
    /** Towards the far end: the arc grows towards the datum end. */
    FAR;

    /** The other end. */
    public HookSide other() {
        return this == DATUM ? FAR : DATUM;
    }
}
