package lobrik.derivation;

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
    public static TapeDivision of(Line line, List<TapeDivision> divisions) {
        // What a method adds to what was asked is often less than a line of a tape.
        List<TapeDivision> usable =
                line.about().startsWith("predicted/") ? divisions.subList(1, divisions.size()) : divisions;
        return usable.stream()
                .filter(division -> addsUp(line, division))
                .findFirst()
                .orElse(isProduct(line) ? usable.getFirst() : usable.getLast());
    }

    private static boolean isProduct(Line line) {
        return line.terms().stream().anyMatch(term -> term instanceof Line.Term.Factor);
    }

    private static boolean addsUp(Line line, TapeDivision division) {
        if (!(line.result() instanceof Length result)) {
            return true;
        }
        OptionalDouble worked = worked(line, division);
        return worked.isEmpty()
                || Length.ofInches(worked.getAsDouble()).nearest(division).equals(result.nearest(division));
    }

    /** The sum of the figures as they are written, in inches, from left to right; empty where it is none of lengths. */
    private static OptionalDouble worked(Line line, TapeDivision division) {
        double sum = 0;
        for (Line.Term term : line.terms()) {
            double value = 0;
            switch (term) {
                case Line.Term.Of(Operation _, Part _, int _, String _, Length length) ->
                    value = length.nearest(division).inches();
                case Line.Term.Above(Operation _, String _, String _, Length place) ->
                    value = place.nearest(division).inches();
                case Line.Term.Factor factor -> value = Math.round(factor.value() * 1e4) / 1e4;
                case Line.Term.Of _ -> {
                    return OptionalDouble.empty();
                }
            }
            switch (term.operation()) {
                case START, PLUS, MINUS, START_TWICE, PLUS_TWICE, MINUS_TWICE ->
                    sum += term.operation().times() * value;
                case TIMES -> sum *= value;
                case DIVIDED_BY -> sum /= value;
                case ROOT_OF_SQUARE, AND_SQUARE, END_OF_ROOT, OVER -> {
                    return OptionalDouble.empty();
                }
            }
        }
        return OptionalDouble.of(sum);
    }
}
