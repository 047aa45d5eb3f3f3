package lobrik.verdict;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import lobrik.fault.Refused;
import lobrik.feature.FeatureId;
import lobrik.layout.Layout;
import lobrik.layout.Mark;
import lobrik.layout.PlannedFeature;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.measure.Quantity;
import lobrik.shape.BendMade;
import lobrik.shape.Feature;
import lobrik.shape.Features;
import lobrik.shape.Piece;
import lobrik.shop.HookSide;
import lobrik.shop.Placing;
import lobrik.shop.Tooling;

/**
 * What a bender adds to one piece by itself (handbook 7), found by simulating the piece once more on the bender as it is: with its
 * own springback in every angle, and as far beside its marks as it really bends. What neither explains (a rise that is off more than its
 * angles make it) is added as it is known, so that every kind of deviation comes to what the records say, and nothing is counted
 * twice.
 *
 * @param bender whose share it is
 * @param angles what it adds to every angle; zero where that is not known
 * @param adds to each feature that it changes
 * @param besidesAngles the part of that which does not come of the angles
 */
public record BenderShare(
        KnownBender bender, Angle angles, Map<FeatureId, Quantity> adds, Map<FeatureId, Quantity> besidesAngles) {

    /** Of a bender of which nothing is known. */
    public static final BenderShare NONE = new BenderShare(KnownBender.NONE, Angle.ZERO, Map.of(), Map.of());

    /** How far beside its marks a shoe is tried, to see what follows. */
    private static final Length TRY = Length.ofFraction(0, 1, 8);

    /** What follows the shoe by less than this part does not show where it bends. */
    private static final double FOLLOWS = 0.2;

    /** Less than this, in inches or degrees, is nothing. */
    private static final double NOTHING = 1e-4;

    public BenderShare {
        adds = FeatureId.inOrder(adds);
        besidesAngles = FeatureId.inOrder(besidesAngles);
    }

    /**
     * What a bender adds to the piece that is made as planned.
     *
     * @param fromBack numbers of the marks that are measured from the back of an earlier bend: they follow it
     */
    public static BenderShare of(KnownBender bender, Layout layout, Set<Integer> fromBack) {
        return bender.addsAnything() ? new Simulation(bender, layout, fromBack).share() : NONE;
    }

    /** The same with every mark measured as it is taught. */
    public static BenderShare of(KnownBender bender, Layout layout) {
        return of(bender, layout, layout.marks().stream().map(Mark::number).collect(Collectors.toSet()));
    }

    /** Whether it changes anything of the piece. */
    public boolean isThere() {
        return !adds.isEmpty();
    }

    /** What it adds to a feature, in inches or degrees. */
    public double of(FeatureId feature) {
        return number(adds, feature);
    }

    /** A target with what the bender adds to it. */
    public Quantity onto(Quantity target, FeatureId feature) {
        Quantity more = adds.get(feature);
        return more == null ? target : target.withCount(target.count() + more.count());
    }

    /** Standard error of what it adds to a feature, in inches or degrees: as sure as the records are of its worst known effect. */
    public double error(FeatureId feature) {
        double relative = bender.effects().values().stream()
                .mapToDouble(effect -> effect.error().number()
                        / Math.max(NOTHING, Math.abs(effect.off().number())))
                .max()
                .orElse(0);
        return relative * Math.abs(of(feature));
    }

    /**
     * What to say of it on a verdict: {@code Bender 7 adds 1/4 in to legs; without that yours is within.}
     *
     * @param within whether a feature that it changes is within its tolerance without it; of those that were read
     */
    public String sentence(Map<FeatureId, Boolean> within, LengthUnit unit) {
        List<String> outside = within.entrySet().stream()
                .filter(each -> !each.getValue())
                .map(Map.Entry::getKey)
                .sorted()
                .map(FeatureId::words)
                .toList();
        String rest = outside.isEmpty()
                ? "yours is within"
                : String.join(" and ", outside) + (outside.size() == 1 ? " is" : " are") + " outside all the same";
        return bender.words(unit) + "; without that " + rest + ".";
    }

    private static double number(Map<FeatureId, Quantity> quantities, FeatureId feature) {
        Quantity quantity = quantities.get(feature);
        return quantity == null ? 0 : quantity.number();
    }

    private static final class Simulation {

        private final KnownBender bender;
        private final Layout layout;
        private final Set<Integer> fromBack;
        private final Map<FeatureId, Double> planned = new TreeMap<>();
        private final Angle angles;

        Simulation(KnownBender bender, Layout layout, Set<Integer> fromBack) {
            this.bender = bender;
            this.layout = layout;
            this.fromBack = fromBack;
            for (PlannedFeature feature : layout.features()) {
                planned.put(feature.id(), feature.predicted().number());
            }
            KnownBender.Effect effect = bender.effects().get(DeviationKind.ANGLES);
            this.angles = effect == null ? Angle.ZERO : (Angle) effect.off();
        }

        BenderShare share() {
            try {
                Map<FeatureId, Double> byAngles = simulated(Length.ZERO);
                Map<FeatureId, Double> made = withTheShoeWhereItBends(byAngles);
                addWhatIsLeft(DeviationKind.RISES, made);
                addWhatIsLeft(DeviationKind.PLACES, made);
                Map<FeatureId, Quantity> adds = new TreeMap<>();
                Map<FeatureId, Quantity> besides = new TreeMap<>();
                made.forEach((feature, value) -> {
                    put(adds, feature, value - planned.getOrDefault(feature, value));
                    put(besides, feature, value - byAngles.getOrDefault(feature, value));
                });
                return new BenderShare(bender, angles, adds, besides);
            } catch (Refused noPieceLooksLikeThat) {
                return NONE;
            }
        }

        private static void put(Map<FeatureId, Quantity> quantities, FeatureId feature, double number) {
            if (Math.abs(number) > NOTHING) {
                quantities.put(feature, feature.measured().of(number));
            }
        }

        /** Legs, or else where rings land, show how far beside its marks the shoe bends. */
        private Map<FeatureId, Double> withTheShoeWhereItBends(Map<FeatureId, Double> byAngles) {
            double left = left(DeviationKind.PLACES, byAngles);
            KnownBender.Effect legs = bender.effects().get(DeviationKind.LEGS);
            if (legs != null && planned.containsKey(FeatureId.LEG)) {
                // A leg goes with its bend; what the angle makes of it is in there already.
                double ofAngle = byAngles.getOrDefault(FeatureId.LEG, 0.0) - planned.getOrDefault(FeatureId.LEG, 0.0);
                return simulated(Length.ofInches(legs.off().number() - ofAngle));
            }
            if (left != 0) {
                double follows = (mean(DeviationKind.PLACES, simulated(TRY)) - mean(DeviationKind.PLACES, byAngles))
                        / TRY.inches();
                if (Math.abs(follows) > FOLLOWS) {
                    return simulated(Length.ofInches(left / follows));
                }
            }
            return new TreeMap<>(byAngles);
        }

        /** What the records say of a kind that the features as they are do not have yet. */
        private double left(DeviationKind kind, Map<FeatureId, Double> made) {
            KnownBender.Effect effect = bender.effects().get(kind);
            boolean has = planned.keySet().stream()
                    .anyMatch(feature ->
                            DeviationKind.of(feature).filter(kind::equals).isPresent());
            return effect == null || !has ? 0 : effect.off().number() - mean(kind, made);
        }

        private void addWhatIsLeft(DeviationKind kind, Map<FeatureId, Double> made) {
            double left = left(kind, made);
            if (left != 0) {
                made.replaceAll((feature, value) ->
                        DeviationKind.of(feature).filter(kind::equals).isPresent() ? value + left : value);
            }
        }

        /** How far the features of a kind are off the plan, on the mean. */
        private double mean(DeviationKind kind, Map<FeatureId, Double> made) {
            return made.entrySet().stream()
                    .filter(each ->
                            DeviationKind.of(each.getKey()).filter(kind::equals).isPresent())
                    .mapToDouble(each -> each.getValue() - planned.getOrDefault(each.getKey(), each.getValue()))
                    .average()
                    .orElse(0);
        }

        /** A place that lies further from where the tool holds the conduit; by hand and warm, from the datum end. */
        private static Length away(Placing placing, Length place, Length by) {
            return switch (placing.hook().orElse(HookSide.DATUM)) {
                case DATUM -> place.plus(by);
                case FAR -> place.minus(by);
            };
        }

        /** @param beside how far beyond its place every bend is made, away from the hook */
        private Map<FeatureId, Double> simulated(Length beside) {
            Tooling tooling = layout.job().tooling();
            List<Length> rings = new ArrayList<>();
            List<BendMade> bends = new ArrayList<>();
            for (Mark mark : layout.marks()) {
                Length ring = mark.position().plus(followed(mark, bends));
                rings.add(ring);
                bends.add(new BendMade(
                        away(mark.placing(), ring, beside),
                        mark.placing(),
                        mark.angle().plus(angles),
                        mark.roll()));
            }
            Map<FeatureId, Double> values = new TreeMap<>();
            Piece piece = Piece.simulate(tooling, layout.predicted().length(), bends);
            for (Feature feature : Features.of(layout.job().bend(), piece, rings)) {
                if (feature.id().isOfFinishedPiece() && planned.containsKey(feature.id())) {
                    values.put(feature.id(), feature.value().number());
                }
            }
            return values;
        }

        /** How far a ring goes with the bend from whose back it is measured. */
        private Length followed(Mark mark, List<BendMade> made) {
            return mark.back()
                    .filter(back -> fromBack.contains(mark.number()))
                    .map(back -> made.get(back.bend() - 1)
                            .position()
                            .minus(layout.marks().get(back.bend() - 1).position()))
                    .orElse(Length.ZERO);
        }
    }
}
