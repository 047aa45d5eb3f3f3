package lobrik.layout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import lobrik.bend.BackToBack90;
import lobrik.bend.Bend;
import lobrik.bend.Offset;
import lobrik.bend.OffsetLayout;
import lobrik.bend.Placement;
import lobrik.bend.Saddle3;
import lobrik.bend.Saddle4;
import lobrik.bend.Stub90;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.TapeDivision;
import lobrik.shape.Segment;
import lobrik.shop.Conduit;
import lobrik.shop.Shoe;
import lobrik.shop.Tooling;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The shared sample layouts: made by numerical integration, so an independent route to the same marks. */
class SampleLayoutsTest {

    private static final double AGREED = 0.001;

    static Stream<Arguments> samples() throws IOException {
        try (InputStream samples = SampleLayoutsTest.class.getResourceAsStream("/sample-layouts.json")) {
            List<Arguments> cases = new ArrayList<>();
            for (JsonNode sample : JsonMapper.shared().readTree(samples).get("cases")) {
                for (Method method : Method.values()) {
                    JsonNode expected = sample.path(method == Method.EXACT ? "exact" : "chart");
                    if (expected.isObject()) {
                        cases.add(Arguments.of(sample.get("name").asString(), method, sample, expected));
                    }
                }
            }
            assertThat(cases).hasSize(17);
            return cases.stream();
        }
    }

    @ParameterizedTest(name = "{0}, {1}")
    @MethodSource("samples")
    void bend_isLaidOutAsTheSampleSays(String name, Method method, JsonNode sample, JsonNode expected) {
        Tooling tooling = new Tooling(
                new Conduit(inches(sample.get("conduit"), "outsideDiameterIn").orElseThrow()),
                Shoe.of(
                        inches(sample.get("bender"), "takeUpIn").orElseThrow(),
                        inches(sample.get("bender"), "radiusIn").orElseThrow()));

        Layout layout = Layout.of(new Job(bend(sample.get("bend")), tooling, School.of(method, TapeDivision.NONE)));

        if (expected.has("positionsIn")) {
            assertPositions(layout, expected.get("positionsIn"));
        }
        if (expected.has("outerPositionsIn")) {
            assertAgree(layout.marks().getFirst().position(), expected.at("/outerPositionsIn/0"));
            assertAgree(layout.marks().getLast().position(), expected.at("/outerPositionsIn/1"));
            assertAgree(middleOfCentreArc(layout), expected.get("arcCentreIn"));
        }
        if (expected.has("cutLengthIn")) {
            assertAgree(layout.cutLength().orElseThrow(), expected.get("cutLengthIn"));
        }
        if (expected.has("shrinkIn")) {
            assertAgree(layout.shrink(), expected.get("shrinkIn"));
        }
    }

    private static void assertPositions(Layout layout, JsonNode positions) {
        assertThat(layout.marks()).hasSize(positions.size());
        for (int i = 0; i < positions.size(); i++) {
            assertAgree(layout.marks().get(i).position(), positions.get(i));
        }
    }

    private static void assertAgree(Length length, JsonNode expected) {
        assertThat(length.inches()).isCloseTo(expected.asDouble(), within(AGREED));
    }

    private static Length middleOfCentreArc(Layout layout) {
        List<Segment.Straight> straights = layout.predicted().straights();
        List<Segment.Arc> arcs = layout.predicted().arcs();
        return straights
                .get(0)
                .length()
                .plus(arcs.get(0).length())
                .plus(straights.get(1).length())
                .plus(arcs.get(1).length().times(0.5));
    }

    private static Bend bend(JsonNode bend) {
        return switch (bend.get("kind").asString()) {
            case "stub90" ->
                new Stub90(
                        length(bend, "legIn"),
                        inches(bend, "otherLegIn"),
                        bend.get("placement").asString().equals("star") ? Placement.STAR : Placement.ARROW);
            case "backToBack90" ->
                new BackToBack90(length(bend, "firstLegIn"), length(bend, "betweenIn"), length(bend, "secondLegIn"));
            case "offset" ->
                new Offset(
                        length(bend, "riseIn"),
                        Length.ZERO,
                        angle(bend, "angleDeg"),
                        length(bend, "distanceIn"),
                        bend.get("layout").asString().equals("fromEdge")
                                ? OffsetLayout.FROM_EDGE
                                : OffsetLayout.BEFORE_OBSTACLE,
                        Optional.empty());
            case "saddle3" ->
                new Saddle3(
                        length(bend, "heightIn"),
                        Length.ZERO,
                        angle(bend, "outerAngleDeg"),
                        length(bend, "centreIn"),
                        Saddle3.Spacing.FACTOR,
                        Saddle3.Order.CENTRE_FIRST,
                        Optional.empty());
            case "saddle4" ->
                new Saddle4(
                        length(bend, "heightIn"),
                        Length.ZERO,
                        angle(bend, "angleDeg"),
                        length(bend, "widthIn"),
                        length(bend, "edgeClearanceIn"),
                        Saddle4.MeasuredTo.NEAR_EDGE,
                        length(bend, "distanceIn"),
                        Placement.ARROW,
                        Optional.empty());
            default -> throw new IllegalArgumentException(bend.toString());
        };
    }

    private static Length length(JsonNode node, String field) {
        return inches(node, field).orElseThrow();
    }

    private static Optional<Length> inches(JsonNode node, String field) {
        return node.has(field) ? Optional.of(Length.ofInches(node.get(field).asDouble())) : Optional.empty();
    }

    private static Angle angle(JsonNode node, String field) {
        return Angle.ofDegrees(node.get(field).asDouble());
    }
}
