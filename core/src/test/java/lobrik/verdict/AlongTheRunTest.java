package lobrik.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import lobrik.bend.Leg;
import lobrik.bend.Placement;
import lobrik.bend.Run;
import lobrik.bend.RunShape;
import lobrik.bend.Stub90;
import lobrik.bend.Towards;
import lobrik.feature.FeatureId;
import lobrik.layout.Job;
import lobrik.layout.Jobs;
import lobrik.layout.Layout;
import lobrik.layout.Mark;
import lobrik.layout.Method;
import lobrik.layout.PlannedFeature;
import lobrik.layout.RandomRuns;
import lobrik.layout.School;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Quantity;
import lobrik.measure.TapeDivision;
import lobrik.shape.BendMade;
import lobrik.shape.Feature;
import lobrik.shape.Features;
import lobrik.shape.Piece;
import lobrik.shop.Tooling;
import lobrik.verdict.AlongTheRun.Followed;
import lobrik.verdict.AlongTheRun.Read;
import org.junit.jupiter.api.Test;

class AlongTheRunTest {

    private static final Tooling TOOLING = Jobs.threeQuarters();
    private static final Tolerances SITE = TolerancePreset.SITE.tolerances();

    /** Right, up, out of the wall, and left again. */
    private static final Layout RUN = laidOut(
            Run.of(List.of(leg(24, Towards.RIGHT), leg(20, Towards.UP), leg(18, Towards.OUT), leg(22, Towards.LEFT))));

    private static Leg leg(double inches, Towards towards) {
        return new Leg(Length.ofInches(inches), towards, Length.ZERO);
    }

    private static Layout laidOut(Run run) {
        return Layout.of(new Job(run, TOOLING, School.of(Method.EXACT, TapeDivision.NONE)));
    }

    /** The layout bent with errors: by number of the bend, inches, degrees and degrees of roll. */
    private record Bent(Layout layout, Map<Integer, double[]> offs, double longer) {

        Piece piece() {
            List<BendMade> bends = new ArrayList<>();
            for (Mark mark : layout.marks()) {
                BendMade bend = mark.asMarked();
                double[] off = offs.getOrDefault(mark.number(), new double[3]);
                bends.add(new BendMade(
                        bend.position().plus(Length.ofInches(off[0])),
                        bend.placing(),
                        bend.angle().plus(Angle.ofDegrees(off[1])),
                        bend.roll().plus(Angle.ofDegrees(off[2]))));
            }
            return Piece.simulate(TOOLING, layout.predicted().length().plus(Length.ofInches(longer)), bends);
        }

        List<Read> read() {
            Map<FeatureId, Quantity> values = new HashMap<>();
            for (Feature feature : Features.of(layout.job().bend(), piece())) {
                values.put(feature.id(), feature.value());
            }
            List<Read> read = new ArrayList<>();
            for (PlannedFeature planned : layout.features()) {
                FeatureId id = planned.id();
                if (id.isOfFinishedPiece()) {
                    read.add(new Read(
                            id,
                            planned.right(),
                            values.get(id),
                            SITE.of(layout.job().bend().kind(), id)));
                }
            }
            return read;
        }

        Map<FeatureId, Followed> followed() {
            return AlongTheRun.of(layout, read());
        }

        /** What is outside its tolerance, once what follows is held to what it follows from. */
        List<String> charged() {
            Map<FeatureId, Followed> followed = followed();
            return read().stream()
                    .filter(each -> {
                        Followed other = followed.get(each.id());
                        Quantity target = other == null ? each.target() : other.target();
                        return !each.tolerance().holds(each.value().minus(target));
                    })
                    .map(each -> each.id().id())
                    .sorted()
                    .toList();
        }
    }

    private static Bent bent(Map<Integer, double[]> offs, double longer) {
        return new Bent(RUN, offs, longer);
    }

    private static double[] off(double inches, double degrees, double roll) {
        return new double[] {inches, degrees, roll};
    }

    @Test
    void theRightPiece_followsFromNothing() {
        assertThat(bent(Map.of(), 0).followed()).isEmpty();
        assertThat(bent(Map.of(), 0).charged()).isEmpty();
    }

    @Test
    void anythingButARun_followsFromNothing() {
        Layout stub = laidOutStub();
        Read leg = new Read(
                FeatureId.LEG, Length.ofInches(20), Length.ofInches(21), Tolerance.even(Length.ofFraction(0, 1, 8)));
        assertThat(AlongTheRun.of(stub, List.of(leg))).isEmpty();
    }

    private static Layout laidOutStub() {
        return Layout.of(new Job(
                new Stub90(Length.ofInches(20), Optional.of(Length.ofInches(20)), Placement.ARROW),
                TOOLING,
                School.of(Method.EXACT, TapeDivision.NONE)));
    }

    /** One ring half an inch too far, all others right: leg 2 too long is the slip; leg 3 takes it back, and the end is where that brings it. */
    @Test
    void aLegThatTakesBackWhatTheOneBeforeWasOff_isRight_andSoIsTheFarEnd() {
        Bent bent = bent(Map.of(2, off(0.5, 0, 0)), 0);
        assertThat(bent.charged()).containsExactly("leg2");
        Map<FeatureId, Followed> followed = bent.followed();
        assertThat(followed).containsOnlyKeys(FeatureId.leg(3), FeatureId.REACH_UP, FeatureId.REACH_OUT);
        assertThat(followed.get(FeatureId.leg(3)).target()).isEqualTo(Length.ofInches(17.5));
        assertThat(followed.get(FeatureId.REACH_UP).from()).containsExactly(FeatureId.leg(2));
    }

    /** Every mark after the first measured on from it: one slip in leg 1, the last leg is short by it, as the conduit was cut right. */
    @Test
    void marksMeasuredOnFromAWrongOne_areChargedWhereItBegan() {
        Bent bent = bent(Map.of(1, off(0.5, 0, 0), 2, off(0.5, 0, 0), 3, off(0.5, 0, 0)), 0);
        assertThat(bent.charged()).containsExactly("leg1");
        assertThat(bent.followed().get(FeatureId.leg(4)).from()).containsExactly(FeatureId.leg(1));
        assertThat(bent.followed().get(FeatureId.REACH_RIGHT).from()).containsExactly(FeatureId.leg(1));
    }

    /** Cut as much too long: nothing takes it back, and the end is off by it. */
    @Test
    void anEarlySlip_bringsTheFarEndOff_andIsNotChargedThereAgain() {
        Bent bent = bent(Map.of(1, off(0.5, 0, 0), 2, off(0.5, 0, 0), 3, off(0.5, 0, 0)), 0.5);
        assertThat(bent.charged()).containsExactly("leg1");
        assertThat(bent.followed()).containsOnlyKeys(FeatureId.REACH_RIGHT);
        Followed reach = bent.followed().get(FeatureId.REACH_RIGHT);
        assertThat(((Length) reach.target()).inches()).isCloseTo(24 - 22 + 0.5 - 0, within(1e-6));
    }

    @Test
    void aSecondSlip_isChargedByItself() {
        assertThat(bent(Map.of(2, off(0.5, 0, 0), 3, off(-0.75, 0, 0)), 0).charged())
                .containsExactly("leg2", "leg3");
        assertThat(bent(Map.of(1, off(0.5, 0, 0), 2, off(0.5, 0, 0), 3, off(0.5, 0, 0)), 1.5)
                        .charged())
                .containsExactly("leg1", "leg4");
    }

    /** Three degrees at the first ninety bring an end that is feet away off by more than an inch: one angle is off. */
    @Test
    void anAngleThatIsOff_isChargedOnce() {
        Bent bent = bent(Map.of(1, off(0, 4, 0)), 0);
        assertThat(bent.charged()).containsExactly("angle1");
        assertThat(bent.followed().get(FeatureId.REACH_RIGHT).from()).containsExactly(FeatureId.angle(1));
    }

    @Test
    void aTurnTheWrongWay_isChargedOnce_withItsDogLegAndItsFarEnd() {
        Bent bent = bent(Map.of(2, off(0, 0, 180), 3, off(0, 0, 180)), 0);
        assertThat(bent.charged()).containsExactly("turn1");
        assertThat(bent.followed()).containsKey(FeatureId.DOG_LEG);
        assertThat(bent.followed().get(FeatureId.REACH_OUT).from()).containsExactly(FeatureId.turn(1));
    }

    /** What adds up from places that are all within their tolerance is the far end's own: nothing else was charged for it. */
    @Test
    void whatAddsUpWithinTolerances_isChargedAtTheFarEnd() {
        Bent bent = bent(Map.of(1, off(0, 1.9, 0)), 0.12);
        assertThat(bent.charged()).contains("reachRight").doesNotContain("angle1");
    }

    /** One slip of any size at any ninety of any run is charged at its own place, and nowhere beyond it. */
    @Test
    void oneSlip_isChargedAtItsPlaceOnly_inWhateverRun() {
        Random random = new Random(1753);
        int slips = 0;
        for (int i = 0; i < 400; i++) {
            Layout layout = laidOut(new RandomRuns(random, TOOLING).next(2 + random.nextInt(5), false));
            List<RunShape.Stretch> ninetys =
                    layout.job().bend().run().orElseThrow().shape().ninetys();
            int leg = 1 + random.nextInt(ninetys.size());
            int bend = ninetys.get(leg - 1).firstBend();
            boolean angle = random.nextBoolean();
            double size = (random.nextBoolean() ? 1 : -1)
                    * (angle ? 2.5 + random.nextInt(4) : 0.25 + random.nextInt(4) / 8.0);
            Bent bent = new Bent(layout, Map.of(bend, angle ? off(0, size, 0) : off(size, 0, 0)), 0);
            List<String> expected = List.of(angle ? "angle" + bend : "leg" + leg);
            assertThat(bent.charged())
                    .as("%s by %s of %s", expected, size, layout.job().bend())
                    .isEqualTo(expected);
            slips++;
        }
        assertThat(slips).isEqualTo(400);
    }

    /** An angle or a ring of an offset that is off is charged there, with what the offset rises by it, and nowhere beyond it. */
    @Test
    void oneSlipInAnOffset_isChargedAtThatOffsetOnly() {
        Random random = new Random(1759);
        int slips = 0;
        while (slips < 200) {
            Layout layout = laidOut(new RandomRuns(random, TOOLING).next(2 + random.nextInt(4), false));
            int bend = 1 + random.nextInt(layout.marks().size());
            RunShape.Stretch stretch =
                    layout.job().bend().run().orElseThrow().shape().of(bend);
            if (stretch.part().bends() != 2) {
                continue;
            }
            boolean angle = random.nextBoolean();
            double size = (random.nextBoolean() ? 1 : -1) * (angle ? 2.5 : 0.25);
            Bent bent = new Bent(layout, Map.of(bend, angle ? off(0, size, 0) : off(size, 0, 0)), 0);
            assertThat(bent.charged())
                    .as("%s of bend %d of %s", size, bend, layout.job().bend())
                    .isSubsetOf("angle" + bend, "startRise", "endRise", "rise" + stretch.leg(), "leg" + stretch.leg());
            slips++;
        }
    }

    /** Both ninetys far too open: a leg follows from the one at its own end, and is not said to from one beyond it. */
    @Test
    void whatALegFollowsFrom_isWhatChangesIt_inTheOrderOfTheBends() {
        Bent bent = bent(Map.of(1, off(0, 6, 0), 3, off(0, 6, 0)), 0);
        assertThat(bent.charged()).containsExactly("angle1", "angle3");
        bent.followed().forEach((id, followed) -> {
            assertThat(followed.from()).as(id.id()).isSorted();
            if (id.equals(FeatureId.leg(1))) {
                assertThat(followed.from()).containsExactly(FeatureId.angle(1));
            }
        });
    }
}
