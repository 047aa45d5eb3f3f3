package lobrik.layout;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lobrik.fault.Fault;
import lobrik.fault.Refused;
import lobrik.feature.FeatureId;
import lobrik.measure.Quantity;

/** What the other method gives for the same bend (handbook 4): the product always shows both. */
public sealed interface Comparison {

    /** The other method. */
    Method method();

    /**
     * It can be laid out by the other method, too.
     *
     * @param differences of the finished piece, for every feature of which the methods predict something else
     */
    record Both(Layout layout, List<Difference> differences) implements Comparison {
        @Override
        public Method method() {
            return layout.job().school().method();
        }
    }

    /** It cannot be laid out by the other method. */
    record Impossible(Method method, Fault fault) implements Comparison {}

    /**
     * A feature of which the methods predict different sizes.
     *
     * @param difference what the other method predicts less what this one predicts
     */
    record Difference(FeatureId id, Quantity predictedByOther, Quantity difference) {}

    /** Compares a layout with the other method's; empty for nineties, where take-up and gain are exact. */
    static Optional<Comparison> of(Layout layout) {
        if (layout.job().bend().kind().isExactByTheChart()) {
            return Optional.empty();
        }
        Method other = layout.job().school().method() == Method.CHART ? Method.EXACT : Method.CHART;
        try {
            return Optional.of(between(layout, Layout.of(layout.job().by(other))));
        } catch (Refused impossible) {
            return Optional.of(new Impossible(other, impossible.faults().getFirst()));
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
        return new Both(other, List.copyOf(differences));
    }
}
