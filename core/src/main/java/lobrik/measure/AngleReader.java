package lobrik.measure;

import java.math.BigDecimal;
import java.math.RoundingMode;
import lobrik.measure.RefusedText.Reason;

/** Reads an angle in degrees. See {@link Angle#parse}. */
final class AngleReader extends QuantityReader {

    private static final BigDecimal LARGEST_DEGREES = BigDecimal.valueOf(360);

    AngleReader(String text) {
        super(text);
    }

    @Override
    String noun() {
        return "angle";
    }

    @Override
    String examples() {
        return "22.5, 22 1/2 or 90°";
    }

    Angle read() {
        Figures figures = figures();
        boolean signed = word("°", "degrees", "degree", "deg");
        requireEnd();
        if (figures.value().compareTo(LARGEST_DEGREES) > 0) {
            throw refuse(Reason.TOO_LARGE, figures.start(), "more than 360" + (signed ? "°" : " degrees"));
        }
        return new Angle(figures.value()
                .multiply(BigDecimal.valueOf(Angle.NANODEGREES_PER_DEGREE))
                .setScale(0, RoundingMode.HALF_UP)
                .longValueExact());
    }
}
