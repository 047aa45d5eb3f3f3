package lobrik.shape;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import lobrik.fault.FaultCode;
import lobrik.fault.Refused;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.shop.Conduit;
import lobrik.shop.HookSide;
import lobrik.shop.Placing;
import lobrik.shop.Shoe;
import lobrik.shop.ShoePlacing;
import lobrik.shop.Tooling;
import org.junit.jupiter.api.Test;

class PieceTest {

    private static final Tooling TOOLING =
            new Tooling(new Conduit(Length.ofInches(0.922)), Shoe.of(Length.ofInches(6), Length.ofInches(5.125)));

    private static BendMade bend(double position, HookSide hook, double degrees, double roll) {
        return new BendMade(
                Length.ofInches(position), Placing.arrow(hook), Angle.ofDegrees(degrees), Angle.ofDegrees(roll));
    }

    /** Random bends with room between them: each takes its arc and the lead on either side of its arrow. */
    private static List<BendMade> randomBends(Random random) {
        List<BendMade> bends = new ArrayList<>();
        double at = 16;
        for (int i = 0; i < 1 + random.nextInt(5); i++) {
            HookSide hook = random.nextBoolean() ? HookSide.DATUM : HookSide.FAR;
            bends.add(bend(at, hook, 5 + 85 * random.nextDouble(), 360 * random.nextDouble()));
            at += 18 + 5 * random.nextDouble();
        }
        return bends;
    }

    @Test
    void centreline_keepsItsLengthAndIsSmooth() {
        Random random = new Random(1);
        for (int i = 0; i < 300; i++) {
            Piece piece = Piece.simulate(TOOLING, Length.ofInches(160), randomBends(random));
            double total = 0;
            for (Segment.Straight straight : piece.straights()) {
                total += straight.length().inches();
            }
            for (Segment.Arc arc : piece.arcs()) {
                total += arc.length().inches();
                assertThat(arc.end().along().norm()).isCloseTo(1, within(1e-9));
                assertThat(arc.end().along().dot(arc.end().up())).isCloseTo(0, within(1e-9));
            }
            assertThat(total).isCloseTo(160, within(1e-9));
        }
    }

    /** An independent route: turn the direction in tiny steps along the conduit and add them up. */
    @Test
    void simulation_agreesWithNumericalIntegration() {
        Random random = new Random(2);
        for (int i = 0; i < 40; i++) {
            List<BendMade> bends = randomBends(random);
            Piece piece = Piece.simulate(TOOLING, Length.ofInches(160), bends);
            Vector3 end = piece.straights().getLast().end().origin();
            assertThat(end.minus(integratedEnd(bends, 160, 80_000)).norm()).isLessThan(2e-4);
        }
    }

    private static Vector3 integratedEnd(List<BendMade> bends, double length, int steps) {
        double radius = 5.125;
        double lead = 6 - radius - 0.922 / 2;
        double step = length / steps;
        Vector3 point = Vector3.ORIGIN;
        Vector3 along = Vector3.X;
        Vector3 up = Vector3.Y;
        for (int i = 0; i < steps; i++) {
            point = point.plus(along.times(step / 2));
            for (BendMade bend : bends) {
                double arc = radius * bend.angle().radians();
                double mark = bend.position().inches();
                double start = ((ShoePlacing) bend.placing()).hookTowards() == HookSide.DATUM
                        ? mark + lead
                        : mark - lead - arc;
                double bent = Math.min((i + 1) * step, start + arc) - Math.max(i * step, start);
                if (bent > 0) {
                    double roll = bend.roll().radians();
                    Vector3 side = along.cross(up);
                    Vector3 axis = side.times(Math.cos(roll)).minus(up.times(Math.sin(roll)));
                    along = rotated(along, axis, bent / radius);
                    up = rotated(up, axis, bent / radius);
                }
            }
            point = point.plus(along.times(step / 2));
        }
        return point;
    }

    /** Rodrigues' rotation of a vector about a unit axis. */
    private static Vector3 rotated(Vector3 v, Vector3 axis, double angle) {
        return v.times(Math.cos(angle))
                .plus(axis.cross(v).times(Math.sin(angle)))
                .plus(axis.times(axis.dot(v) * (1 - Math.cos(angle))));
    }

    @Test
    void rollBy180_mirrorsAPlanePiece() {
        Piece up = Piece.simulate(TOOLING, Length.ofInches(60), List.of(bend(20, HookSide.DATUM, 30, 0)));
        Piece down = Piece.simulate(TOOLING, Length.ofInches(60), List.of(bend(20, HookSide.DATUM, 30, 180)));
        Vector3 a = up.straights().getLast().end().origin();
        Vector3 b = down.straights().getLast().end().origin();
        assertThat(b.x()).isCloseTo(a.x(), within(1e-9));
        assertThat(b.y()).isCloseTo(-a.y(), within(1e-9));
        assertThat(b.z()).isCloseTo(0, within(1e-9));
    }

    @Test
    void twoEqualBendsRolledApartBy180_leaveTheLegsParallel() {
        // handbook 4.3: rise = (L − Rθ) sin θ + 2R(1 − cos θ)
        Piece offset = Piece.simulate(
                TOOLING,
                Length.ofInches(60),
                List.of(bend(20, HookSide.DATUM, 30, 0), bend(30, HookSide.DATUM, 30, 180)));
        double theta = Math.PI / 6;
        double rise = (10 - 5.125 * theta) * Math.sin(theta) + 2 * 5.125 * (1 - Math.cos(theta));
        Frame end = offset.straights().getLast().end();
        assertThat(end.along().x()).isCloseTo(1, within(1e-9));
        assertThat(end.origin().y()).isCloseTo(rise, within(1e-9));
    }

    @Test
    void reversedConduit_hasTheSameShape() {
        Random random = new Random(3);
        for (int i = 0; i < 100; i++) {
            List<BendMade> bends = randomBends(random);
            // Seen from the other end, right and left change places, so rolls change their sense.
            List<BendMade> reversed = bends.stream()
                    .map(made -> new BendMade(
                            Length.ofInches(160).minus(made.position()),
                            ((ShoePlacing) made.placing()).turned(),
                            made.angle(),
                            Angle.ofDegrees(-made.roll().degrees())))
                    .toList();
            double there = span(Piece.simulate(TOOLING, Length.ofInches(160), bends));
            double back = span(Piece.simulate(TOOLING, Length.ofInches(160), reversed));
            assertThat(back).isCloseTo(there, within(1e-7));
        }
    }

    private static double span(Piece piece) {
        return piece.straights().getLast().end().origin().norm();
    }

    @Test
    void centrelinePoints_lieOnLegsAndArcs() {
        Piece piece = Piece.simulate(TOOLING, Length.ofInches(40), List.of(bend(11.625, HookSide.DATUM, 90, 0)));
        List<Vector3> points = piece.centreline(16);
        assertThat(points).hasSize(1 + 17 + 1);
        Vector3 centre = new Vector3(12.039, 5.125, 0);
        assertThat(points.subList(1, 18))
                .allSatisfy(p -> assertThat(p.minus(centre).norm()).isCloseTo(5.125, within(1e-9)));
    }

    @Test
    void arcsThatDoNotFit_areRefusedWithTheFigure() {
        assertRefused(FaultCode.ARC_OFF_CONDUIT, 40, List.of(bend(3, HookSide.FAR, 90, 0)));
        assertRefused(FaultCode.ARC_OFF_CONDUIT, 40, List.of(bend(39, HookSide.DATUM, 45, 0)));
        assertRefused(FaultCode.MARK_OFF_CONDUIT, 40, List.of(bend(41, HookSide.FAR, 45, 0)));
        assertRefused(
                FaultCode.ARCS_OVERLAP,
                40,
                List.of(bend(10, HookSide.DATUM, 90, 0), bend(15, HookSide.DATUM, 90, 180)));
    }

    private static void assertRefused(FaultCode code, double length, List<BendMade> bends) {
        Refused refused =
                catchThrowableOfType(Refused.class, () -> Piece.simulate(TOOLING, Length.ofInches(length), bends));
        assertThat(refused.isWellFormed()).isTrue();
        assertThat(refused.faults()).extracting(fault -> fault.code()).containsExactly(code);
    }

    @Test
    void anglesOutOfRange_areAllTold() {
        Refused refused = catchThrowableOfType(
                Refused.class,
                () -> Piece.simulate(
                        TOOLING,
                        Length.ofInches(100),
                        List.of(bend(20, HookSide.DATUM, 181, 0), bend(60, HookSide.DATUM, -1, 0))));
        assertThat(refused.faults())
                .extracting(fault -> fault.input())
                .containsExactly("bends/0/angleDeg", "bends/1/angleDeg");
    }
}
