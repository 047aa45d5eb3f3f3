package lobrik.cause;

import java.util.Map;
import lobrik.feature.FeatureId;
import lobrik.layout.Layout;
import lobrik.measure.LengthUnit;
import lobrik.measure.Quantity;

/** What the tests of causes have found and told. */
final class Tellings {

    /** Off by nothing, at every bend. */
    static final double[] NOT = {0, 0, 0, 0};

    private Tellings() {}

    static Telling told(Layout layout, Map<FeatureId, Quantity> readings) {
        return new Telling(Diagnosis.of(Case.of(layout, readings)), LengthUnit.INCH);
    }

    static Cause first(Telling telling) {
        return telling.diagnosis().causes().getFirst();
    }
}
