package lobrik.cause;

import java.util.Optional;
import java.util.Random;
import lobrik.bend.BackToBack90;
import lobrik.bend.Bend;
import lobrik.bend.BendKind;
import lobrik.bend.BoxOffset;
import lobrik.bend.Kick;
import lobrik.bend.Offset;
import lobrik.bend.OffsetLayout;
import lobrik.bend.OverBent90;
import lobrik.bend.Placement;
import lobrik.bend.RollingOffset;
import lobrik.bend.Saddle3;
import lobrik.bend.Saddle4;
import lobrik.bend.Stub90;
import lobrik.layout.Job;
import lobrik.layout.Method;
import lobrik.layout.RandomRuns;
import lobrik.layout.School;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.TapeDivision;
import lobrik.shop.Conduit;
import lobrik.shop.ConduitMaterial;
import lobrik.shop.ConduitTable;
import lobrik.shop.Former;
import lobrik.shop.Machine;
import lobrik.shop.MachineTable;
import lobrik.shop.RamTravel;
import lobrik.shop.Shoe;
import lobrik.shop.Tool;
import lobrik.shop.ToolKind;
import lobrik.shop.Tooling;
import lobrik.shop.TradeSize;

/** Random exercises of the sizes that benches have; some of them cannot be laid out. */
final class BenchJobs {

    private static final double[][] TOOLING = {{0.706, 5, 4.25}, {0.922, 6, 5.125}, {1.163, 8, 6.5}};
    private static final double[] ANGLES = {15, 22.5, 30, 45, 60};
    private static final double[] SADDLE_ANGLES = {15, 22.5, 30};

    private final Random random;

    BenchJobs(Random random) {
        this.random = random;
    }

    Job next(BendKind kind, ToolKind tool) {
        Tooling tooling = tooling(tool);
        Method method = random.nextBoolean() ? Method.CHART : Method.EXACT;
        Bend bend = tool == ToolKind.MACHINE ? large(kind, tooling) : bend(kind, tooling);
        return new Job(bend, tooling, School.of(method, TapeDivision.SIXTEENTH));
    }

    private Tooling tooling(ToolKind tool) {
        return switch (tool) {
            case SHOE -> {
                double[] figures = TOOLING[random.nextInt(TOOLING.length)];
                yield new Tooling(
                        new Conduit(Length.ofInches(figures[0])),
                        Shoe.of(Length.ofInches(figures[1]), Length.ofInches(figures[2])));
            }
            case MACHINE -> {
                TradeSize size = random.nextBoolean() ? TradeSize.THREE : TradeSize.TWO_AND_A_HALF;
                Machine generic = MachineTable.forEmt(size).orElseThrow();
                RamTravel travel =
                        MachineTable.forEmt(TradeSize.THREE).orElseThrow().ramTravel();
                yield new Tooling(
                        ConduitTable.conduit(ConduitMaterial.EMT, size),
                        new Machine(
                                generic.takeUp(),
                                generic.radius(),
                                generic.minSpacing(),
                                generic.minStub(),
                                generic.minPastShoe(),
                                generic.springback(),
                                travel));
            }
            case FORMER ->
                new Tooling(
                        ConduitTable.conduit(
                                ConduitMaterial.PVC, random.nextBoolean() ? TradeSize.THREE_QUARTERS : TradeSize.ONE),
                        new Former(eighths(4.5, 8), Tool.USUAL_MIN_SPACING, Former.Support.INSIDE));
        };
    }

    /** What is bent from conduit of 2 1/2 in and more. */
    private Bend large(BendKind kind, Tooling tooling) {
        return switch (kind) {
            case STUB_90 -> new Stub90(eighths(22, 48), mostly(eighths(24, 60)), Placement.ARROW);
            case BACK_TO_BACK_90 -> new BackToBack90(eighths(22, 40), eighths(44, 80), eighths(22, 40));
            case OFFSET ->
                new Offset(
                        eighths(9, 24),
                        clearance(),
                        angle(ANGLES),
                        eighths(50, 70),
                        layout(),
                        mostly(eighths(110, 150)));
            case BOX_OFFSET ->
                new BoxOffset(eighths(0.75, 2), angle(10, 10, 8, 12), eighths(4, 8), mostly(eighths(40, 80)));
            case ROLLING_OFFSET ->
                new RollingOffset(
                        eighths(7, 16),
                        eighths(7, 16),
                        angle(ANGLES),
                        eighths(50, 80),
                        layout(),
                        mostly(eighths(130, 170)));
            case KICK -> new Kick(eighths(14, 30), angle(ANGLES), eighths(70, 100), layout());
            case SADDLE_3 ->
                new Saddle3(
                        eighths(5, 12),
                        clearance(),
                        angle(SADDLE_ANGLES),
                        eighths(60, 90),
                        random.nextBoolean() ? Saddle3.Spacing.FACTOR : Saddle3.Spacing.COSECANT,
                        Saddle3.Order.CENTRE_FIRST,
                        mostly(eighths(140, 180)));
            case SADDLE_4 ->
                new Saddle4(
                        eighths(7, 16),
                        clearance(),
                        angle(ANGLES),
                        eighths(8, 24),
                        clearance(),
                        Saddle4.MeasuredTo.NEAR_EDGE,
                        eighths(60, 90),
                        Placement.ARROW,
                        mostly(eighths(180, 220)));
            case OVER_BENT_90 ->
                new OverBent90(eighths(50, 80), eighths(6, 14), angle(15, 22.5, 30), mostly(eighths(30, 60)));
            case RUN -> new RandomRuns(random, tooling).next();
        };
    }

    private Length eighths(double low, double high) {
        long first = Math.round(8 * low);
        return Length.ofFraction(0, first + random.nextInt((int) (Math.round(8 * high) - first + 1)), 8);
    }

    private Angle angle(double... angles) {
        return Angle.ofDegrees(angles[random.nextInt(angles.length)]);
    }

    private OffsetLayout layout() {
        return random.nextBoolean() ? OffsetLayout.BEFORE_OBSTACLE : OffsetLayout.FROM_EDGE;
    }

    private Optional<Length> mostly(Length length) {
        return random.nextInt(4) > 0 ? Optional.of(length) : Optional.empty();
    }

    private Length clearance() {
        return random.nextBoolean() ? Length.ZERO : eighths(0.5, 1.5);
    }

    private Bend bend(BendKind kind, Tooling tooling) {
        return switch (kind) {
            case STUB_90 ->
                new Stub90(
                        eighths(9, 30),
                        mostly(eighths(14, 40)),
                        random.nextInt(4) > 0 || tooling.shoe().isEmpty() ? Placement.ARROW : Placement.STAR);
            case BACK_TO_BACK_90 -> new BackToBack90(eighths(9, 24), eighths(18, 48), eighths(9, 24));
            case OFFSET ->
                new Offset(
                        eighths(2, 12),
                        clearance(),
                        angle(ANGLES),
                        eighths(24, 50),
                        layout(),
                        mostly(eighths(70, 100)));
            case BOX_OFFSET ->
                new BoxOffset(eighths(0.375, 1), angle(10, 10, 8, 12), eighths(2.5, 5), mostly(eighths(24, 60)));
            case ROLLING_OFFSET ->
                new RollingOffset(
                        eighths(2, 9),
                        eighths(2, 9),
                        angle(ANGLES),
                        eighths(28, 50),
                        layout(),
                        mostly(eighths(70, 100)));
            case KICK -> new Kick(eighths(5, 16), angle(ANGLES), eighths(36, 60), layout());
            case SADDLE_3 ->
                new Saddle3(
                        eighths(1.5, 6),
                        clearance(),
                        angle(SADDLE_ANGLES),
                        eighths(36, 60),
                        random.nextBoolean() ? Saddle3.Spacing.FACTOR : Saddle3.Spacing.COSECANT,
                        random.nextInt(3) > 0 ? Saddle3.Order.CENTRE_FIRST : Saddle3.Order.PUSH_THROUGH,
                        mostly(eighths(90, 118)));
            case SADDLE_4 ->
                new Saddle4(
                        eighths(2, 8),
                        clearance(),
                        angle(ANGLES),
                        eighths(6, 20),
                        clearance(),
                        random.nextInt(3) > 0 ? Saddle4.MeasuredTo.NEAR_EDGE : Saddle4.MeasuredTo.CENTRED,
                        eighths(36, 56),
                        Placement.ARROW,
                        mostly(eighths(100, 118)));
            case OVER_BENT_90 ->
                new OverBent90(eighths(20, 40), eighths(2.5, 6), angle(15, 22.5, 22.5, 30), mostly(eighths(16, 40)));
            case RUN -> new RandomRuns(random, tooling).next();
        };
    }
}
