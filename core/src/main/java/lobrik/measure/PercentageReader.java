package lobrik.measure;

import java.math.BigDecimal;
import java.math.RoundingMode;
import lobrik.measure.RefusedText.Reason;

/** Reads a percentage. See {@link Percentage#parse}. */
final class PercentageReader extends QuantityReader {

    private static final BigDecimal ALL = BigDecimal.valueOf(100);

    PercentageReader(String text) {
        super(text);
    }

    @Override
    String noun() {
        return "percentage";
    }

    @Override
    String examples() {
        return "4, 4.5 or 4 %";
    }

    Percentage read() {
        Figures figures = figures();
        word("%", "per cent", "percent");
        requireEnd();
        if (figures.value().compareTo(ALL) > 0) {
            throw refuse(
                    Reason.TOO_LARGE,
                    figures.start(),
                    figures.value().stripTrailingZeros().toPlainString()
                            + " % is more than there is; give from 0 to 100, read off the caliper again");
        }
        return new Percentage(figures.value()
                .multiply(BigDecimal.valueOf(Percentage.BILLIONTHS_PER_CENT))
                .setScale(0, RoundingMode.HALF_UP)
                .longValueExact());
    }
}
