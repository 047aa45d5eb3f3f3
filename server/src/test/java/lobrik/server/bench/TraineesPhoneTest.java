package lobrik.server.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.UUID;
import lobrik.server.Bench;
import lobrik.server.Client;
import lobrik.server.Client.Answer;
import lobrik.server.RunningServer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** What a trainee's phone is told, and when: the job, right or wrong, a hint, the answer when it is asked for, the verdict. */
@ExtendWith(RunningServer.class)
class TraineesPhoneTest {

    private Client runa;
    private Client phone;

    @BeforeEach
    void signIn(RunningServer.Address server) {
        runa = Client.signedIn(server, "runa");
        phone = new Client(server);
        phone.get("/api/status");
    }

    private static String key() {
        return UUID.randomUUID().toString();
    }

    private Answer read(String attempt, String feature, String text) {
        return runa.put(
                "/api/attempts/" + attempt + "/readings/" + key(),
                "{\"feature\":\"" + feature + "\",\"text\":\"" + text + "\"}");
    }

    @Test
    void traineesPhone_movesTheFloor_andKeepsTheFiguresBeforeTheAnswer() {
        Bench fresh = Bench.of(runa, Bench.STUB, 1);
        String sheet = "/api/benches/" + fresh.code(0);
        Answer first = phone.get(sheet);
        assertThat(first.at("/marks").asInt()).isEqualTo(1);
        assertThat(first.at("/own").isNull()).isTrue();
        assertThat(first.body().toString()).as("no answer before the figures").doesNotContain("11.625");
        assertThat(fresh.floor().at("/benches/0/state").asString()).isEqualTo("notStarted");
        phone.put(sheet + "/steps/" + key(), "{\"step\":\"workingOut\"}");
        assertThat(fresh.floor().at("/benches/0/state").asString()).isEqualTo("workingOut");
        String key = key();
        Answer own = phone.put(sheet + "/figures/" + key, "{\"texts\":[\"11 3/4\"]}");
        assertThat(own.at("/own/0/band").asString()).isEqualTo("within");
        assertThat(own.body().toString()).as("right or wrong, and no answer").doesNotContain("11.625");
        assertThat(phone.put(sheet + "/figures/" + key, "{\"texts\":[\"11 3/4\"]}")
                        .status())
                .isEqualTo(200);
        assertThat(phone.put(sheet + "/figures/" + key(), "{\"texts\":[\"11 5/8\"]}")
                        .at("/errors/0/code")
                        .asString())
                .as("not again, with the answer in hand")
                .isEqualTo("figures-given");
        for (String step : List.of("bending", "help", "called")) {
            phone.put(sheet + "/steps/" + key(), "{\"step\":\"" + step + "\"}");
            assertThat(fresh.floor().at("/benches/0/state").asString()).isEqualTo(step);
        }
        String attempt = fresh.open(0);
        Answer seen = runa.get("/api/attempts/" + attempt);
        assertThat(seen.at("/bench/own/points").asDouble()).isEqualTo(70);
        assertThat(seen.at("/bench/own/takenBy").asString()).isEqualTo("the trainee");
        assertThat(seen.at("/bench/minutes").asInt()).isPositive();
        read(attempt, "mark1", "11 5/8");
        assertThat(fresh.floor().at("/benches/0/state").asString()).isEqualTo("measuring");
        read(attempt, "leg", "17 5/8");
        read(attempt, "angle1", "90");
        Answer last = read(attempt, "otherLeg", "22");
        assertThat(last.at("/score/points").asDouble())
                .as("arithmetic is scored apart")
                .isEqualTo(100);
        assertThat(fresh.floor().at("/benches/0/state").asString()).isEqualTo("done");
        Answer judged = phone.get(sheet);
        assertThat(judged.at("/checked/passed").asBoolean()).isTrue();
        assertThat(judged.at("/judged").asBoolean()).isTrue();
        for (String gone : List.of("/own", "/cut", "/step", "/since")) {
            assertThat(judged.at(gone).isNull()).as(gone).isTrue();
        }
        for (String gone : List.of("/lookOver", "/others")) {
            assertThat(judged.at(gone).size()).as(gone).isZero();
        }
        for (String gone : List.of("/hints", "/answer")) {
            assertThat(phone.get(sheet + gone).at("/errors/0/code").asString())
                    .as(gone)
                    .isEqualTo("checked-already");
        }
        for (String step : List.of("workingOut", "called")) {
            assertThat(phone.put(sheet + "/steps/" + key(), "{\"step\":\"" + step + "\"}")
                            .status())
                    .as("another try is the instructor's to begin")
                    .isEqualTo(409);
        }
        // Sent too late, they begin no other try; those that came in time may be sent again.
        Answer late = phone.put(sheet + "/figures/" + key(), "{\"texts\":[\"11 5/8\"]}");
        assertThat(late.at("/errors/0/code").asString()).isEqualTo("checked-already");
        assertThat(phone.put(sheet + "/figures/" + key, "{\"texts\":[\"11 3/4\"]}")
                        .status())
                .isEqualTo(200);
        assertThat(fresh.floor().at("/benches/0/attempt/id").asString()).isEqualTo(attempt);
        fresh.open(0);
        Answer again = phone.get(sheet);
        assertThat(again.at("/judged").asBoolean()).isFalse();
        assertThat(again.at("/checked").isNull()).isTrue();
        assertThat(phone.put(sheet + "/steps/" + key(), "{\"step\":\"bending\"}")
                        .status())
                .isEqualTo(200);
        assertThat(phone.get("/api/benches/ZZZZZZZZ").status()).isEqualTo(404);
        assertThat(phone.put(sheet + "/steps/" + key(), "{}").status()).isEqualTo(400);
    }

    @Test
    void sheetOnThePhone_hasTheJobWithItsSizes_andNoAnswer() {
        String sheet = "/api/benches/" + Bench.of(runa, Bench.SADDLE_4, 1).code(0);
        Answer job = phone.get(sheet);
        assertThat(job.at("/job/kind").asString()).isEqualTo("saddle4");
        assertThat(job.at("/job/unit").asString()).isEqualTo("in");
        assertThat(job.at("/job/cutAsked").asBoolean()).isTrue();
        assertThat(job.at("/job/sizes")
                        .valueStream()
                        .map(size -> size.at("/name").asString() + " "
                                + size.at("/said").asString()))
                .contains("Height 3 1/4", "Angle 30°", "Distance 34", "Overall 92");
        assertThat(job.at("/job/plan/shape/centreline").size()).isPositive();
        assertThat(job.at("/job/plan/dimensions").size()).isPositive();
        assertThat(job.at("/job/plan/marks").size()).isZero();
        assertThat(job.at("/job/plan/steps").size()).isZero();
        assertThat(job.at("/job/plan/cutLengthIn").isNull()).isTrue();
        assertThat(job.at("/job/plan/features").size()).isZero();
        assertThat(job.at("/job/plan/shape/lengthIn").asDouble())
                .as("the length to cut is an answer")
                .isZero();
        assertThat(job.at("/job/plan/shape/arcs").size()).isZero();
        assertThat(job.at("/checked").isNull()).isTrue();
    }

    @Test
    void answer_comesAfterOnesOwnFigures_withTheCut_andAHintBefore() {
        String sheet = "/api/benches/" + Bench.of(runa, Bench.STUB, 1).code(0);
        assertThat(phone.get(sheet + "/answer").at("/errors/0/code").asString()).isEqualTo("figures-first");
        assertThat(phone.get(sheet + "/hints").status()).isEqualTo(409);
        // The take-up was forgotten, and the gain.
        Answer own =
                phone.put(sheet + "/figures/" + key(), "{\"texts\":[\"17 5/8\"],\"cut\":\"39 5/8\",\"bare\":\"in\"}");
        assertThat(own.at("/own/0/band").asString()).isEqualTo("outside");
        assertThat(own.at("/cut/text").asString()).isEqualTo("39 5/8");
        assertThat(own.at("/cut/band").asString()).isEqualTo("outside");
        Answer hints = phone.get(sheet + "/hints");
        assertThat(hints.at("/0/about").asString()).isEqualTo("mark1");
        assertThat(hints.at("/0/words").asString()).contains("take-up");
        assertThat(hints.body().toString()).as("a hint has no figure").doesNotContain("11");
        assertThat(hints.body().valueStream().map(hint -> hint.at("/about").asString()))
                .containsExactly("mark1", "cutLength");
        Answer answer = phone.get(sheet + "/answer");
        assertThat(answer.at("/plan/marks/0/positionIn").asDouble()).isCloseTo(11.625, within(1e-9));
        assertThat(answer.at("/plan/steps/0/reference").asString()).isEqualTo("arrow");
        assertThat(answer.at("/why/0/terms").size()).isEqualTo(2);
    }

    @Test
    void cutThatIsRight_isRight_andCostsNoPointWhereItIsWrong() {
        Bench bench = Bench.of(runa, Bench.STUB, 1);
        String sheet = "/api/benches/" + bench.code(0);
        Answer blank = phone.get(sheet);
        assertThat(blank.at("/cut").isNull()).isTrue();
        Answer own = phone.put(sheet + "/figures/" + key(), "{\"texts\":[\"11 5/8\"],\"cut\":\"40\"}");
        assertThat(own.at("/cut/band").asString()).isEqualTo("outside");
        Answer attempt = runa.get("/api/attempts/" + bench.open(0));
        assertThat(attempt.at("/bench/own/points").asDouble()).isEqualTo(100);
        assertThat(attempt.at("/bench/own/cut/text").asString()).isEqualTo("40");
        double right = 40 - attempt.at("/bench/own/cut/deviationIn").asDouble();
        assertThat(right).isCloseTo(attempt.at("/plan/cutLengthIn").asDouble(), within(1e-9));
    }

    @Test
    void pieceThatWasChecked_isToldInPlainWords_withItsDrawing() {
        Bench bench = Bench.of(runa, Bench.STUB, 1);
        String sheet = "/api/benches/" + bench.code(0);
        phone.put(sheet + "/figures/" + key(), "{\"texts\":[\"17 5/8\"]}");
        String attempt = bench.open(0);
        List.of("mark1 17 5/8", "leg 23 5/8", "angle1 90", "otherLeg 16")
                .forEach(each -> read(attempt, each.split(" ", 2)[0], each.split(" ", 2)[1]));
        Answer checked = phone.get(sheet);
        assertThat(checked.at("/checked/passed").asBoolean()).isFalse();
        assertThat(checked.at("/checked/what").asString()).contains("take-up of 6 in was not deducted");
        assertThat(checked.at("/checked/then").asString()).isNotBlank();
        assertThat(checked.at("/checked/next").asString()).contains("leg less take-up is the mark");
        assertThat(checked.at("/checked/made/centreline").size()).isPositive();
        assertThat(checked.at("/checked/plan/marks").size()).isEqualTo(1);
        assertThat(checked.at("/checked/features").valueStream()).anySatisfy(feature -> {
            assertThat(feature.at("/id").asString()).isEqualTo("leg");
            assertThat(feature.at("/value").asDouble()).isCloseTo(23.625, within(1e-9));
            assertThat(feature.at("/band").asString()).isEqualTo("outside");
        });
    }

    @Test
    void traineesOwnLook_standsBesideTheInstructors_andCostsNothing() {
        Bench bench = Bench.of(runa, Bench.STUB, 1);
        String sheet = "/api/benches/" + bench.code(0);
        Answer before = phone.get(sheet);
        String point = before.at("/lookOver/0/point").asString();
        assertThat(before.at("/lookOver/0/words").asString()).isNotBlank();
        assertThat(before.at("/lookOver/0/good").isNull()).isTrue();
        String look = "{\"points\":[{\"point\":\"" + point + "\",\"good\":%s}]}";
        phone.put(sheet + "/looks/" + key(), look.formatted("true"));
        Answer again = phone.put(sheet + "/looks/" + key(), look.formatted("false"));
        assertThat(again.at("/lookOver/0/good").asBoolean()).isFalse();
        assertThat(again.at("/lookOver/1/good").isNull()).isTrue();
        String attempt = bench.open(0);
        List.of("mark1 11 5/8", "leg 17 5/8", "angle1 90")
                .forEach(each -> read(attempt, each.split(" ", 2)[0], each.split(" ", 2)[1]));
        Answer seen = read(attempt, "otherLeg", "22");
        assertThat(seen.at("/bench/points/0/own").asBoolean()).isFalse();
        assertThat(seen.at("/bench/points/0/finding").isNull()).isTrue();
        assertThat(seen.at("/score/points").asDouble())
                .as("what the trainee owns up to costs nothing")
                .isEqualTo(100);
        assertThat(phone.put(sheet + "/looks/" + key(), look.formatted("true"))
                        .at("/errors/0/code")
                        .asString())
                .isEqualTo("checked-already");
        String other = "/api/benches/" + Bench.of(runa, Bench.STUB, 1).code(0) + "/looks/";
        assertThat(phone.put(other + key(), "{\"points\":[{\"point\":\"luck\",\"good\":true}]}")
                        .status())
                .isEqualTo(400);
        assertThat(phone.put(other + key(), "{}").status()).isEqualTo(400);
    }

    @Test
    void assessedSheet_tellsNoAnswers() {
        Bench assessed = Bench.of(runa, Bench.STUB, 1, "\"level\":\"first\",", "assessment");
        String sheet = "/api/benches/" + assessed.code(0);
        Answer own = phone.put(sheet + "/figures/" + key(), "{\"texts\":[\"11 3/4\"],\"cut\":\"36\"}");
        assertThat(own.at("/own/0/text").asString()).isEqualTo("11 3/4");
        assertThat(own.at("/own/0/band").isNull()).isTrue();
        assertThat(own.at("/cut/band").isNull()).isTrue();
        for (String more : List.of("/hints", "/answer")) {
            assertThat(phone.get(sheet + more).at("/errors/0/code").asString())
                    .as(more)
                    .isEqualTo("assessed");
        }
    }
}
