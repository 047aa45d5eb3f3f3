package lobrik.shape;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import lobrik.bend.BoxEnd;
import lobrik.bend.Leg;
import lobrik.bend.Run;
import lobrik.bend.Towards;
import lobrik.layout.Job;
import lobrik.layout.Jobs;
import lobrik.layout.Layout;
import lobrik.layout.Method;
import lobrik.layout.RandomRuns;
import lobrik.layout.School;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.TapeDivision;
import org.junit.jupiter.api.Test;

class WallOfRunTest {

    private static Leg leg(double inches, Towards towards) {
        return new Leg(Length.ofInches(inches), towards, Length.ZERO);
    }

    private static final Run ROUND_TWO_CORNERS = new Run(
            List.of(
                    leg(30, Towards.RIGHT),
                    leg(24, Towards.UP),
                    leg(36, Towards.RIGHT),
                    leg(20, Towards.OUT),
                    leg(28, Towards.DOWN)),
            Length.ZERO,
            Length.ZERO,
            Optional.of(new BoxEnd(Length.ofInches(0.5), Angle.ofDegrees(10), Length.ofInches(2.5), Towards.IN)),
            Optional.empty(),
            List.of(),
            List.of());

    @Test
    void asManyLegsAsLieInOnePlane_areOnOneWall_andTheLegOnWhichTwoMeetIsOnBoth() {
        List<WallOfRun> walls = WallOfRun.of(ROUND_TWO_CORNERS);
        assertThat(walls)
                .extracting(WallOfRun::view)
                .containsExactly(
                        WallOfRun.View.FACING_THE_WALL, WallOfRun.View.FROM_ABOVE, WallOfRun.View.FACING_RIGHT);
        assertThat(walls).extracting(WallOfRun::legs).containsExactly(List.of(1, 2, 3), List.of(3, 4), List.of(4, 5));
    }

    @Test
    void whereTheRunComesFromAndGoesOn_isSaidAsWhoeverFacesTheWallSeesIt() {
        List<WallOfRun> walls = WallOfRun.of(ROUND_TWO_CORNERS);
        assertThat(walls.get(0).before()).isEmpty();
        assertThat(walls.get(0).after()).contains(WallOfRun.Side.TOWARDS);
        // It comes up from below, and goes down again.
        assertThat(walls.get(1).before()).contains(WallOfRun.Side.AWAY);
        assertThat(walls.get(1).after()).contains(WallOfRun.Side.AWAY);
        assertThat(walls.get(2).before()).contains(WallOfRun.Side.TOWARDS);
        assertThat(walls.get(2).after()).isEmpty();
    }

    @Test
    void arcsAreCountedFromTheDatumEnd_withTheBoxAndTheNinetysBetweenTheLegs() {
        List<WallOfRun> walls = WallOfRun.of(ROUND_TWO_CORNERS);
        assertThat(walls).extracting(WallOfRun::firstArc).containsExactly(0, 4, 5);
        assertThat(walls).extracting(WallOfRun::arcsEnd).containsExactly(4, 5, 6);
        assertThat(walls.get(0).has(4)).isTrue();
        assertThat(walls.get(0).has(5)).isFalse();
        assertThat(walls.get(2).has(6)).isTrue();
    }

    /** Every leg is seen in its true length on its wall: nothing of its direction is towards who looks. */
    @Test
    void everyLeg_isSeenInItsTrueLength_inRandomRuns() {
        Random random = new Random(1713);
        for (int i = 0; i < 200; i++) {
            Run run = new RandomRuns(random, Jobs.threeQuarters()).next();
            Layout layout = Layout.of(new Job(run, Jobs.threeQuarters(), School.of(Method.EXACT, TapeDivision.NONE)));
            List<WallOfRun> walls = WallOfRun.of(run);
            assertThat(walls.getFirst().firstArc()).isZero();
            assertThat(walls.getLast().arcsEnd()).isEqualTo(run.shape().bends());
            for (WallOfRun wall : walls) {
                Vector3 towards = wall.across().cross(wall.up());
                assertThat(towards.norm()).isCloseTo(1, within(1e-9));
                for (int leg : wall.legs()) {
                    // The first straight of a leg runs the way the leg does.
                    int straight =
                            leg == 1 ? 0 : run.shape().ninetys().get(leg - 2).firstBend();
                    Vector3 along =
                            layout.predicted().straights().get(straight).start().along();
                    assertThat(along.dot(towards)).isCloseTo(0, within(1e-6));
                }
            }
        }
    }
}
