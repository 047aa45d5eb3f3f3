package lobrik.server.attempt;

/**
 * Whoever derives something from what was written down of an attempt: once that is on disk, in a transaction of its own, and again where
 * the server ended over it or where it failed. See {@link FollowUps}.
 */
public interface AttemptFollower {

    /** Something was written down; this is how the attempt now stands. */
    void written(Measured now);
}
