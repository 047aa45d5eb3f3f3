package lobrik.verdict;

import java.util.List;
import lobrik.feature.FeatureId;
import lobrik.layout.Layout;
import lobrik.layout.PlannedFeature;
import lobrik.measure.Quantity;

/**
 * How far the set method itself misses what is asked of a dimension: the right piece less what is asked (handbook 7). It is
 * nobody's fault, so it is pointed out before anything is given out.
 *
 * @param tolerance that a reading of it has
 */
public record MethodShare(FeatureId feature, Quantity asked, Quantity right, Tolerance tolerance) {

    /** How much that matters. */
    public enum Grade {
        /** At most half a tolerance. */
        SLIGHT,
        /** More than half a tolerance. */
        NOTICEABLE,
        /** More than a whole one: nobody who works rightly can meet what is asked. */
        BEYOND
    }

    /** The shares of all finished dimensions, in their order. A mark only tells how a dimension comes about. */
    public static List<MethodShare> of(Layout layout, Tolerances tolerances) {
        return layout.features().stream()
                .filter(feature -> feature.id().isOfFinishedPiece())
                .map(feature -> of(layout, feature, tolerances))
                .toList();
    }

    private static MethodShare of(Layout layout, PlannedFeature feature, Tolerances tolerances) {
        return new MethodShare(
                feature.id(),
                feature.asked(),
                feature.right(),
                tolerances.of(layout.job().bend().kind(), feature.id()));
    }

    /** The right piece less what is asked. */
    public Quantity miss() {
        return right.minus(asked);
    }

    public Grade grade() {
        return grade(miss(), tolerance);
    }

    static Grade grade(Quantity miss, Tolerance tolerance) {
        return switch (Judged.Band.of(miss, tolerance)) {
            case CLOSE -> Grade.SLIGHT;
            case WITHIN -> Grade.NOTICEABLE;
            case OUTSIDE -> Grade.BEYOND;
        };
    }
}
