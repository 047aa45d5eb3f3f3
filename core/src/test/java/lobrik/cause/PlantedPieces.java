package lobrik.cause;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.TreeMap;
import lobrik.bend.BendKind;
import lobrik.fault.Refused;
import lobrik.feature.FeatureId;
import lobrik.feature.FeatureKind;
import lobrik.layout.Layout;
import lobrik.layout.Mark;
import lobrik.layout.PlannedFeature;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Percentage;
import lobrik.measure.Quantity;
import lobrik.measure.TapeDivision;
import lobrik.shape.BendMade;
import lobrik.shape.Feature;
import lobrik.shape.Features;
import lobrik.shape.Piece;
import lobrik.shop.ToolKind;

/**
 * Random pieces with one fault each, read with a tape and a level. It knows the handbook and the simulation, and nothing of
 * how causes are found.
 */
final class PlantedPieces {

    private static final double TAPE_NOISE = 1.0 / 48;
    private static final double LEVEL_NOISE = 0.4;

    /** Three standard deviations of noise and half a division: what noise can do to a reading. */
    private static final double NOISE_CAN_LENGTH = 3 * TAPE_NOISE + 1.0 / 32;

    private static final double NOISE_CAN_ANGLE = 3 * LEVEL_NOISE + 0.25;

    private static final double FLATNESS = 2;
    private static final double NOISE_CAN_FLATTENING = 3 * FLATNESS;

    /** How flat a curve gets that was warmed over none of its length, in per cent: at least, and at most. */
    private static final double LEAST_KINK = 30;

    private static final double MOST_KINK = 60;

    private static final int MOST_TRIES = 200;

    private final Random random;
    private final BenchJobs jobs;

    /**
     * A piece with its readings.
     *
     * @param bend that the fault is at, from 1; 0 where it is about the whole piece
     * @param visible whether the fault changes a reading by more than the noise can
     */
    record Planted(Layout layout, CauseId cause, int bend, Map<FeatureId, Quantity> readings, boolean visible) {

        @Override
        public String toString() {
            return cause.id() + (bend == 0 ? "" : " " + bend) + " in " + layout.job();
        }
    }

    PlantedPieces(long seed) {
        this.random = new Random(seed);
        this.jobs = new BenchJobs(random);
    }

    /** The next piece of a kind with this fault; empty where the kind does not know the fault. */
    Optional<Planted> next(BendKind kind, CauseId cause) {
        return next(kind, ToolKind.SHOE, cause);
    }

    /** The same, bent with a tool of this kind. */
    Optional<Planted> next(BendKind kind, ToolKind tool, CauseId cause) {
        for (int i = 0; i < MOST_TRIES; i++) {
            try {
                Layout layout = Layout.of(jobs.next(kind, tool));
                Optional<FaultyHands> hands = FaultyHands.at(layout, cause, random);
                if (hands.isPresent()) {
                    return Optional.of(planted(layout, cause, hands.get()));
                }
            } catch (Refused | IllegalArgumentException nobodyCanBendThat) {
                // Another one.
            }
        }
        return Optional.empty();
    }

    private Planted planted(Layout layout, CauseId cause, FaultyHands hands) {
        Map<FeatureId, Quantity> right = measured(layout, hands.asPlanned());
        Map<FeatureId, Quantity> made = measured(layout, hands);
        boolean visible = made.entrySet().stream().anyMatch(each -> differs(each.getValue(), right.get(each.getKey())));
        Map<FeatureId, Quantity> readings = new TreeMap<>();
        made.forEach((feature, value) -> readings.put(feature, read(feature, value)));
        return new Planted(layout, cause, hands.bend(), readings, visible);
    }

    private Map<FeatureId, Quantity> measured(Layout layout, FaultyHands hands) {
        List<BendMade> bends = new ArrayList<>(hands.bends());
        Piece piece = Piece.simulate(layout.job().tooling(), hands.length(), bends);
        if (!piece.bends().equals(bends)) {
            throw new IllegalArgumentException("the bends changed places");
        }
        Map<FeatureId, Quantity> values = new TreeMap<>();
        for (Feature feature : Features.of(layout.job().bend(), piece, hands.rings())) {
            values.put(feature.id(), feature.value());
        }
        values.replaceAll(
                (id, value) -> id.kind() == FeatureKind.FLATTENING ? flat(layout, bends.get(id.number() - 1)) : value);
        values.keySet()
                .retainAll(layout.features().stream().map(PlannedFeature::id).toList());
        return values;
    }

    /** A curve that was bent tighter than it was warmed for goes flat. */
    private Percentage flat(Layout layout, BendMade bend) {
        double radius = layout.job().tooling().tool().radius().inches();
        double tighter =
                bend.other().map(tool -> 1 - tool.radius().inches() / radius).orElse(0.0);
        return Percentage.of(tighter * (LEAST_KINK + (MOST_KINK - LEAST_KINK) * random.nextDouble()));
    }

    private static boolean differs(Quantity one, Quantity other) {
        return switch (one.minus(other)) {
            case Length length -> Math.abs(length.inches()) > NOISE_CAN_LENGTH;
            case Angle angle -> Math.abs(angle.degrees()) > NOISE_CAN_ANGLE;
            case Percentage part -> Math.abs(part.perCent()) > NOISE_CAN_FLATTENING;
        };
    }

    /** What somebody reads: with noise, at the nearest line. */
    private Quantity read(FeatureId feature, Quantity value) {
        return switch (value) {
            case Length length -> {
                Length read = Length.ofInches(length.inches() + TAPE_NOISE * random.nextGaussian())
                        .nearest(TapeDivision.SIXTEENTH);
                yield feature.isSigned() || !read.isNegative() ? read : Length.ZERO;
            }
            case Angle angle ->
                Angle.ofDegrees(Math.abs(Math.rint(2 * (angle.degrees() + LEVEL_NOISE * random.nextGaussian())) / 2));
            // Even a good bend is a little flat, and never less than not at all.
            case Percentage part ->
                Percentage.of(Math.abs(Math.rint(2 * (part.perCent() + FLATNESS * random.nextGaussian())) / 2));
        };
    }

    /** Rings, bends and length of a layout that is followed faithfully. */
    static FaultyHands faithful(Layout layout) {
        return new FaultyHands(
                layout.marks().stream().map(Mark::position).toList(),
                layout.marks().stream().map(Mark::asMarked).toList(),
                layout.predicted().length(),
                0,
                layout);
    }
}
