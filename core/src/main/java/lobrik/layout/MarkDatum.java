package lobrik.layout;

/** Where the tape was hooked when the figure of a mark was worked out, rung or read. */
public enum MarkDatum {
    /** On the datum end of the straight conduit. */
    END,
    /** On the back of an earlier bend. */
    BACK
}
