package lobrik.server.shed;

/** Whether a bender is bent on. */
public enum BenderState {
    IN_USE,
    /** Somebody thinks that it is off: it is bent on, and says so. */
    DOUBTFUL,
    /** It is offered for nothing new. */
    OUT
}
