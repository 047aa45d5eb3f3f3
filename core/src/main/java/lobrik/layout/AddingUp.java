package lobrik.layout;

import java.util.List;
import java.util.OptionalDouble;
import lobrik.measure.Length;
import lobrik.measure.TapeDivision;

/**
 * How finely the figures of a sum are written: as on a tape, if whoever adds them up as they stand gets the result as it
 * stands, else finer, until it is so. By itself 914 − 13 + 27 mm would be written as 929, each of them rounded.
 */
public final class AddingUp {

    /** As finely as lengths in inches may be written, a tape's lines first. */
    public static final List<TapeDivision> INCHES = List.of(
            TapeDivision.SIXTEENTH,
            TapeDivision.THIRTY_SECOND,
            new TapeDivision(Length.ofFraction(0, 1, 64)),
            new TapeDivision(Length.ofFraction(0, 1, 128)));

    /** The same in millimetres: whole ones first. */
    public static final List<TapeDivision> MILLIMETRES = List.of(
            TapeDivision.MILLIMETRE,
            new TapeDivision(Length.ofMillimetres(0.1)),
            new TapeDivision(Length.ofMillimetres(0.01)),
            new TapeDivision(Length.ofMillimetres(0.001)));

    private AddingUp() {}

    /**
     * The coarsest of the divisions at which a sum adds up, or the finest of them if it does at none. A product of a rounded
     * figure is never exact, so it is written as on a tape; so are angles and roots.
     */
    public static TapeDivision of(Explanation explanation, List<TapeDivision> divisions) {
        // What a method adds to what was asked is often less than a line of a tape.
        List<TapeDivision> usable =
                explanation.about().startsWith("predicted/") ? divisions.subList(1, divisions.size()) : divisions;
        return usable.stream()
                .filter(division -> addsUp(explanation, division))
                .findFirst()
                .orElse(isProduct(explanation) ? usable.getFirst() : usable.getLast());
    }

    private static boolean isProduct(Explanation explanation) {
        return explanation.terms().stream().anyMatch(term -> term instanceof Explanation.Term.Factor);
    }

    private static boolean addsUp(Explanation explanation, TapeDivision division) {
        if (!(explanation.result() instanceof Length result)) {
            return true;
        }
        OptionalDouble worked = worked(explanation, division);
        return worked.isEmpty()
                || Length.ofInches(worked.getAsDouble()).nearest(division).equals(result.nearest(division));
    }

    /** The sum of the figures as they are written, in inches, from left to right; empty where it is none of lengths. */
    private static OptionalDouble worked(Explanation explanation, TapeDivision division) {
        double sum = 0;
        for (Explanation.Term term : explanation.terms()) {
            double value;
            switch (term) {
                case Explanation.Term.Of of -> {
                    if (!(of.value() instanceof Length length)) {
                        return OptionalDouble.empty();
                    }
                    value = length.nearest(division).inches();
                }
                case Explanation.Term.Factor factor -> value = Math.round(factor.value() * 1e4) / 1e4;
            }
            switch (term.before()) {
                case "" -> sum = value;
                case "+" -> sum += value;
                case "−" -> sum -= value;
                case "2 ×" -> sum = 2 * value;
                case "+ 2 ×" -> sum += 2 * value;
                case "− 2 ×" -> sum -= 2 * value;
                case "×" -> sum *= value;
                case ", ÷" -> sum /= value;
                default -> {
                    return OptionalDouble.empty();
                }
            }
        }
        return OptionalDouble.of(sum);
    }
}
