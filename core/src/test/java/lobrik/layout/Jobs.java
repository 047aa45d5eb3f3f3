package lobrik.layout;

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
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.TapeDivision;
import lobrik.shop.Conduit;
import lobrik.shop.ConduitMaterial;
import lobrik.shop.ConduitTable;
import lobrik.shop.Former;
import lobrik.shop.MachineTable;
import lobrik.shop.Shoe;
import lobrik.shop.Tool;
import lobrik.shop.ToolKind;
import lobrik.shop.Tooling;
import lobrik.shop.TradeSize;

/** Random jobs for property tests: of every kind, on benders as they come, always possible by both methods. */
public final class Jobs {

    private static final double[][] TOOLING = {{0.706, 5, 4.25}, {0.922, 6, 5.125}, {1.163, 8, 6.5}, {1.51, 11, 8.75}};
    private static final double[] ANGLES = {10, 15, 22.5, 30, 45, 60};

    private static final TradeSize[] MACHINE_SIZES = {
        TradeSize.TWO_AND_A_HALF, TradeSize.THREE, TradeSize.THREE_AND_A_HALF, TradeSize.FOUR
    };

    private final Random random;

    public Jobs(long seed) {
        this.random = new Random(seed);
    }

    public static Tooling threeQuarters() {
        return tooling(TOOLING[1]);
    }

    private static Tooling tooling(double[] figures) {
        return new Tooling(
                new Conduit(Length.ofInches(figures[0])),
                Shoe.of(Length.ofInches(figures[1]), Length.ofInches(figures[2])));
    }

    public Job next(BendKind kind, Method method, TapeDivision division) {
        return next(kind, ToolKind.SHOE, method, division);
    }

    /** Bent with a tool of this kind. */
    public Job next(BendKind kind, ToolKind tool, Method method, TapeDivision division) {
        Tooling tooling = tooling(tool);
        return new Job(bend(kind, tooling), tooling, School.of(method, division));
    }

    private Tooling tooling(ToolKind tool) {
        return switch (tool) {
            case SHOE -> tooling(TOOLING[random.nextInt(TOOLING.length)]);
            case MACHINE -> {
                TradeSize size = MACHINE_SIZES[random.nextInt(MACHINE_SIZES.length)];
                yield new Tooling(
                        ConduitTable.conduit(ConduitMaterial.EMT, size),
                        MachineTable.forEmt(size).orElseThrow());
            }
            case FORMER ->
                new Tooling(
                        ConduitTable.conduit(ConduitMaterial.PVC, TradeSize.THREE_QUARTERS),
                        new Former(inches(4.5, 8), Tool.USUAL_MIN_SPACING, Former.Support.INSIDE));
        };
    }

    private double between(double low, double high) {
        return low + (high - low) * random.nextDouble();
    }

    private Length inches(double low, double high) {
        return Length.ofInches(between(low, high));
    }

    private Angle angle(double most) {
        double angle = ANGLES[random.nextInt(ANGLES.length)];
        return Angle.ofDegrees(angle <= most ? angle : 22.5);
    }

    private OffsetLayout layout() {
        return random.nextBoolean() ? OffsetLayout.BEFORE_OBSTACLE : OffsetLayout.FROM_EDGE;
    }

    /** More than the arcs alone rise. */
    private Length rise(Tooling tooling, Angle angle) {
        return ExactOffset.leastRise(tooling, angle).plus(inches(0.5, 9));
    }

    private Optional<Length> overall(double low) {
        return random.nextBoolean() ? Optional.of(inches(low, low + 60)) : Optional.empty();
    }

    private Bend bend(BendKind kind, Tooling tooling) {
        Angle angle = angle(60);
        // How far a bend reaches that is larger than those of the largest hand bender.
        double more = Math.max(0, tooling.tool().radius().inches() - 8.75);
        Length reserve = more > 0 ? Length.ofInches(8) : tooling.takenOff();
        return switch (kind) {
            case STUB_90 ->
                new Stub90(
                        inches(13 + 2 * more, 40 + 2 * more),
                        random.nextBoolean() ? Optional.of(inches(13 + 2 * more, 40 + 2 * more)) : Optional.empty(),
                        random.nextBoolean() || tooling.shoe().isEmpty() ? Placement.ARROW : Placement.STAR);
            case BACK_TO_BACK_90 ->
                new BackToBack90(
                        inches(13 + 2 * more, 40 + 2 * more),
                        inches(26 + 4 * more, 60 + 4 * more),
                        inches(13 + 2 * more, 40 + 2 * more));
            case OFFSET ->
                new Offset(
                        rise(tooling, angle), inches(0, 2), angle, inches(90, 110), layout(), overall(220 + 10 * more));
            case BOX_OFFSET -> {
                Angle small = Angle.ofDegrees(between(5, 12));
                yield new BoxOffset(rise(tooling, small), small, inches(2.5, 6), overall(150));
            }
            case ROLLING_OFFSET ->
                new RollingOffset(
                        rise(tooling, angle),
                        inches(0, 9),
                        angle,
                        inches(100, 120),
                        layout(),
                        overall(240 + 10 * more));
            case KICK ->
                new Kick(rise(tooling, angle).plus(reserve), angle, inches(150 + 5 * more, 170 + 5 * more), layout());
            case SADDLE_3 -> {
                Angle outer = angle(45);
                yield new Saddle3(
                        rise(tooling, outer).plus(reserve),
                        inches(0, 2),
                        outer,
                        inches(160 + 3 * more, 180 + 3 * more),
                        random.nextBoolean() ? Saddle3.Spacing.FACTOR : Saddle3.Spacing.COSECANT,
                        random.nextBoolean() ? Saddle3.Order.CENTRE_FIRST : Saddle3.Order.PUSH_THROUGH,
                        overall(400 + 2 * more));
            }
            case SADDLE_4 ->
                new Saddle4(
                        rise(tooling, angle),
                        inches(0, 2),
                        angle,
                        // With rings in the middle of their curves, two halves of a curve lie on the flat.
                        inches(6, 24).plus(tooling.shoe().isPresent() ? Length.ZERO : tooling.arcLength(angle)),
                        inches(0, 1),
                        random.nextBoolean() ? Saddle4.MeasuredTo.NEAR_EDGE : Saddle4.MeasuredTo.CENTRED,
                        inches(120 + 4 * more, 140 + 4 * more),
                        Placement.ARROW,
                        overall(330 + 9 * more));
            case OVER_BENT_90 -> {
                Angle over = angle(45);
                yield new OverBent90(
                        inches(80, 100),
                        ExactOffset.leastRise(tooling, over).plus(inches(0.5, 6)),
                        over,
                        random.nextBoolean() ? Optional.of(inches(20 + 2 * more, 50 + 2 * more)) : Optional.empty());
            }
            case RUN -> new RandomRuns(random, tooling).next();
        };
    }
}
