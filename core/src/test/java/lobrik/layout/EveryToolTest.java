package lobrik.layout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import lobrik.bend.BackToBack90;
import lobrik.bend.Bend;
import lobrik.bend.BendKind;
import lobrik.bend.Offset;
import lobrik.bend.OffsetLayout;
import lobrik.bend.OverBent90;
import lobrik.bend.Placement;
import lobrik.bend.Stub90;
import lobrik.fault.Fault;
import lobrik.fault.FaultCode;
import lobrik.fault.Refused;
import lobrik.feature.FeatureKind;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.TapeDivision;
import lobrik.shape.Segment;
import lobrik.shop.Conduit;
import lobrik.shop.Former;
import lobrik.shop.HookSide;
import lobrik.shop.Machine;
import lobrik.shop.MachineTable;
import lobrik.shop.Placing;
import lobrik.shop.RamTravel;
import lobrik.shop.Tool;
import lobrik.shop.ToolKind;
import lobrik.shop.Tooling;
import lobrik.shop.TradeSize;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Every bend with every tool (handbook 4.10 and 4.11). */
class EveryToolTest {

    private static final int CASES = Boolean.getBoolean("lobrik.full") ? 200 : 60;

    private static final Tooling PLASTIC = former(0.84, 6);

    private static final Tooling THREE_INCH = new Tooling(
            new Conduit(Length.ofInches(3.5)),
            MachineTable.forEmt(TradeSize.THREE).orElseThrow());

    private static Tooling former(double diameter, double radius) {
        return new Tooling(
                new Conduit(Length.ofInches(diameter)),
                new Former(Length.ofInches(radius), Tool.USUAL_MIN_SPACING, Former.Support.NONE));
    }

    private static Layout exact(Bend bend, Tooling tooling) {
        return Layout.of(new Job(bend, tooling, School.of(Method.EXACT, TapeDivision.NONE)));
    }

    private static List<Fault> warnings(Bend bend, Tooling tooling) {
        return Review.of(new Job(bend, tooling, School.of(Method.EXACT, TapeDivision.SIXTEENTH)), Optional.empty())
                .warnings()
                .stream()
                .map(Warning::fault)
                .toList();
    }

    static Stream<Arguments> bendsAndTools() {
        return Stream.of(BendKind.values())
                .flatMap(kind -> Stream.of(ToolKind.values()).map(tool -> Arguments.of(kind, tool)));
    }

    /**
     * What simulating the exact marks gives is what was asked. Only a ring that lies on a curve does not lie where its distance was
     * marked off: bent, the half curve before it reaches less far than it is long.
     */
    @ParameterizedTest
    @MethodSource("bendsAndTools")
    void exactLayoutWithoutRounding_givesEveryTarget(BendKind kind, ToolKind tool) {
        Jobs jobs = new Jobs(51);
        for (int i = 0; i < CASES; i++) {
            Layout layout = Layout.of(jobs.next(kind, tool, Method.EXACT, TapeDivision.NONE));
            for (PlannedFeature feature : layout.features()) {
                assertThat(feature.predicted().number())
                        .as("%s of %s", feature.id(), layout.job())
                        .isCloseTo(feature.asked().number(), within(1e-6 + onItsCurve(feature, layout)));
            }
        }
    }

    /** {@code 2 R (θ/2 − sin θ/2)} at most: by so much less reaches what is half a curve long, at one ring or at two. */
    private static double onItsCurve(PlannedFeature feature, Layout layout) {
        boolean byRings =
                feature.id().kind() == FeatureKind.LANDING || feature.id().kind() == FeatureKind.FLAT;
        if (!byRings || layout.job().tooling().shoe().isPresent()) {
            return 0;
        }
        double half = layout.marks().getFirst().angle().radians() / 2;
        double radius = layout.job().tooling().tool().radius().inches();
        double drawnIn = 2 * radius * (half - Math.sin(half));
        // Inner ring to inner ring runs on the slope, too: both lie under the flat.
        double low = radius * (1 - Math.cos(half));
        return feature.id().kind() == FeatureKind.FLAT ? drawnIn + low : drawnIn;
    }

    @ParameterizedTest
    @MethodSource("bendsAndTools")
    void roundedMarks_standOnLines_andEveryStepSaysHowFarToGo(BendKind kind, ToolKind tool) {
        Jobs jobs = new Jobs(52);
        for (int i = 0; i < CASES; i++) {
            Layout layout = Layout.of(jobs.next(kind, tool, Method.CHART, TapeDivision.SIXTEENTH));
            assertThat(layout.steps()).hasSameSizeAs(layout.marks());
            for (BendingStep step : layout.steps()) {
                Segment.Arc arc = layout.predicted().arcs().get(step.mark().number() - 1);
                switch (step.by()) {
                    case BendingStep.By.Line _ -> assertThat(tool).isEqualTo(ToolKind.SHOE);
                    case BendingStep.By.Ram _ -> {
                        assertThat(tool).isEqualTo(ToolKind.MACHINE);
                        assertThat(step.lever()).isGreaterThan(step.rest());
                    }
                    case BendingStep.By.Heat heat -> {
                        assertThat(tool).isEqualTo(ToolKind.FORMER);
                        assertThat(heat.to().minus(heat.from()).inches())
                                .isCloseTo(arc.length().inches() + 2, within(1e-9));
                        assertThat(step.mark().placing().hook()).isEmpty();
                    }
                }
            }
            // A review of it ends, whatever there is to say.
            Review.of(layout, Optional.empty());
        }
    }

    static Stream<Arguments> formerSamples() throws IOException {
        try (InputStream file = EveryToolTest.class.getResourceAsStream("/sample-layouts-later.json")) {
            List<Arguments> samples = new ArrayList<>();
            for (JsonNode sample : JsonMapper.shared().readTree(file).get("cases")) {
                if (sample.at("/bender/kind").asString("").equals("former")) {
                    samples.add(Arguments.of(sample.get("name").asString(), sample));
                }
            }
            assertThat(samples).hasSize(2);
            return samples.stream();
        }
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("formerSamples")
    void marksOverAFormer_standWhereTheSampleSays(String name, JsonNode sample) {
        JsonNode asked = sample.get("bend");
        Bend bend = asked.get("kind").asString().equals("stub90")
                ? new Stub90(Length.ofInches(asked.get("legIn").asDouble()), Optional.empty(), Placement.ARROW)
                : new Offset(
                        Length.ofInches(asked.get("riseIn").asDouble()),
                        Length.ZERO,
                        Angle.ofDegrees(asked.get("angleDeg").asDouble()),
                        Length.ofInches(asked.get("distanceIn").asDouble()),
                        OffsetLayout.FROM_EDGE,
                        Optional.empty());
        Layout layout = exact(
                bend,
                former(
                        sample.at("/conduit/outsideDiameterIn").asDouble(),
                        sample.at("/bender/radiusIn").asDouble()));
        JsonNode positions = sample.at("/exact/positionsIn");
        assertThat(layout.marks()).hasSize(positions.size());
        for (Mark mark : layout.marks()) {
            assertThat(mark.position().inches())
                    .isCloseTo(positions.get(mark.number() - 1).asDouble(), within(0.001));
            assertThat(mark.placing()).isEqualTo(Placing.middle());
        }
    }

    /** By hand: half a diameter and the radius before the back, then half of the quarter circle on. */
    @Test
    void uWithHeat_isRungAtTheMiddlesOfItsCurves() {
        Layout layout = exact(new BackToBack90(Length.ofInches(16), Length.ofInches(30), Length.ofInches(14)), PLASTIC);
        double quarter = 6 * Math.PI / 2;
        double first = 16 - 6.42 + quarter / 2;
        // From the middle of the first curve to that of the second: both halves, and what is straight between the
        // backs.
        double second = first + quarter + (30 - 2 * 6.42);
        assertThat(layout.marks().get(0).position().inches()).isCloseTo(first, within(1e-9));
        assertThat(layout.marks().get(1).position().inches()).isCloseTo(second, within(1e-9));
        assertThat(layout.cutLength().orElseThrow().inches())
                .isCloseTo((16 - 6.42) + 2 * quarter + (30 - 2 * 6.42) + (14 - 6.42), within(1e-9));
    }

    /** The second of two marks is rung from the back of the first bend, so it is as far from there as its curve's middle. */
    @Test
    void uWithHeat_secondMarkFromTheBack_leadsToTheSameRing() {
        Layout layout = exact(new BackToBack90(Length.ofInches(14), Length.ofInches(30), Length.ofInches(16)), PLASTIC);
        Mark second = layout.marks().get(1);
        // The back of the first bend is the line where the first leg ends; along the floor leg its tangent point is R +
        // d/2 on.
        double straight = 30 - 2 * 6.42;
        assertThat(second.taught().inches()).isCloseTo(6.42 + straight + 6 * Math.PI / 4, within(1e-9));
    }

    /** The arcs lie where those of a shoe lie: heat changes where the ring is, not where the conduit bends. */
    @Test
    void overBentNinetyWithHeat_hasTheArcsOfTheSample() {
        OverBent90 bend =
                new OverBent90(Length.ofInches(26), Length.ofInches(3.5), Angle.ofDegrees(22.5), Optional.empty());
        Layout layout = exact(bend, former(0.922, 5.125));
        double[] starts = {10.8474, 19.9671};
        double[] lengths = {2.0126, 10.0629};
        for (int i = 0; i < 2; i++) {
            assertThat(layout.marks().get(i).position().inches()).isCloseTo(starts[i] + lengths[i] / 2, within(0.001));
        }
    }

    @Test
    void ninetyByAMachine_isRungItsDeductBeforeTheBack_andPulledOver() {
        Layout layout =
                exact(new Stub90(Length.ofInches(30), Optional.of(Length.ofInches(48)), Placement.ARROW), THREE_INCH);
        BendingStep step = layout.steps().getFirst();
        assertThat(step.mark().position()).isEqualTo(Length.ofFraction(12, 1, 2));
        assertThat(step.mark().placing()).isEqualTo(Placing.arrow(HookSide.DATUM));
        assertThat(step.lever()).isEqualTo(Angle.ofDegrees(93.5));
        // The generic rows end at 90°, so the protractor has to do, and that is said.
        assertThat(step.by()).isEqualTo(new BendingStep.By.Ram(Optional.empty()));
        assertThat(warnings(layout.job().bend(), THREE_INCH)).singleElement().satisfies(fault -> {
            assertThat(fault.code()).isEqualTo(FaultCode.OUTSIDE_TABLE);
            assertThat(fault.message()).contains("93.5°", "from 30° to 90°", "add a row by a test bend");
        });
    }

    @Test
    void withARowForIt_theTravelOfANinetyIsKnown() {
        Machine generic = MachineTable.forEmt(TradeSize.THREE).orElseThrow();
        List<RamTravel.Row> rows = new ArrayList<>(generic.ramTravel().rows());
        rows.add(new RamTravel.Row(Angle.ofDegrees(94), Length.ofFraction(9, 1, 4)));
        Tooling tested = new Tooling(
                THREE_INCH.conduit(),
                new Machine(
                        generic.takeUp(),
                        generic.radius(),
                        generic.minSpacing(),
                        generic.minStub(),
                        generic.minPastShoe(),
                        generic.springback(),
                        new RamTravel(rows)));
        Stub90 stub = new Stub90(Length.ofInches(30), Optional.of(Length.ofInches(48)), Placement.ARROW);
        assertThat(exact(stub, tested).steps().getFirst().by())
                .isInstanceOfSatisfying(
                        BendingStep.By.Ram.class,
                        ram -> assertThat(ram.travel().orElseThrow().inches())
                                .isCloseTo(8.875 + 0.375 * 3.5 / 4, within(1e-9)));
        assertThat(warnings(stub, tested)).isEmpty();
    }

    @Test
    void stubUnderTheLeast_isWarnedOf_withTheLeastThatWorks() {
        assertThat(warnings(
                        new Stub90(Length.ofInches(20), Optional.of(Length.ofInches(48)), Placement.ARROW), THREE_INCH))
                .filteredOn(fault -> fault.code() == FaultCode.STUB_TOO_SHORT)
                .singleElement()
                .satisfies(fault -> {
                    assertThat(fault.input()).isEqualTo("bend/legIn");
                    assertThat(fault.message()).contains("a stub of 20 in", "under 21 in", "make the leg 21 in");
                });
    }

    @Test
    void legShorterThanTheDeduct_isRefused_withBoth() {
        assertThatThrownBy(() -> exact(new Stub90(Length.ofInches(17), Optional.empty(), Placement.ARROW), THREE_INCH))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("the leg is 17 in, less than the deduct of 17 1/2 in");
    }

    @Test
    void endThatIsNearerThanTheConduitIsThick_isWarnedOf() {
        Machine generic = MachineTable.forEmt(TradeSize.THREE).orElseThrow();
        Tooling tight = new Tooling(
                THREE_INCH.conduit(),
                new Machine(
                        generic.takeUp(),
                        generic.radius(),
                        generic.minSpacing(),
                        Length.ZERO,
                        Length.ofInches(2),
                        generic.springback(),
                        generic.ramTravel()));
        Offset offset = new Offset(
                Length.ofInches(12),
                Length.ZERO,
                Angle.ofDegrees(30),
                Length.ofInches(1),
                OffsetLayout.FROM_EDGE,
                Optional.empty());
        assertThat(warnings(offset, tight))
                .filteredOn(fault -> fault.code() == FaultCode.END_FLATTENS)
                .extracting(Fault::input)
                .containsExactly("bender/minPastShoeIn", "bend/distanceIn");
    }

    @Test
    void springbackOutsideItsRows_isTakenInProportion_andSaid() {
        OverBent90 bend =
                new OverBent90(Length.ofInches(70), Length.ofInches(9), Angle.ofDegrees(22.5), Optional.empty());
        assertThat(warnings(bend, THREE_INCH))
                .filteredOn(fault -> fault.input().equals("bender/springback"))
                .extracting(Fault::message)
                .satisfiesExactly(
                        small -> assertThat(small).contains("how far 22.5° springs back", "1.1°"),
                        large -> assertThat(large).contains("how far 112.5° springs back", "4.4°"));
    }

    @Test
    void starWithHeat_isRefused_withTheMiddleInstead() {
        Stub90 byTheStar = new Stub90(Length.ofInches(16), Optional.empty(), Placement.STAR);
        assertThatThrownBy(() -> Review.of(
                        new Job(byTheStar, PLASTIC, School.of(Method.EXACT, TapeDivision.NONE)), Optional.empty()))
                .isInstanceOfSatisfying(
                        Refused.class,
                        refused -> assertThat(refused.faults()).singleElement().satisfies(fault -> {
                            assertThat(fault.code()).isEqualTo(FaultCode.TOOL_WITHOUT_MARK);
                            assertThat(fault.message())
                                    .contains("no star")
                                    .endsWith("place it by the middle of the curve");
                        }));
    }

    @Test
    void tightRadius_needsSomethingThatKeepsItRound() {
        School school = new School(
                Method.EXACT,
                MultiplierChart.USUAL,
                TapeDivision.SIXTEENTH,
                new RunLimits(Length.ofInches(120), Angle.ofDegrees(360), Optional.of(Length.ofInches(7))));
        Stub90 stub = new Stub90(Length.ofInches(16), Optional.of(Length.ofInches(20)), Placement.ARROW);
        assertThat(Review.of(new Job(stub, PLASTIC, school), Optional.empty()).warnings())
                .singleElement()
                .satisfies(warning -> assertThat(warning.fault().message())
                        .contains("6 in", "7 in", "bend it wider, or with something that keeps it round"));
        Tooling withSpring = new Tooling(
                PLASTIC.conduit(), new Former(Length.ofInches(6), Tool.USUAL_MIN_SPACING, Former.Support.INSIDE));
        assertThat(Review.of(new Job(stub, withSpring, school), Optional.empty())
                        .warnings())
                .isEmpty();
    }

    @Test
    void warmEnd_doesNotStayRound_andIsSaid() {
        Stub90 short90 = new Stub90(Length.ofFraction(6, 3, 4), Optional.of(Length.ofInches(20)), Placement.ARROW);
        assertThat(warnings(short90, PLASTIC)).singleElement().satisfies(fault -> {
            assertThat(fault.code()).isEqualTo(FaultCode.END_FLATTENS);
            assertThat(fault.message()).contains("at the datum end", "1 in beside a curve is warmed");
        });
    }

    @Test
    void wallOfAHotBend_isThinnerOutside() {
        assertThat(PLASTIC.wallLeft().orElseThrow()).isCloseTo(6 / 6.42, within(1e-9));
        assertThat(THREE_INCH.wallLeft()).isEmpty();
    }
}
