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
import lobrik.layout.School;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.TapeDivision;
import lobrik.shop.Conduit;
import lobrik.shop.Shoe;
import lobrik.shop.Tooling;

/** Random exercises of the sizes that benches have; some of them cannot be laid out. */
final class BenchJobs {

    private static final double[][] TOOLING = {{0.706, 5, 4.25}, {0.922, 6, 5.125}, {1.163, 8, 6.5}};
    private static final double[] ANGLES = {15, 22.5, 30, 45, 60};
    private static final double[] SADDLE_ANGLES = {15, 22.5, 30};

    private final Random random;

    BenchJobs(Random random) {
        this.random = random;
    }

    Job next(BendKind kind) {
        double[] figures = TOOLING[random.nextInt(TOOLING.length)];
        Tooling tooling = new Tooling(
                new Conduit(Length.ofInches(figures[0])),
                Shoe.of(Length.ofInches(figures[1]), Length.ofInches(figures[2])));
        Method method = random.nextBoolean() ? Method.CHART : Method.EXACT;
        return new Job(bend(kind), tooling, School.of(method, TapeDivision.SIXTEENTH));
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

    private Bend bend(BendKind kind) {
        return switch (kind) {
            case STUB_90 ->
                new Stub90(
                        eighths(9, 30),
                        mostly(eighths(14, 40)),
                        random.nextInt(4) > 0 ? Placement.ARROW : Placement.STAR);
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
        };
    }
}
