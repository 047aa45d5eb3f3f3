package lobrik.bending;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import lobrik.bend.Bend;
import lobrik.bend.Placement;
import lobrik.bend.Stub90;
import lobrik.layout.BendingStep;
import lobrik.layout.Job;
import lobrik.layout.Jobs;
import lobrik.layout.Layout;
import lobrik.layout.Mark;
import lobrik.layout.Method;
import lobrik.layout.RandomRuns;
import lobrik.layout.RunOrder;
import lobrik.layout.School;
import lobrik.measure.Length;
import lobrik.measure.TapeDivision;
import lobrik.shape.Vector3;
import lobrik.shop.Tooling;
import org.junit.jupiter.api.Test;

class ShownBendTest {

    private static final Tooling TOOLING = Jobs.threeQuarters();
    private static final double HALF = 0.461;

    private static Layout laidOut(Bend bend) {
        return Layout.of(RunOrder.proposed(new Job(bend, TOOLING, School.of(Method.EXACT, TapeDivision.SIXTEENTH))));
    }

    private static List<ShownBend> shown(Layout layout) {
        return ShownBend.of(
                Workplace.USUAL,
                TOOLING,
                layout.predicted().length(),
                layout.marks().stream().map(Mark::asMarked).toList(),
                layout.steps().stream().map(step -> step.mark().number()).toList());
    }

    /** Worked by hand: bent with its hook to the datum end, the stub of 20 in stands upright, its end face 20 in over the floor. */
    @Test
    void aStub_liesOnTheFloor_andItsLegRises() {
        Layout layout = laidOut(new Stub90(Length.ofInches(20), Optional.of(Length.ofInches(40)), Placement.ARROW));
        ShownBend bend = shown(layout).getFirst();
        assertThat(bend.isSeenFromDatumEnd()).isFalse();
        List<Vector3> before = bend.moments().getFirst().centreline();
        assertThat(before).allSatisfy(point -> assertThat(point.y()).isCloseTo(HALF, within(1e-9)));
        List<Vector3> after = bend.moments().getLast().centreline();
        assertThat(after.getFirst().y()).isCloseTo(20, within(0.04));
        assertThat(after.getLast().y()).isCloseTo(HALF, within(1e-9));
        assertThat(after.getLast().x()).isPositive();
    }

    @Test
    void theLever_standsUprightAt30Degrees_andLeansToTheOneWhoPulls() {
        Layout layout = laidOut(new Stub90(Length.ofInches(20), Optional.of(Length.ofInches(40)), Placement.ARROW));
        List<ShownBend.Moment> moments = shown(layout).getFirst().moments();
        assertThat(moments).allSatisfy(moment -> {
            ShownBend.Lever lever = moment.lever().orElseThrow();
            Vector3 way = lever.end().minus(lever.centre());
            assertThat(way.norm()).isCloseTo(36, within(1e-9));
            assertThat(Math.toDegrees(Math.atan2(way.x(), way.y())))
                    .isCloseTo(moment.bent().degrees() - 30, within(1e-6));
        });
    }

    /** However it lies, the last moment of the last bend is the finished piece: the same distances and the same hand. */
    @Test
    void theLastMoment_isTheFinishedPiece_byAnotherRoute() {
        Random random = new Random(1714);
        for (int i = 0; i < 120; i++) {
            Layout layout = laidOut(new RandomRuns(random, TOOLING).next());
            List<Vector3> shown = shown(layout).getLast().moments().getLast().centreline();
            List<Vector3> simulated = layout.predicted().centreline(8);
            assertThat(shown).hasSameSizeAs(simulated);
            for (int a = 0; a < shown.size(); a += 5) {
                for (int b = a + 1; b < shown.size(); b += 7) {
                    assertThat(shown.get(a).minus(shown.get(b)).norm())
                            .isCloseTo(simulated.get(a).minus(simulated.get(b)).norm(), within(1e-6));
                }
            }
            int middle = shown.size() / 2;
            for (int c = 1; c < middle; c += 6) {
                assertThat(volume(shown, 0, c, middle, shown.size() - 1))
                        .isCloseTo(volume(simulated, 0, c, middle, simulated.size() - 1), within(1e-4));
            }
        }
    }

    /** While it is bent, nothing gets longer or shorter: every straight keeps its length. */
    @Test
    void straights_keepTheirLength_fromMomentToMoment() {
        Random random = new Random(1715);
        for (int i = 0; i < 30; i++) {
            for (ShownBend bend : shown(laidOut(new RandomRuns(random, TOOLING).next()))) {
                List<Vector3> first = bend.moments().getFirst().centreline();
                for (ShownBend.Moment moment : bend.moments()) {
                    List<Vector3> line = moment.centreline();
                    assertThat(line).hasSameSizeAs(first);
                    boolean hookIsDatum = !bend.isSeenFromDatumEnd();
                    // The straight at the end of the hook's side turns with the shoe.
                    int end = hookIsDatum ? 1 : line.size() - 1;
                    assertThat(line.get(end).minus(line.get(end - 1)).norm())
                            .isCloseTo(first.get(end).minus(first.get(end - 1)).norm(), within(1e-6));
                }
            }
        }
    }

    @Test
    void whatLiesOnTheFloor_staysThere_andWhatStandsInTheAirHangsOverIt() {
        Random random = new Random(1716);
        for (int i = 0; i < 60; i++) {
            Layout layout = laidOut(new RandomRuns(random, TOOLING).next());
            if (!layout.job().bend().run().orElseThrow().order().isEmpty()) {
                for (ShownBend bend : shown(layout)) {
                    List<Vector3> first = bend.moments().getFirst().centreline();
                    List<Vector3> last = bend.moments().getLast().centreline();
                    boolean inTheAir = bend.standing().stance() == Stance.IN_THE_AIR;
                    for (int p = 0; p < first.size(); p++) {
                        // On the floor it is the heel's side that has to lie free, and still; what is in the hook
                        // rises.
                        if (inTheAir || first.get(p).equals(last.get(p))) {
                            // What touches the floor by a hair is lifted over it with the foot.
                            assertThat(last.get(p).y()).isGreaterThan(HALF - 0.06);
                        }
                    }
                }
            }
        }
    }

    @Test
    void bendsComeInTheOrderOfTheSteps() {
        Layout layout = laidOut(new RandomRuns(new Random(3), TOOLING).next());
        assertThat(shown(layout))
                .extracting(bend -> bend.standing().bend())
                .isEqualTo(layout.steps().stream()
                        .map(BendingStep::mark)
                        .map(Mark::number)
                        .toList());
    }

    private static double volume(List<Vector3> points, int a, int b, int c, int d) {
        Vector3 from = points.get(a);
        return points.get(b)
                .minus(from)
                .cross(points.get(c).minus(from))
                .dot(points.get(d).minus(from));
    }
}
