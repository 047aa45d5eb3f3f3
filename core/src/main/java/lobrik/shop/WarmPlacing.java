package lobrik.shop;

/**
 * Where on the curve its ring lies that is bent with heat. It is always laid out with the ring in the middle; whoever takes it for the
 * mark of a shoe begins there, or ends.
 */
public record WarmPlacing(On on) implements Placing {

    /** A place on a curve. */
    public enum On {
        MIDDLE,
        /** The end of the curve that is nearer to the datum end. */
        START,
        END
    }
}
