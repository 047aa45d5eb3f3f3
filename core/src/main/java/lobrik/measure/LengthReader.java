package lobrik.measure;

import java.math.BigDecimal;
import java.math.RoundingMode;
import lobrik.measure.RefusedText.Reason;

/**
 * Reads a length: {@code [feet] [inches]} or one metric quantity. See {@link Length#parse} for the grammar by example.
 */
final class LengthReader extends QuantityReader {

    private static final BigDecimal PER_INCH = BigDecimal.valueOf(Length.PICOMETRES_PER_INCH);
    private static final BigDecimal PER_MILLIMETRE = BigDecimal.valueOf(Length.PICOMETRES_PER_MILLIMETRE);
    private static final BigDecimal TWELVE = BigDecimal.valueOf(12);

    private enum Written {
        BARE,
        FEET,
        INCHES,
        MILLIMETRES,
        CENTIMETRES,
        METRES
    }

    private final LengthUnit bare;

    LengthReader(String text, LengthUnit bare) {
        super(text);
        this.bare = bare;
    }

    @Override
    String noun() {
        return "length";
    }

    @Override
    String examples() {
        return "14 3/8, 14.375, 1' 2 3/8\" or 365 mm";
    }

    Length read() {
        Figures first = figures();
        Written unit = unit();
        BigDecimal picometres = switch (unit) {
            case FEET -> feetAndInches(first);
            case INCHES -> first.value().multiply(PER_INCH);
            case MILLIMETRES -> metric(first, 1);
            case CENTIMETRES -> metric(first, 10);
            case METRES -> metric(first, 1000);
            case BARE ->
                first.fractional() || bare == LengthUnit.INCH ? first.value().multiply(PER_INCH) : metric(first, 1);
        };
        requireEnd();
        if (picometres.compareTo(BigDecimal.valueOf(Length.LONGEST_ENTRY.picometres())) > 0) {
            throw refuse(Reason.TOO_LARGE, first.start(), "more than 40 ft");
        }
        return new Length(picometres.setScale(0, RoundingMode.HALF_UP).longValueExact());
    }

    private BigDecimal feetAndInches(Figures feet) {
        BigDecimal feetInInches = feet.value().multiply(TWELVE);
        skipSpaces();
        if (isMinus(peek())) {
            at++;
            skipSpaces();
        }
        if (atEnd()) {
            return feetInInches.multiply(PER_INCH);
        }
        if (!feet.whole()) {
            throw refuse(Reason.TRAILING, at, "inches can follow whole feet only");
        }
        Figures inches = figures();
        Written unit = unit();
        if (unit != Written.INCHES && unit != Written.BARE) {
            throw refuse(Reason.TRAILING, inches.start(), "only inches can follow feet");
        }
        if (inches.value().compareTo(TWELVE) >= 0) {
            throw inchesOverAFoot(feet, inches);
        }
        return feetInInches.add(inches.value()).multiply(PER_INCH);
    }

    private RefusedText inchesOverAFoot(Figures feet, Figures inches) {
        BigDecimal[] split = inches.value().divideAndRemainder(TWELVE);
        String suggestion = "";
        if (split[0].compareTo(BigDecimal.valueOf(40)) < 0) {
            Length rest = new Length(split[1].multiply(PER_INCH)
                    .setScale(0, RoundingMode.HALF_UP)
                    .longValueExact());
            suggestion = feet.value().add(split[0]).toBigInteger() + "' " + TapeDivision.SIXTEENTH.text(rest) + "\"";
        }
        return new RefusedText(
                Reason.INCHES_OVER_A_FOOT, inches.start(), "the inches after feet stay below 12", suggestion);
    }

    private BigDecimal metric(Figures figures, int millimetres) {
        if (figures.fractional()) {
            throw refuse(
                    Reason.FRACTION_OF_METRIC,
                    figures.start(),
                    "a fraction is in inches; write millimetres as decimals");
        }
        return figures.value().multiply(BigDecimal.valueOf(millimetres)).multiply(PER_MILLIMETRE);
    }

    private Written unit() {
        if (word("feet", "foot", "ft", "′", "’", "'")) {
            // Two single quotes are how some keyboards write the inch sign.
            if (word("'", "′", "’")) {
                return Written.INCHES;
            }
            return Written.FEET;
        }
        if (word("inches", "inch", "in", "″", "”", "\"")) {
            return Written.INCHES;
        }
        if (word("mm")) {
            return Written.MILLIMETRES;
        }
        if (word("cm")) {
            return Written.CENTIMETRES;
        }
        if (word("m")) {
            return Written.METRES;
        }
        return Written.BARE;
    }
}
