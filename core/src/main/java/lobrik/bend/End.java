package lobrik.bend;

/** An end of the conduit. */
public enum End {
    /** The datum end. */
    START("start"),
    /** The far end. */
    END("end");

    private final String id;

    End(String id) {
        this.id = id;
    }

    /** As programs see it: {@code start}. */
    public String id() {
        return id;
    }
}
