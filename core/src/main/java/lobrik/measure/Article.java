package lobrik.measure;

/** The indefinite article, for sentences that are put together. */
public final class Article {

    private Article() {}

    /** One of what these words name: {@code a stub ninety}, {@code an offset}. None of the trade's words is an exception to the rule. */
    public static String before(String words) {
        return ("aeiou".indexOf(words.charAt(0)) < 0 ? "a " : "an ") + words;
    }
}
