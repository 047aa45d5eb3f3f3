package lobrik.derivation;

/** What a figure of a sum is to whoever works it out, so far as somebody may take the wrong one. */
public enum Part {
    /** A size that was given, or a figure that follows from what stands above. */
    FIGURE,
    /** How far away the bend is wanted: what the tape was held to. */
    PLACE,
    TAKE_UP,
    GAIN,
    SHRINK,
    /** From ring to ring. */
    SPACING,
    /** A leg of several. */
    LEG,
    /** What an end goes into its fitting. */
    INSERTION,
    /** What is taken off a leg so that the piece goes in. */
    PLAY
}
