package lobrik.server.calc;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

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

/** The calculation interface over HTTP, without an account, as its contract has it. */
@ExtendWith(RunningServer.class)
class CalcInterfaceTest {

    private static final String TOOLS =
            "\"conduit\":{\"outsideDiameterIn\":0.922},\"bender\":{\"takeUpIn\":6,\"radiusIn\":5.125}";

    private Client client;

    @BeforeEach
    void withoutAccount(RunningServer.Address server) {
        client = new Client(server);
    }

    private Answer layout(String bend) {
        return client.post("/api/calc/layout", "{\"tapeDivisionIn\":0," + TOOLS + ",\"bend\":" + bend + "}");
    }

    private static void assertProblem(Answer answer, int status, String... pointers) {
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(status);
        assertThat(answer.contentType()).startsWith("application/problem+json");
        List<String> found = answer.at("/errors")
                .valueStream()
                .map(e -> e.at("/pointer").asString())
                .toList();
        assertThat(found).containsExactly(pointers);
        assertThat(answer.at("/errors").valueStream())
                .allSatisfy(e -> assertThat(e.at("/message").asString()).isNotBlank());
    }

    @Test
    void stub_isLaidOut() {
        Answer answer = layout("{\"kind\":\"stub90\",\"legIn\":17.625,\"otherLegIn\":22,\"placement\":\"arrow\"}");
        assertThat(answer.status()).isEqualTo(200);
        assertThat(answer.at("/marks/0/positionIn").asDouble()).isEqualTo(11.625);
        assertThat(answer.at("/marks/0/reference").asString()).isEqualTo("arrow");
        assertThat(answer.at("/marks/0/hookTowards").asString()).isEqualTo("datum");
        assertThat(answer.at("/marks/0/order").asInt()).isEqualTo(1);
        assertThat(answer.at("/shrinkIn").asDouble()).isZero();
        // 17.625 + 22 less a gain of 3.12167, worked by hand
        assertThat(answer.at("/cutLengthIn").asDouble()).isCloseTo(36.5033, within(1e-4));
        assertThat(answer.at("/features").valueStream().map(f -> f.at("/id").asString()))
                .containsExactly("mark1", "leg", "angle1", "otherLeg");
        assertThat(answer.at("/warnings").isEmpty()).isTrue();
    }

    @Test
    void stub_byTheStar_withAnOpenEnd_hasNoCutLength() {
        Answer answer = layout("{\"kind\":\"stub90\",\"legIn\":17.625,\"placement\":\"star\"}");
        assertThat(answer.at("/marks/0/positionIn").asDouble()).isEqualTo(17.625);
        assertThat(answer.at("/marks/0/hookTowards").asString()).isEqualTo("far");
        assertThat(answer.body().has("cutLengthIn")).isTrue();
        assertThat(answer.at("/cutLengthIn").isNull()).isTrue();
    }

    @Test
    void piece_isSimulatedAsMade() {
        Answer answer = client.post(
                "/api/calc/simulate",
                "{" + TOOLS + ",\"bend\":{\"kind\":\"stub90\",\"legIn\":17.625},\"lengthIn\":36.5,\"bends\":"
                        + "[{\"positionIn\":11.75,\"reference\":\"arrow\",\"hookTowards\":\"datum\",\"angleDeg\":90}]}");
        assertThat(answer.status()).isEqualTo(200);
        JsonNode leg = answer.at("/features/1");
        assertThat(leg.at("/id").asString()).isEqualTo("leg");
        assertThat(leg.at("/unit").asString()).isEqualTo("in");
        assertThat(leg.at("/value").asDouble()).isCloseTo(17.75, within(1e-9));
        assertThat(answer.at("/centreline/0").size()).isEqualTo(3);
    }

    @Test
    void readings_areScored() {
        Answer answer = client.post("/api/calc/score", """
                {"bend":{"kind":"stub90"},"scheme":"graded","items":[
                  {"feature":"leg","target":17.625,"reading":17.75,"tolerance":0.125},
                  {"feature":"angle1","target":90,"reading":90,"tolerance":2,"weight":3}]}""");
        assertThat(answer.at("/score").asDouble()).isEqualTo(92.5);
        assertThat(answer.at("/passed").asBoolean()).isTrue();
        assertThat(answer.at("/items/0/deviation").asDouble()).isEqualTo(0.125);
        assertThat(answer.at("/items/0/credit").asDouble()).isCloseTo(0.7, within(1e-12));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "length | 14 3/8   | 14.375",
                "length | 1' 2     | 14",
                "length | 254mm    | 10",
                "angle  | 22 1/2   | 22.5",
                "signedLength | −1/8 | -0.125",
            })
    void quantity_isRead(String kind, String text, double value) {
        Answer answer = client.post("/api/calc/quantity", "{\"kind\":\"" + kind + "\",\"text\":\"" + text + "\"}");
        assertThat(answer.at("/value").asDouble()).isEqualTo(value);
    }

    @Test
    void quantity_thatIsNone_saysWhereAndWhatWasMeant() {
        Answer answer = client.post("/api/calc/quantity", "{\"kind\":\"length\",\"text\":\"14 9/8\"}");
        assertProblem(answer, 400, "/text");
        assertThat(answer.at("/errors/0/position").asInt()).isEqualTo(3);
        assertThat(answer.at("/errors/0/suggestion").asString()).isEqualTo("15 1/8");
    }

    @Test
    void badInputs_areAllTold() {
        assertProblem(
                client.post("/api/calc/layout", """
                        {"tapeDivisionIn":-1,"conduit":{},"bender":{"takeUpIn":0,"radiusIn":1e999},
                         "bend":{"kind":"stub90","legIn":0}}"""),
                400,
                "/tapeDivisionIn",
                "/conduit/outsideDiameterIn",
                "/bender/radiusIn",
                "/bend/legIn");
        assertProblem(client.post("/api/calc/layout", "{}"), 400, "/conduit", "/bender", "/bend");
    }

    @Test
    void impossibleLayout_isAnsweredWith422() {
        assertProblem(layout("{\"kind\":\"stub90\",\"legIn\":4}"), 422, "/bend/legIn");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "{\"kind\":\"stub90\",\"legIn\":\"17\"}",
                "{\"kind\":\"stub90\",\"legIn\":[17]}",
                "{\"kind\":\"stub90\",\"legIn\":true}",
                "{\"kind\":\"stub90\",\"legIn\":9/0}",
                "{\"kind\":\"stub90\",\"legIn\":17,\"placement\":\"sideways\"}",
                "{\"kind\":\"stub90\",\"legIn\":17,\"placement\":0}",
                "{\"kind\":\"stub90\",\"legIn\":-17}",
                "{\"kind\":\"stub90\",\"legIn\":481}",
                "{\"kind\":\"stub90\",\"legIn\":NaN}",
                "{\"kind\":\"stub90\"}",
                "{\"kind\":\"knot\",\"legIn\":17}",
                "{\"legIn\":17}",
                "17",
                "null",
                "[]",
                ""
            })
    void badBend_isAnsweredWith400(String bend) {
        Answer answer = layout(bend);
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(400);
        assertThat(answer.contentType()).startsWith("application/problem+json");
        assertThat(answer.at("/errors").size()).isPositive();
    }

    @Test
    void fourHundredDigits_areTooMuch() {
        assertThat(layout("{\"kind\":\"stub90\",\"legIn\":" + "9".repeat(400) + "}")
                        .status())
                .isEqualTo(400);
        assertProblem(client.post("/api/calc/quantity", "{\"text\":\"" + "9".repeat(400) + "\"}"), 400, "/text");
    }

    @Test
    void bodyThatNobodyNeeds_isNotRead() {
        Answer answer = client.post("/api/calc/score", "{\"items\":[" + "null,".repeat(100_000) + "null]}");
        assertThat(answer.status()).isEqualTo(413);
        assertThat(answer.contentType()).startsWith("application/problem+json");
    }

    @Test
    void wrongNumberOfBends_isTold() {
        assertProblem(
                client.post(
                        "/api/calc/simulate",
                        "{" + TOOLS + ",\"bend\":{\"kind\":\"stub90\",\"legIn\":17},\"lengthIn\":36,\"bends\":[]}"),
                400,
                "/bends");
        assertProblem(
                client.post(
                        "/api/calc/simulate",
                        "{" + TOOLS + ",\"bend\":{\"kind\":\"stub90\",\"legIn\":17},\"lengthIn\":36,\"bends\":[null]}"),
                400,
                "/bends/0");
    }

    @Test
    void badScores_areTold() {
        assertProblem(client.post("/api/calc/score", """
                        {"bend":{"kind":"stub90"},"items":[{"feature":"colour","target":1,"reading":1,"tolerance":1},
                         {"feature":"leg","target":1,"reading":1,"tolerance":0}]}"""), 400, "/items/0/feature", "/items/1/tolerance");
        assertProblem(client.post("/api/calc/score", "{\"bend\":{\"kind\":\"stub90\"},\"items\":[]}"), 400, "/items");
    }

    /** Whatever comes, the answer is a result with finite numbers or a problem that says what is wrong. */
    @Test
    void hostileRequests_neverFailTheServer() {
        Random random = new Random(31);
        String[] values = {"0", "-1", "1e308", "1e-308", "17.625", "null", "\"x\"", "{}", "[]", "true", "480", "5e-324"
        };
        String[] paths = {"layout", "simulate", "score", "quantity"};
        for (int i = 0; i < 600; i++) {
            String[] v =
                    random.ints(9, 0, values.length).mapToObj(k -> values[k]).toArray(String[]::new);
            String body = """
                    {"tapeDivisionIn":%s,"conduit":{"outsideDiameterIn":%s},"bender":{"takeUpIn":%s,"radiusIn":%s},
                     "bend":{"kind":"stub90","legIn":%s,"otherLegIn":%s},"lengthIn":%s,"text":%s,"items":[{"feature":"leg",
                     "target":%s,"reading":1,"tolerance":1}],"bends":[{"positionIn":%s,"reference":"star",
                     "hookTowards":"far","angleDeg":%s}]}""".formatted(v[0], v[1], v[2], v[3], v[4], v[5], v[6], v[7], v[8], v[0], v[1]);
            Answer answer = client.post("/api/calc/" + paths[i % paths.length], body);
            assertThat(answer.status()).as(body).isIn(200, 400, 422);
            assertThat(answer.body().toString()).doesNotContain("NaN", ":Infinity");
        }
    }
}
