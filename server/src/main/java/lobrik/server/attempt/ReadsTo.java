package lobrik.server.attempt;

import java.util.HashMap;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Predicate;
import lobrik.feature.FeatureId;
import lobrik.feature.FeatureKind;
import lobrik.measure.Quantity;
import lobrik.verdict.ReadingSpread;

/**
 * What a school's readings are known to spread by, frozen with the attempt: standard deviations in picometres, nanodegrees or billionths of
 * one per cent, by the id of the kind of feature. What is in neither is as usual.
 *
 * @param byHand of tape, level and caliper
 * @param byGauge of gauges
 */
public record ReadsTo(Map<String, Long> byHand, Map<String, Long> byGauge) {

    public static final ReadsTo USUAL = new ReadsTo(Map.of(), Map.of());

    /** In an order that does not change, as it is kept and compared as text. */
    public ReadsTo {
        byHand = new TreeMap<>(byHand);
        byGauge = new TreeMap<>(byGauge);
    }

    /** The same with what was found of one instrument instead of what was known of that before. */
    public ReadsTo with(boolean gauge, Map<String, Long> found) {
        Map<String, Long> more = new HashMap<>(gauge ? byGauge : byHand);
        more.putAll(found);
        return gauge ? new ReadsTo(byHand, more) : new ReadsTo(more, byGauge);
    }

    public boolean isUsual() {
        return byHand.isEmpty() && byGauge.isEmpty();
    }

    /**
     * As the core knows it.
     *
     * @param read what was read
     * @param byGauge which of that a gauge read
     */
    ReadingSpread toCore(Iterable<FeatureId> read, Predicate<FeatureId> byGauge) {
        Map<FeatureId, Quantity> studied = new HashMap<>();
        for (FeatureId feature : read) {
            FeatureKind kind = feature.kind();
            Long known = (byGauge.test(feature) ? this.byGauge : byHand).get(kind.id());
            if (known != null) {
                studied.put(feature, feature.measured().ofCount(known));
            }
        }
        return ReadingSpread.known(studied);
    }
}
