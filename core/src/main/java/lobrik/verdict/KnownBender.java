package lobrik.verdict;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.measure.Percentage;
import lobrik.measure.Quantity;

/**
 * What a bender is known to add, whoever bends on it, besides the figures that marks are worked out with: by the class's own
 * pieces or by test bends.
 *
 * @param name as people at the bench call it
 * @param effects by what they show in; empty where the bender is like the others, or not known
 */
public record KnownBender(String name, Map<DeviationKind, Effect> effects) {

    /** A bender of which nothing is known. */
    public static final KnownBender NONE = new KnownBender("", Map.of());

    /**
     * How much it adds.
     *
     * @param error standard error of that, 0 or more
     */
    public record Effect(Quantity off, Quantity error) {}

    public KnownBender {
        effects = Map.copyOf(effects);
    }

    /** Whether anything is known that it adds. */
    public boolean addsAnything() {
        return !effects.isEmpty();
    }

    /** What it adds to a feature of this kind; empty where nothing is known of that. */
    public Optional<Quantity> adds(FeatureId feature) {
        return DeviationKind.of(feature).map(effects::get).map(Effect::off);
    }

    /** As a sentence without its full stop: {@code Bender 7 adds 1/4 in to legs and bends 2° too far}. */
    public String words(LengthUnit unit) {
        List<String> parts = new ArrayList<>();
        new EnumMap<>(effects).forEach((kind, effect) -> parts.add(words(kind, effect.off(), unit)));
        int last = parts.size() - 1;
        String said =
                last == 0 ? parts.getFirst() : String.join(", ", parts.subList(0, last)) + " and " + parts.get(last);
        return name + " " + said;
    }

    private static String words(DeviationKind kind, Quantity off, LengthUnit unit) {
        boolean less = off.count() < 0;
        String amount = switch (off.withCount(Math.abs(off.count()))) {
            case Length length -> length.inWords(unit);
            case Angle angle -> angle.text();
            case Percentage part -> part.text();
        };
        return switch (kind) {
            case ANGLES -> "bends " + amount + (less ? " short" : " too far");
            case LEGS -> less ? "takes " + amount + " off legs" : "adds " + amount + " to legs";
            case RISES -> less ? "takes " + amount + " off rises" : "adds " + amount + " to rises";
            case PLACES -> "lands its rings " + amount + (less ? " too near" : " too far out");
        };
    }
}
