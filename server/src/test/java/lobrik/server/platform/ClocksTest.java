package lobrik.server.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.UUID;
import lobrik.server.Bench;
import lobrik.server.Client;
import lobrik.server.Client.Answer;
import lobrik.server.MovableClock;
import lobrik.server.RunningServer;
import lobrik.server.RunningServer.Address;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.extension.ExtendWith;

/** What becomes of a school whose clocks are wrong, or whose days go by. It has a server of its own. */
@ExtendWith(RunningServer.class)
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class ClocksTest {

    private static final Duration YEAR_AND_MORE = Duration.ofDays(400);

    private Address school;
    private MovableClock clock;
    private Client lead;
    private Client phone;

    @BeforeAll
    void start(Address server) throws IOException {
        school = server.beside("clocks");
        clock = school.context().getBean(MovableClock.class);
        lead = Client.signedIn(school, "lead");
        phone = new Client(school);
        phone.get("/api/status");
    }

    @AfterAll
    void stop() {
        school.context().close();
    }

    @BeforeEach
    void rightTime() {
        clock.putOffBy(Duration.ZERO);
    }

    private static String key() {
        return UUID.randomUUID().toString();
    }

    private Answer read(String attempt, String feature, String text) {
        return lead.put(
                "/api/attempts/" + attempt + "/readings/" + key(),
                "{\"feature\":\"" + feature + "\",\"text\":\"" + text + "\"}");
    }

    private Answer readAll(String attempt) {
        List.of("mark1 11 5/8", "leg 17 5/8", "angle1 90")
                .forEach(each -> read(attempt, each.split(" ", 2)[0], each.split(" ", 2)[1]));
        return read(attempt, "otherLeg", "22");
    }

    private static String code(Answer answer) {
        return answer.at("/errors/0/code").asString();
    }

    // Clocks that jump

    @Test
    void clockThatWasAheadAndIsPutRight_hidesNoStep_noReading_andNoOtherTry() {
        clock.putOffBy(YEAR_AND_MORE);
        Bench bench = Bench.of(lead, Bench.STUB, 1);
        String first = bench.open(0);
        lead.put("/api/attempts/" + first + "/steps/" + key(), "{\"step\":\"called\"}");
        assertThat(bench.floor().at("/benches/0/state").asString()).isEqualTo("called");
        clock.putOffBy(Duration.ZERO);
        read(first, "leg", "17 5/8");
        assertThat(bench.floor().at("/benches/0/state").asString())
                .as("read after the call")
                .isEqualTo("measuring");
        lead.put("/api/attempts/" + first + "/steps/" + key(), "{\"step\":\"help\"}");
        assertThat(bench.floor().at("/benches/0/state").asString()).isEqualTo("help");
        assertThat(readAll(first).at("/score").isNull()).isFalse();
        String second = bench.open(0);
        assertThat(second).isNotEqualTo(first);
        assertThat(bench.open(0))
                .as("the other try is gone on with, not begun again")
                .isEqualTo(second);
        assertThat(bench.floor().at("/benches/0/attempt/id").asString()).isEqualTo(second);
    }

    @Test
    void sealAndRule_thatWereSetLast_count_whateverTheClockSaid() {
        clock.putOffBy(YEAR_AND_MORE);
        Bench bench = Bench.of(lead, Bench.STUB, 1);
        String attempt = bench.open(0);
        readAll(attempt);
        lead.put("/api/attempts/" + attempt + "/seals/" + key(), "{\"sealed\":true}");
        String rule = "{\"family\":\"stub90\",\"figures\":{\"of\":5,\"passes\":%d,\"days\":2,\"lengthIn\":0.125,"
                + "\"angleDeg\":2,\"dogLegDeg\":2,\"withoutRebending\":1,\"steadyPasses\":2}}";
        assertThat(lead.put("/api/sign-off-rules/" + key(), rule.formatted(4)).status())
                .isEqualTo(200);
        clock.putOffBy(Duration.ZERO);
        assertThat(lead.get("/api/attempts/" + attempt).at("/bench/seal/sealed").asBoolean())
                .isTrue();
        lead.put("/api/attempts/" + attempt + "/seals/" + key(), "{\"sealed\":false,\"reason\":\"misread\"}");
        assertThat(lead.get("/api/attempts/" + attempt).at("/bench/seal/sealed").asBoolean())
                .isFalse();
        Answer rules = lead.put("/api/sign-off-rules/" + key(), rule.formatted(3));
        assertThat(rules.at("/own/0/figures/passes").asInt()).isEqualTo(3);
        assertThat(rules.at("/history/0/figures/passes").asInt()).isEqualTo(3);
    }

    @Test
    void exerciseGivenAfterTheClockWasPutBack_isTheOneInHand_andFirstInTheList() {
        clock.putOffBy(YEAR_AND_MORE);
        Bench early = Bench.of(lead, Bench.STUB, 1);
        readAll(early.open(0));
        clock.putOffBy(YEAR_AND_MORE.negated());
        Bench late = Bench.of(lead, Bench.STUB, 1);
        assertThat(lead.get("/api/givings").at("/0/sheets/0/code").asString()).isEqualTo(late.code(0));
        String attempt = late.open(0);
        Answer kept = lead.put(
                "/api/attempts/" + attempt + "/readings/" + key(),
                "{\"feature\":\"leg\",\"text\":\"17 5/8\",\"takenAt\":\"" + Instant.now() + "\"}");
        assertThat(Instant.parse(kept.at("/features/1/reading/takenAt").asString()))
                .as("what a device says is bounded by our clock, right or wrong")
                .isBefore(Instant.now().minus(Duration.ofDays(399)));
    }

    @Test
    void deviceWithAWrongClock_isToldOfByTheReading_andPutRight() {
        Bench bench = Bench.of(lead, Bench.STUB, 1);
        String attempt = bench.open(0);
        clock.putOffBy(Duration.ofHours(2));
        Instant taken = Instant.now();
        Answer kept = lead.putAt(
                taken.plusSeconds(60),
                "/api/attempts/" + attempt + "/readings/" + key(),
                "{\"feature\":\"leg\",\"text\":\"17 5/8\",\"takenAt\":\"" + taken + "\"}");
        assertThat(kept.at("/features/1/reading/clockWrongBySeconds").asInt()).isBetween(-7200 + 40, -7200 + 70);
        assertThat(Instant.parse(kept.at("/features/1/reading/takenAt").asString()))
                .isBetween(taken.plusSeconds(7200 - 70), taken.plusSeconds(7200 - 40));
        assertThat(new String(lead.file("/api/readings.csv?cohort=" + bench.cohort()), StandardCharsets.UTF_8))
                .as("the file says by how many seconds, beside what the device said")
                .containsPattern(",\"?-71\\d\\d\\b");
    }

    // Codes that end

    @Test
    void codeOnASheet_endsFourteenDaysAfterItsSession_andGoesOnWhenTheInstructorDoes() {
        Bench bench = Bench.of(lead, Bench.STUB, 1);
        String sheet = "/api/benches/" + bench.code(0);
        clock.putOffBy(Duration.ofDays(14));
        assertThat(phone.get(sheet).status()).isEqualTo(200);
        clock.putOffBy(Duration.ofDays(15));
        Answer ended = phone.get(sheet);
        assertThat(code(ended)).isEqualTo("sheet-ended");
        assertThat(ended.body().toString()).contains("worked until").doesNotContain("Trainee");
        assertThat(code(phone.put(sheet + "/steps/" + key(), "{\"step\":\"help\"}")))
                .isEqualTo("sheet-ended");
        assertThat(lead.get("/api/sheets/" + bench.code(0)).status())
                .as("whoever may see the trainee finds the sheet")
                .isEqualTo(200);
        bench.open(0);
        assertThat(phone.get(sheet).status()).isEqualTo(200);
    }

    @Test
    void daysOfASheet_areTheSchoolsChoice_andCountFromTheDayItWasDue() {
        assertThat(lead.get("/api/sheet-codes").at("/days").asInt()).isEqualTo(14);
        assertThat(lead.put("/api/sheet-codes", "{\"days\":0}").status()).isEqualTo(400);
        assertThat(lead.put("/api/sheet-codes", "{\"days\":367}").status()).isEqualTo(400);
        assertThat(lead.put("/api/sheet-codes", "{\"days\":3}").at("/days").asInt())
                .isEqualTo(3);
        try {
            Bench bench = Bench.of(lead, Bench.STUB, 1);
            String sheet = "/api/benches/" + bench.code(0);
            clock.putOffBy(Duration.ofDays(4));
            assertThat(code(phone.get(sheet))).isEqualTo("sheet-ended");
            school.change(
                    "update giving set due_on = current_date + 5 where id in (select giving_id from assignment where code = '"
                            + bench.code(0).replace("-", "") + "')");
            clock.putOffBy(Duration.ofDays(8));
            assertThat(phone.get(sheet).status()).isEqualTo(200);
            clock.putOffBy(Duration.ofDays(9));
            assertThat(code(phone.get(sheet))).isEqualTo("sheet-ended");
        } finally {
            lead.put("/api/sheet-codes", "{\"days\":14}");
        }
    }

    @Test
    void keyToOnesOwnPage_endsWithTheCohort_andWorksAgainIfThatGoesOn() {
        Bench bench = Bench.of(lead, Bench.STUB, 1);
        String trainee = bench.floor().at("/benches/0/traineeId").asString();
        String key = lead.put("/api/trainees/" + trainee + "/keys/" + key(), "{}")
                .at("/ownPage")
                .asString();
        String page = "/api/own/" + key;
        assertThat(phone.get(page).status()).isEqualTo(200);
        LocalDate today = LocalDate.now(ZoneOffset.UTC);
        String end = "/api/cohorts/" + bench.cohort() + "/end";
        assertThat(lead.put(end, "{\"endsOn\":\"" + today + "\"}").at("/endsOn").asString())
                .isEqualTo(today.toString());
        assertThat(phone.get(page).status()).as("on the last day").isEqualTo(200);
        lead.put(end, "{\"endsOn\":\"" + today.minusDays(1) + "\"}");
        assertThat(phone.get(page).status()).isEqualTo(404);
        assertThat(phone.get(page + "/record.pdf").status()).isEqualTo(404);
        lead.put(end, "{\"endsOn\":null}");
        assertThat(phone.get(page).status()).isEqualTo(200);
    }
}
