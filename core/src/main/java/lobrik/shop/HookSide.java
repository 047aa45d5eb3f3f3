package lobrik.shop;

/** Which end of the conduit the hook of the shoe points to. */
public enum HookSide {
    /** Towards the datum end: the arc grows away from it. */
    DATUM,
    /** Towards the far end: the arc grows towards the datum end. */
    FAR;

    /** +1 where the arc grows with the position, −1 where it grows against it. */
    public int growth() {
        return this == DATUM ? 1 : -1;
    }
}
