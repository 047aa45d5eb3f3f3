package lobrik.wire;

import lobrik.feature.FeatureId;
import lobrik.measure.Quantity;
import lobrik.measure.QuantityKind;

/** Between the core's quantities and the plain numbers of the interface: inches for lengths, degrees for angles, per cent. */
public final class Numbers {

    private Numbers() {}

    /** A quantity as a number in the interface's unit. */
    public static double of(Quantity quantity) {
        return quantity.number();
    }

    /**
     * A number in the interface's unit as the quantity that a feature is measured in.
     *
     * @throws IllegalArgumentException for what cannot be of that feature, with value and limits
     */
    public static Quantity of(FeatureId feature, double number) {
        if (feature.measured() == QuantityKind.PERCENTAGE && !(number >= 0 && number <= 100)) {
            throw new IllegalArgumentException(feature.words() + " is " + number
                    + " %; it is from 0 to 100: one less the least width over the diameter, times 100");
        }
        return feature.measured().of(number);
    }
}
