package lobrik.shop;

/** A mark on the shoe that can be set on a ring of the conduit (handbook 1). */
public enum Reference {
    /** Start reference, {@code e} before the arc. */
    ARROW("arrow"),
    /** Back of a 90. */
    STAR("star"),
    /** Middle of a 45. */
    NOTCH("notch");

    private final String id;

    Reference(String id) {
        this.id = id;
    }

    /** As programs see it: {@code arrow}. */
    public String id() {
        return id;
    }

    /** As people call it: {@code arrow}. */
    public String words() {
        return id;
    }
}
