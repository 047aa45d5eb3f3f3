package lobrik.cause;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import lobrik.feature.FeatureId;
import lobrik.layout.Layout;
import lobrik.layout.PlannedFeature;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Quantity;
import lobrik.shape.Feature;

/**
 * Where the deviation of a finished dimension came from (handbook 7): what was planned is replaced by what the trainee did,
 * one stage after the other, and each stage is given the change that the simulation shows.
 *
 * @param deviation reading less target; the sum of the parts, exactly
 * @param parts in the order of the work
 */
public record Budget(FeatureId feature, Quantity deviation, List<Part> parts) {

    /** When a deviation came in. */
    public enum Stage {
        /** The method itself and the rounding of its marks: the plan does not give exactly what is asked. */
        PLAN,
        /** The trainee's own figures for the marks. */
        ARITHMETIC,
        /** The rings. */
        RINGS,
        /** What the bender is known to add. */
        BENDER,
        /** The angles. */
        ANGLES,
        /** The plane of the bends. */
        PLANE,
        /** What is left: where the shoe stood, what slipped, how it was read. */
        REST
    }

    /**
     * What a stage adds.
     *
     * @param known whether something of this stage was read; where nothing was, its share lies in the next
     */
    public record Part(Stage stage, Quantity change, boolean known) {}

    /** The budgets of all finished dimensions that were read. */
    public static List<Budget> of(Case seen) {
        return new Stages(seen).budgets();
    }

    private static final class Stages {

        private final Case seen;
        private final Layout layout;
        private final Making making;

        private boolean withBender;

        /** What the simulation gives after each stage; a stage that no conduit can be bent at keeps what was before. */
        private final Map<Stage, Map<FeatureId, Quantity>> after = new EnumMap<>(Stage.class);

        private final Map<Stage, Boolean> known = new EnumMap<>(Stage.class);

        Stages(Case seen) {
            this.seen = seen;
            this.layout = seen.layout();
            this.making = Making.planned(layout, seen.fromBack());
        }

        List<Budget> budgets() {
            Map<FeatureId, Quantity> before = simulated().orElseThrow();
            before = done(Stage.PLAN, true, before);
            before = done(Stage.ARITHMETIC, ownFigures(), before);
            before = done(Stage.RINGS, rings(), before);
            if (seen.bender().isThere()) {
                before = done(Stage.BENDER, bender(), before);
            }
            before = done(Stage.ANGLES, angles(), before);
            done(Stage.PLANE, plane(), before);
            List<Budget> budgets = new ArrayList<>();
            for (PlannedFeature planned : layout.features()) {
                Quantity read = seen.readings().get(planned.id());
                if (read != null && planned.id().isOfFinishedPiece()) {
                    budgets.add(budget(planned, read));
                }
            }
            return List.copyOf(budgets);
        }

        private Budget budget(PlannedFeature planned, Quantity read) {
            List<Part> parts = new ArrayList<>();
            Quantity before = planned.asked();
            for (Map.Entry<Stage, Map<FeatureId, Quantity>> stage : after.entrySet()) {
                Quantity now = stage.getValue().getOrDefault(planned.id(), before);
                parts.add(new Part(stage.getKey(), now.minus(before), known.getOrDefault(stage.getKey(), false)));
                before = now;
            }
            parts.add(new Part(Stage.REST, read.minus(before), true));
            return new Budget(planned.id(), read.minus(planned.asked()), List.copyOf(parts));
        }

        private Map<FeatureId, Quantity> done(Stage stage, boolean read, Map<FeatureId, Quantity> before) {
            Map<FeatureId, Quantity> now = simulated().orElse(before);
            after.put(stage, now);
            known.put(stage, read);
            return now;
        }

        private Optional<Map<FeatureId, Quantity>> simulated() {
            return making.features(layout.job().bend(), layout.job().tooling()).map(features -> {
                Map<FeatureId, Quantity> values = new TreeMap<>();
                for (Feature feature : features) {
                    Quantity besides = seen.bender().besidesAngles().get(feature.id());
                    values.put(
                            feature.id(),
                            withBender && besides != null
                                    ? feature.value().withCount(feature.value().count() + besides.count())
                                    : feature.value());
                }
                return values;
            });
        }

        private boolean ownFigures() {
            seen.own().forEach((number, figure) -> place(number - 1, figure));
            return !seen.own().isEmpty();
        }

        private boolean rings() {
            boolean any = false;
            for (int i = 0; i < making.bends(); i++) {
                if (seen.readings().get(FeatureId.mark(i + 1)) instanceof Length ring) {
                    place(i, ring);
                    any = true;
                }
            }
            return any;
        }

        private void place(int bend, Length at) {
            making.rings[bend] = at.inches();
            making.places[bend] = at.inches();
        }

        /** From here on every angle is bent by it, until the angles as they were read replace it. */
        private boolean bender() {
            withBender = true;
            for (int i = 0; i < making.bends(); i++) {
                making.angles[i] += seen.bender().angles().degrees();
            }
            return true;
        }

        private boolean angles() {
            boolean any = false;
            for (int i = 0; i < making.bends(); i++) {
                if (seen.readings().get(FeatureId.angle(i + 1)) instanceof Angle angle) {
                    making.angles[i] = angle.degrees();
                    any = true;
                }
            }
            return any;
        }

        /** A dog leg is read without its side and its bend: one bend, or all beyond it, where the other readings speak for it. */
        private boolean plane() {
            if (!(seen.readings().get(FeatureId.DOG_LEG) instanceof Angle twist) || making.bends() < 2) {
                return false;
            }
            double[] best = making.rolls.clone();
            double least = Double.POSITIVE_INFINITY;
            double[] planned = making.rolls.clone();
            for (int bend = 1; bend < making.bends(); bend++) {
                for (double by : new double[] {twist.degrees(), -twist.degrees()}) {
                    for (int last : new int[] {bend, making.bends() - 1}) {
                        turn(bend, last, by);
                        double rest = rest();
                        if (rest < least) {
                            least = rest;
                            best = making.rolls.clone();
                        }
                        System.arraycopy(planned, 0, making.rolls, 0, planned.length);
                    }
                }
            }
            if (least < Double.POSITIVE_INFINITY) {
                System.arraycopy(best, 0, making.rolls, 0, best.length);
            }
            return true;
        }

        private void turn(int first, int last, double by) {
            for (int i = first; i <= last; i++) {
                making.rolls[i] += by;
            }
        }

        /** Sum of squares of what is left, in standard deviations. */
        private double rest() {
            return simulated()
                    .map(values -> {
                        double sum = 0;
                        for (Map.Entry<FeatureId, Quantity> each : values.entrySet()) {
                            Quantity read = seen.readings().get(each.getKey());
                            if (read != null) {
                                double off = read.minus(each.getValue()).number() / seen.sigma(each.getKey());
                                sum += off * off;
                            }
                        }
                        return sum;
                    })
                    .orElse(Double.POSITIVE_INFINITY);
        }
    }
}
