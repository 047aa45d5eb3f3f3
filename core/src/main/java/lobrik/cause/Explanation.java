package lobrik.cause;

import java.util.List;
import java.util.Map;
import lobrik.feature.FeatureId;

/**
 * What may have happened to a piece: one thing, two things together, nothing, or something that no hypothesis knows.
 *
 * @param causes one or two of them
 * @param probability that it was this and nothing else; those of all explanations add up to 1
 * @param predicted what it would read for everything that was read, inches or degrees; empty where that is unknown
 * @param unread what it would read for what was not read yet
 */
public record Explanation(
        List<Cause> causes, double probability, Map<FeatureId, Double> predicted, Map<FeatureId, Double> unread) {

    /** The first of its causes. */
    public Cause leading() {
        return causes.getFirst();
    }
}
