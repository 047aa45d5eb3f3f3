package lobrik.reading;

import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.measure.Percentage;
import lobrik.measure.Quantity;

/** What was typed for a feature, as the quantity that it stands for. */
public final class ReadingText {

    private static final String OVER = " over ";
    private static final String OF = " of ";

    private ReadingText() {}

    /**
     * Reads it. Lengths and angles are written as {@link Length#parse} and {@link Angle#parse} say; a tail lift may have a
     * minus; a dog leg may also be given as a gap over a span, {@code 1/4 over 24}, and a flattening as the least width of the
     * diameter, {@code 0.79 of 0.84}.
     *
     * @param bare the unit of a length that names none
     * @throws lobrik.measure.RefusedText with position, reason and, where there is one, what was probably meant
     * @throws lobrik.fault.Refused for a gap that is wider than its span, or a width than its diameter
     */
    public static Quantity read(FeatureId feature, String text, LengthUnit bare) {
        return switch (feature.measured()) {
            case LENGTH -> feature.isSigned() ? Length.parseSigned(text, bare) : Length.parse(text, bare);
            case ANGLE -> {
                int over = FeatureId.DOG_LEG.equals(feature) ? text.indexOf(OVER) : -1;
                yield over < 0
                        ? Angle.parse(text)
                        : gapOverSpan(text, over, bare).angle();
            }
            case PERCENTAGE -> {
                int of = text.indexOf(OF);
                yield of < 0
                        ? Percentage.parse(text)
                        : new LeastWidth(
                                        Length.parse(text.substring(0, of), bare),
                                        Length.parse(text.substring(of + OF.length()), bare))
                                .flattening();
            }
        };
    }

    private static GapOverSpan gapOverSpan(String text, int over, LengthUnit bare) {
        return new GapOverSpan(
                Length.parse(text.substring(0, over), bare), Length.parse(text.substring(over + OVER.length()), bare));
    }
}
