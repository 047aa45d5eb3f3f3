package lobrik.wire;

import java.util.List;
import lobrik.fault.Cure;
import lobrik.fault.Fault;
import lobrik.measure.Quantity;
import org.jspecify.annotations.Nullable;

/**
 * What is wrong or should be thought about.
 *
 * @param message reason and cures in one sentence
 * @param pointer the input it concerns
 * @param reason without the cures
 * @param figures that it rests on
 * @param cures each alone takes it away
 */
public record FaultAnswer(
        String code,
        String message,
        String pointer,
        String reason,
        List<FigureAnswer> figures,
        List<CureAnswer> cures) {

    /** A named figure. */
    public record FigureAnswer(String name, Unit unit, double value) {}

    /** What to change: an input's size, in its unit, or which of its options to choose; or advice in words. */
    public record CureAnswer(
            String pointer,
            String text,
            @Nullable Unit unit,
            @Nullable Double value,
            @Nullable String option) {

        public static CureAnswer of(Cure cure) {
            String pointer = "/" + cure.input();
            return switch (cure) {
                case Cure.Size size ->
                    new CureAnswer(pointer, size.text(), Unit.of(size.value()), Numbers.of(size.value()), null);
                case Cure.Choice choice -> new CureAnswer(pointer, choice.text(), null, null, choice.option());
                case Cure.Advice advice -> new CureAnswer(pointer, advice.text(), null, null, null);
            };
        }
    }

    /** A fault as the interface writes it. */
    public static FaultAnswer of(Fault fault) {
        return new FaultAnswer(
                fault.code().id(),
                fault.message(),
                "/" + fault.input(),
                fault.reason(),
                fault.figures().stream()
                        .map(figure -> figure(figure.name(), figure.value()))
                        .toList(),
                fault.cures().stream().map(CureAnswer::of).toList());
    }

    private static FigureAnswer figure(String name, Quantity value) {
        return new FigureAnswer(name, Unit.of(value), Numbers.of(value));
    }
}
