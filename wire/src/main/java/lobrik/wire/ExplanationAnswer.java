package lobrik.wire;

import java.util.List;
import lobrik.derivation.AddingUp;
import lobrik.derivation.Line;
import lobrik.measure.Quantity;
import org.jspecify.annotations.Nullable;

/**
 * Why a number is what it is.
 *
 * @param about what it explains, such as {@code mark1}, {@code cutLength} or {@code predicted/rise}
 * @param formula id of the formula in the documentation
 * @param terms of the sum, from left to right
 * @param rounded to the tape's division, where that is what is marked
 * @param lines to an inch, at least, for the figures to add up as they are written
 * @param places of a millimetre, at least, for the same
 */
public record ExplanationAnswer(
        String about,
        String name,
        String formula,
        String words,
        List<TermAnswer> terms,
        Unit unit,
        double result,
        @Nullable Double rounded,
        int lines,
        int places) {

    /** A term with what is written before it; without a unit it is a pure number. */
    public record TermAnswer(
            String before, String name, @Nullable Unit unit, double value) {

        static TermAnswer of(Line.Term term) {
            return switch (term) {
                case Line.Term.Of of ->
                    new TermAnswer(of.operation().text(), of.name(), Unit.of(of.value()), Numbers.of(of.value()));
                case Line.Term.Above above ->
                    new TermAnswer(
                            above.operation().text(), above.name(), Unit.of(above.value()), Numbers.of(above.value()));
                case Line.Term.Factor factor ->
                    new TermAnswer(factor.operation().text(), factor.name(), null, factor.value());
            };
        }
    }

    static ExplanationAnswer of(Line line) {
        Quantity result = line.result();
        return new ExplanationAnswer(
                line.about(),
                line.name(),
                line.formula(),
                line.words(),
                line.terms().stream().map(TermAnswer::of).toList(),
                Unit.of(result),
                Numbers.of(result),
                line.rounded().map(Numbers::of).orElse(null),
                16 << AddingUp.INCHES.indexOf(AddingUp.of(line, AddingUp.INCHES)),
                AddingUp.MILLIMETRES.indexOf(AddingUp.of(line, AddingUp.MILLIMETRES)));
    }
}
