package lobrik.shape;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import lobrik.bend.Leg;
import lobrik.bend.Run;
import lobrik.bend.Towards;
import lobrik.fault.FaultCode;
import lobrik.fault.Refused;
import lobrik.layout.Job;
import lobrik.layout.Jobs;
import lobrik.layout.Layout;
import lobrik.layout.Method;
import lobrik.layout.RandomRuns;
import lobrik.layout.Review;
import lobrik.layout.School;
import lobrik.layout.Warning;
import lobrik.measure.Length;
import lobrik.measure.TapeDivision;
import lobrik.shop.Tooling;
import org.junit.jupiter.api.Test;

/** What stands in the room of a run. */
class SolidTest {

    private static final Tooling TOOLING = Jobs.threeQuarters();
    private static final double HALF = 0.461;

    private static Length in(double inches) {
        return Length.ofInches(inches);
    }

    private static Solid.Block column(double right, double up, double out, double width, double height, double depth) {
        return new Solid.Block(Solid.Block.Kind.COLUMN, in(right), in(up), in(out), in(width), in(height), in(depth));
    }

    private static Leg leg(double length, Towards towards) {
        return new Leg(in(length), towards, Length.ZERO);
    }

    private static Layout laidOut(Run run) {
        return Layout.of(new Job(run, TOOLING, School.of(Method.EXACT, TapeDivision.NONE)));
    }

    @Test
    void block_isAsFarAsItsNearestFaceEdgeOrCorner_andNegativeInside() {
        Solid block = column(10, 0, 0, 4, 10, 6);
        assertThat(block.distance(7, 5, 3)).isEqualTo(3);
        assertThat(block.distance(17, 14, 3)).isEqualTo(5);
        assertThat(block.distance(16, 13, 12)).isEqualTo(7);
        assertThat(block.distance(11, 5, 3)).isEqualTo(-1);
    }

    @Test
    void surface_isAsFarAsItIsOff_onItsOwnSide() {
        assertThat(new Solid.Surface(Towards.UP, in(48)).distance(3, 20, 5)).isEqualTo(28);
        assertThat(new Solid.Surface(Towards.IN, in(1)).distance(3, 20, 5)).isEqualTo(6);
        assertThat(new Solid.Surface(Towards.LEFT, in(12)).distance(-15, 0, 0)).isEqualTo(-3);
    }

    @Test
    void aBlockWithoutSize_isRefused_withEverythingThatIsWrongWithIt() {
        assertThatThrownBy(() -> column(1, 1, 1, 0, -2, 3))
                .isInstanceOfSatisfying(
                        Refused.class,
                        refused -> assertThat(refused.faults())
                                .extracting("input")
                                .containsExactly("widthIn", "heightIn"));
    }

    /** Worked by hand: right 30, then up 40; a duct whose left edge is 33 from the start stands 33 − 30 off the back of the second leg. */
    @Test
    void gapToADuctBesideALeg_isWhatIsLeftOfTheWall() {
        Run run = Run.of(List.of(leg(30, Towards.RIGHT), leg(40, Towards.UP)));
        Solid duct = column(33, 10, -2, 10, 20, 4);
        Obstacle.InRoom room = new Obstacle.InRoom(RoomFrame.of(run), List.of(duct));
        Clearance gap = Clearance.of(laidOut(run).predicted(), room);
        assertThat(gap.gap().inches()).isCloseTo(3, within(1e-6));
        assertThat(gap.isTouched()).isFalse();
        assertThat(gap.from().words()).isEqualTo("the column");
    }

    @Test
    void whatARunRunsInto_isWarnedOf_withALegThatCuresIt() {
        Run run = Run.of(List.of(leg(30, Towards.RIGHT), leg(40, Towards.UP)));
        Solid duct = column(29, 10, -2, 10, 20, 4);
        Obstacle.InRoom room = new Obstacle.InRoom(RoomFrame.of(run), List.of(duct));
        Review review =
                Review.of(new Job(run, TOOLING, School.of(Method.EXACT, TapeDivision.SIXTEENTH)), Optional.of(room));
        Warning touched = review.warnings().stream()
                .filter(warning -> warning.fault().code() == FaultCode.OBSTACLE_TOUCHED)
                .findFirst()
                .orElseThrow();
        assertThat(touched.fault().input()).isEqualTo("place/room/0");
        assertThat(touched.fault().message()).contains("into the column");
        assertThat(touched.fault().cures()).extracting("input").contains("bend/legs/0/lengthIn");
    }

    /** Conduit lies on the wall that it runs along; only what would be behind it is told. */
    @Test
    void theWallThatARunLiesOn_isNotTouched_untilItWouldHaveToGoThrough() {
        Run run = Run.of(List.of(leg(30, Towards.RIGHT), leg(40, Towards.UP)));
        Piece piece = laidOut(run).predicted();
        for (double off : new double[] {HALF, 0.4}) {
            Obstacle.InRoom room =
                    new Obstacle.InRoom(RoomFrame.of(run), List.of(new Solid.Surface(Towards.IN, in(off))));
            assertThat(Clearance.of(piece, room).isTouched()).isFalse();
        }
        Obstacle.InRoom room = new Obstacle.InRoom(RoomFrame.of(run), List.of(new Solid.Surface(Towards.IN, in(0.2))));
        assertThat(Clearance.of(piece, room).isTouched()).isTrue();
    }

    /** The independent route: very many points of the centreline, in the room. */
    @Test
    void gaps_areThoseOfManyPoints() {
        Random random = new Random(1712);
        for (int i = 0; i < 60; i++) {
            Run run = new RandomRuns(random, TOOLING).next();
            Piece piece = laidOut(run).predicted();
            RoomFrame frame = RoomFrame.of(run);
            Solid solid = column(
                    random.nextDouble() * 60 - 30,
                    random.nextDouble() * 60 - 30,
                    random.nextDouble() * 40 - 20,
                    1 + random.nextDouble() * 20,
                    1 + random.nextDouble() * 40,
                    1 + random.nextDouble() * 10);
            double least = Double.MAX_VALUE;
            for (int s = 0; s <= 8000; s++) {
                Vector3 point =
                        frame.seen(piece.at(piece.length().times(s / 8000.0)).origin());
                least = Math.min(least, solid.distance(point.x(), point.y(), point.z()) - HALF);
            }
            double gap = Clearance.of(piece, new Obstacle.InRoom(frame, List.of(solid)))
                    .gap()
                    .inches();
            assertThat(gap).isLessThanOrEqualTo(least + 1e-6).isCloseTo(least, within(0.05));
        }
    }

    @Test
    void mirroredTwice_orSeenFromElsewhereAndBack_aRoomIsTheSame() {
        List<Solid> room = List.of(column(3, -4, 5, 6, 7, 8), new Solid.Surface(Towards.RIGHT, in(20)));
        for (Solid solid : room) {
            assertThat(solid.mirrored().mirrored()).isEqualTo(solid);
            assertThat(solid.from(5, -6, 7).from(-5, 6, -7)).isEqualTo(solid);
            assertThat(solid.mirrored().distance(-2, 1, 3)).isEqualTo(solid.distance(2, 1, 3));
            assertThat(solid.from(5, -6, 7).distance(1, 2, 3)).isCloseTo(solid.distance(6, -4, 10), within(1e-9));
        }
    }
}
