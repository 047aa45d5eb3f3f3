package lobrik.server.calc;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import lobrik.server.Client;
import lobrik.server.Client.Answer;
import lobrik.server.RunningServer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** Every kind of bend, its simulation and the inverses over HTTP, as the contract has them. */
@ExtendWith(RunningServer.class)
class BendKindsInterfaceTest {

    private static final String TOOLS =
            "\"conduit\":{\"outsideDiameterIn\":0.922},\"bender\":{\"takeUpIn\":6,\"radiusIn\":5.125}";

    private Client client;

    @BeforeEach
    void withoutAccount(RunningServer.Address server) {
        client = new Client(server);
    }

    private Answer layout(String method, String bend) {
        return client.post(
                "/api/calc/layout",
                "{\"method\":\"" + method + "\",\"tapeDivisionIn\":0," + TOOLS + ",\"bend\":" + bend + "}");
    }

    /** Positions of the marks and features as the handbook lists them; inputs that have a default are left out. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "backToBack90 | \"firstLegIn\":12,\"betweenIn\":30,\"secondLegIn\":14 "
                        + "| mark1 mark2 leg between secondLeg angle1 angle2 dogLeg",
                "offset | \"riseIn\":4,\"angleDeg\":30,\"distanceIn\":40,\"overallIn\":60 "
                        + "| mark1 mark2 rise angle1 angle2 landing dogLeg overall",
                "boxOffset | \"overallIn\":30 | mark1 mark2 rise angle1 angle2 landing dogLeg overall",
                "rollingOffset | \"riseIn\":4,\"rollIn\":3,\"angleDeg\":30,\"distanceIn\":40 "
                        + "| mark1 mark2 rise roll angle1 angle2 landing dogLeg",
                "kick | \"riseIn\":9,\"angleDeg\":30,\"distanceIn\":40 | mark1 rise angle1",
                "saddle3 | \"heightIn\":3,\"centreIn\":40,\"overallIn\":80 "
                        + "| mark1 mark2 mark3 height centre angle1 angle2 angle3 tailLift dogLeg overall",
                "saddle4 | \"heightIn\":3,\"angleDeg\":30,\"widthIn\":10,\"distanceIn\":40,\"overallIn\":90 "
                        + "| mark1 mark2 mark3 mark4 height flat landing angle1 angle2 angle3 angle4 tailLift dogLeg overall"
            })
    void kind_isLaidOutWithItsFeatures_andItsSimulationGivesThem(String kind, String inputs, String features) {
        String bend = "{\"kind\":\"" + kind + "\"," + inputs + "}";
        Answer answer = layout("exact", bend);
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
        List<String> ids = answer.at("/features")
                .valueStream()
                .map(f -> f.at("/id").asString())
                .toList();
        assertThat(String.join(" ", ids)).isEqualTo(features);
        List<String> bends = new ArrayList<>();
        for (JsonNode mark : answer.at("/marks")) {
            bends.add("{\"positionIn\":" + mark.at("/positionIn") + ",\"reference\":" + mark.at("/reference")
                    + ",\"hookTowards\":" + mark.at("/hookTowards") + ",\"angleDeg\":" + mark.at("/angleDeg")
                    + ",\"rollDeg\":" + mark.at("/rollDeg") + "}");
        }
        Answer made = client.post(
                "/api/calc/simulate",
                "{" + TOOLS + ",\"bend\":" + bend + ",\"lengthIn\":" + answer.at("/shape/lengthIn") + ",\"bends\":["
                        + String.join(",", bends) + "]}");
        assertThat(made.status()).as(made.body().toString()).isEqualTo(200);
        for (JsonNode asked : answer.at("/features")) {
            double value = made.at("/features")
                    .valueStream()
                    .filter(f -> f.at("/id").equals(asked.at("/id")))
                    .findFirst()
                    .orElseThrow()
                    .at("/value")
                    .asDouble();
            assertThat(value)
                    .as(asked.at("/id").asString())
                    .isCloseTo(asked.at("/target").asDouble(), within(1e-6));
        }
        assertThat(answer.at("/steps").size()).isEqualTo(answer.at("/marks").size());
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "\"kind\":\"stub90\",\"legIn\":14,\"otherLegIn\":30",
                "\"kind\":\"kick\",\"riseIn\":9,\"angleDeg\":30,\"distanceIn\":40",
                "\"kind\":\"saddle3\",\"heightIn\":3,\"centreIn\":40,\"overallIn\":80",
                "\"kind\":\"saddle4\",\"heightIn\":3,\"angleDeg\":30,\"widthIn\":10,\"distanceIn\":40,\"overallIn\":90"
            })
    void everyBend_mayBeginAndEndInAFitting(String bend) {
        String request = "{\"method\":\"exact\"," + TOOLS + ",\"bend\":{" + bend + "},\"place\":%s}";
        Answer answer = client.post(
                "/api/calc/layout", request.formatted("{\"startInsertionIn\":0.625,\"endInsertionIn\":0.75}"));
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
        assertThat(answer.at("/around").size()).isEqualTo(2);
        assertThat(answer.at("/around/0/at/0").asDouble()).isCloseTo(0.625, within(1e-9));
        JsonNode line = answer.at("/shape/centreline");
        JsonNode end = line.get(line.size() - 1);
        double squares = 0;
        for (int axis = 0; axis < 3; axis++) {
            double apart =
                    end.get(axis).asDouble() - answer.at("/around/1/at/" + axis).asDouble();
            squares += apart * apart;
        }
        assertThat(Math.sqrt(squares)).as("from the far end to its fitting").isCloseTo(0.75, within(1e-9));
        assertThat(client.post("/api/calc/layout", request.formatted("{\"endInsertionIn\":0.5}"))
                        .at("/around")
                        .size())
                .isEqualTo(1);
        Answer deep = client.post("/api/calc/layout", request.formatted("{\"startInsertionIn\":7}"));
        assertThat(deep.status()).isEqualTo(400);
        assertThat(deep.body().toString()).contains("/place/startInsertionIn", "an insertion is from 0 to 6 in");
    }

    /** The shared sample of a four-point saddle, by both methods, with the other method alongside. */
    @Test
    void fourPointSaddle_carriesBothMethods() {
        String saddle = "{\"kind\":\"saddle4\",\"heightIn\":3.25,\"angleDeg\":30,\"widthIn\":11.5,"
                + "\"edgeClearanceIn\":0.5,\"reference\":\"nearEdge\",\"distanceIn\":38}";
        Answer chart = layout("chart", saddle);
        assertThat(chart.at("/marks/1/positionIn").asDouble()).isCloseTo(38.3125, within(1e-4));
        assertThat(chart.at("/otherMethod/method").asString()).isEqualTo("exact");
        assertThat(chart.at("/otherMethod/marks/1/positionIn").asDouble()).isCloseTo(38.2448, within(1e-4));
        assertThat(chart.at("/otherMethod/differences").size()).isPositive();
        assertThat(chart.at("/marks").valueStream().map(m -> m.at("/order").asInt()))
                .containsExactly(2, 1, 3, 4);
    }

    @Test
    void impossibleRise_isAnswered422_withFiguresAndCures() {
        Answer answer = layout("exact", "{\"kind\":\"offset\",\"riseIn\":1,\"angleDeg\":30,\"distanceIn\":40}");
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.contentType()).startsWith("application/problem+json");
        JsonNode error = answer.at("/errors/0");
        assertThat(error.at("/pointer").asString()).isEqualTo("/bend/riseIn");
        assertThat(error.at("/code").asString()).isEqualTo("spacing-impossible");
        assertThat(error.at("/figures/1/value").asDouble()).isCloseTo(1.3732, within(1e-4));
        assertThat(error.at("/cures/0/pointer").asString()).isEqualTo("/bend/angleDeg");
        assertThat(error.at("/cures/0/value").asDouble()).isEqualTo(22.5);
    }

    @Test
    void everythingWrongWithABend_isToldAtOnce() {
        Answer answer = layout("exact", "{\"kind\":\"saddle4\",\"heightIn\":-1,\"angleDeg\":200,\"widthIn\":0}");
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.at("/errors").valueStream().map(e -> e.at("/pointer").asString()))
                .containsExactly("/bend/distanceIn");
        Answer ranges = layout(
                "exact", "{\"kind\":\"saddle4\",\"heightIn\":-1,\"angleDeg\":200,\"widthIn\":0,\"distanceIn\":900}");
        assertThat(ranges.at("/errors").valueStream().map(e -> e.at("/pointer").asString()))
                .containsExactly("/bend/heightIn", "/bend/angleDeg", "/bend/widthIn", "/bend/distanceIn");
    }

    /** The first mark of a box offset follows the bender's least grip; a bad grip is told once, not twice. */
    @Test
    void boxOffsetWithoutAFirstMark_hasItAtTheLeastGrip() {
        String box = "{\"kind\":\"boxOffset\"}";
        assertThat(layout("chart", box).at("/marks/0/positionIn").asDouble()).isEqualTo(2.5);
        String bender = "\"conduit\":{\"outsideDiameterIn\":0.922},\"bender\":"
                + "{\"takeUpIn\":6,\"radiusIn\":5.125,\"minStubIn\":%s},\"bend\":" + box + "}";
        Answer own = client.post("/api/calc/layout", "{" + bender.formatted("3.25"));
        assertThat(own.at("/marks/0/positionIn").asDouble()).isEqualTo(3.25);
        Answer bad = client.post("/api/calc/layout", "{" + bender.formatted("1e300"));
        assertThat(bad.at("/errors").valueStream().map(e -> e.at("/pointer").asString()))
                .containsExactly("/bender/minStubIn");
    }

    @Test
    void schoolsOwnCard_limitsAndObstacle_areTakenIntoAccount() {
        Answer answer = client.post("/api/calc/layout", "{\"tapeDivisionIn\":0," + TOOLS + """
                ,"bend":{"kind":"offset","riseIn":4,"angleDeg":15,"distanceIn":40,"layout":"fromEdge","overallIn":80}
                ,"multipliers":[{"angleDeg":15,"multiplier":4,"shrinkPerInch":0.125}]
                ,"limits":{"stickIn":60,"mostBendsDeg":20}
                ,"obstacle":{"shape":"round","centreIn":20,"diameterIn":2}}""");
        assertThat(answer.at("/marks/1/positionIn").asDouble()).isEqualTo(56);
        assertThat(answer.at("/warnings").valueStream().map(w -> w.at("/code").asString()))
                .containsExactly("longer-than-stick", "degrees-over-limit", "obstacle-touched");
        assertThat(answer.at("/clearance/gapIn").asDouble()).isNegative();
    }

    @Test
    void pieceAndObstacle_haveTheirLeastGap() {
        Answer answer = client.post("/api/calc/clearance", "{" + TOOLS + """
                ,"lengthIn":40,"bends":[],"obstacle":{"shape":"rectangular","fromIn":43,"widthIn":6,"heightIn":4}}""");
        assertThat(answer.at("/gapIn").asDouble()).isCloseTo(3 - 0.461, within(1e-9));
    }

    @Test
    void marks_giveARiseAndNeedAnAngle() {
        Answer rise = client.post(
                "/api/calc/offset-of-marks", "{\"method\":\"exact\"," + TOOLS + ",\"spacingIn\":6,\"angleDeg\":30}");
        assertThat(rise.at("/riseIn").asDouble()).isCloseTo(3.03152, within(1e-5));
        Answer angle = client.post(
                "/api/calc/offset-of-marks",
                "{\"method\":\"exact\"," + TOOLS + ",\"spacingIn\":6,\"riseIn\":" + rise.at("/riseIn") + "}");
        assertThat(angle.at("/angleDeg").asDouble()).isCloseTo(30, within(1e-6));
        Answer both = client.post(
                "/api/calc/offset-of-marks", "{" + TOOLS + ",\"spacingIn\":6,\"riseIn\":3,\"angleDeg\":30}");
        assertThat(both.status()).isEqualTo(400);
    }

    @Test
    void testBends_giveTheBendersFigures() {
        // T 6, R 5.125, d .922: gain 3.12167, so both legs of 40 in add up to 43.12167
        Answer answer = client.post("/api/calc/calibration", """
                {"conduit":{"outsideDiameterIn":0.922},"tests":[
                  {"straightIn":40,"markIn":12,"markedLegIn":18,"otherLegIn":25.12167},
                  {"straightIn":40,"markIn":14,"markedLegIn":20.0625,"otherLegIn":23.12167}]}""");
        assertThat(answer.at("/takeUpIn").asDouble()).isCloseTo(6.03125, within(1e-4));
        assertThat(answer.at("/radiusIn").asDouble()).isCloseTo(5.125, within(0.08));
        assertThat(answer.at("/scatterIn").asDouble()).isPositive();
        Answer none = client.post("/api/calc/calibration", "{\"conduit\":{\"outsideDiameterIn\":0.922},\"tests\":[]}");
        assertThat(none.status()).isEqualTo(400);
    }

    @Test
    void toolingTablesAndParallelRuns_areAnswered() {
        Answer tooling = client.post("/api/calc/tooling", "{" + TOOLS + "}");
        assertThat(tooling.at("/gainIn").asDouble()).isCloseTo(3.12167, within(1e-5));
        Answer tables = client.get("/api/calc/tables");
        assertThat(tables.at("/multipliers/3/multiplier").asDouble()).isEqualTo(2);
        assertThat(tables.at("/saddleFactor").asDouble()).isEqualTo(2.5);
        assertThat(tables.at("/clearances/3/clearanceIn").isNull()).isTrue();
        // what is missing from 3 3/8 in to the next whole inch
        Answer measured = client.get("/api/calc/tables?measuredIn=3.375");
        assertThat(measured.at("/clearances/3/clearanceIn").asDouble()).isEqualTo(0.625);
        assertThat(measured.at("/clearances/1/clearanceIn").asDouble()).isEqualTo(0.75);
        for (String bad : new String[] {"-1", "1e300", "NaN", "tall"}) {
            assertThat(client.get("/api/calc/tables?measuredIn=" + bad).status())
                    .as(bad)
                    .isEqualTo(400);
        }
        Answer runs = client.post("/api/calc/parallel-runs", "{\"first\":{\"tapeDivisionIn\":0," + TOOLS + """
                ,"bend":{"kind":"offset","riseIn":4,"angleDeg":30,"distanceIn":40,"layout":"fromEdge"}}
                ,"centreSpacingIn":2,"count":3}""");
        assertThat(runs.at("/2/marks/0/positionIn").asDouble())
                .isCloseTo(40 + 4 * Math.tan(Math.toRadians(15)), within(1e-6));
    }

    @Test
    void hostileNumbers_neverBreakTheServer() {
        Random random = new Random(17);
        String[] kinds = {"stub90", "backToBack90", "offset", "boxOffset", "rollingOffset", "kick", "saddle3", "saddle4"
        };
        String[] inputs = {
            "legIn", "firstLegIn", "betweenIn", "secondLegIn", "riseIn", "rollIn", "clearanceIn", "angleDeg",
            "distanceIn", "overallIn", "heightIn", "outerAngleDeg", "centreIn", "widthIn", "edgeClearanceIn",
                    "firstMarkIn"
        };
        String[] numbers = {"0", "-1", "1e-12", "1e300", "45", "89.999", "1e6", "null", "4", "12", "40"};
        for (int i = 0; i < 300; i++) {
            StringBuilder bend = new StringBuilder("{\"kind\":\"" + kinds[random.nextInt(kinds.length)] + "\"");
            for (String input : inputs) {
                bend.append(",\"").append(input).append("\":").append(numbers[random.nextInt(numbers.length)]);
            }
            Answer answer = client.post(
                    "/api/calc/layout",
                    "{\"method\":\"" + (i % 2 == 0 ? "exact" : "chart") + "\"," + TOOLS + ",\"bend\":" + bend + "}}");
            assertThat(answer.status()).as(bend.toString()).isIn(200, 400, 422, 429);
            assertThat(answer.body().toString()).doesNotContain("NaN", "Infinity");
        }
    }

    @Test
    void hostileNumbers_neverBreakTheOtherQuestions() {
        Random random = new Random(18);
        String[] numbers = {"0", "-1", "1e-12", "1e300", "45", "89.999", "1e6", "null", "0.02", "4", "12", "480"};
        for (int i = 0; i < 300; i++) {
            String[] n = new String[8];
            for (int k = 0; k < n.length; k++) {
                n[k] = numbers[random.nextInt(numbers.length)];
            }
            String[][] calls = {
                {"offset-of-marks", ",\"method\":\"exact\",\"spacingIn\":" + n[0] + ",\"riseIn\":" + n[1]},
                {"offset-of-marks", ",\"spacingIn\":" + n[0] + ",\"angleDeg\":" + n[1]},
                {
                    "clearance",
                    ",\"lengthIn\":" + n[0] + ",\"bends\":[{\"positionIn\":" + n[1]
                            + ",\"reference\":\"star\",\"hookTowards\":\"far\",\"angleDeg\":" + n[2]
                            + "}],\"obstacle\":{\"shape\":\"rectangular\",\"fromIn\":" + n[3] + ",\"widthIn\":" + n[4]
                            + ",\"heightIn\":" + n[5] + "}"
                },
                {
                    "parallel-runs",
                    ",\"count\":" + (i % 30) + ",\"centreSpacingIn\":" + n[0] + ",\"first\":{" + TOOLS
                            + ",\"bend\":{\"kind\":\"kick\",\"riseIn\":" + n[1] + ",\"angleDeg\":" + n[2]
                            + ",\"distanceIn\":" + n[3] + "}}"
                },
                {
                    "calibration",
                    ",\"tests\":[{\"straightIn\":" + n[0] + ",\"markIn\":" + n[1] + ",\"markedLegIn\":" + n[2]
                            + ",\"otherLegIn\":" + n[3] + ",\"angleDeg\":" + n[4] + "}]"
                }
            };
            String[] call = calls[random.nextInt(calls.length)];
            String tools = switch (call[0]) {
                case "parallel-runs" -> "";
                case "calibration" -> "\"conduit\":{\"outsideDiameterIn\":0.922}";
                default -> TOOLS;
            };
            String body = tools.isEmpty() ? call[1].substring(1) : tools + call[1];
            Answer answer = client.post("/api/calc/" + call[0], "{" + body + "}");
            assertThat(answer.status()).as(call[0] + " " + body).isIn(200, 400, 422, 429);
        }
    }
}
