package lobrik.wire;

import java.util.List;
import java.util.Objects;
import lobrik.exercise.InputRange;
import lobrik.exercise.Variants;
import lobrik.layout.Layout;

/** A variant: the bend that replaces the exercise's own, laid out, and how hard it is. */
public record DealtVariant(BendInput bend, Layout layout, double hardness) {

    /**
     * Deals variants of a definition, bench after bench.
     *
     * @throws lobrik.fault.Refused if it is bad or impossible, or if there are too few variants
     */
    public static List<DealtVariant> deal(LayoutRequest request, VariationInput variation, int count) {
        Translation translation = new Translation();
        Translation.LayoutQuestion question = translation.layoutQuestion(request);
        List<InputRange> ranges = VariationTranslation.ranges(translation, variation);
        BendInput base = Objects.requireNonNull(request.bend());
        return Variants.deal(question.job(), question.obstacleOf(), ranges, variation.seed(), count).stream()
                .map(variant -> new DealtVariant(
                        VariationTranslation.varied(base, variant, ranges),
                        variant.layout(),
                        variant.hardness().points()))
                .toList();
    }
}
