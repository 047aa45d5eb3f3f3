package lobrik.server.attempt;

/**
 * Whoever has to know, in the same transaction, that something was written down of an attempt. What a follower makes of it is
 * derived: when it fails, what was written down stays, so it must not spoil the transaction that it is called in.
 */
public interface AttemptFollower {

    /** Something was; this is how the attempt now stands. */
    void written(Measured now);
}
