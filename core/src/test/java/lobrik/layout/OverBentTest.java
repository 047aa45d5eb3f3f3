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
import lobrik.bend.OverBent90;
import lobrik.fault.FaultCode;
import lobrik.fault.Refused;
import lobrik.feature.FeatureId;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Quantity;
import lobrik.measure.TapeDivision;
import lobrik.shape.BendMade;
import lobrik.shape.Feature;
import lobrik.shape.Features;
import lobrik.shape.Piece;
import lobrik.shape.Segment;
import lobrik.shape.Vector3;
import lobrik.shop.Conduit;
import lobrik.shop.HookSide;
import lobrik.shop.Placing;
import lobrik.shop.Shoe;
import lobrik.shop.Tooling;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The over-bent ninety: over the edge of a beam into a box under it (handbook 4.8). */
class OverBentTest {

    private static final OverBent90 USUAL = new OverBent90(
            Length.ofInches(26), Length.ofInches(3.5), Angle.ofDegrees(22.5), Optional.of(Length.ofInches(30)));

    private static Layout layout(OverBent90 bend, Method method, TapeDivision division) {
        return Layout.of(new Job(bend, Jobs.threeQuarters(), School.of(method, division)));
    }

    /** Made by numerical integration, so an independent route to the same arcs. */
    static Stream<Arguments> samples() throws IOException {
        try (InputStream file = OverBentTest.class.getResourceAsStream("/sample-layouts-later.json")) {
            List<Arguments> samples = new ArrayList<>();
            for (JsonNode sample : JsonMapper.shared().readTree(file).get("cases")) {
                if (sample.at("/bend/kind").asString().equals("overBent90")) {
                    samples.add(Arguments.of(sample.get("name").asString(), sample));
                }
            }
            assertThat(samples).hasSize(2);
            return samples.stream();
        }
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("samples")
    void arcsLieWhereTheSampleSays(String name, JsonNode sample) {
        JsonNode bend = sample.get("bend");
        Tooling tooling = new Tooling(
                new Conduit(inches(sample.at("/conduit/outsideDiameterIn"))),
                Shoe.of(inches(sample.at("/bender/takeUpIn")), inches(sample.at("/bender/radiusIn"))));
        Layout layout = Layout.of(new Job(
                new OverBent90(
                        inches(bend.get("dropIn")),
                        inches(bend.get("setBackIn")),
                        Angle.ofDegrees(bend.get("overBendDeg").asDouble()),
                        Optional.empty()),
                tooling,
                School.of(Method.EXACT, TapeDivision.NONE)));
        for (int i = 0; i < 2; i++) {
            Mark mark = layout.marks().get(i);
            assertThat(tooling.arcStart(mark.position(), mark.placing(), mark.angle())
                            .inches())
                    .isCloseTo(sample.at("/exact/arcStartsIn/" + i).asDouble(), within(0.001));
            assertThat(layout.predicted().arcs().get(i).length().inches())
                    .isCloseTo(sample.at("/exact/arcLengthsIn/" + i).asDouble(), within(0.001));
        }
    }

    private static Length inches(JsonNode node) {
        return Length.ofInches(node.asDouble());
    }

    @ParameterizedTest
    @EnumSource(Method.class)
    void bothMethodsLayItOutExactly(Method method) {
        Layout layout = layout(USUAL, method, TapeDivision.NONE);
        for (PlannedFeature feature : layout.features()) {
            assertThat(feature.predicted().number())
                    .as(feature.id().id())
                    .isCloseTo(feature.asked().number(), within(1e-6));
        }
        assertThat(layout.features())
                .extracting(feature -> feature.id().id())
                .containsExactly("mark1", "mark2", "drop", "setBack", "angle1", "angle2", "otherLeg", "dogLeg");
        assertThat(Review.of(layout, Optional.empty()).warnings()).isEmpty();
    }

    /** Walked along the conduit in small steps of its own, without arcs: the box, the edge, and the top of the beam. */
    @Test
    void pieceMeasuresAsAsked_whenItIsWalkedAlong() {
        Layout layout = layout(USUAL, Method.EXACT, TapeDivision.NONE);
        double cut = layout.cutLength().orElseThrow().inches();
        double[] starts = {10.8474, 19.9671};
        double[] lengths = {2.0126, 10.0629};
        double radius = 5.125;
        double half = 0.461;
        double x = 0;
        double y = 0;
        double heading = 0;
        double outermost = 0;
        double step = 1e-4;
        for (double run = 0; run < cut; run += step) {
            if (run >= starts[0] && run < starts[0] + lengths[0]) {
                heading += step / radius;
            } else if (run >= starts[1] && run < starts[1] + lengths[1]) {
                heading -= step / radius;
            }
            x += step * Math.cos(heading);
            y += step * Math.sin(heading);
            outermost = Math.max(outermost, y);
        }
        assertThat(x - half).as("drop").isCloseTo(26, within(0.01));
        assertThat(outermost).as("set-back").isCloseTo(3.5, within(0.01));
        assertThat(outermost + half - y).as("other leg").isCloseTo(30, within(0.01));
        assertThat(Math.toDegrees(heading)).isCloseTo(-90, within(0.05));
    }

    /** A piece that came out otherwise is measured as a tape and a square would. */
    @Test
    void featuresOfAPieceThatIsOff_areReadWhereTheyAreTaken() {
        List<BendMade> bends = List.of(
                new BendMade(Length.ofInches(10), Placing.arrow(HookSide.DATUM), Angle.ofDegrees(20), Angle.ZERO),
                new BendMade(
                        Length.ofInches(20),
                        Placing.arrow(HookSide.DATUM),
                        Angle.ofDegrees(113),
                        Angle.ofDegrees(183)));
        Piece piece = Piece.simulate(Jobs.threeQuarters(), Length.ofInches(60), bends);
        double drop = value(piece, FeatureId.DROP).number();
        Segment.Straight run = piece.straights().getLast();
        Vector3 tilted = run.start().along();
        Vector3 below = new Vector3(1, 0, 0).minus(tilted.times(tilted.x()));
        Vector3 underside = run.start().origin().minus(below.times(0.461 / below.norm()));
        assertThat(drop).isCloseTo(underside.x(), within(1e-6));
        double outermost =
                piece.centreline(2000).stream().mapToDouble(Vector3::y).max().orElseThrow();
        assertThat(value(piece, FeatureId.SET_BACK).number()).isCloseTo(outermost, within(0.01));
        double leg = piece.centreline(2000).stream()
                .mapToDouble(point -> run.end().origin().minus(point).dot(tilted))
                .filter(ahead -> ahead < run.length().inches() + 5.125 + 1)
                .max()
                .orElseThrow();
        assertThat(value(piece, FeatureId.OTHER_LEG).number()).isCloseTo(leg + 0.461, within(0.02));
        assertThat(value(piece, FeatureId.DOG_LEG).number()).isCloseTo(3, within(1e-9));
    }

    private static Quantity value(Piece piece, FeatureId id) {
        return Features.of(USUAL, piece).stream()
                .filter(feature -> feature.id().equals(id))
                .map(Feature::value)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void setBackThatTheCurvesAloneExceed_isRefused_withAngleAndSetBackThatWouldDo() {
        OverBent90 steep =
                new OverBent90(Length.ofInches(26), Length.ofInches(0.5), Angle.ofDegrees(45), Optional.empty());
        assertThatThrownBy(() -> layout(steep, Method.EXACT, TapeDivision.SIXTEENTH))
                .isInstanceOfSatisfying(Refused.class, refused -> {
                    assertThat(refused.faults()).singleElement().satisfies(fault -> {
                        assertThat(fault.code()).isEqualTo(FaultCode.SPACING_IMPOSSIBLE);
                        assertThat(fault.input()).isEqualTo("bend/setBackIn");
                        assertThat(fault.message()).contains("1/2 in").contains("45°");
                    });
                });
    }

    @Test
    void dropThatLeavesTheShoeNothingToHold_isRefused() {
        OverBent90 low =
                new OverBent90(Length.ofInches(17), Length.ofInches(3.5), Angle.ofDegrees(22.5), Optional.empty());
        assertThatThrownBy(() -> layout(low, Method.EXACT, TapeDivision.SIXTEENTH))
                .isInstanceOfSatisfying(
                        Refused.class,
                        refused -> assertThat(refused.faults()).singleElement().satisfies(fault -> {
                            assertThat(fault.code()).isEqualTo(FaultCode.GRIP_TOO_SHORT);
                            assertThat(fault.input()).isEqualTo("bend/dropIn");
                        }));
    }
}
