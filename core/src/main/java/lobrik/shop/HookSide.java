package lobrik.shop;

/** Which end of the conduit the hook of the shoe points to. */
public enum HookSide {
    /** Towards the datum end: the arc grows away from it. */
    DATUM("datum"),
    /** Towards the far end: the arc grows towards the datum end. */
    FAR("far");

    private final String id;

    HookSide(String id) {
        this.id = id;
    }

    /** As programs see it: {@code datum}. */
    public String id() {
        return id;
    }

    /** The other end. */
    public HookSide other() {
        return this == DATUM ? FAR : DATUM;
    }
}
