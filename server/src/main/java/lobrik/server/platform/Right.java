package lobrik.server.platform;

/** What an account may be allowed to do. Which role is allowed what is said by {@code account.Permissions}. */
public enum Right {
    /** To keep one's own account: password, sessions, units. */
    OWN_ACCOUNT("This is for people with an account"),
    /** To see one's own page as a trainee. */
    OWN_PAGE("This is a trainee's own page"),
    /** To see the floor, the library, pieces and progress of the cohorts that one belongs to. */
    READ("This is for the people who teach here"),
    /** To see every cohort of the school. */
    READ_EVERY_COHORT("This is for the lead of the school and its auditors"),
    /** To see who did what, and who may do what. */
    READ_RECORDS("This is for the lead of the school and its auditors"),
    /** To take records out as files: readings, gradebooks, everything about a person. */
    EXPORT("Taking records out is for instructors, auditors and the lead"),
    /** To write down what happens at a bench: steps, readings, photographs, corrections. */
    MEASURE("Measuring is for instructors, assistants and the lead"),
    /** To set exercises and give them out, and to keep the cohorts that one teaches. */
    TEACH("This is for instructors and the lead"),
    /** To sign that somebody is ready. */
    SIGN("Signing is for instructors and the lead"),
    /** To keep the school: people, rules, benders. */
    LEAD("Only the lead of the school does this");

    private final String whose;

    Right(String whose) {
        this.whose = whose;
    }

    /** Whom to go to for it, as a sentence without its full stop. */
    public String whose() {
        return whose;
    }
}
