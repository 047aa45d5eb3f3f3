package lobrik.cause;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import lobrik.feature.FeatureId;
import lobrik.layout.Layout;
import lobrik.layout.PlannedFeature;
import lobrik.measure.Length;
import lobrik.measure.Quantity;
import lobrik.shape.Feature;
import lobrik.verdict.BenderShare;

/**
 * The readings of a piece, in the order in which predictions of them come: features, then the trainee's own figures. Inches
 * and degrees.
 */
final class Scene {

    /** How much longer or shorter than drawn a conduit may be whose length nobody gave. */
    private static final double OPEN_END = 20;

    private final Layout layout;
    private final Making planned;
    private final List<Slot> slots = new ArrayList<>();
    private final List<Feature> plannedFeatures;
    private final BenderShare bender;

    /**
     * Something that was read.
     *
     * @param mark number of the mark from 0 that a figure of the trainee is for; -1 for a feature
     */
    record Slot(FeatureId feature, int mark, double read, double sigma) {}

    Scene(Case seen) {
        this.layout = seen.layout();
        this.bender = seen.bender();
        this.planned = Making.planned(layout, seen.fromBack());
        this.plannedFeatures =
                planned.features(layout.job().bend(), layout.job().tooling()).orElseThrow();
        for (Feature feature : plannedFeatures) {
            FeatureId id = feature.id();
            Quantity read = seen.readings().get(id);
            if (read != null) {
                slots.add(new Slot(id, -1, read.number(), seen.sigmaWithBender(id)));
            }
        }
        for (int i = 0; i < layout.marks().size(); i++) {
            Length own = seen.own().get(i + 1);
            if (own != null) {
                slots.add(new Slot(
                        FeatureId.mark(i + 1),
                        i,
                        own.inches(),
                        seen.spread().length().inches()));
            }
        }
    }

    Layout layout() {
        return layout;
    }

    List<Slot> slots() {
        return slots;
    }

    int size() {
        return slots.size();
    }

    Making planned() {
        return planned;
    }

    /** Whether a reading depends on a length of conduit that the exercise leaves open: it is then fitted, too. */
    boolean needsLength() {
        return layout.cutLength().isEmpty()
                && slots.stream().anyMatch(slot -> slot.feature().kind().reachesFarEnd());
    }

    static double openEnd() {
        return OPEN_END;
    }

    /** A hypothesis that changes nothing of the piece, such as a doubtful reading, needs no simulation. */
    private Optional<List<Feature>> features(Making making) {
        return making.isMadeLike(planned)
                ? Optional.of(plannedFeatures)
                : making.features(layout.job().bend(), layout.job().tooling());
    }

    /** What a piece that was made like this would read; empty where no conduit can be bent like that. */
    Optional<double[]> predicted(Making making) {
        return features(making).map(features -> {
            double[] predicted = new double[slots.size()];
            int next = 0;
            for (int i = 0; i < predicted.length; i++) {
                Slot slot = slots.get(i);
                if (slot.mark() >= 0) {
                    predicted[i] = making.own[slot.mark()];
                    continue;
                }
                while (!features.get(next).id().equals(slot.feature())) {
                    next++;
                }
                predicted[i] = value(making, features.get(next)) + making.misreadBy(slot.feature());
            }
            return predicted;
        });
    }

    private double value(Making making, Feature feature) {
        double made = asMade(making, feature);
        return making.withoutBender ? made : made + bender.of(feature.id());
    }

    private static double asMade(Making making, Feature feature) {
        return switch (feature.id().kind()) {
            case MARK -> making.rings[feature.id().number() - 1];
            case FLATTENING -> making.flattened[feature.id().number() - 1];
            case LEG,
                    TURN,
                    START_RISE,
                    END_RISE,
                    REACH_RIGHT,
                    REACH_UP,
                    REACH_OUT,
                    OTHER_LEG,
                    BETWEEN,
                    SECOND_LEG,
                    DROP,
                    SET_BACK,
                    RISE,
                    ROLL,
                    HEIGHT,
                    CENTRE,
                    FLAT,
                    LANDING,
                    ANGLE,
                    TAIL_LIFT,
                    DOG_LEG,
                    OVERALL -> feature.value().number();
        };
    }

    /** What would be read of features that were not read yet. */
    Map<FeatureId, Double> unread(Making making) {
        Map<FeatureId, Double> values = new TreeMap<>();
        features(making)
                .ifPresent(features -> features.forEach(feature -> values.put(feature.id(), value(making, feature))));
        slots.stream().filter(slot -> slot.mark() < 0).forEach(slot -> values.remove(slot.feature()));
        values.keySet()
                .retainAll(layout.features().stream().map(PlannedFeature::id).toList());
        return values;
    }
}
