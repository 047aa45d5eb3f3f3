package lobrik.server.account;

/** What somebody is at a school. What each of them may do is said by {@link Permissions}. */
public enum Role {
    /** Answers for the school: its people, rules, benders and records. */
    LEAD("lead"),
    /** Teaches cohorts: sets, gives out, measures, signs. */
    INSTRUCTOR("instructor"),
    /** Helps with cohorts: measures, and signs nothing. */
    ASSISTANT("assistant"),
    /** Reads everything and changes nothing. */
    AUDITOR("auditor"),
    /** Sees their own page. */
    TRAINEE("trainee");

    private final String word;

    Role(String word) {
        this.word = word;
    }

    /** As it is said. */
    public String word() {
        return word;
    }
}
