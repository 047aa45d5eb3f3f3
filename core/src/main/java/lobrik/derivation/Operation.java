package lobrik.derivation;

/** What is done with a figure of a sum, which is worked from left to right. */
public enum Operation {
    /** The first figure. */
    START(""),
    START_TWICE("2 ×"),
    PLUS("+"),
    MINUS("−"),
    PLUS_TWICE("+ 2 ×"),
    MINUS_TWICE("− 2 ×"),
    TIMES("×"),
    DIVIDED_BY(", ÷"),
    /** Root of the sum of the squares of two figures: the first, the second, and the end of it, which has no figure. */
    ROOT_OF_SQUARE("√("),
    AND_SQUARE("² +"),
    END_OF_ROOT("²)"),
    /** The second of two figures whose relation is the tangent of the result. */
    OVER("over");

    private final String text;

    Operation(String text) {
        this.text = text;
    }

    /** What is written before the figure. */
    public String text() {
        return text;
    }

    /** How often the figure counts in a sum, with its sign; 0 for what is not added. */
    public int times() {
        return switch (this) {
            case START, PLUS -> 1;
            case MINUS -> -1;
            case START_TWICE, PLUS_TWICE -> 2;
            case MINUS_TWICE -> -2;
            case TIMES, DIVIDED_BY, ROOT_OF_SQUARE, AND_SQUARE, END_OF_ROOT, OVER -> 0;
        };
    }

    /** The same of a figure with the other sign; the first figure of a sum keeps its own. */
    Operation turned() {
        return switch (this) {
            case PLUS -> MINUS;
            case MINUS -> PLUS;
            case PLUS_TWICE -> MINUS_TWICE;
            case MINUS_TWICE -> PLUS_TWICE;
            case START, START_TWICE, TIMES, DIVIDED_BY, ROOT_OF_SQUARE, AND_SQUARE, END_OF_ROOT, OVER -> this;
        };
    }
}
