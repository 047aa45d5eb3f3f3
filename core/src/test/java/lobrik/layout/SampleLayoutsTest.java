package lobrik.layout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import lobrik.bend.Placement;
import lobrik.bend.Stub90;
import lobrik.measure.Length;
import lobrik.measure.TapeDivision;
import lobrik.shop.Bender;
import lobrik.shop.Conduit;
import lobrik.shop.Tooling;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The shared sample layouts: made by numerical integration, so an independent route to the same marks. */
class SampleLayoutsTest {

    private static final double AGREED = 0.001;

    static Stream<Arguments> stubs() throws IOException {
        try (InputStream samples = SampleLayoutsTest.class.getResourceAsStream("/sample-layouts.json")) {
            List<Arguments> cases = new ArrayList<>();
            for (JsonNode sample : JsonMapper.shared().readTree(samples).get("cases")) {
                if (sample.at("/bend/kind").asString().equals("stub90")) {
                    for (Method method : Method.values()) {
                        JsonNode expected = sample.path(method == Method.EXACT ? "exact" : "chart");
                        if (expected.isObject()) {
                            cases.add(Arguments.of(sample.get("name").asString(), method, sample, expected));
                        }
                    }
                }
            }
            return cases.stream();
        }
    }

    @ParameterizedTest(name = "{0}, {1}")
    @MethodSource("stubs")
    void stub_isLaidOutAsTheSampleSays(String name, Method method, JsonNode sample, JsonNode expected) {
        JsonNode bend = sample.get("bend");
        Stub90 stub = new Stub90(
                inches(bend, "legIn").orElseThrow(),
                inches(bend, "otherLegIn"),
                bend.get("placement").asString().equals("star") ? Placement.STAR : Placement.ARROW);
        Tooling tooling = new Tooling(
                new Conduit(inches(sample.get("conduit"), "outsideDiameterIn").orElseThrow()),
                Bender.of(
                        inches(sample.get("bender"), "takeUpIn").orElseThrow(),
                        inches(sample.get("bender"), "radiusIn").orElseThrow()));

        Layout layout = Layout.of(stub, tooling, method, TapeDivision.NONE);

        JsonNode positions = expected.get("positionsIn");
        assertThat(layout.marks()).as(name).hasSize(positions.size());
        for (int i = 0; i < positions.size(); i++) {
            assertThat(layout.marks().get(i).position().inches())
                    .isCloseTo(positions.get(i).asDouble(), within(AGREED));
        }
        inches(expected, "cutLengthIn")
                .ifPresent(cut ->
                        assertThat(layout.cutLength().orElseThrow().inches()).isCloseTo(cut.inches(), within(AGREED)));
    }

    private static Optional<Length> inches(JsonNode node, String field) {
        return node.has(field) ? Optional.of(Length.ofInches(node.get(field).asDouble())) : Optional.empty();
    }
}
