package lobrik.server.shed;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import lobrik.feature.FeatureId;
import lobrik.feature.FeatureKind;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.server.platform.TurnedDown;
import lobrik.verdict.Entering;
import lobrik.verdict.InspectionPoint;
import lobrik.verdict.Judging;
import lobrik.verdict.PerFeature;
import lobrik.verdict.Rebending;
import lobrik.verdict.Scheme;
import lobrik.verdict.Tolerance;
import lobrik.verdict.TolerancePreset;
import lobrik.verdict.Tolerances;
import lobrik.verdict.Workmanship;
import org.jspecify.annotations.Nullable;

/**
 * A set of tolerances by name, as it is sent and stored.
 *
 * @param workmanship what a fault of each point costs, by the point's id; what was stored before there were such rules has
 *     none, and is judged by the usual ones
 * @param scheme how credit falls; graded where it is not said
 * @param weights of features that do not count as 1, by the id of the feature ({@code mark2}) or of all of its kind ({@code mark})
 * @param critical for features of which it is not the usual, by the same ids: whether the piece fails with them
 * @param rebending how much a piece may be bent again; the usual where it is not said
 * @param limits of features that have their own, to both sides, by the same ids
 * @param entering when a run goes into both of its fittings; the usual in sets from before that was asked
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record ToleranceFigures(
        String preset,
        double lengthIn,
        double angleDeg,
        double dogLegDeg,
        double passMark,
        @Nullable Map<String, RuleFigures> workmanship,
        @Nullable Scheme scheme,
        @Nullable Map<String, Double> weights,
        @Nullable Map<String, Boolean> critical,
        @Nullable RebendingFigures rebending,
        @Nullable Map<String, LimitFigures> limits,
        @Nullable EnteringFigures entering) {

    /** A preset as it stands. */
    public static ToleranceFigures of(TolerancePreset preset) {
        Tolerances figures = preset.tolerances();
        return new ToleranceFigures(
                preset.label(),
                figures.length().inches(),
                figures.angle().degrees(),
                figures.dogLeg().degrees(),
                figures.passMark(),
                figures(figures.workmanship()),
                Scheme.GRADED,
                Map.of(),
                Map.of(),
                RebendingFigures.of(figures.rebending()),
                Map.of(),
                EnteringFigures.of(figures.entering()));
    }

    /** The same with everything written out that is left to what is usual. */
    ToleranceFigures complete() {
        Judging judging = judging();
        Map<String, Boolean> fails = new TreeMap<>(together(critical));
        Map<String, Double> counts = new TreeMap<>(together(weights));
        for (FeatureKind kind : FeatureKind.values()) {
            fails.putIfAbsent(kind.id(), judging.isCritical(kind));
            counts.putIfAbsent(kind.id(), judging.weight(kind));
        }
        return new ToleranceFigures(
                preset,
                lengthIn,
                angleDeg,
                dogLegDeg,
                passMark,
                workmanship == null ? usualWorkmanship(preset) : workmanship,
                Objects.requireNonNullElse(scheme, Scheme.GRADED),
                counts,
                fails,
                rebending == null ? RebendingFigures.of(Rebending.USUAL) : rebending,
                together(limits),
                entering == null ? EnteringFigures.of(Entering.USUAL) : entering);
    }

    /**
     * What is said of each mark alike is said of marks: earlier builds knew four of them, and four angles, and stored what was said of
     * all as said of each.
     */
    private static <T> Map<String, T> together(@Nullable Map<String, T> byId) {
        Map<String, T> together = new TreeMap<>(byId == null ? Map.of() : byId);
        for (FeatureKind kind : FeatureKind.values()) {
            List<String> four = IntStream.rangeClosed(1, 4)
                    .mapToObj(number -> kind.id() + number)
                    .toList();
            T first = together.get(four.getFirst());
            if (first != null && four.stream().allMatch(id -> first.equals(together.get(id)))) {
                together.keySet().removeAll(four);
                together.putIfAbsent(kind.id(), first);
            }
        }
        return together;
    }

    /** The same figures under another name. */
    ToleranceFigures named(String name) {
        return new ToleranceFigures(
                name,
                lengthIn,
                angleDeg,
                dogLegDeg,
                passMark,
                workmanship,
                scheme,
                weights,
                critical,
                rebending,
                limits,
                entering);
    }

    /** The usual rules of the preset with this name; those of the site for any other name. */
    public static Map<String, RuleFigures> usualWorkmanship(String preset) {
        return figures(Stream.of(TolerancePreset.values())
                .filter(known -> known.label().equalsIgnoreCase(preset))
                .findFirst()
                .orElse(TolerancePreset.SITE)
                .tolerances()
                .workmanship());
    }

    private static Map<String, RuleFigures> figures(Workmanship workmanship) {
        Map<String, RuleFigures> figures = new TreeMap<>();
        workmanship.rules().forEach((point, rule) -> figures.put(point.id(), RuleFigures.of(rule)));
        return figures;
    }

    private Workmanship rules() {
        Map<InspectionPoint, Workmanship.Rule> rules = new EnumMap<>(InspectionPoint.class);
        Map<String, RuleFigures> figures = workmanship == null ? usualWorkmanship(preset) : workmanship;
        figures.forEach((id, rule) -> rules.put(
                InspectionPoint.withId(id)
                        .orElseThrow(() -> TurnedDown.badInput(
                                "/tolerances/workmanship", "unknown-value", "“" + id + "” is not looked over")),
                rule.toCore()));
        return new Workmanship(rules);
    }

    private Judging judging() {
        return new Judging(
                Objects.requireNonNullElse(scheme, Scheme.GRADED),
                byFeature("/tolerances/weights", weights),
                byFeature("/tolerances/critical", critical));
    }

    private PerFeature<Tolerance> ownLimits() {
        PerFeature<LimitFigures> figures = byFeature("/tolerances/limits", limits);
        Map<FeatureKind, Tolerance> ofKind = new EnumMap<>(FeatureKind.class);
        figures.ofKind().forEach((kind, limit) -> ofKind.put(kind, limit.toCore(kind.measured())));
        Map<FeatureId, Tolerance> ofOne = new TreeMap<>();
        figures.ofOne().forEach((feature, limit) -> ofOne.put(feature, limit.toCore(feature.measured())));
        return new PerFeature<>(ofKind, ofOne);
    }

    private static <T> PerFeature<T> byFeature(String pointer, @Nullable Map<String, T> byId) {
        Map<FeatureKind, T> ofKind = new EnumMap<>(FeatureKind.class);
        Map<FeatureId, T> ofOne = new TreeMap<>();
        if (byId != null) {
            byId.forEach((id, value) -> FeatureKind.withId(id)
                    .ifPresentOrElse(
                            kind -> ofKind.put(kind, value),
                            () -> ofOne.put(
                                    FeatureId.withId(id)
                                            .orElseThrow(() -> TurnedDown.badInput(
                                                    pointer, "unknown-value", "“" + id + "” is not a feature")),
                                    value)));
        }
        return new PerFeature<>(ofKind, ofOne);
    }

    /**
     * The figures as the core has them.
     *
     * @throws lobrik.fault.Refused if a figure is outside its range
     * @throws TurnedDown if a figure is no length or angle at all
     */
    public Tolerances toCore() {
        try {
            return new Tolerances(
                    Length.ofInches(lengthIn),
                    Angle.ofDegrees(angleDeg),
                    Angle.ofDegrees(dogLegDeg),
                    passMark,
                    rules(),
                    judging(),
                    rebending == null ? Rebending.USUAL : rebending.toCore(),
                    ownLimits(),
                    entering == null ? Entering.USUAL : entering.toCore());
        } catch (IllegalArgumentException e) {
            throw TurnedDown.badInput("/tolerances", "out-of-range", String.valueOf(e.getMessage()));
        }
    }
}
