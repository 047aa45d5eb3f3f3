package lobrik.bend;

/** An end of the conduit. */
public enum End {
    /** The datum end. */
    START,
    /** The far end. */
    END
}
