package lobrik.verdict;

import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiConsumer;
import lobrik.feature.FeatureId;
import lobrik.feature.FeatureKind;

/**
 * What a set of tolerances says of some features: of all of a kind, such as every mark however many there are, or of one.
 *
 * @param ofKind of all of a kind
 * @param ofOne of one alone; goes before what is said of its kind
 */
public record PerFeature<T>(Map<FeatureKind, T> ofKind, Map<FeatureId, T> ofOne) {

    public PerFeature {
        Map<FeatureKind, T> kinds = new EnumMap<>(FeatureKind.class);
        kinds.putAll(ofKind);
        ofKind = Collections.unmodifiableMap(kinds);
        ofOne = FeatureId.inOrder(ofOne);
    }

    /** Nothing said of any. */
    public static <T> PerFeature<T> none() {
        return new PerFeature<>(Map.of(), Map.of());
    }

    /** Said of single features. */
    public static <T> PerFeature<T> of(Map<FeatureId, T> ofOne) {
        return new PerFeature<>(Map.of(), ofOne);
    }

    /** What is said of a feature, if anything is. */
    public Optional<T> of(FeatureId feature) {
        return Optional.ofNullable(ofOne.get(feature)).or(() -> Optional.ofNullable(ofKind.get(feature.kind())));
    }

    /** Everything said, with the id of the feature or of the kind: {@code mark2}, {@code mark}. */
    void forEach(BiConsumer<String, T> each) {
        ofKind.forEach((kind, value) -> each.accept(kind.id(), value));
        ofOne.forEach((feature, value) -> each.accept(feature.id(), value));
    }
}
