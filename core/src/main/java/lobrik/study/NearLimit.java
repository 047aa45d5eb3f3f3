package lobrik.study;

import java.util.List;
import java.util.Optional;
import lobrik.assessment.Assessment.Assessed;
import lobrik.feature.FeatureId;
import lobrik.measure.LengthUnit;
import lobrik.measure.Quantity;
import lobrik.verdict.ReadingSpread;
import org.hipparchus.distribution.continuous.NormalDistribution;

/**
 * A reading so near to its limit that the piece may well be on the other side of it: the verdict stands, and whoever gives it should read
 * again.
 *
 * @param isInside whether the reading is within its tolerance
 * @param apart from the limit, 0 or more
 * @param otherwise chance that the piece is on the other side, from how far readings of one thing lie apart
 */
public record NearLimit(FeatureId feature, boolean isInside, Quantity apart, double otherwise) {

    /** What is less likely than this is told of nobody. */
    private static final double WORTH_TELLING = 0.1;

    private static final NormalDistribution NORMAL = new NormalDistribution();

    /** Of what was read and judged; marks and what is looked at are left out. */
    public static List<NearLimit> among(List<Assessed> features, ReadingSpread spread) {
        return features.stream()
                .filter(each -> each.id().isOfFinishedPiece())
                .flatMap(each -> each
                        .judged()
                        .flatMap(judged -> of(
                                each.id(), judged.deviation(), each.tolerance().on(judged.deviation()), spread))
                        .stream())
                .toList();
    }

    /** To whoever gives the verdict: {@code The rise reads 1/32 in inside its limit; of pieces that read so, 1 in 6 lies outside. …} */
    public String sentence(LengthUnit unit) {
        String name = feature.words();
        String capital = Character.toUpperCase(name.charAt(0)) + name.substring(1);
        String place = apart.count() == 0
                ? "exactly on its limit"
                : StudyWords.finely(apart, unit) + (isInside ? " inside its limit" : " beyond its limit");
        return capital + " reads " + place + "; of pieces that read so, about 1 in " + Math.round(1 / otherwise)
                + " lies " + (isInside ? "outside" : "inside") + ". Read it again before you go by it.";
    }

    /**
     * A reading that is near to its limit.
     *
     * @param limit to the side that it deviates to
     */
    static Optional<NearLimit> of(FeatureId feature, Quantity deviation, Quantity limit, ReadingSpread spread) {
        long inside = limit.count() - Math.abs(deviation.count());
        Quantity apart = deviation.withCount(Math.abs(inside));
        double otherwise = NORMAL.cumulativeProbability(
                -apart.number() / spread.of(feature).number());
        return otherwise < WORTH_TELLING
                ? Optional.empty()
                : Optional.of(new NearLimit(feature, inside >= 0, apart, otherwise));
    }
}
