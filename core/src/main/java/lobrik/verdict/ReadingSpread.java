package lobrik.verdict;

import java.util.Map;
import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Percentage;
import lobrik.measure.Quantity;
import lobrik.measure.QuantityKind;

/**
 * How far readings of the same thing lie apart: standard deviation of a reading. What is usual of a tape and a level, unless a school has
 * found out of its own people and instruments.
 *
 * @param length of a tape's reading, more than 0
 * @param angle of a level's, more than 0
 * @param studied what is known better of single features, each more than 0
 */
public record ReadingSpread(Length length, Angle angle, Map<FeatureId, Quantity> studied) {

    /** What a tape and a level read to (handbook 7). */
    public static final ReadingSpread USUAL = new ReadingSpread(Length.ofFraction(0, 1, 32), Angle.ofDegrees(0.5));

    /** How round a bend stays that nothing went wrong with, besides what a caliper reads to. */
    private static final Percentage USUAL_FLATTENING = Percentage.of(2.5);

    /** No reading is taken to be surer than this part of what is usual, however well a study of it went. */
    private static final int SUREST_PART = 10;

    public ReadingSpread {
        studied = Map.copyOf(studied);
    }

    /** The same of all lengths, and of all angles. */
    public ReadingSpread(Length length, Angle angle) {
        this(length, angle, Map.of());
    }

    /** The usual one, but for what is known better. */
    public static ReadingSpread known(Map<FeatureId, Quantity> studied) {
        return new ReadingSpread(USUAL.length, USUAL.angle, studied);
    }

    /** A spread that a study found, as far as it is believed: no reading is surer than a tenth of what is usual. */
    public static Quantity believed(Quantity found, QuantityKind measured) {
        long least = USUAL.of(measured).count() / SUREST_PART;
        return found.count() < least ? found.withCount(least) : found;
    }

    /** Of a feature. */
    public Quantity of(FeatureId feature) {
        Quantity known = studied.get(feature);
        return known != null ? known : of(feature.measured());
    }

    /** Of what nothing is known better. */
    public Quantity of(QuantityKind measured) {
        return switch (measured) {
            case LENGTH -> length;
            case ANGLE -> angle;
            case PERCENTAGE -> USUAL_FLATTENING;
        };
    }
}
