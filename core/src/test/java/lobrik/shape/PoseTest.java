package lobrik.shape;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lobrik.bend.BackToBack90;
import lobrik.bend.BendKind;
import lobrik.bend.Placement;
import lobrik.bend.Stub90;
import lobrik.layout.Jobs;
import lobrik.layout.Layout;
import lobrik.layout.Method;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.TapeDivision;
import lobrik.shop.HookSide;
import lobrik.shop.Placing;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** How a piece lies in its place. */
class PoseTest {

    private static final double HALF = 0.461;

    private static Piece piece(double... angles) {
        List<BendMade> bends = new ArrayList<>();
        for (int i = 0; i < angles.length; i++) {
            bends.add(new BendMade(
                    Length.ofInches(10 + 30 * i),
                    Placing.arrow(HookSide.DATUM),
                    Angle.ofDegrees(angles[i]),
                    Angle.ZERO));
        }
        return Piece.simulate(Jobs.threeQuarters(), Length.ofInches(70), bends);
    }

    private static Stub90 stub() {
        return new Stub90(Length.ofInches(16), Optional.empty(), Placement.ARROW);
    }

    @ParameterizedTest
    @EnumSource(BendKind.class)
    void nothingOfARightPieceIsBelowItsSurface_andSomethingLiesOnIt(BendKind kind) {
        Jobs jobs = new Jobs(45);
        for (int i = 0; i < 20; i++) {
            Layout layout = Layout.of(jobs.next(kind, Method.EXACT, TapeDivision.NONE));
            Piece piece = layout.predicted();
            Pose pose = Pose.of(layout.job().bend(), piece);
            assertThat(pose.across().dot(pose.up())).isCloseTo(0, within(1e-12));
            assertThat(pose.across().norm()).isCloseTo(1, within(1e-12));
            // What goes over the edge of a beam hangs from it.
            double turned = kind == BendKind.OVER_BENT_90 ? -1 : 1;
            double lowest = piece.centreline(8).stream()
                    .mapToDouble(point -> turned * pose.above(point))
                    .min()
                    .orElseThrow();
            assertThat(lowest).isCloseTo(0, within(1e-6));
        }
    }

    /** The far leg lies level whatever the bend is; a bend under 90° leans the stub back, one over 90° leans it over. */
    @Test
    void stubStandsOnItsFarLeg_withTheCornerOfItsAxesAtTheOrigin() {
        for (double angle : new double[] {85, 90, 95}) {
            Piece piece = piece(angle);
            Pose pose = Pose.of(stub(), piece);
            Segment.Straight far = piece.straights().getLast();
            assertThat(pose.above(far.start().origin())).isCloseTo(0, within(1e-9));
            assertThat(pose.above(far.end().origin())).isCloseTo(0, within(1e-9));
            assertThat(pose.right(far.end().origin())).isGreaterThan(20);
            Vector3 datum = Vector3.ORIGIN;
            assertThat(pose.above(datum)).isGreaterThan(10);
            assertThat(Math.signum(Math.rint(pose.right(datum) * 1e6))).isEqualTo(Math.signum(angle - 90));
        }
    }

    /** Its middle lies, also where its first bend is over 90°; the origin is below the datum leg's axis. */
    @Test
    void uStandsOnItsMiddle() {
        BackToBack90 u = new BackToBack90(Length.ofInches(16), Length.ofInches(30), Length.ofInches(16));
        Piece piece = piece(93, 88);
        Pose pose = Pose.of(u, piece);
        Segment.Straight middle = piece.straights().get(1);
        assertThat(pose.above(middle.start().origin())).isCloseTo(0, within(1e-9));
        assertThat(pose.above(middle.end().origin())).isCloseTo(0, within(1e-9));
        assertThat(pose.above(Vector3.ORIGIN)).isGreaterThan(HALF);
        assertThat(pose.isOnDatumLeg()).isFalse();
    }
}
