package lobrik.layout;

/** How marks are found (handbook 4). */
public enum Method {
    /** Trade multipliers, shrink per inch, take-up: what fits in a head. */
    CHART("chart"),
    /** Solves the model for this bender. */
    EXACT("exact");

    private final String id;

    Method(String id) {
        this.id = id;
    }

    /** As programs see it: {@code chart}. */
    public String id() {
        return id;
    }
}
