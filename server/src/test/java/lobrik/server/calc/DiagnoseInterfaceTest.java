package lobrik.server.calc;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import lobrik.server.Client;
import lobrik.server.Client.Answer;
import lobrik.server.RunningServer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** Diagnosis over HTTP: pieces are made by the simulate call, as anybody outside would make them. */
@ExtendWith(RunningServer.class)
class DiagnoseInterfaceTest {

    private static final String TOOLS =
            "\"conduit\":{\"outsideDiameterIn\":0.922},\"bender\":{\"takeUpIn\":6,\"radiusIn\":5.125}";
    private static final String OFFSET = "{\"kind\":\"offset\",\"riseIn\":5,\"clearanceIn\":1,\"angleDeg\":30,"
            + "\"distanceIn\":36,\"layout\":\"beforeObstacle\",\"overallIn\":80}";

    private Client client;

    @BeforeEach
    void withoutAccount(RunningServer.Address server) {
        client = new Client(server);
    }

    /** Makes a piece with one bend opened or moved, and reads it to the tape's and the level's lines. */
    private List<String> readings(String bend, int changed, double byDegrees, double byInches) {
        Answer plan = client.post("/api/calc/layout", "{" + TOOLS + ",\"bend\":" + bend + "}");
        assertThat(plan.status()).as(plan.body().toString()).isEqualTo(200);
        List<String> bends = new ArrayList<>();
        for (JsonNode mark : plan.at("/marks")) {
            boolean here = changed == 0 || mark.at("/number").asInt() == changed;
            bends.add(String.format(
                    Locale.ROOT,
                    "{\"positionIn\":%f,\"reference\":%s,\"hookTowards\":%s,\"angleDeg\":%f,\"rollDeg\":%s}",
                    mark.at("/positionIn").asDouble() + (here ? byInches : 0),
                    mark.at("/reference"),
                    mark.at("/hookTowards"),
                    mark.at("/angleDeg").asDouble() + (here ? byDegrees : 0),
                    mark.at("/rollDeg")));
        }
        Answer made = client.post(
                "/api/calc/simulate",
                "{" + TOOLS + ",\"bend\":" + bend + ",\"lengthIn\":" + plan.at("/cutLengthIn") + ",\"bends\":["
                        + String.join(",", bends) + "]}");
        assertThat(made.status()).as(made.body().toString()).isEqualTo(200);
        return made.at("/features")
                .valueStream()
                .map(feature -> {
                    double lines = feature.at("/unit").asString().equals("deg") ? 2 : 16;
                    return "{\"feature\":" + feature.at("/id") + ",\"value\":"
                            + Math.rint(feature.at("/value").asDouble() * lines) / lines + "}";
                })
                .collect(Collectors.toList());
    }

    private Answer diagnose(String bend, List<String> readings, String more) {
        return client.post(
                "/api/calc/diagnose",
                "{" + TOOLS + ",\"bend\":" + bend + ",\"readings\":[" + String.join(",", readings) + "]" + more + "}");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "\"kind\":\"stub90\",\"legIn\":18,\"otherLegIn\":22 | 1 | 4",
                "\"kind\":\"backToBack90\",\"firstLegIn\":12,\"betweenIn\":30,\"secondLegIn\":14 | 2 | -3",
                "\"kind\":\"boxOffset\",\"firstMarkIn\":3,\"overallIn\":30 | 1 | 4",
                "\"kind\":\"rollingOffset\",\"riseIn\":4,\"rollIn\":3,\"angleDeg\":30,\"distanceIn\":40,\"overallIn\":80 | 2 | 4",
                "\"kind\":\"kick\",\"riseIn\":9,\"angleDeg\":30,\"distanceIn\":40 | 1 | 4",
                "\"kind\":\"saddle3\",\"heightIn\":3,\"centreIn\":40,\"overallIn\":80 | 3 | 4",
                "\"kind\":\"saddle4\",\"heightIn\":4,\"angleDeg\":30,\"widthIn\":10,\"distanceIn\":40,\"overallIn\":90 | 3 | -4"
            })
    void bendThatIsOff_isFound_onEveryKind(String inputs, int bendNumber, double by) {
        String bend = "{" + inputs + "}";
        Answer found = diagnose(bend, readings(bend, bendNumber, by, 0), "");
        assertThat(found.status()).as(found.body().toString()).isEqualTo(200);
        assertThat(found.at("/causes/0/id").asString()).isEqualTo("angle-off");
        assertThat(found.at("/causes/0/bendNumber").asInt()).isEqualTo(bendNumber);
        assertThat(found.at("/causes/0/amount").asDouble()).isCloseTo(by, within(0.6));
        assertThat(found.at("/causes/0/probability").asDouble()).isBetween(0.5, 1.0);
        assertThat(found.at("/causes/0/evidence").asString()).isNotBlank();
        assertThat(found.at("/clear").asBoolean()).isTrue();
    }

    @Test
    void causes_comeMostProbableFirst_withIdsOfTheHandbook() {
        Answer found = diagnose(OFFSET, readings(OFFSET, 0, 0, -1.5), "");
        assertThat(found.at("/causes/0/id").asString()).isEqualTo("shrink-omitted");
        assertThat(found.at("/causes/0/bendNumber").isNull()).isTrue();
        double before = 1;
        for (JsonNode cause : found.at("/causes")) {
            assertThat(cause.at("/probability").asDouble()).isLessThanOrEqualTo(before + 1e-3);
            before = cause.at("/probability").asDouble();
        }
        Answer none = diagnose(OFFSET, readings(OFFSET, 0, 0, 0), "");
        assertThat(none.at("/causes/0/id").asString()).isEqualTo("none");
    }

    @Test
    void oneReading_isEnough_andSaysWhichOneIsMissing() {
        Answer found = diagnose(OFFSET, List.of("{\"feature\":\"rise\",\"value\":6.75}"), "");
        assertThat(found.status()).isEqualTo(200);
        assertThat(found.at("/clear").asBoolean()).isFalse();
        assertThat(found.at("/further/text").asString()).startsWith("Measure ");
    }

    @Test
    void instruments_andOwnFigures_areTakenIntoAccount() {
        List<String> coarse = List.of("{\"feature\":\"landing\",\"value\":36.25}");
        assertThat(diagnose(OFFSET, coarse, ",\"sigmaIn\":0.5")
                        .at("/causes/0/id")
                        .asString())
                .isEqualTo("none");
        assertThat(diagnose(OFFSET, coarse, ",\"sigmaIn\":0.01")
                        .at("/causes/0/id")
                        .asString())
                .isNotEqualTo("none");
        String stub = "{\"kind\":\"stub90\",\"legIn\":18,\"otherLegIn\":22}";
        List<String> inchFar = readings(stub, 1, 0, 1);
        assertThat(diagnose(stub, inchFar, ",\"own\":[{\"mark\":1,\"positionIn\":13}]")
                        .at("/causes/0/id")
                        .asString())
                .isEqualTo("takeup-wrong-size");
        assertThat(diagnose(stub, inchFar, ",\"own\":[{\"mark\":1,\"positionIn\":12}]")
                        .at("/causes/0/id")
                        .asString())
                .isEqualTo("burned-inch");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "[] | | 400 | /readings",
                "[{\"feature\":\"leg\",\"value\":3}] | | 400 | /readings/0/feature",
                "[{\"feature\":\"nose\",\"value\":3}] | | 400 | /readings/0/feature",
                "[{\"feature\":\"rise\"}] | | 400 | /readings/0/value",
                "[{\"feature\":\"rise\",\"value\":3},{\"feature\":\"rise\",\"value\":4}] | | 400 | /readings/1/feature",
                "[{\"feature\":\"rise\",\"value\":1e300}] | | 400 | /readings/0/value",
                "[{\"feature\":\"rise\",\"value\":6}] | ,\"sigmaIn\":0 | 400 | /sigmaIn",
                "[{\"feature\":\"rise\",\"value\":6}] | ,\"insertionIn\":-1 | 400 | /insertionIn",
                "[{\"feature\":\"rise\",\"value\":6}] | ,\"own\":[{\"mark\":3,\"positionIn\":1}] | 400 | /own/0/mark"
            })
    void badRequest_isToldWithItsPlace(String readings, String more, int status, String pointer) {
        Answer answer = client.post(
                "/api/calc/diagnose",
                "{" + TOOLS + ",\"bend\":" + OFFSET + ",\"readings\":" + readings + (more == null ? "" : more) + "}");
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(status);
        assertThat(answer.contentType()).startsWith("application/problem+json");
        assertThat(answer.at("/errors/0/pointer").asString()).isEqualTo(pointer);
    }

    @Test
    void bendThatCannotBeLaidOut_is422_andFarReadingsAreNoTrouble() {
        String steep =
                OFFSET.replace("\"riseIn\":5", "\"riseIn\":0.1").replace("\"clearanceIn\":1", "\"clearanceIn\":0");
        Answer impossible = client.post(
                "/api/calc/diagnose",
                "{\"method\":\"exact\"," + TOOLS + ",\"bend\":" + steep
                        + ",\"readings\":[{\"feature\":\"rise\",\"value\":1}]}");
        assertThat(impossible.status()).isEqualTo(422);
        Answer far = diagnose(
                OFFSET,
                List.of("{\"feature\":\"rise\",\"value\":99999}", "{\"feature\":\"angle1\",\"value\":179}"),
                "");
        assertThat(far.status()).isEqualTo(200);
        assertThat(far.at("/causes")
                        .valueStream()
                        .mapToDouble(cause -> cause.at("/probability").asDouble())
                        .sum())
                .isGreaterThan(0.9);
    }
}
