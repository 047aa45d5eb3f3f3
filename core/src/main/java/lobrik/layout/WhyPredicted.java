package lobrik.layout;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import lobrik.derivation.Line;
import lobrik.derivation.Sum;
import lobrik.fault.Refused;
import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Percentage;
import lobrik.measure.Quantity;
import lobrik.shape.BendMade;
import lobrik.shape.Feature;
import lobrik.shape.Features;
import lobrik.shape.Piece;

/**
 * Explains why a finished dimension comes out other than it was asked: what the method's own rounding does to it, and what
 * rounding the marks to lines of the tape does. Both parts come from simulating the piece, once with the marks before
 * rounding and once with those on the tape, so they add up to the whole difference.
 */
final class WhyPredicted {

    private WhyPredicted() {}

    static List<Line> of(Layout layout) {
        Map<FeatureId, Quantity> unrounded = unrounded(layout);
        List<Line> explanations = new ArrayList<>();
        for (PlannedFeature feature : layout.features()) {
            Quantity exactMarks = unrounded.get(feature.id());
            if (exactMarks != null && feature.id().isOfFinishedPiece()) {
                explanations.add(one(feature, exactMarks));
            }
        }
        return List.copyOf(explanations);
    }

    private static Map<FeatureId, Quantity> unrounded(Layout layout) {
        Plan plan = Layout.plan(layout.job());
        List<BendMade> bends = plan.marks().stream().map(Mark::asMarked).toList();
        Map<FeatureId, Quantity> values = new TreeMap<>();
        try {
            Length length = plan.cutLength().orElse(layout.predicted().length());
            Piece piece = Piece.simulate(layout.job().tooling(), length, bends);
            for (Feature feature : Features.of(layout.job().bend(), piece)) {
                values.put(feature.id(), feature.value());
            }
        } catch (Refused onlyRoundedMarksFit) {
            // An arc that ends at the far face by a hair: there is nothing to compare with.
            return Map.of();
        }
        return values;
    }

    private static Line one(PlannedFeature feature, Quantity exactMarks) {
        Quantity asked = feature.asked();
        Quantity byMethod = difference(exactMarks, asked);
        Quantity byRounding = difference(feature.predicted(), exactMarks);
        String words = isNothing(byMethod) && isNothing(byRounding)
                ? "The piece was bent in the computer from these marks, on this bender's radius. It comes out as asked."
                : "The piece was bent in the computer from these marks, on this bender's radius. What differs comes from"
                        + " the method's rounded figures and from marking on a line of the tape.";
        Sum sum = Sum.of("asked", asked).plus("from the method", byMethod).plus("from rounding the marks", byRounding);
        return new Line(
                "predicted/" + feature.id().id(),
                "what comes out",
                "arc-step",
                words,
                sum.terms(),
                feature.predicted(),
                Optional.empty());
    }

    private static boolean isNothing(Quantity quantity) {
        // A thousandth of an inch or of a degree is nobody's concern.
        return switch (quantity) {
            case Length length -> Math.abs(length.inches()) < 1e-3;
            case Angle angle -> Math.abs(angle.degrees()) < 1e-3;
            case Percentage part -> Math.abs(part.perCent()) < 1e-3;
        };
    }

    private static Quantity difference(Quantity one, Quantity other) {
        return one.withCount(one.count() - other.count());
    }
}
