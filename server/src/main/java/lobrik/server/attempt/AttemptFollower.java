package lobrik.server.attempt;

/** Whoever has to know, in the same transaction, that something was written down of an attempt. */
public interface AttemptFollower {

    /** Something was; this is how the attempt now stands. */
    void written(Attempts.Measured now);
}
