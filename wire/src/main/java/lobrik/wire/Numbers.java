package lobrik.wire;

import lobrik.feature.FeatureId;
import lobrik.measure.Quantity;

/** Between the core's quantities and the plain numbers of the interface: inches for lengths, degrees for angles. */
public final class Numbers {

    private Numbers() {}

    /** A quantity as a number in the interface's unit. */
    public static double of(Quantity quantity) {
        return quantity.number();
    }

    /** A number in the interface's unit as the quantity that a feature is measured in. */
    public static Quantity of(FeatureId feature, double number) {
        return feature.measured().of(number);
    }
}
