package lobrik.shape;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import lobrik.bend.Bend;
import lobrik.bend.BendKind;
import lobrik.feature.FeatureId;
import lobrik.layout.Jobs;
import lobrik.layout.Layout;
import lobrik.layout.Method;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Percentage;
import lobrik.measure.TapeDivision;
import lobrik.shop.HookSide;
import lobrik.shop.ShoePlacing;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * Features of pieces that were bent badly, against an independent route: the piece as many short rods turned one after
 * another about fixed axes, and the features read off those points.
 */
class FeaturesTest {

    private static final int CASES = 60;
    private static final double ROD = 0.002;

    /** The centreline as points {@code rod} apart. */
    private record Rods(List<double[]> points, double rod) {

        static Rods of(Piece piece) {
            int count = (int) Math.ceil(piece.length().inches() / ROD);
            double rod = piece.length().inches() / count;
            List<Bent> arcs =
                    piece.bends().stream().map(bend -> Bent.of(piece, bend)).toList();
            double[] point = {0, 0, 0};
            // Rows are the conduit's own axes in the room: along, up, across.
            double[][] axes = {{1, 0, 0}, {0, 1, 0}, {0, 0, 1}};
            List<double[]> points = new ArrayList<>(count + 1);
            points.add(point);
            for (int i = 0; i < count; i++) {
                for (Bent arc : arcs) {
                    double bent = Math.min((i + 1) * rod, arc.end()) - Math.max(i * rod, arc.start());
                    if (bent > 0) {
                        axes = turned(axes, arc.roll(), bent / arc.radius());
                    }
                }
                point = new double[] {
                    point[0] + rod * axes[0][0], point[1] + rod * axes[0][1], point[2] + rod * axes[0][2]
                };
                points.add(point);
            }
            return new Rods(points, rod);
        }

        /** Turns by a small angle in the plane of "along" and the direction at this roll, by a rotation matrix. */
        private static double[][] turned(double[][] axes, double roll, double by) {
            double c = Math.cos(by);
            double s = Math.sin(by);
            double cr = Math.cos(roll);
            double sr = Math.sin(roll);
            double[] along = new double[3];
            double[] up = new double[3];
            double[] across = new double[3];
            for (int k = 0; k < 3; k++) {
                double q = cr * axes[1][k] + sr * axes[2][k];
                double n = -sr * axes[1][k] + cr * axes[2][k];
                along[k] = c * axes[0][k] + s * q;
                double turnedQ = -s * axes[0][k] + c * q;
                up[k] = cr * turnedQ - sr * n;
                across[k] = sr * turnedQ + cr * n;
            }
            return new double[][] {along, up, across};
        }

        double[] at(double position) {
            int i = (int) Math.round(position / rod);
            return points.get(Math.clamp(i, 0, points.size() - 1));
        }

        double[] end() {
            return points.getLast();
        }
    }

    /** Where on the straight conduit a bend lies, worked out from the shoe's own figures; inches and radians. */
    private record Bent(double start, double end, double radius, double roll) {

        static Bent of(Piece piece, BendMade bend) {
            double radius = piece.tooling().tool().radius().inches();
            double lead = piece.tooling().takenOff().inches()
                    - radius
                    - piece.tooling().conduit().outsideDiameter().inches() / 2;
            double arc = radius * bend.angle().radians();
            double arrow = arrow(piece, bend);
            double start =
                    ((ShoePlacing) bend.placing()).hookTowards() == HookSide.DATUM ? arrow + lead : arrow - lead - arc;
            return new Bent(start, start + arc, radius, bend.roll().radians());
        }

        private static double arrow(Piece piece, BendMade bend) {
            double t = piece.tooling().takenOff().inches();
            double r = piece.tooling().tool().radius().inches();
            double d = piece.tooling().conduit().outsideDiameter().inches();
            double shift = switch (((ShoePlacing) bend.placing()).reference()) {
                case ARROW -> 0;
                case STAR -> t - (2 * r + d - Math.PI * r / 2);
                case NOTCH -> t - r - d / 2 + Math.PI * r / 8;
            };
            return bend.position().inches()
                    + (((ShoePlacing) bend.placing()).hookTowards() == HookSide.DATUM ? -shift : shift);
        }
    }

    /** Bends of the right kind, made carelessly: off their rings, over and under, twisted. */
    private static Piece careless(Layout layout, Random random) {
        List<BendMade> bends = layout.marks().stream()
                .map(mark -> new BendMade(
                        mark.position().plus(Length.ofInches(0.4 * random.nextDouble() - 0.2)),
                        mark.placing(),
                        mark.angle().plus(Angle.ofDegrees(-4 * random.nextDouble())),
                        mark.roll().plus(Angle.ofDegrees(8 * random.nextDouble() - 4))))
                .toList();
        return Piece.simulate(layout.job().tooling(), layout.predicted().length(), bends);
    }

    private static double read(Bend bend, Piece piece, FeatureId id) {
        return Features.of(bend, piece).stream()
                .filter(feature -> feature.id().equals(id))
                .map(feature -> switch (feature.value()) {
                    case Length length -> length.inches();
                    case Angle angle -> angle.degrees();
                    case Percentage part -> part.perCent();
                })
                .findFirst()
                .orElseThrow();
    }

    /** How much more the underside of the far end rises than its centre: half the diameter, less what of it is upright. */
    private static double tilt(Rods rods, Piece piece) {
        double[] before = rods.at(piece.length().inches() - 2);
        double upright = (rods.end()[0] - before[0]) / distance(rods.end(), before);
        return piece.tooling().conduit().outsideDiameter().inches() / 2 * (1 - upright);
    }

    private static double lift(double[] point, double roll) {
        return point[1] * Math.cos(roll) + point[2] * Math.sin(roll);
    }

    @ParameterizedTest
    @EnumSource(
            value = BendKind.class,
            names = {"OFFSET", "BOX_OFFSET", "ROLLING_OFFSET", "KICK", "SADDLE_3", "SADDLE_4"})
    void featuresOfACarelessPiece_agreeWithRods(BendKind kind) {
        Jobs jobs = new Jobs(41);
        Random random = new Random(42);
        for (int i = 0; i < CASES; i++) {
            Layout layout = Layout.of(jobs.next(kind, Method.CHART, TapeDivision.SIXTEENTH));
            Piece piece = careless(layout, random);
            Bend bend = layout.job().bend();
            Rods rods = Rods.of(piece);
            double up = piece.bends().getFirst().roll().radians();
            double lastArcEnd = piece.length().inches()
                    - piece.straights().getLast().length().inches();
            switch (kind) {
                case OFFSET, BOX_OFFSET ->
                    assertThat(read(bend, piece, FeatureId.RISE))
                            .isCloseTo(lift(rods.at(lastArcEnd), up), within(3e-3));
                case ROLLING_OFFSET -> {
                    assertThat(read(bend, piece, FeatureId.RISE)).isCloseTo(rods.at(lastArcEnd)[1], within(3e-3));
                    assertThat(read(bend, piece, FeatureId.ROLL)).isCloseTo(rods.at(lastArcEnd)[2], within(3e-3));
                }
                case KICK ->
                    assertThat(read(bend, piece, FeatureId.RISE))
                            .isCloseTo(lift(rods.end(), up) + tilt(rods, piece), within(3e-3));
                case SADDLE_3 -> assertTop(bend, piece, rods, up);
                default -> {
                    double inner = piece.bends().get(1).position().inches();
                    double outer = piece.bends().get(2).position().inches();
                    assertThat(read(bend, piece, FeatureId.LANDING)).isCloseTo(rods.at(inner)[0], within(3e-3));
                    assertThat(read(bend, piece, FeatureId.FLAT))
                            .isCloseTo(distance(rods.at(inner), rods.at(outer)), within(5e-3));
                }
            }
            if (kind == BendKind.SADDLE_3 || kind == BendKind.SADDLE_4) {
                assertThat(read(bend, piece, FeatureId.TAIL_LIFT)).isCloseTo(lift(rods.end(), up), within(3e-3));
            }
            if (kind != BendKind.KICK) {
                assertThat(read(bend, piece, FeatureId.OVERALL)).isCloseTo(rods.end()[0], within(3e-3));
            }
        }
    }

    private static void assertTop(Bend bend, Piece piece, Rods rods, double up) {
        double from = piece.straights().get(0).length().inches()
                + piece.arcs().get(0).length().inches()
                + piece.straights().get(1).length().inches();
        double to = from + piece.arcs().get(1).length().inches();
        double[] top = rods.at(from);
        for (double s = from; s <= to; s += ROD) {
            top = lift(rods.at(s), up) > lift(top, up) ? rods.at(s) : top;
        }
        assertThat(read(bend, piece, FeatureId.HEIGHT)).isCloseTo(lift(top, up), within(3e-3));
        assertThat(read(bend, piece, FeatureId.CENTRE)).isCloseTo(top[0], within(0.02));
    }

    private static double distance(double[] a, double[] b) {
        return Math.sqrt(Math.pow(a[0] - b[0], 2) + Math.pow(a[1] - b[1], 2) + Math.pow(a[2] - b[2], 2));
    }

    @Test
    void dogLeg_isTheLargestAngleBetweenPlanes_howeverTheyAreTurned() {
        Layout layout = Layout.of(new Jobs(43).next(BendKind.SADDLE_3, Method.EXACT, TapeDivision.SIXTEENTH));
        double[][] rollsAndDogLegs = {
            {0, 180, 0, 0}, {0, 183, 0, 3}, {180, 0, 176, 4}, {0, -180, 360, 0}, {2, 180, -1, 3}, {90, 271, 90, 1}
        };
        for (double[] rolls : rollsAndDogLegs) {
            List<BendMade> bends = new ArrayList<>();
            for (int i = 0; i < 3; i++) {
                BendMade marked = layout.marks().get(i).asMarked();
                bends.add(new BendMade(marked.position(), marked.placing(), marked.angle(), Angle.ofDegrees(rolls[i])));
            }
            Piece piece =
                    Piece.simulate(layout.job().tooling(), layout.predicted().length(), bends);
            assertThat(read(layout.job().bend(), piece, FeatureId.DOG_LEG)).isCloseTo(rolls[3], within(1e-9));
        }
    }

    @Test
    void bendsInAnyOrder_areNumberedFromTheDatumEnd() {
        Layout layout = Layout.of(new Jobs(44).next(BendKind.SADDLE_4, Method.EXACT, TapeDivision.SIXTEENTH));
        Piece piece = layout.predicted();
        Piece shuffled =
                Piece.simulate(piece.tooling(), piece.length(), piece.bends().reversed());
        assertThat(Features.of(layout.job().bend(), shuffled))
                .isEqualTo(Features.of(layout.job().bend(), piece));
    }

    @Test
    void pieceWithTheWrongNumberOfBends_isNoPieceOfTheKind() {
        Layout saddle = Layout.of(new Jobs(45).next(BendKind.SADDLE_3, Method.EXACT, TapeDivision.SIXTEENTH));
        Layout offset = Layout.of(new Jobs(45).next(BendKind.OFFSET, Method.EXACT, TapeDivision.SIXTEENTH));
        assertThatIllegalArgumentException()
                .isThrownBy(() -> Features.of(saddle.job().bend(), offset.predicted()));
    }

    @ParameterizedTest
    @EnumSource(BendKind.class)
    void lengths_areAsLongAsTheTapeBetweenTheirEnds(BendKind kind) {
        Jobs jobs = new Jobs(46);
        Random random = new Random(47);
        for (int i = 0; i < CASES; i++) {
            Layout layout = Layout.of(jobs.next(kind, Method.CHART, TapeDivision.SIXTEENTH));
            for (Feature feature : Features.of(layout.job().bend(), careless(layout, random))) {
                if (feature.value() instanceof Length length && feature.id().isOfFinishedPiece()) {
                    assertThat(feature.to().minus(feature.from()).norm())
                            .as("%s of %s", feature.id(), kind)
                            .isCloseTo(Math.abs(length.inches()), within(1e-8));
                }
            }
        }
    }
}
