package lobrik.progress;

/** Where somebody stands in a kind of bend, from the beginning. */
public enum Standing {
    /** No finished piece. */
    NOT_TRIED("not tried"),
    LEARNING("learning"),
    /** Passes more often than not, though not yet as a sign-off asks. */
    STEADY("steady"),
    /** Everything that the rule asks is there: the instructor may sign. */
    READY("ready for sign-off"),
    /** An instructor has signed. */
    SIGNED("signed");

    private final String words;

    Standing(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }

    /** Whether what builds on this kind of bend can be begun. */
    public boolean isSteady() {
        return compareTo(STEADY) >= 0;
    }
}
