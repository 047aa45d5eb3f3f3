package lobrik.layout;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lobrik.bend.BendKind;
import lobrik.fault.Refused;
import lobrik.measure.Quantity;
import lobrik.shape.FeatureId;

/**
 * What the other method gives for the same bend (handbook 4): the product always shows both.
 *
 * @param layout by the other method
 * @param differences of the finished piece, for every feature of which they predict something else
 */
public record Comparison(Layout layout, List<Difference> differences) {

    /**
     * A feature of which the methods predict different sizes.
     *
     * @param difference what the other method predicts less what this one predicts
     */
    public record Difference(FeatureId id, Quantity predictedByOther, Quantity difference) {}

    /** Empty for nineties, where take-up and gain are exact, and where the other method cannot lay the bend out. */
    static Optional<Comparison> of(Layout layout) {
        BendKind kind = layout.job().bend().kind();
        if (kind == BendKind.STUB_90 || kind == BendKind.BACK_TO_BACK_90) {
            return Optional.empty();
        }
        Method other = layout.job().school().method() == Method.CHART ? Method.EXACT : Method.CHART;
        try {
            return Optional.of(between(layout, Layout.of(layout.job().by(other))));
        } catch (Refused impossibleByTheOther) {
            return Optional.empty();
        }
    }

    private static Comparison between(Layout one, Layout other) {
        List<Difference> differences = new ArrayList<>();
        for (int i = 0; i < one.features().size(); i++) {
            Quantity here = one.features().get(i).predicted();
            Quantity there = other.features().get(i).predicted();
            if (here.count() != there.count()) {
                differences.add(new Difference(one.features().get(i).id(), there, there.minus(here)));
            }
        }
        return new Comparison(other, List.copyOf(differences));
    }
}
