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
import tools.jackson.databind.JsonNode;

/** Runs over HTTP, as the contract has them. */
@ExtendWith(RunningServer.class)
class RunInterfaceTest {

    private static final String TOOL = "\"conduit\":{\"outsideDiameterIn\":0.922},"
            + "\"bender\":{\"takeUpIn\":6,\"radiusIn\":5.125},\"method\":\"exact\",\"tapeDivisionIn\":0";

    /** The second of the shared samples. */
    private static final String SAMPLE = "{\"kind\":\"run\",\"legs\":["
            + "{\"lengthIn\":43.125,\"towards\":\"right\"},{\"lengthIn\":25.5,\"towards\":\"up\"},"
            + "{\"lengthIn\":29.9375,\"towards\":\"out\",\"playIn\":0.25},"
            + "{\"lengthIn\":31.5,\"towards\":\"right\",\"playIn\":0.25}],\"endInsertionIn\":0.625,"
            + "\"startOffset\":{\"riseIn\":0.75,\"angleDeg\":10,\"firstMarkIn\":3.625,\"towards\":\"down\"},"
            + "\"endOffset\":{\"riseIn\":0.5,\"angleDeg\":10,\"lastMarkIn\":3,\"towards\":\"in\"}}";

    private Client client;

    @BeforeEach
    void withoutAccount(RunningServer.Address server) {
        client = new Client(server);
    }

    private Answer layout(String bend) {
        return client.post("/api/calc/layout", "{" + TOOL + ",\"bend\":" + bend + "}");
    }

    private static double feature(Answer answer, String id, String of) {
        for (JsonNode feature : answer.at("/features")) {
            if (feature.at("/id").asString().equals(id)) {
                return feature.at("/" + of).asDouble();
            }
        }
        throw new AssertionError("no " + id);
    }

    @Test
    void sample_isLaidOut_withTurnsLegsAndCut_andAnOrderThatIsFree() {
        Answer answer = layout(SAMPLE);
        assertThat(answer.at("/cutLengthIn").asDouble()).isCloseTo(120.9227, within(0.001));
        List<Double> rolls = new ArrayList<>();
        answer.at("/marks").forEach(mark -> rolls.add(mark.at("/rollDeg").asDouble()));
        assertThat(rolls).containsExactly(0.0, 180.0, 180.0, 270.0, 0.0, 0.0, 180.0);
        assertThat(feature(answer, "leg3", "target")).isEqualTo(29.6875);
        assertThat(feature(answer, "leg4", "predicted")).isCloseTo(31.875, within(0.001));
        assertThat(feature(answer, "turn2", "predicted")).isEqualTo(90);
        assertThat(feature(answer, "startRise", "predicted")).isCloseTo(0.75, within(0.001));
        assertThat(feature(answer, "reachUp", "predicted"))
                .isCloseTo(feature(answer, "reachUp", "target"), within(0.001));
        assertThat(answer.at("/warnings"))
                .noneSatisfy(
                        warning -> assertThat(warning.at("/code").asString()).isEqualTo("bend-blocked"));
        assertThat(answer.at("/steps")).hasSize(7).allSatisfy(step -> {
            assertThat(step.at("/standing/stance").asString()).isIn("onTheFloor", "inTheAir");
            assertThat(step.at("/standing/leverLeanDeg").asDouble()).isBetween(0.0, 25.0);
        });
    }

    @Test
    void marksMadeIntoAPiece_simulateToTheSameRun() {
        Answer laidOut = layout(SAMPLE);
        List<String> bends = new ArrayList<>();
        laidOut.at("/marks")
                .forEach(mark -> bends.add("{\"positionIn\":" + mark.at("/positionIn") + ",\"reference\":"
                        + mark.at("/reference") + ",\"hookTowards\":" + mark.at("/hookTowards")
                        + ",\"angleDeg\":" + mark.at("/angleDeg") + ",\"rollDeg\":" + mark.at("/rollDeg") + "}"));
        Answer piece = client.post(
                "/api/calc/simulate",
                "{" + TOOL + ",\"bend\":" + SAMPLE + ",\"lengthIn\":" + laidOut.at("/cutLengthIn") + ",\"bends\":"
                        + bends + "}");
        piece.at("/features").forEach(made -> {
            String id = made.at("/id").asString();
            assertThat(made.at("/value").asDouble()).as(id).isCloseTo(feature(laidOut, id, "predicted"), within(1e-6));
        });
    }

    @Test
    void twoReadingsOfOneSurface_makeALeg_andWhatLiesOnALeg_isMeasuredFromItsStart() {
        Answer answer = layout("{\"kind\":\"run\",\"legs\":["
                + "{\"readFromIn\":92,\"readToIn\":12,\"towards\":\"down\"},"
                + "{\"lengthIn\":90,\"towards\":\"right\"}],"
                + "\"along\":[{\"kind\":\"offset\",\"leg\":1,\"atIn\":20,\"riseIn\":3,\"angleDeg\":30,"
                + "\"towards\":\"out\"},"
                + "{\"kind\":\"saddle3\",\"leg\":2,\"heightIn\":2,\"centreIn\":45,\"towards\":\"up\"}]}");
        assertThat(answer.at("/marks")).hasSize(6);
        assertThat(feature(answer, "leg1", "predicted")).isCloseTo(80, within(0.001));
        assertThat(feature(answer, "rise1", "predicted")).isCloseTo(3, within(0.001));
        assertThat(feature(answer, "height2", "predicted")).isCloseTo(2, within(0.001));
        assertThat(feature(answer, "reachOut", "target")).isEqualTo(3);
    }

    @Test
    void ownOrder_isKept_andSaysWhereSomethingWouldStandInItsWay() {
        String z = "{\"kind\":\"run\",\"legs\":[{\"lengthIn\":20,\"towards\":\"up\"},"
                + "{\"lengthIn\":52,\"towards\":\"right\"},{\"lengthIn\":60,\"towards\":\"up\"}]";
        Answer proposed = layout(z + "}");
        assertThat(proposed.at("/warnings"))
                .noneSatisfy(
                        warning -> assertThat(warning.at("/code").asString()).isEqualTo("bend-blocked"));
        Answer own = layout(
                z + ",\"order\":[{\"bend\":2,\"hookTowards\":\"datum\"}," + "{\"bend\":1,\"hookTowards\":\"datum\"}]}");
        assertThat(own.at("/marks/0/order").asInt()).isEqualTo(2);
        assertThat(own.at("/warnings")).anySatisfy(warning -> {
            assertThat(warning.at("/code").asString()).isEqualTo("bend-blocked");
            assertThat(warning.at("/message").asString())
                    .contains("bend 1 cannot be made at its place in the order", "below the floor");
        });
    }

    @Test
    void wrongInputs_areNamedByTheirPlace() {
        assertThat(pointers(
                        "{\"kind\":\"run\",\"legs\":[{\"lengthIn\":20,\"towards\":\"up\"},"
                                + "{\"lengthIn\":-3,\"towards\":\"down\"},{\"towards\":\"up\"}]}",
                        400))
                .containsExactlyInAnyOrder("/bend/legs/1/lengthIn", "/bend/legs/2/lengthIn");
        assertThat(pointers(
                        "{\"kind\":\"run\",\"legs\":[{\"lengthIn\":20,\"towards\":\"up\"},"
                                + "{\"lengthIn\":30,\"towards\":\"down\"}]}",
                        400))
                .containsExactly("/bend/legs/1/towards");
        assertThat(pointers(
                        "{\"kind\":\"run\",\"legs\":[{\"lengthIn\":20,\"towards\":\"up\"},"
                                + "{\"lengthIn\":8,\"towards\":\"right\"},{\"lengthIn\":20,\"towards\":\"out\"}]}",
                        422))
                .containsExactly("/bend/legs/1/lengthIn");
        assertThat(pointers("{\"kind\":\"run\"}", 400)).containsExactly("/bend/legs");
        assertThat(pointers(
                        "{\"kind\":\"run\",\"legs\":[{\"lengthIn\":20},{\"lengthIn\":30,\"towards\":\"up\"}]}", 400))
                .containsExactly("/bend/legs/0/towards");
        assertThat(pointers("{\"kind\":\"run\",\"legs\":7}", 400)).isNotEmpty();
        assertThat(pointers("{\"kind\":\"run\",\"legs\":[7,8]}", 400)).isNotEmpty();
    }

    private List<String> pointers(String bend, int status) {
        Answer answer = layout(bend);
        assertThat(answer.status()).as(bend).isEqualTo(status);
        List<String> pointers = new ArrayList<>();
        answer.at("/errors").forEach(error -> pointers.add(error.at("/pointer").asString()));
        return pointers;
    }

    @Test
    void whatIsLongerThanAStick_isDivided_withACutListStrapsAndPullPoints() {
        String run = "{\"kind\":\"run\",\"legs\":[{\"lengthIn\":70,\"towards\":\"up\"},"
                + "{\"lengthIn\":80,\"towards\":\"right\"},{\"lengthIn\":60,\"towards\":\"out\"}]}";
        Answer answer = client.post(
                "/api/calc/divide", "{\"layout\":{" + TOOL + ",\"bend\":" + run + "},\"leftOversIn\":[90]}");
        assertThat(answer.status()).isEqualTo(200);
        double length = 0;
        for (JsonNode piece : answer.at("/pieces")) {
            assertThat(piece.at("/fromIn").asDouble()).isEqualTo(length);
            length += piece.at("/lengthIn").asDouble();
        }
        assertThat(length).isCloseTo(layout(run).at("/cutLengthIn").asDouble(), within(1e-6));
        assertThat(answer.at("/pieces")).hasSize(2);
        assertThat(answer.at("/cuts"))
                .allSatisfy(cut -> assertThat(cut.at("/leftIn").asDouble()).isGreaterThanOrEqualTo(0));
        assertThat(answer.at("/strapsIn").size()).isGreaterThanOrEqualTo(2);
        assertThat(answer.at("/totalBendDeg").asDouble()).isEqualTo(180);
        assertThat(answer.at("/pullBoxOnLegs")).isEmpty();
        assertThat(client.post(
                                "/api/calc/divide",
                                "{\"layout\":{" + TOOL + ",\"bend\":{\"kind\":\"stub90\",\"legIn\":20}}}")
                        .status())
                .isEqualTo(422);
        assertThat(client.post("/api/calc/divide", "{\"kerfIn\":-1}").status()).isEqualTo(400);
    }

    @Test
    void wrongWay_isNamedAtItsBend() {
        Answer right = layout(SAMPLE);
        List<String> readings = new ArrayList<>();
        for (JsonNode feature : right.at("/features")) {
            String id = feature.at("/id").asString();
            double value = id.equals("turn1") ? 270 : feature.at("/predicted").asDouble();
            if (!id.startsWith("reach") && !id.equals("dogLeg")) {
                readings.add("{\"feature\":\"" + id + "\",\"value\":" + value + "}");
            }
        }
        Answer told = client.post(
                "/api/calc/diagnose", "{" + TOOL + ",\"bend\":" + SAMPLE + ",\"readings\":" + readings + "}");
        assertThat(told.at("/causes/0/id").asString()).isEqualTo("wrong-way");
        assertThat(told.at("/causes/0/bendNumber").asInt()).isEqualTo(4);
    }

    /** With a duct that the second leg runs up beside, and the wall that the first lies on. */
    private Answer inARoom(String room) {
        return client.post(
                "/api/calc/layout", "{" + TOOL + ",\"bend\":" + CORNER + ",\"place\":{\"room\":" + room + "}}");
    }

    private static final String CORNER = "{\"kind\":\"run\",\"legs\":["
            + "{\"lengthIn\":30,\"towards\":\"right\"},{\"lengthIn\":40,\"towards\":\"up\"}]}";

    @Test
    void whatStandsInTheRoom_isMissedOrReportedWithItsGap() {
        Answer answer = inARoom(
                "[{\"kind\":\"ceiling\",\"awayIn\":60},"
                        + "{\"kind\":\"duct\",\"rightIn\":29,\"upIn\":10,\"outIn\":-2,\"widthIn\":12,\"heightIn\":20,\"depthIn\":6}]");
        assertThat(answer.status()).isEqualTo(200);
        assertThat(answer.at("/gaps/0/what").asString()).isEqualTo("the ceiling");
        // The run rises by 40 in less the half of the conduit that is below the axis where it begins; its end face is
        // flat.
        assertThat(answer.at("/gaps/0/gapIn").asDouble()).isCloseTo(60 - 39.539 - 0.461, within(0.001));
        assertThat(answer.at("/gaps/0/touched").asBoolean()).isFalse();
        assertThat(answer.at("/gaps/1/gapIn").asDouble()).isCloseTo(-1, within(0.001));
        assertThat(answer.at("/gaps/1/touched").asBoolean()).isTrue();
        assertThat(answer.at("/warnings/0/code").asString()).isEqualTo("obstacle-touched");
        assertThat(answer.at("/warnings/0/pointer").asString()).isEqualTo("/place/room/1");
        assertThat(answer.at("/warnings/0/cures/0/pointer").asString()).isEqualTo("/bend/legs/0/lengthIn");
    }

    @Test
    void aRoomThatCannotBe_isRefused_withWhereAndWhy() {
        Answer answer =
                inARoom("[{\"kind\":\"duct\",\"rightIn\":1,\"upIn\":1,\"outIn\":1,\"widthIn\":0,\"heightIn\":2},"
                        + "{\"kind\":\"floor\"}]");
        assertThat(answer.status()).isEqualTo(400);
        List<String> pointers = new ArrayList<>();
        answer.at("/errors").forEach(error -> pointers.add(error.at("/pointer").asString()));
        assertThat(pointers).containsExactlyInAnyOrder("/place/room/0/depthIn", "/place/room/1/awayIn");
    }

    @Test
    void wallsOfARun_comeWithItsLayout_andOfNothingElse() {
        Answer answer = layout(SAMPLE);
        List<String> titles = new ArrayList<>();
        answer.at("/walls").forEach(wall -> titles.add(wall.at("/title").asString()));
        assertThat(titles).containsExactly("Facing the wall", "Facing right", "From above");
        assertThat(answer.at("/walls/0/before").isMissingNode()
                        || answer.at("/walls/0/before").isNull())
                .isTrue();
        assertThat(answer.at("/walls/0/after").asString()).isEqualTo("towards");
        assertThat(layout("{\"kind\":\"stub90\",\"legIn\":20}").at("/walls")).isEmpty();
    }

    @Test
    void everyBend_isShownAsItIsMade_inTheOrderOfTheSteps() {
        String asked = "{" + TOOL + ",\"bend\":" + SAMPLE + "}";
        JsonNode steps = client.post("/api/calc/layout", asked).at("/steps");
        JsonNode shown = client.post("/api/calc/bending", asked).at("");
        assertThat(shown).hasSameSizeAs(steps);
        for (int i = 0; i < shown.size(); i++) {
            JsonNode bend = shown.get(i);
            assertThat(bend.at("/mark")).isEqualTo(steps.get(i).at("/mark"));
            assertThat(bend.at("/arcs").asInt()).isEqualTo(i + 1);
            // Whoever stands at the datum end sees it turned as it is counted, at the far end the other way round.
            double turn = steps.get(i).at("/turnDeg").asDouble();
            boolean fromDatum = bend.at("/fromDatumEnd").asBoolean();
            assertThat(bend.at("/turnSeenDeg").asDouble()).isCloseTo(fromDatum ? turn : -turn, within(1e-9));
            assertThat(fromDatum)
                    .isEqualTo(steps.get(i).at("/hookTowards").asString().equals("far"));
            // Two ends, and nine points on each curve.
            assertThat(bend.at("/moments/0/centreline")).hasSize(2 + 9 * (i + 1));
        }
        assertThat(client.post("/api/calc/bending", "{}").status()).isEqualTo(400);
    }

    @Test
    void aRun_isMirrored_withItsRoom() {
        Answer answer = client.post(
                "/api/calc/rearrange",
                "{\"how\":\"mirrored\",\"layout\":{" + TOOL + ",\"bend\":" + CORNER
                        + ",\"place\":{\"room\":[{\"kind\":\"rightWall\",\"awayIn\":50}]}}}");
        assertThat(answer.at("/bend/legs/0/towards").asString()).isEqualTo("left");
        assertThat(answer.at("/bend/legs/1/towards").asString()).isEqualTo("up");
        assertThat(answer.at("/room/0/kind").asString()).isEqualTo("leftWall");
        assertThat(answer.at("/room/0/awayIn").asDouble()).isEqualTo(50);
    }

    /** The room does not move when the datum does: each gap is what it was. */
    @Test
    void aRun_isReversed_withItsRoomFromTheOtherEnd() {
        String room = "[{\"kind\":\"rightWall\",\"awayIn\":50},{\"kind\":\"column\",\"rightIn\":10,\"upIn\":5,"
                + "\"outIn\":-1,\"widthIn\":6,\"heightIn\":20,\"depthIn\":6}]";
        String definition = "{" + TOOL + ",\"bend\":" + CORNER + ",\"place\":{\"room\":" + room + "}}";
        Answer before = client.post("/api/calc/layout", definition);
        Answer answer = client.post("/api/calc/rearrange", "{\"how\":\"reversed\",\"layout\":" + definition + "}");
        assertThat(answer.at("/bend/legs/0/towards").asString()).isEqualTo("down");
        assertThat(answer.at("/bend/legs/0/lengthIn").asDouble()).isEqualTo(40);
        Answer after = client.post(
                "/api/calc/layout",
                "{" + TOOL + ",\"bend\":" + answer.at("/bend") + ",\"place\":{\"room\":" + answer.at("/room") + "}}");
        for (int i = 0; i < 2; i++) {
            assertThat(after.at("/gaps/" + i + "/gapIn").asDouble())
                    .isCloseTo(before.at("/gaps/" + i + "/gapIn").asDouble(), within(0.001));
        }
        assertThat(client.post("/api/calc/rearrange", "{\"how\":\"mirrored\"}").status())
                .isEqualTo(400);
        assertThat(client.post(
                                "/api/calc/rearrange",
                                "{\"how\":\"mirrored\",\"layout\":{" + TOOL
                                        + ",\"bend\":{\"kind\":\"stub90\",\"legIn\":20}}}")
                        .status())
                .isEqualTo(400);
    }
}
