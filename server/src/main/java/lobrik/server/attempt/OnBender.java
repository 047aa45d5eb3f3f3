package lobrik.server.attempt;

import java.util.EnumMap;
import java.util.HashMap;
import java.util.Map;
import java.util.stream.Stream;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Quantity;
import lobrik.verdict.DeviationKind;
import lobrik.verdict.KnownBender;

/**
 * What was known of the bender when a piece was begun on it, frozen with the attempt: what is learnt later changes no points.
 *
 * @param name of the bender
 * @param effects by the id of what they show in
 * @param leftOut whether points leave it out: then readings are held to what the right piece comes to on this bender
 */
public record OnBender(String name, Map<String, EffectFigures> effects, boolean leftOut) {

    /** What it adds and the standard error of that, in picometres or nanodegrees. */
    record EffectFigures(long off, long error) {}

    /** As it is kept. */
    public static OnBender of(KnownBender known, boolean leftOut) {
        Map<String, EffectFigures> effects = new HashMap<>();
        known.effects()
                .forEach((kind, effect) -> effects.put(
                        kind.id(),
                        new EffectFigures(effect.off().count(), effect.error().count())));
        return new OnBender(known.name(), effects, leftOut);
    }

    /** As the core knows it. */
    public KnownBender toCore() {
        Map<DeviationKind, KnownBender.Effect> known = new EnumMap<>(DeviationKind.class);
        Stream.of(DeviationKind.values()).forEach(kind -> {
            EffectFigures figures = effects.get(kind.id());
            if (figures != null) {
                known.put(kind, new KnownBender.Effect(quantity(kind, figures.off()), quantity(kind, figures.error())));
            }
        });
        return new KnownBender(name, known);
    }

    private static Quantity quantity(DeviationKind kind, long count) {
        return switch (kind) {
            case ANGLES -> new Angle(count);
            case LEGS, RISES, PLACES -> new Length(count);
        };
    }
}
