package lobrik.wire;

import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Percentage;
import lobrik.measure.Quantity;
import lobrik.measure.QuantityKind;

/** What a number of the interface is in. */
public enum Unit {
    INCH("in"),
    DEGREE("deg"),
    PER_CENT("percent");

    private final String id;

    Unit(String id) {
        this.id = id;
    }

    /** As programs see it: {@code deg}. */
    public String id() {
        return id;
    }

    /** The unit of a feature's numbers. */
    public static Unit of(FeatureId feature) {
        return of(feature.measured());
    }

    /** The unit of numbers of this kind. */
    public static Unit of(QuantityKind kind) {
        return switch (kind) {
            case LENGTH -> INCH;
            case ANGLE -> DEGREE;
            case PERCENTAGE -> PER_CENT;
        };
    }

    /** The unit of a quantity's number. */
    public static Unit of(Quantity quantity) {
        return switch (quantity) {
            case Length _ -> INCH;
            case Angle _ -> DEGREE;
            case Percentage _ -> PER_CENT;
        };
    }
}
