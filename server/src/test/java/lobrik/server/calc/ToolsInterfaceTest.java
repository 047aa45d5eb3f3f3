package lobrik.server.calc;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import lobrik.server.Client;
import lobrik.server.Client.Answer;
import lobrik.server.RunningServer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** Machines and formers over HTTP, as the contract has them: kinds of bender, their steps, and inputs that are wrong. */
@ExtendWith(RunningServer.class)
class ToolsInterfaceTest {

    private static final String MACHINE = "\"conduit\":{\"outsideDiameterIn\":3.5},\"bender\":{\"kind\":\"machine\","
            + "\"takeUpIn\":17.5,\"radiusIn\":14,\"minStubIn\":21,\"minPastShoeIn\":3.5,"
            + "\"springback\":[{\"angleDeg\":30,\"springbackDeg\":1.5},{\"angleDeg\":90,\"springbackDeg\":3.5}],"
            + "\"ramTravel\":[{\"angleDeg\":30,\"travelIn\":2.625},{\"angleDeg\":45,\"travelIn\":4.125},"
            + "{\"angleDeg\":60,\"travelIn\":5.75},{\"angleDeg\":90,\"travelIn\":8.875}]}";

    private static final String FORMER =
            "\"conduit\":{\"outsideDiameterIn\":0.84},\"bender\":{\"kind\":\"former\",\"radiusIn\":6}";

    private Client client;

    @BeforeEach
    void withoutAccount(RunningServer.Address server) {
        client = new Client(server);
    }

    private Answer layout(String tool, String bend) {
        return client.post(
                "/api/calc/layout", "{\"method\":\"exact\",\"tapeDivisionIn\":0," + tool + ",\"bend\":" + bend + "}");
    }

    @Test
    void machine_saysWhatToPullTo_andTheTravelWithinItsRows() {
        Answer ninety = layout(MACHINE, "{\"kind\":\"stub90\",\"legIn\":30}");
        assertThat(ninety.at("/marks/0/positionIn").asDouble()).isEqualTo(12.5);
        assertThat(ninety.at("/marks/0/reference").asString()).isEqualTo("arrow");
        assertThat(ninety.at("/tool").asString()).isEqualTo("machine");
        JsonNode step = ninety.at("/steps/0");
        assertThat(step.at("/pullToDeg").asDouble()).isEqualTo(93.5);
        assertThat(step.has("travelIn")).isTrue();
        assertThat(step.at("/travelIn").isNull()).isTrue();
        assertThat(step.at("/heatFromIn").isNull()).isTrue();
        Answer offset = layout(
                MACHINE,
                "{\"kind\":\"offset\",\"riseIn\":14,\"angleDeg\":45,\"distanceIn\":60,\"layout\":\"fromEdge\"}");
        assertThat(offset.at("/steps/0/pullToDeg").asDouble()).isEqualTo(47);
        assertThat(offset.at("/steps/0/travelIn").asDouble()).isCloseTo(4.125 + 1.625 * 2 / 15, within(1e-9));
    }

    @Test
    void machineWithoutRows_hasOneSpringback_andLeavesADiameterPastItsShoe() {
        Answer answer = layout(
                "\"conduit\":{\"outsideDiameterIn\":3.5},\"bender\":{\"kind\":\"machine\",\"takeUpIn\":17.5,"
                        + "\"radiusIn\":14,\"springbackDeg\":2}",
                "{\"kind\":\"stub90\",\"legIn\":20}");
        assertThat(answer.at("/steps/0/pullToDeg").asDouble()).isEqualTo(92);
        assertThat(answer.at("/warnings"))
                .anySatisfy(warning ->
                        assertThat(warning.at("/message").asString()).contains("a stub of 20 in", "none under 21 in"));
    }

    @Test
    void former_marksTheMiddles_andSaysWhatIsWarmed_andMeasuresHowFlatItIs() {
        Answer answer = layout(
                FORMER, "{\"kind\":\"offset\",\"riseIn\":3,\"angleDeg\":30,\"distanceIn\":18,\"layout\":\"fromEdge\"}");
        JsonNode mark = answer.at("/marks/1");
        assertThat(mark.at("/positionIn").asDouble()).isCloseTo(23.9262, within(0.001));
        assertThat(mark.at("/reference").asString()).isEqualTo("middle");
        assertThat(mark.at("/hookTowards").isNull()).isTrue();
        JsonNode step = answer.at("/steps/0");
        assertThat(step.at("/heatFromIn").asDouble()).isCloseTo(18 - Math.PI / 2 - 1, within(1e-6));
        assertThat(step.at("/heatToIn").asDouble()).isCloseTo(18 + Math.PI / 2 + 1, within(1e-6));
        assertThat(answer.at("/features")
                        .valueStream()
                        .map(each -> each.at("/id").asString()))
                .containsExactly(
                        "mark1",
                        "mark2",
                        "rise",
                        "angle1",
                        "angle2",
                        "landing",
                        "dogLeg",
                        "flattening1",
                        "flattening2");
        assertThat(answer.at("/features/7/unit").asString()).isEqualTo("percent");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "stub90 | \"legIn\":16,\"otherLegIn\":20",
                "backToBack90 | \"firstLegIn\":14,\"betweenIn\":30,\"secondLegIn\":16",
                "offset | \"riseIn\":4,\"angleDeg\":30,\"distanceIn\":40,\"overallIn\":60",
                "boxOffset | \"overallIn\":30",
                "rollingOffset | \"riseIn\":4,\"rollIn\":3,\"angleDeg\":30,\"distanceIn\":40",
                "kick | \"riseIn\":9,\"angleDeg\":30,\"distanceIn\":40",
                "saddle3 | \"heightIn\":3,\"centreIn\":40,\"overallIn\":80",
                "saddle4 | \"heightIn\":3,\"angleDeg\":30,\"widthIn\":10,\"distanceIn\":40,\"overallIn\":90",
                "overBent90 | \"dropIn\":26,\"setBackIn\":4,\"otherLegIn\":30"
            })
    void everyBendWithHeat_simulatesToWhatItsLayoutPredicts(String kind, String inputs) {
        String bend = "{\"kind\":\"" + kind + "\"," + inputs + "}";
        Answer answer = layout(FORMER, bend);
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
        List<String> bends = new ArrayList<>();
        for (JsonNode mark : answer.at("/marks")) {
            bends.add("{\"positionIn\":" + mark.at("/positionIn") + ",\"reference\":\"middle\",\"angleDeg\":"
                    + mark.at("/angleDeg") + ",\"rollDeg\":" + mark.at("/rollDeg") + "}");
        }
        Answer simulated = client.post(
                "/api/calc/simulate",
                "{" + FORMER + ",\"bend\":" + bend + ",\"lengthIn\":" + answer.at("/shape/lengthIn") + ",\"bends\":["
                        + String.join(",", bends) + "]}");
        assertThat(simulated.status()).as(simulated.body().toString()).isEqualTo(200);
        answer.at("/features")
                .forEach(planned -> assertThat(simulated.at("/features")).anySatisfy(made -> {
                    assertThat(made.at("/id")).isEqualTo(planned.at("/id"));
                    assertThat(made.at("/value").asDouble())
                            .isCloseTo(planned.at("/predicted").asDouble(), within(1e-6));
                }));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "\"ramTravel\":[{\"angleDeg\":30,\"travelIn\":2},{\"angleDeg\":30,\"travelIn\":3}] "
                        + "| /bender/ramTravel/1/angleDeg | two rows say how far the ram comes out for 30°, 2 in and 3 in",
                "\"ramTravel\":[{\"angleDeg\":30,\"travelIn\":3},{\"angleDeg\":60,\"travelIn\":2}] "
                        + "| /bender/ramTravel | for 60° the ram comes out 2 in, no further than for 30°",
                "\"ramTravel\":[{\"angleDeg\":30}] | /bender/ramTravel/0/travelIn | missing",
                "\"ramTravel\":[null] | /bender/ramTravel/0 | there is a hole here",
                "\"springback\":[{\"angleDeg\":90,\"springbackDeg\":3},{\"angleDeg\":90,\"springbackDeg\":4}] "
                        + "| /bender/springback/1/angleDeg | two rows say how far 90° springs back",
                "\"springback\":[{\"angleDeg\":200,\"springbackDeg\":3}] | /bender/springback/0/angleDeg | from 1° to 180°",
                "\"minPastShoeIn\":-1 | /bender/minPastShoeIn | the least past the shoe is −1 in"
            })
    void tablesThatContradictThemselves_areRefused_withBothFigures(String table, String pointer, String said) {
        Answer answer = layout(
                "\"conduit\":{\"outsideDiameterIn\":3.5},\"bender\":{\"kind\":\"machine\",\"takeUpIn\":17.5,"
                        + "\"radiusIn\":14," + table + "}",
                "{\"kind\":\"stub90\",\"legIn\":30}");
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.at("/errors/0/pointer").asString()).isEqualTo(pointer);
        assertThat(answer.at("/errors/0/message").asString()).contains(said);
    }

    @Test
    void whatCannotBeLaidOut_saysValueLimitAndCure() {
        Answer deduct = layout(MACHINE, "{\"kind\":\"stub90\",\"legIn\":17}");
        assertThat(deduct.status()).isEqualTo(422);
        assertThat(deduct.at("/errors/0/message").asString())
                .contains("the leg is 17 in, less than the deduct of 17 1/2 in", "make the leg 17 1/2 in");
        Answer star = layout(FORMER, "{\"kind\":\"stub90\",\"legIn\":16,\"placement\":\"star\"}");
        assertThat(star.status()).isEqualTo(422);
        assertThat(star.at("/errors/0/pointer").asString()).isEqualTo("/bend/placement");
        assertThat(star.at("/errors/0/message").asString()).contains("no star", "place it by the middle of the curve");
        Answer radius = layout(
                "\"conduit\":{\"outsideDiameterIn\":0.84},\"bender\":{\"kind\":\"former\",\"radiusIn\":0.4}",
                "{\"kind\":\"stub90\",\"legIn\":16}");
        assertThat(radius.status()).isEqualTo(400);
        assertThat(radius.at("/errors/0/message").asString()).contains("must be more than half the conduit's");
    }

    @Test
    void flatteningOverAll_isRefused_whereverItIsRead() {
        Answer score = client.post(
                "/api/calc/score",
                "{\"bend\":{\"kind\":\"stub90\"},\"items\":[{\"feature\":\"flattening1\",\"target\":0,"
                        + "\"reading\":140,\"tolerance\":10}]}");
        assertThat(score.status()).isEqualTo(400);
        assertThat(score.at("/errors/0/pointer").asString()).isEqualTo("/items/0/reading");
        assertThat(score.at("/errors/0/message").asString())
                .contains("flattening 1 is 140", "from 0 to 100", "one less the least width over the diameter");
        Answer inside = client.post(
                "/api/calc/score",
                "{\"bend\":{\"kind\":\"stub90\"},\"items\":[{\"feature\":\"flattening1\",\"target\":0,"
                        + "\"reading\":10,\"tolerance\":10}]}");
        assertThat(inside.at("/items/0/credit").asDouble()).isCloseTo(0.7, within(1e-9));
    }

    @Test
    void markThatTheToolDoesNotHave_isRefused() {
        Answer arrow = client.post(
                "/api/calc/simulate",
                "{" + FORMER + ",\"bend\":{\"kind\":\"stub90\",\"legIn\":16},\"lengthIn\":40,"
                        + "\"bends\":[{\"positionIn\":14,\"reference\":\"arrow\",\"hookTowards\":\"datum\",\"angleDeg\":90}]}");
        assertThat(arrow.status()).isEqualTo(400);
        assertThat(arrow.at("/errors/0/message").asString()).contains("there is no arrow", "the middle of the curve");
        Answer middle = client.post(
                "/api/calc/simulate",
                "{" + MACHINE + ",\"bend\":{\"kind\":\"stub90\",\"legIn\":30},\"lengthIn\":90,"
                        + "\"bends\":[{\"positionIn\":14,\"reference\":\"middle\",\"angleDeg\":90}]}");
        assertThat(middle.status()).isEqualTo(400);
        assertThat(middle.at("/errors/0/pointer").asString()).isEqualTo("/bends/0/reference");
    }

    @Test
    void causesOfEachTool_areFound() {
        Answer sprung = client.post(
                "/api/calc/diagnose",
                "{\"method\":\"exact\"," + MACHINE + ",\"bend\":{\"kind\":\"stub90\",\"legIn\":30,\"otherLegIn\":48},"
                        + "\"readings\":[{\"feature\":\"mark1\",\"value\":12.5},{\"feature\":\"angle1\",\"value\":86.5}]}");
        assertThat(sprung.at("/causes/0/id").asString()).isEqualTo("springback-omitted");
        Answer scorched = client.post(
                "/api/calc/diagnose",
                "{\"method\":\"exact\"," + FORMER + ",\"bend\":{\"kind\":\"stub90\",\"legIn\":16},"
                        + "\"readings\":[{\"feature\":\"leg\",\"value\":16}],\"faulty\":[\"scorch\"]}");
        assertThat(scorched.at("/causes/0/id").asString()).isEqualTo("too-hot");
        Answer unknown = client.post(
                "/api/calc/diagnose",
                "{\"method\":\"exact\"," + FORMER + ",\"bend\":{\"kind\":\"stub90\",\"legIn\":16},"
                        + "\"readings\":[{\"feature\":\"leg\",\"value\":16}],\"faulty\":[\"rust\"]}");
        assertThat(unknown.status()).isEqualTo(400);
        assertThat(unknown.at("/errors/0/pointer").asString()).isEqualTo("/faulty/0");
    }

    @Test
    void everythingElseThatWouldDo_isCompared_withOtherToolsToo() {
        String offset = "{\"method\":\"exact\",\"conduit\":{\"outsideDiameterIn\":0.922},"
                + "\"bender\":{\"takeUpIn\":6,\"radiusIn\":5.125},\"bend\":{\"kind\":\"offset\",\"riseIn\":6,"
                + "\"angleDeg\":30,\"distanceIn\":60}}";
        Answer answer = client.post(
                "/api/calc/compare", "{\"layout\":" + offset + ",\"benders\":[{" + FORMER + "},{" + MACHINE + "}]}");
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
        assertThat(answer.at("/alternatives")).hasSize(8);
        assertThat(answer.at("/alternatives/3/isCurrent").asBoolean()).isTrue();
        assertThat(answer.at("/alternatives/3/takes/pull").asDouble())
                .isCloseTo(Math.exp(0.4 * Math.PI / 3), within(1e-9));
        assertThat(answer.at("/alternatives/6/bender").asInt()).isZero();
        assertThat(answer.at("/words").asString()).startsWith("Room against pull: 10° takes");
        Answer friction = client.post("/api/calc/compare", "{\"layout\":" + offset + ",\"friction\":-1}");
        assertThat(friction.status()).isEqualTo(400);
        assertThat(friction.at("/errors/0/pointer").asString()).isEqualTo("/friction");
        Answer bender = client.post(
                "/api/calc/compare", "{\"layout\":" + offset + ",\"benders\":[{\"conduit\":{},\"bender\":{}}]}");
        assertThat(bender.status()).isEqualTo(400);
        assertThat(bender.at("/errors/0/pointer").asString()).startsWith("/benders/0/");
        assertThat(client.post("/api/calc/compare", "{}").status()).isEqualTo(400);
    }
}
