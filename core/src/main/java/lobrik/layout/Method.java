package lobrik.layout;

/** How marks are found (handbook 4). */
public enum Method {
    /** Trade multipliers, shrink per inch, take-up: what fits in a head. */
    CHART,
    /** Solves the model for this bender. */
    EXACT
}
