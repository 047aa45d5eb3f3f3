package lobrik.measure;

import java.math.BigDecimal;
import java.math.BigInteger;
import lobrik.measure.RefusedText.Reason;

/**
 * Reads the figures of a quantity from left to right: a whole number, a decimal, a fraction, or a whole number with a
 * fraction. What stands around them (units, feet) is the business of the subclasses.
 */
abstract class QuantityReader {

    /** Nobody writes a longer length; the limit keeps hostile texts cheap. */
    private static final int LONGEST_TEXT = 40;

    private static final BigInteger LARGEST_DENOMINATOR = BigInteger.valueOf(64);
    private static final String VULGAR_SIGNS = "½¼¾⅛⅜⅝⅞";
    private static final int[][] VULGAR_VALUES = {{1, 2}, {1, 4}, {3, 4}, {1, 8}, {3, 8}, {5, 8}, {7, 8}};

    /** Figures as read: their value, whether a fraction was among them, and where they began. */
    record Figures(BigDecimal value, boolean fractional, boolean whole, int start) {}

    final String text;
    int at;

    QuantityReader(String text) {
        this.text = text;
        skipSpaces();
        if (atEnd()) {
            throw refuse(Reason.EMPTY, 0, "nothing was entered");
        }
        if (text.length() > LONGEST_TEXT) {
            throw refuse(Reason.TOO_LONG, LONGEST_TEXT, "longer than " + LONGEST_TEXT + " characters");
        }
        if (isMinus(peek())) {
            throw refuse(Reason.NEGATIVE, at, Article.before(noun()) + " cannot be negative here");
        }
    }

    /** What is being read, for messages: "length" or "angle". */
    abstract String noun();

    /** How to write one, for messages. */
    abstract String examples();

    final Figures figures() {
        int start = at;
        if (isVulgar(peek())) {
            return new Figures(vulgar(), true, false, start);
        }
        BigInteger whole = digits();
        if (peek() == '.') {
            return new Figures(decimal(start), false, false, start);
        }
        if (startsFractionLine()) {
            return new Figures(fraction(BigInteger.ZERO, whole, start), true, false, start);
        }
        return fractionAfter(whole, start);
    }

    private Figures fractionAfter(BigInteger whole, int start) {
        Figures alone = new Figures(new BigDecimal(whole), false, true, start);
        int afterWhole = at;
        // Only a tight hyphen joins: in "14 - 3/8" it would be a subtraction, which a length is not.
        if (peek() == '-') {
            at++;
        } else {
            skipSpaces();
        }
        if (isVulgar(peek())) {
            return new Figures(new BigDecimal(whole).add(vulgar()), true, false, start);
        }
        if (isDigit(peek())) {
            int numeratorAt = at;
            BigInteger numerator = digits();
            if (startsFractionLine()) {
                return new Figures(fraction(whole, numerator, numeratorAt), true, false, start);
            }
            throw refuse(
                    Reason.INCOMPLETE_FRACTION, at, "a fraction needs a line and a lower figure here, such as 3/8");
        }
        at = afterWhole;
        return alone;
    }

    private BigDecimal fraction(BigInteger whole, BigInteger numerator, int numeratorAt) {
        skipSpaces();
        at++;
        skipSpaces();
        int denominatorAt = at;
        if (!isDigit(peek())) {
            throw refuse(Reason.INCOMPLETE_FRACTION, at, "the lower figure of the fraction is missing");
        }
        BigInteger denominator = digits();
        if (denominator.signum() == 0) {
            throw refuse(Reason.ZERO_DENOMINATOR, denominatorAt, "a fraction cannot have 0 below the line");
        }
        if (denominator.bitCount() != 1 || denominator.compareTo(LARGEST_DENOMINATOR) > 0) {
            throw refuse(
                    Reason.UNUSUAL_DENOMINATOR,
                    denominatorAt,
                    "a fraction is in halves, quarters, 8ths, 16ths, 32nds or 64ths, not in parts of " + denominator);
        }
        if (numerator.compareTo(denominator) >= 0) {
            throw new RefusedText(
                    Reason.IMPROPER_FRACTION,
                    numeratorAt,
                    numerator + "/" + denominator + " is a whole or more",
                    mixed(whole, numerator, denominator));
        }
        BigDecimal part = new BigDecimal(numerator).divide(new BigDecimal(denominator));
        return new BigDecimal(whole).add(part);
    }

    private static String mixed(BigInteger whole, BigInteger numerator, BigInteger denominator) {
        BigInteger[] division = numerator.divideAndRemainder(denominator);
        BigInteger total = whole.add(division[0]);
        if (division[1].signum() == 0) {
            return total.toString();
        }
        BigInteger common = division[1].gcd(denominator);
        return total + " " + division[1].divide(common) + "/" + denominator.divide(common);
    }

    private BigDecimal vulgar() {
        int[] value = VULGAR_VALUES[VULGAR_SIGNS.indexOf(peek())];
        at++;
        return BigDecimal.valueOf(value[0]).divide(BigDecimal.valueOf(value[1]));
    }

    private BigDecimal decimal(int start) {
        at++;
        int decimalsAt = at;
        while (isDigit(peek())) {
            at++;
        }
        if (at == decimalsAt && decimalsAt == start + 1) {
            throw refuse(Reason.NOT_A_NUMBER, start, "a point needs figures around it");
        }
        String figures = text.substring(start, at);
        return new BigDecimal(figures.endsWith(".") ? figures + "0" : figures);
    }

    /** Digits from here; none read as zero only before a decimal point. */
    private BigInteger digits() {
        int start = at;
        while (isDigit(peek())) {
            at++;
        }
        if (at == start) {
            if (peek() == '.') {
                return BigInteger.ZERO;
            }
            throw unexpected();
        }
        return new BigInteger(text.substring(start, at));
    }

    private boolean startsFractionLine() {
        int ahead = at;
        while (ahead < text.length() && isSpace(text.charAt(ahead))) {
            ahead++;
        }
        return ahead < text.length() && isFractionLine(text.charAt(ahead));
    }

    /** Reads one of the words if it stands here, whatever its case. */
    final boolean word(String... words) {
        skipSpaces();
        for (String word : words) {
            if (text.regionMatches(true, at, word, 0, word.length())) {
                at += word.length();
                return true;
            }
        }
        return false;
    }

    final void requireEnd() {
        skipSpaces();
        if (!atEnd()) {
            throw unexpected();
        }
    }

    final RefusedText unexpected() {
        if (atEnd()) {
            return refuse(Reason.NOT_A_NUMBER, at, "figures are missing at the end");
        }
        if (peek() == ',') {
            return refuse(Reason.NOT_A_NUMBER, at, "write decimals with a point, not a comma");
        }
        if (isMinus(peek())) {
            return refuse(Reason.NEGATIVE, at, "a minus cannot stand here");
        }
        String sign = new String(Character.toChars(text.codePointAt(at)));
        return refuse(
                Reason.NOT_A_NUMBER,
                at,
                "“" + sign + "” is not part of " + Article.before(noun()) + "; write " + examples());
    }

    static RefusedText refuse(Reason reason, int position, String message) {
        return new RefusedText(reason, position, message);
    }

    final char peek() {
        return at < text.length() ? text.charAt(at) : '\0';
    }

    final boolean atEnd() {
        return at >= text.length();
    }

    final void skipSpaces() {
        while (!atEnd() && isSpace(peek())) {
            at++;
        }
    }

    static boolean isMinus(char c) {
        return c == '-' || c == '−' || c == '–';
    }

    private static boolean isSpace(char c) {
        return c == ' ' || c == '\t' || c == '\u00a0' || c == '\u2009' || c == '\u202f';
    }

    private static boolean isFractionLine(char c) {
        return c == '/' || c == '⁄';
    }

    /** Only the ten figures of a keyboard: other scripts' digits would be read as something the reader did not see. */
    private static boolean isDigit(char c) {
        return c >= '0' && c <= '9';
    }

    private static boolean isVulgar(char c) {
        return VULGAR_SIGNS.indexOf(c) >= 0;
    }
}
