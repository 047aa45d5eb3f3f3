package lobrik.measure;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A distance taken off with a tape from one common surface: the far reading, less the near reading, less the play that the
 * piece needs, plus what goes into the fitting (handbook 4.9).
 *
 * @param near reading to the nearer point; empty where the tape was hooked on it
 * @param play taken off, 0 or more
 * @param insertion added, 0 or more
 */
public record TakeOff(Length far, Optional<Length> near, Length play, Length insertion) {

    private static final int LONGEST_TEXT = 120;

    /** A part of the text, with the sign before it and where it starts. */
    private record Part(boolean minus, String text, int start) {}

    /**
     * Reads {@code 71 1/4 − 40 5/8 − 1/8 + 5/8}: far reading, near reading, play, insertion; the last three may be left
     * out, from the end or, for the insertion, by itself. A minus or plus between two lengths has a blank on both sides, so
     * that {@code 14-3/8} stays a fraction. A single length is a distance that was not taken off.
     *
     * @throws RefusedText with position and reason, also where the near reading is beyond the far one
     */
    public static TakeOff parse(String text, LengthUnit bare) {
        if (text.length() > LONGEST_TEXT) {
            throw new RefusedText(RefusedText.Reason.TOO_LONG, LONGEST_TEXT, "more than anybody writes for a distance");
        }
        List<Part> parts = parts(text);
        List<Length> minus = new ArrayList<>();
        List<Length> plus = new ArrayList<>();
        for (Part part : parts) {
            List<Length> kept = part.minus() ? minus : plus;
            int most = 2;
            if (kept.size() == most) {
                throw new RefusedText(
                        RefusedText.Reason.TRAILING,
                        part.start(),
                        "a distance has two readings, a play and an insertion: 71 1/4 − 40 5/8 − 1/8 + 5/8");
            }
            kept.add(parts.size() == 1 ? Length.parse(text, bare) : length(part, bare));
        }
        TakeOff takeOff = new TakeOff(
                plus.getFirst(),
                minus.isEmpty() ? Optional.empty() : Optional.of(minus.getFirst()),
                minus.size() > 1 ? minus.get(1) : Length.ZERO,
                plus.size() > 1 ? plus.get(1) : Length.ZERO);
        takeOff.requirePossible(text);
        return takeOff;
    }

    private static List<Part> parts(String text) {
        List<Part> parts = new ArrayList<>();
        boolean minus = false;
        int start = 0;
        for (int i = 1; i + 1 < text.length(); i++) {
            char sign = text.charAt(i);
            boolean between = text.charAt(i - 1) == ' ' && text.charAt(i + 1) == ' ';
            if (between && (sign == '-' || sign == '−' || sign == '–' || sign == '+')) {
                parts.add(new Part(minus, text.substring(start, i), start));
                minus = sign != '+';
                start = i + 1;
            }
        }
        parts.add(new Part(minus, text.substring(start), start));
        return parts;
    }

    private static Length length(Part part, LengthUnit bare) {
        try {
            return Length.parse(part.text(), bare);
        } catch (RefusedText refused) {
            // A suggestion for one part would replace all of them.
            throw new RefusedText(
                    refused.reason(),
                    part.start() + refused.position(),
                    "“" + part.text().strip() + "”: " + refused.getMessage());
        }
    }

    private void requirePossible(String text) {
        if (near.isPresent() && !near.get().isLessThan(far)) {
            throw new RefusedText(
                    RefusedText.Reason.NEGATIVE,
                    0,
                    "the near reading, " + near.get().inWords() + ", is not less than the far one, " + far.inWords()
                            + "; swap them");
        }
        if (isTakenOff() && !length().isPositive()) {
            throw new RefusedText(RefusedText.Reason.NEGATIVE, 0, "“" + text.strip() + "” leaves nothing");
        }
    }

    /** The distance: {@code far − near − play + insertion}. Formula {@code take-off}, handbook 4.9. */
    public Length length() {
        return far.minus(near.orElse(Length.ZERO)).minus(play).plus(insertion);
    }

    /** Whether there is more to it than one length. */
    public boolean isTakenOff() {
        return near.isPresent() || !insertion.equals(Length.ZERO);
    }
}
