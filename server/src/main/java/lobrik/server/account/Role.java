package lobrik.server.account;

/** What somebody is to the centre. */
public enum Role {
    /** Sets, measures and judges in the cohorts they teach. */
    INSTRUCTOR,
    /** Sees and does everything in the centre. */
    LEAD
}
