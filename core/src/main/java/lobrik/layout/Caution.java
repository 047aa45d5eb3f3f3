package lobrik.layout;

/** Cautions to show with hand bending (handbook 5), in plain words and in the order in which they matter. */
public enum Caution {
    ENERGISED("Never bend on or near anything energised."),
    EYES_AND_HANDS("Eye protection and gloves on."),
    FOOTING("Foot firm on the shoe, hands well up the handle, clear space for its swing."),
    LINE_OF_LEVER("Nobody in line with a loaded lever."),
    REAM("Cut square and ream every cut."),
    LOCAL_CODE("Local code and the licensed person in charge decide.");

    private final String text;

    Caution(String text) {
        this.text = text;
    }

    public String text() {
        return text;
    }
}
