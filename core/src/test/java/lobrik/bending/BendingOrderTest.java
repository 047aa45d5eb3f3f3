package lobrik.bending;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import lobrik.bend.BackToBack90;
import lobrik.bend.Bend;
import lobrik.bend.BoxEnd;
import lobrik.bend.Leg;
import lobrik.bend.Placement;
import lobrik.bend.Run;
import lobrik.bend.Stub90;
import lobrik.bend.Towards;
import lobrik.layout.Job;
import lobrik.layout.Jobs;
import lobrik.layout.Layout;
import lobrik.layout.Mark;
import lobrik.layout.Method;
import lobrik.layout.RandomRuns;
import lobrik.layout.School;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.TapeDivision;
import lobrik.shape.BendMade;
import lobrik.shape.Frame;
import lobrik.shape.Piece;
import lobrik.shape.Segment;
import lobrik.shape.Vector3;
import lobrik.shop.HookSide;
import lobrik.shop.Tooling;
import org.junit.jupiter.api.Test;

class BendingOrderTest {

    private static final Tooling TOOLING = Jobs.threeQuarters();
    private static final double HALF = 0.461;

    private static Layout laidOut(Bend bend) {
        return Layout.of(new Job(bend, TOOLING, School.of(Method.EXACT, TapeDivision.SIXTEENTH)));
    }

    private static List<BendMade> bends(Layout layout) {
        return layout.marks().stream().map(Mark::asMarked).toList();
    }

    private static BendingOrder.Found found(Layout layout) {
        return BendingOrder.of(Workplace.USUAL, TOOLING, layout.predicted().length(), bends(layout));
    }

    private static Length in(double inches) {
        return Length.ofInches(inches);
    }

    @Test
    void aStub_isBentOnTheFloor_withTheLeverFree() {
        BendingOrder.Found found = found(laidOut(new Stub90(in(20), Optional.of(in(30)), Placement.ARROW)));
        assertThat(found.isFree()).isTrue();
        assertThat(found.steps()).hasSize(1).allSatisfy(step -> {
            assertThat(step.stance()).isEqualTo(Stance.ON_THE_FLOOR);
            assertThat(step.leverLean()).isEqualTo(Angle.ZERO);
        });
    }

    @Test
    void aU_isBentOnTheFloor_oneLegAfterTheOther() {
        BendingOrder.Found found = found(laidOut(new BackToBack90(in(13.5), in(31.25), in(16))));
        assertThat(found.isFree()).isTrue();
        assertThat(found.steps()).extracting(Standing::stance).containsOnly(Stance.ON_THE_FLOOR);
    }

    /** Worked by hand: with 1 in of straight before its curve the shoe, which holds 2 in and more, has nothing to hold. */
    @Test
    void aLegThatIsTooShortForTheShoe_isSaidByHowMuch() {
        Layout layout = laidOut(new Stub90(in(6.5), Optional.of(in(7)), Placement.ARROW));
        BendingOrder.Found found = found(layout);
        assertThat(found.isFree()).isFalse();
        assertThat(found.hindrances()).singleElement().satisfies(hindrance -> {
            assertThat(hindrance.bend()).isEqualTo(1);
            assertThat(hindrance.what()).isEqualTo(Hindrance.What.GRIP);
            // To the datum end 6.5 − 6 of 2 in; to the far end 6.5 + 7 − G − (6.5 − G + …) less: the lesser is told.
            assertThat(hindrance.by().inches()).isBetween(0.5, 1.5);
        });
    }

    @Test
    void whatIsProposed_isFreeAtEveryStep_seenByAnotherRoute() {
        Random random = new Random(1710);
        int free = 0;
        for (int i = 0; i < 60; i++) {
            Layout layout = laidOut(new RandomRuns(random, TOOLING).next());
            BendingOrder.Found found = found(layout);
            if (found.isFree()) {
                free++;
                assertThat(found.steps().stream().map(Standing::bend).sorted().toList())
                        .isEqualTo(layout.marks().stream().map(Mark::number).toList());
                assertFreeOfTheFloor(layout, found.steps());
            } else {
                assertThat(found.hindrances()).isNotEmpty();
            }
        }
        assertThat(free).isGreaterThan(30);
    }

    /** Each step at its full angle: on the floor nothing of the heel's side is under it; in the air nothing at all. */
    private static void assertFreeOfTheFloor(Layout layout, List<Standing> steps) {
        List<BendMade> all = bends(layout);
        List<BendMade> made = new ArrayList<>();
        for (Standing step : steps) {
            BendMade now = all.get(step.bend() - 1);
            made.add(now);
            Piece piece = Piece.simulate(TOOLING, layout.predicted().length(), made);
            int at = piece.bends().indexOf(now);
            Segment.Arc arc = piece.arcs().get(at);
            boolean heelIsFar = step.hookTowards() == HookSide.DATUM;
            if (step.stance() == Stance.ON_THE_FLOOR) {
                Frame heel = heelIsFar ? arc.end() : arc.start();
                Vector3 up = heel.bendDirection(now.roll());
                List<Vector3> points = piece.centreline(16);
                for (int p = 0; p < points.size(); p++) {
                    boolean onHeel = heelIsFar ? p > at * 17 + 17 : p < at * 17 + 1;
                    if (onHeel) {
                        assertThat(points.get(p).minus(heel.origin()).dot(up)).isGreaterThan(-0.1);
                    }
                }
            } else {
                Frame held = heelIsFar ? arc.start() : arc.end();
                Vector3 down = held.bendDirection(now.roll());
                Vector3 centre = held.origin().plus(down.times(5.125));
                for (Vector3 point : piece.centreline(16)) {
                    assertThat(point.minus(centre).dot(down)).isLessThan(36 - HALF + 0.1);
                }
            }
        }
    }

    /** A leg that hangs straight down beside the shoe would be in the ground; so the piece is bent the other way round. */
    @Test
    void aZInSpace_isBentInAnOrderInWhichNothingStrikesTheFloor_andTheWrongOrderIsRefused() {
        Run run = Run.of(List.of(
                new Leg(in(20), Towards.UP, Length.ZERO),
                new Leg(in(52), Towards.RIGHT, Length.ZERO),
                new Leg(in(60), Towards.UP, Length.ZERO)));
        Layout layout = laidOut(run);
        BendingOrder.Found found = found(layout);
        assertThat(found.isFree()).isTrue();
        assertFreeOfTheFloor(layout, found.steps());
        // With the hook to the datum end at both, the far bend first: then its leg hangs down where the heel has to
        // lie.
        BendingOrder.Found wrong = BendingOrder.inOrder(
                Workplace.USUAL, TOOLING, layout.predicted().length(), bends(layout), List.of(2, 1));
        assertThat(wrong.steps()).hasSize(1);
        assertThat(wrong.hindrances()).singleElement().satisfies(hindrance -> {
            assertThat(hindrance.bend()).isEqualTo(1);
            assertThat(hindrance.what()).isEqualTo(Hindrance.What.FLOOR);
            // 60 in of leg from the outside of its back: all of it, less half the diameter at the corner.
            assertThat(hindrance.by().inches()).isCloseTo(60 - 0.922, within(0.5));
        });
    }

    /** As everybody bends it: its first bend, then its second, on the floor, though the hook holds the beginning of the first. */
    @Test
    void aBoxOffset_isBentOnTheFloor_oneBendAfterTheOther() {
        Run run = new Run(
                List.of(new Leg(in(28), Towards.UP, Length.ZERO), new Leg(in(40), Towards.RIGHT, Length.ZERO)),
                Length.ZERO,
                Length.ZERO,
                Optional.of(new BoxEnd(in(0.5), Angle.ofDegrees(10), in(2.5), Towards.IN)),
                Optional.of(new BoxEnd(in(0.5), Angle.ofDegrees(10), in(2.5), Towards.OUT)),
                List.of(),
                List.of());
        BendingOrder.Found found = found(laidOut(run));
        assertThat(found.steps()).extracting(Standing::stance).containsOnly(Stance.ON_THE_FLOOR);
        assertThat(found.steps()).extracting(Standing::bend).startsWith(1, 2);
    }
}
