package lobrik.progress;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import lobrik.bend.BendKind;
import lobrik.bend.Offset;
import lobrik.bend.Run;
import lobrik.bend.RunShape;
import lobrik.bend.RunShape.Part;
import lobrik.bend.Saddle3;
import lobrik.bend.Saddle4;
import lobrik.feature.FeatureId;
import lobrik.feature.FeatureKind;
import lobrik.measure.Quantity;
import lobrik.shop.ToolKind;

/** What of a run is a bend that is also learnt by itself: its ninetys, and the offsets and saddles at its boxes and on its legs. */
public final class RunParts {

    /** A feature of a kind of bend that one of a run's shows. */
    public record ShownBy(BendKind kind, FeatureId feature) {

        /** As it is stored: {@code stub90:angle1}. */
        public String id() {
            return kind.id() + ":" + feature.id();
        }

        /** What has this id, if anything. */
        public static Optional<ShownBy> withId(String id) {
            int colon = id.indexOf(':');
            return colon < 0
                    ? Optional.empty()
                    : BendKind.withId(id.substring(0, colon))
                            .flatMap(kind -> FeatureId.withId(id.substring(colon + 1))
                                    .map(feature -> new ShownBy(kind, feature)));
        }
    }

    private static final Set<FeatureKind> OF_BENDS = EnumSet.of(
            FeatureKind.ANGLE, FeatureKind.RISE, FeatureKind.HEIGHT, FeatureKind.START_RISE, FeatureKind.END_RISE);

    private final Map<FeatureId, ShownBy> shown = new TreeMap<>();

    private RunParts() {}

    /** Angles, rises and heights of a run, with what each is of the bend that it belongs to. */
    public static Map<FeatureId, ShownBy> of(Run run) {
        RunParts parts = new RunParts();
        run.shape().stretches().forEach(parts::add);
        return Map.copyOf(parts.shown);
    }

    /** Whether a run's features of a kind are each of one of its bends. */
    static boolean isOfABend(FeatureKind kind) {
        return OF_BENDS.contains(kind);
    }

    private void add(RunShape.Stretch stretch) {
        switch (stretch.part()) {
            case Part.Ninety _ -> angles(stretch, BendKind.STUB_90, false);
            case Part.AtStart _ -> {
                angles(stretch, BendKind.BOX_OFFSET, false);
                shown.put(FeatureId.START_RISE, new ShownBy(BendKind.BOX_OFFSET, FeatureId.RISE));
            }
            case Part.AtEnd _ -> {
                // A box offset is counted from its box, which here lies at the far end.
                angles(stretch, BendKind.BOX_OFFSET, true);
                shown.put(FeatureId.END_RISE, new ShownBy(BendKind.BOX_OFFSET, FeatureId.RISE));
            }
            case Part.OnLeg(int _, Offset offset) -> {
                angles(stretch, offset.kind(), false);
                shown.put(FeatureId.rise(stretch.leg()), new ShownBy(offset.kind(), FeatureId.RISE));
            }
            case Part.OnLeg(int _, Saddle3 saddle) -> saddle(stretch, saddle.kind());
            case Part.OnLeg(int _, Saddle4 saddle) -> saddle(stretch, saddle.kind());
        }
    }

    private void saddle(RunShape.Stretch stretch, BendKind kind) {
        angles(stretch, kind, false);
        shown.put(FeatureId.height(stretch.leg()), new ShownBy(kind, FeatureId.HEIGHT));
    }

    private void angles(RunShape.Stretch stretch, BendKind kind, boolean fromFarEnd) {
        for (int bend = stretch.firstBend(); bend <= stretch.lastBend(); bend++) {
            int number = fromFarEnd ? stretch.lastBend() - bend + 1 : bend - stretch.firstBend() + 1;
            shown.put(FeatureId.angle(bend), new ShownBy(kind, FeatureId.angle(number)));
        }
    }

    /**
     * What a run's features come to as those of the bends that they belong to. Of several of one sort it is the mean: bends of one piece are
     * made by the same hands in one go, and count as one.
     *
     * @param shown by feature of the run
     */
    public static List<Outcome.Part> parts(Map<FeatureId, ShownBy> shown, ToolKind tool, List<Outcome.Missed> missed) {
        Map<ShownBy, List<Outcome.Missed>> byFeature = new LinkedHashMap<>();
        for (Outcome.Missed each : missed) {
            ShownBy as = shown.get(each.feature());
            if (as != null) {
                byFeature.computeIfAbsent(as, _ -> new ArrayList<>()).add(each);
            }
        }
        Map<Family, List<Outcome.Missed>> byFamily = new TreeMap<>();
        byFeature.forEach((as, of) -> byFamily.computeIfAbsent(new Family(as.kind(), tool), _ -> new ArrayList<>())
                .add(mean(as.feature(), of)));
        return byFamily.entrySet().stream()
                .map(entry -> new Outcome.Part(entry.getKey(), entry.getValue()))
                .collect(Collectors.toUnmodifiableList());
    }

    private static Outcome.Missed mean(FeatureId feature, List<Outcome.Missed> of) {
        Outcome.Missed first = of.getFirst();
        double deviation = of.stream()
                .mapToLong(each -> each.deviation().count())
                .average()
                .orElseThrow();
        double planned =
                of.stream().mapToLong(each -> each.planned().count()).average().orElseThrow();
        Quantity unit = first.deviation();
        return new Outcome.Missed(
                feature, unit.withCount(Math.round(deviation)), unit.withCount(Math.round(planned)), first.tolerance());
    }
}
