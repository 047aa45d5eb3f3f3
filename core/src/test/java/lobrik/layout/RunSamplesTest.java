package lobrik.layout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lobrik.bend.BoxEnd;
import lobrik.bend.Leg;
import lobrik.bend.Run;
import lobrik.bend.Towards;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.TapeDivision;
import lobrik.shop.Conduit;
import lobrik.shop.Shoe;
import lobrik.shop.Tooling;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The shared sample runs: made by numerical integration, so an independent route to the same arcs, rolls and legs. */
class RunSamplesTest {

    private static final double AGREED = 0.001;
    private static final double AGREED_DEG = 0.01;

    static Stream<Arguments> runs() throws IOException {
        try (InputStream samples = RunSamplesTest.class.getResourceAsStream("/sample-layouts-later.json")) {
            List<Arguments> cases = new ArrayList<>();
            for (JsonNode sample : JsonMapper.shared().readTree(samples).get("cases")) {
                if (sample.at("/bend/kind").asString().equals("run")) {
                    cases.add(Arguments.of(sample.get("name").asString(), sample));
                }
            }
            assertThat(cases).hasSize(4);
            return cases.stream();
        }
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("runs")
    void run_isLaidOutAsTheSampleSays(String name, JsonNode sample) {
        Tooling tooling = new Tooling(
                new Conduit(inches(sample.at("/conduit/outsideDiameterIn"))),
                Shoe.of(inches(sample.at("/bender/takeUpIn")), inches(sample.at("/bender/radiusIn"))));
        JsonNode expected = sample.get("exact");

        Layout layout =
                Layout.of(new Job(run(sample.get("bend")), tooling, School.of(Method.EXACT, TapeDivision.NONE)));

        Angle first = layout.marks().getFirst().roll();
        for (Mark mark : layout.marks()) {
            int at = mark.number() - 1;
            assertThat(tooling.arcStart(mark.position(), mark.placing(), mark.angle())
                            .inches())
                    .isCloseTo(expected.get("arcStartsIn").get(at).asDouble(), within(AGREED));
            assertThat(tooling.arcLength(mark.angle()).inches())
                    .isCloseTo(expected.get("arcLengthsIn").get(at).asDouble(), within(AGREED));
            assertThat(mark.roll().minus(first).withinTurn().degrees())
                    .isCloseTo(expected.get("rollsFromFirstDeg").get(at).asDouble(), within(AGREED_DEG));
        }
        assertThat(layout.cutLength().orElseThrow().inches())
                .isCloseTo(expected.get("cutLengthIn").asDouble(), within(AGREED));
        Map<String, PlannedFeature> features = layout.features().stream()
                .collect(Collectors.toMap(feature -> feature.id().id(), feature -> feature));
        expected.get("features").properties().forEach(feature -> {
            PlannedFeature planned = features.get(feature.getKey());
            assertThat(planned.predicted().number())
                    .as("%s of the simulated piece", feature.getKey())
                    .isCloseTo(feature.getValue().asDouble(), within(AGREED));
            assertThat(planned.asked().number())
                    .as("%s as asked", feature.getKey())
                    .isCloseTo(feature.getValue().asDouble(), within(AGREED));
        });
        // The reach is asked by adding up legs, and predicted by simulating: two routes to the same end.
        assertThat(layout.features())
                .filteredOn(feature -> feature.id().kind().isReach())
                .hasSize(3)
                .allSatisfy(feature -> assertThat(feature.predicted().number())
                        .isCloseTo(feature.asked().number(), within(AGREED)));
    }

    private static Run run(JsonNode bend) {
        List<Leg> legs = new ArrayList<>();
        for (JsonNode leg : bend.get("legs")) {
            legs.add(new Leg(inches(leg.get("lengthIn")), towards(leg), inches(leg.get("playIn"))));
        }
        return new Run(
                legs,
                inches(bend.get("startInsertionIn")),
                inches(bend.get("endInsertionIn")),
                box(bend.path("startOffset"), "firstMarkIn"),
                box(bend.path("endOffset"), "lastMarkIn"),
                List.of(),
                List.of());
    }

    private static Optional<BoxEnd> box(JsonNode box, String mark) {
        return box.isMissingNode()
                ? Optional.empty()
                : Optional.of(new BoxEnd(
                        inches(box.get("riseIn")),
                        Angle.ofDegrees(box.get("angleDeg").asDouble()),
                        inches(box.get(mark)),
                        towards(box)));
    }

    private static Towards towards(JsonNode part) {
        return Towards.valueOf(part.get("towards").asString().toUpperCase(Locale.ROOT));
    }

    private static Length inches(JsonNode number) {
        return Length.ofInches(number.asDouble());
    }
}
