package lobrik.layout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Collectors;
import lobrik.bend.BackToBack90;
import lobrik.bend.Bend;
import lobrik.bend.BendKind;
import lobrik.bend.Leg;
import lobrik.bend.OrderedBend;
import lobrik.bend.Placement;
import lobrik.bend.Run;
import lobrik.bend.RunShape;
import lobrik.bend.Stub90;
import lobrik.bend.Towards;
import lobrik.feature.FeatureId;
import lobrik.feature.FeatureKind;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.TapeDivision;
import lobrik.shape.BendMade;
import lobrik.shape.Feature;
import lobrik.shape.Features;
import lobrik.shape.Piece;
import lobrik.shape.Vector3;
import lobrik.shop.HookSide;
import lobrik.shop.Tooling;
import lobrik.verdict.Reading;
import lobrik.verdict.TolerancePreset;
import org.junit.jupiter.api.Test;

/** What holds of every run, whatever its legs are: tried on random ones. */
class RunPropertiesTest {

    private static final int CASES = Boolean.getBoolean("lobrik.full") ? 5000 : 400;
    private static final double EXACTLY = 1e-6;

    private static Layout exact(Bend bend, Tooling tooling) {
        return Layout.of(new Job(bend, tooling, School.of(Method.EXACT, TapeDivision.NONE)));
    }

    private static Map<FeatureId, Double> features(Bend bend, Piece piece) {
        return Features.of(bend, piece).stream()
                .collect(
                        Collectors.toMap(Feature::id, feature -> feature.value().number()));
    }

    private static Length arcStart(Layout layout, Mark mark) {
        return layout.job().tooling().arcStart(mark.position(), mark.placing(), mark.angle());
    }

    private static Length arcEnd(Layout layout, Mark mark) {
        return arcStart(layout, mark).plus(layout.job().tooling().arcLength(mark.angle()));
    }

    @Test
    void laidOutExactly_everyDimensionComesOutAsAsked() {
        Jobs jobs = new Jobs(1701);
        for (int i = 0; i < CASES; i++) {
            Layout layout = Layout.of(jobs.next(BendKind.RUN, Method.EXACT, TapeDivision.NONE));
            assertThat(layout.features())
                    .filteredOn(feature -> feature.id().isOfFinishedPiece())
                    .allSatisfy(feature -> assertThat(feature.predicted().number())
                            .as("%s of %s", feature.id(), layout.job().bend())
                            .isCloseTo(feature.asked().number(), within(EXACTLY)));
        }
    }

    @Test
    void withItsDatumAtTheOtherEnd_theSameRunHasTheSameArcs_inAMirror() {
        Random random = new Random(1702);
        for (int i = 0; i < CASES; i++) {
            Tooling tooling = Jobs.threeQuarters();
            Run run = new RandomRuns(random, tooling).next();
            Layout there = exact(run, tooling);
            Layout back = exact(RunReversal.of(run, tooling), tooling);
            Length cut = there.cutLength().orElseThrow();
            assertThat(back.cutLength().orElseThrow().inches()).isCloseTo(cut.inches(), within(EXACTLY));
            int bends = there.marks().size();
            for (int bend = 0; bend < bends; bend++) {
                Mark near = there.marks().get(bend);
                Mark far = back.marks().get(bends - 1 - bend);
                assertThat(arcStart(back, far).inches())
                        .isCloseTo(cut.minus(arcEnd(there, near)).inches(), within(EXACTLY));
                assertThat(far.angle()).isEqualTo(near.angle());
            }
            assertThat(turns(back)).isEqualTo(turns(there).reversed());
        }
    }

    private static List<Double> turns(Layout layout) {
        return layout.features().stream()
                .filter(feature -> feature.id().kind() == FeatureKind.TURN)
                .map(feature -> feature.asked().number())
                .toList();
    }

    @Test
    void inAMirror_turnsRunTheOtherWay_andNothingElseChanges() {
        Random random = new Random(1703);
        for (int i = 0; i < CASES; i++) {
            Tooling tooling = Jobs.threeQuarters();
            Run run = new RandomRuns(random, tooling).next();
            Layout one = exact(run, tooling);
            Layout other = exact(run.mirrored(), tooling);
            assertThat(other.marks())
                    .extracting(Mark::position)
                    .isEqualTo(one.marks().stream().map(Mark::position).toList());
            Map<FeatureId, Double> mirrored = features(run.mirrored(), other.predicted());
            features(run, one.predicted()).forEach((id, value) -> {
                double expected = switch (id.kind()) {
                    case TURN -> (360 - value) % 360;
                    case REACH_RIGHT -> -value;
                    default -> value;
                };
                assertThat(mirrored.get(id)).as("%s of %s", id, run).isCloseTo(expected, within(EXACTLY));
            });
        }
    }

    @Test
    void aRunOfOneNinety_isTheStub() {
        Random random = new Random(1704);
        for (int i = 0; i < CASES; i++) {
            Tooling tooling = Jobs.threeQuarters();
            Length leg = Length.ofInches(12 + 30 * random.nextDouble());
            Length other = Length.ofInches(12 + 30 * random.nextDouble());
            Layout run = exact(run(legs(List.of(leg, other), List.of(Towards.UP, Towards.RIGHT))), tooling);
            assertSame(run, exact(new Stub90(leg, Optional.of(other), Placement.ARROW), tooling));
        }
    }

    @Test
    void aRunOfTwoNinetysToOneSide_isTheU() {
        Random random = new Random(1705);
        for (int i = 0; i < CASES; i++) {
            Tooling tooling = Jobs.threeQuarters();
            Length first = Length.ofInches(12 + 30 * random.nextDouble());
            Length between = Length.ofInches(20 + 30 * random.nextDouble());
            Length second = Length.ofInches(12 + 30 * random.nextDouble());
            Layout run = exact(
                    run(legs(List.of(first, between, second), List.of(Towards.DOWN, Towards.RIGHT, Towards.UP))),
                    tooling);
            assertSame(run, exact(new BackToBack90(first, between, second), tooling));
            assertThat(turns(run)).containsExactly(0.0);
        }
    }

    private static void assertSame(Layout run, Layout other) {
        assertThat(run.cutLength().orElseThrow().inches())
                .isCloseTo(other.cutLength().orElseThrow().inches(), within(EXACTLY));
        for (int i = 0; i < run.marks().size(); i++) {
            Mark mark = run.marks().get(i);
            Mark same = other.marks().get(i);
            assertThat(arcStart(run, mark).inches())
                    .isCloseTo(arcStart(other, same).inches(), within(EXACTLY));
            assertThat(mark.roll()).isEqualTo(same.roll());
        }
    }

    private static List<Leg> legs(List<Length> lengths, List<Towards> towards) {
        List<Leg> legs = new ArrayList<>();
        for (int i = 0; i < lengths.size(); i++) {
            legs.add(new Leg(lengths.get(i), towards.get(i), Length.ZERO));
        }
        return legs;
    }

    private static Run run(List<Leg> legs) {
        return Run.of(legs);
    }

    /** {@code ΣL − nG + Σσ}, with shrinks by the formula of offsets: an independent route to what is cut. */
    @Test
    void whatIsCut_isAllLegsLessAGainForEachCorner_andTheShrinkOfWhatLiesOnThem() {
        Jobs jobs = new Jobs(1706);
        for (int i = 0; i < CASES; i++) {
            Layout layout = Layout.of(jobs.next(BendKind.RUN, Method.EXACT, TapeDivision.NONE));
            Tooling tooling = layout.job().tooling();
            Run run = (Run) layout.job().bend();
            double cut = 0;
            for (int leg = 1; leg <= run.legs().size(); leg++) {
                cut += run.outside(leg).inches();
            }
            cut -= (run.legs().size() - 1) * tooling.gain().inches();
            Piece piece = layout.predicted();
            for (RunShape.Stretch stretch : run.shape().stretches()) {
                if (!(stretch.part() instanceof RunShape.Part.Ninety)) {
                    Vector3 from =
                            piece.arcs().get(stretch.firstBend() - 1).start().origin();
                    Vector3 along =
                            piece.arcs().get(stretch.firstBend() - 1).start().along();
                    Vector3 to = piece.arcs().get(stretch.lastBend() - 1).end().origin();
                    double developed = arcEnd(layout, layout.marks().get(stretch.lastBend() - 1))
                                    .inches()
                            - arcStart(layout, layout.marks().get(stretch.firstBend() - 1))
                                    .inches();
                    cut += developed - to.minus(from).dot(along);
                }
            }
            assertThat(layout.cutLength().orElseThrow().inches()).isCloseTo(cut, within(EXACTLY));
        }
    }

    /** Whichever way the hook looks, and in whatever order the bends are made, the piece is the same. */
    @Test
    void whicheverWayTheHookLooks_theSameCurvesComeOfIt() {
        Random random = new Random(1707);
        for (int i = 0; i < CASES; i++) {
            Tooling tooling = Jobs.threeQuarters();
            Run run = new RandomRuns(random, tooling).next();
            Layout usual = exact(run, tooling);
            List<OrderedBend> order = new ArrayList<>();
            for (int bend = usual.marks().size(); bend >= 1; bend--) {
                order.add(new OrderedBend(bend, random.nextBoolean() ? HookSide.DATUM : HookSide.FAR));
            }
            Layout other = exact(run.inOrder(order), tooling);
            for (Mark mark : other.marks()) {
                Mark same = usual.marks().get(mark.number() - 1);
                assertThat(arcStart(other, mark).inches())
                        .isCloseTo(arcStart(usual, same).inches(), within(EXACTLY));
                assertThat(mark.order()).isEqualTo(usual.marks().size() + 1 - mark.number());
                assertThat(mark.placing().hook())
                        .contains(order.get(mark.order() - 1).hookTowards());
            }
            assertThat(other.derivation().asItStands().marks())
                    .isEqualTo(other.marks().stream().map(Mark::position).toList());
        }
    }

    /** Walked by hand: each bend turns the way a fitter's hand would, so the far end comes where the legs say. */
    @Test
    void aPieceWithOneAngleOff_isOffByThatInItsAngle_andInTheReachBeyondIt() {
        Tooling tooling = Jobs.threeQuarters();
        Run run = run(legs(
                List.of(Length.ofInches(20), Length.ofInches(30), Length.ofInches(40)),
                List.of(Towards.UP, Towards.RIGHT, Towards.OUT)));
        Layout layout = exact(run, tooling);
        List<BendMade> bends = new ArrayList<>();
        for (Mark mark : layout.marks()) {
            BendMade made = mark.asMarked();
            bends.add(
                    mark.number() == 1
                            ? made
                            : new BendMade(made.position(), made.placing(), Angle.ofDegrees(88), made.roll()));
        }
        Piece piece = Piece.simulate(tooling, layout.predicted().length(), bends);
        Map<FeatureId, Double> made = features(run, piece);
        Map<FeatureId, Double> right = features(run, layout.predicted());
        assertThat(made.get(FeatureId.angle(2))).isEqualTo(88);
        assertThat(made.get(FeatureId.turn(1))).isCloseTo(right.get(FeatureId.turn(1)), within(EXACTLY));
        // The last straight leans back by 2°: its end comes further to the right by its sine.
        double straight = piece.straights().getLast().length().inches();
        assertThat(made.get(FeatureId.REACH_RIGHT) - right.get(FeatureId.REACH_RIGHT))
                .isCloseTo(straight * Math.sin(Math.toRadians(2)), within(0.05));
        assertThat(made.get(FeatureId.REACH_UP)).isCloseTo(right.get(FeatureId.REACH_UP), within(EXACTLY));
    }

    @Test
    void aTurnALittleShortOfNothing_isALittleLess_andOneTheWrongWayIsWhatItIs() {
        Tooling tooling = Jobs.threeQuarters();
        Run u = run(legs(
                List.of(Length.ofInches(20), Length.ofInches(30), Length.ofInches(20)),
                List.of(Towards.DOWN, Towards.RIGHT, Towards.UP)));
        assertThat(turned(u, tooling, -2).get(FeatureId.turn(1))).isEqualTo(-2);
        assertThat(turned(u, tooling, -2).get(FeatureId.DOG_LEG)).isEqualTo(2);
        assertThat(turned(u, tooling, 180).get(FeatureId.turn(1))).isEqualTo(180);
    }

    @Test
    void whoReadsATurnOf358_where0WasAsked_is2Short() {
        Reading reading = Reading.of(
                BendKind.RUN, FeatureId.turn(1), Angle.ZERO, Angle.ofDegrees(358), TolerancePreset.SITE.tolerances());
        assertThat(reading.deviation()).isEqualTo(Angle.ofDegrees(-2));
    }

    private static Map<FeatureId, Double> turned(Run run, Tooling tooling, double by) {
        Layout layout = exact(run, tooling);
        List<BendMade> bends =
                new ArrayList<>(layout.marks().stream().map(Mark::asMarked).toList());
        BendMade last = bends.removeLast();
        bends.add(new BendMade(
                last.position(), last.placing(), last.angle(), last.roll().plus(Angle.ofDegrees(by))));
        return features(run, Piece.simulate(tooling, layout.predicted().length(), bends));
    }
}
