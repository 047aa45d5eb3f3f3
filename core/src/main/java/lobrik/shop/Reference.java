package lobrik.shop;

/** A mark on the shoe that can be set on a ring of the conduit (handbook 1). */
public enum Reference {
    /** Start reference, {@code e} before the arc. */
    ARROW,
    /** Back of a 90. */
    STAR,
    /** Middle of a 45. */
    NOTCH;

    /** As people call it: {@code arrow}. */
    public String words() {
        return switch (this) {
            case ARROW -> "arrow";
            case STAR -> "star";
            case NOTCH -> "notch";
        };
    }
}
