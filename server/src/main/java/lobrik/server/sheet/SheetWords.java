package lobrik.server.sheet;

import java.math.BigDecimal;
import java.util.stream.Stream;
import lobrik.derivation.AddingUp;
import lobrik.derivation.Line;
import lobrik.derivation.Operation;
import lobrik.layout.BackDatum;
import lobrik.layout.BendingStep;
import lobrik.layout.Layout;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.measure.Percentage;
import lobrik.measure.Quantity;
import lobrik.measure.TapeDivision;

/** Sums and steps as an answer sheet says them, each in a line. */
record SheetWords(SheetContent sheet) {

    private Layout layout() {
        return sheet.question().layout();
    }

    /** As a teacher writes it: what stands on the card first, then the sum, in figures that add up. */
    String sum(Line each) {
        TapeDivision division =
                AddingUp.of(each, sheet.unit() == LengthUnit.MILLIMETRE ? AddingUp.MILLIMETRES : AddingUp.INCHES);
        String gives = " = " + written(each.result(), division);
        if (!gives.endsWith(" " + sheet.onTape(each.result()))) {
            gives += ", on the tape " + sheet.onTape(each.result());
        }
        if (each.terms().size() == 2
                && each.terms().getFirst() instanceof Line.Term.Of of
                && each.terms().getLast() instanceof Line.Term.Factor factor
                && factor.operation() == Operation.TIMES) {
            String times = decimal(factor.value());
            return each.name() + " = " + factor.name() + ": " + times + "; " + times + " × "
                    + written(of.value(), division) + gives;
        }
        StringBuilder sum = new StringBuilder(each.name()).append(" =");
        for (Line.Term term : each.terms()) {
            String figure = switch (term) {
                case Line.Term.Of of -> written(of.value(), division);
                case Line.Term.Above above -> written(above.value(), division);
                case Line.Term.Factor factor -> factor.name().isEmpty() ? "" : decimal(factor.value());
            };
            Stream.of(term.operation().text(), term.name(), figure)
                    .filter(part -> !part.isEmpty())
                    .forEach(part -> sum.append(' ').append(part));
        }
        return sum + gives;
    }

    private static String written(Quantity quantity, TapeDivision division) {
        return switch (quantity) {
            case Length length -> division.text(length);
            case Angle angle -> angle.text();
            case Percentage part -> part.text();
        };
    }

    private static String decimal(double value) {
        return BigDecimal.valueOf(Math.round(value * 1e4) / 1e4)
                .stripTrailingZeros()
                .toPlainString();
    }

    /** Where a mark is measured from, where that is no end. */
    static String fromBack(BackDatum back) {
        return " from the back of bend " + back.bend();
    }

    /** One bend in a line. */
    String step(int number, BendingStep step) {
        return number + ". ring " + step.mark().number()
                + step.mark()
                        .back()
                        .map(back -> " (" + sheet.onTape(back.figure()) + fromBack(back) + ")")
                        .orElse("")
                + ", "
                + layout().job().tooling().words(step.mark().placing()) + ", " + howFar(step);
    }

    /** How far to go, as the tool is told it. */
    private String howFar(BendingStep step) {
        return switch (step.by()) {
            case BendingStep.By.Line _ -> "to " + step.lever().text();
            case BendingStep.By.Ram ram ->
                "to " + step.lever().text() + " under load"
                        + ram.travel()
                                .map(out -> ", ram out " + sheet.onTape(out))
                                .orElse("");
            case BendingStep.By.Heat heat ->
                "warm " + sheet.onTape(heat.from()) + " to " + sheet.onTape(heat.to()) + ", bend to "
                        + step.rest().text();
        };
    }
}
