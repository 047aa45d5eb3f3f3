package lobrik.wire;

/** What can be done with a whole run. */
public enum Rearrangement {
    /** Right and left change places. */
    MIRRORED("mirrored"),
    /** The datum at the other end. */
    REVERSED("reversed");

    private final String id;

    Rearrangement(String id) {
        this.id = id;
    }

    /** As programs see it. */
    public String id() {
        return id;
    }
}
