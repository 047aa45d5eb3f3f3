package lobrik.server.progress;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import lobrik.server.Client;
import lobrik.server.Client.Answer;
import lobrik.server.RunningServer;
import lobrik.server.attempt.FollowUps;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.parallel.Isolated;
import tools.jackson.databind.JsonNode;

/** Progress follows the record: what pieces came to, where everybody stands, what comes next. */
@ExtendWith(RunningServer.class)
@Isolated("All outcomes are worked out anew here.")
class ProgressTest {

    private Client runa;
    private Taught taught;

    @BeforeEach
    void startClass(RunningServer.Address server) {
        runa = Client.signedIn(server, "runa");
        taught = Taught.of(runa, "Ada Finch", "Bo Rill");
    }

    private JsonNode page(int which) {
        return runa.get("/api/trainees/" + taught.trainee(which) + "/progress").body();
    }

    @Test
    void standing_followsThePieces() {
        assertThat(taught.standing(0)).isEqualTo("notTried");
        taught.bends(0, 9, "18 1/2");
        assertThat(taught.standing(0)).isEqualTo("learning");
        taught.bends(0, 8, "17 5/8");
        taught.bends(0, 8, "17 5/8");
        taught.bends(0, 8, "17 11/16");
        assertThat(taught.standing(0)).isEqualTo("steady");
        taught.bends(0, 1, "17 5/8");
        assertThat(taught.standing(0)).isEqualTo("ready");
        assertThat(page(0).at("/families/0/conditions/0/words").asString()).isEqualTo("4 passes (3 asked)");
    }

    @Test
    void correction_changesWhatThePieceCameTo_atOnce_andNotItsDay() {
        String attempt = taught.bends(0, 5, "18 1/2");
        JsonNode before = taught.row(0, "").at("/cells/0/recent/0");
        assertThat(before.at("/passed").asBoolean()).isFalse();
        String reading = runa.get("/api/attempts/" + attempt)
                .at("/features/1/reading/id")
                .asString();
        Answer corrected = runa.put(
                "/api/attempts/" + attempt + "/readings/" + UUID.randomUUID(),
                "{\"feature\":\"leg\",\"text\":\"17 5/8\",\"corrects\":\"" + reading + "\",\"reason\":\"wrong line\"}");
        assertThat(corrected.status()).isEqualTo(200);
        JsonNode after = taught.row(0, "").at("/cells/0/recent/0");
        assertThat(after.at("/passed").asBoolean()).isTrue();
        assertThat(after.at("/measuredAt")).isEqualTo(before.at("/measuredAt"));
        assertThat(taught.row(0, "").at("/cells/0/recent").size()).isEqualTo(1);
    }

    @Test
    void disputedPiece_isNotFinished_untilSomebodyDecides(RunningServer.Address server) {
        String attempt = taught.bends(0, 0, "17 5/8");
        Client oskar = Client.signedIn(server, "oskar");
        oskar.put(
                "/api/attempts/" + attempt + "/readings/" + UUID.randomUUID(), "{\"feature\":\"leg\",\"text\":\"18\"}");
        assertThat(taught.standing(0)).isEqualTo("notTried");
        String rival = runa.get("/api/attempts/" + attempt)
                .at("/features/1/rivals")
                .valueStream()
                .filter(each -> each.at("/value").asDouble() == 18)
                .findFirst()
                .orElseThrow()
                .at("/id")
                .asString();
        runa.put("/api/attempts/" + attempt + "/set-aside/" + rival, "{\"reason\":\"read upside down\"}");
        assertThat(taught.standing(0)).isEqualTo("learning");
        assertThat(taught.row(0, "").at("/cells/0/recent/0/passed").asBoolean()).isTrue();
    }

    /** The id of a bender on the rack. */
    private String bender(String label) {
        return runa.get("/api/shed")
                .at("/benders")
                .valueStream()
                .filter(bender -> bender.at("/label").asString().equals(label))
                .findFirst()
                .orElseThrow()
                .at("/id")
                .asString();
    }

    @Test
    void filter_picksThePieces_andLeavesTheStanding() {
        taught.bends(0, 20, "17 5/8");
        taught.bends(0, 1, "17 5/8");
        taught.bends(0, 0, "17 5/8");
        String since = "?from=" + LocalDate.now(ZoneId.systemDefault()).minusDays(7);
        assertThat(taught.row(0, since).at("/cells/0/recent").size()).isEqualTo(2);
        assertThat(taught.row(0, since).at("/cells/0/standing").asString()).isEqualTo("ready");
        assertThat(taught.row(0, "?to=" + LocalDate.now(ZoneId.systemDefault()).minusDays(7))
                        .at("/cells/0/recent")
                        .size())
                .isEqualTo(1);
        assertThat(taught.row(0, "?bender=" + bender("Bender 4") + "&conduit=3%2F4%20EMT&preset=site")
                        .at("/cells/0/recent")
                        .size())
                .isEqualTo(3);
        assertThat(taught.row(0, "?bender=" + bender("Bender 2"))
                        .at("/cells/0/recent")
                        .size())
                .isZero();
        assertThat(runa.get("/api/cohorts/" + taught.id() + "/matrix?from=yesterday")
                        .status())
                .isEqualTo(400);
    }

    @Test
    void whoeverHasNotBentForTwoWeeks_isSeen() {
        taught.bends(0, 20, "17 5/8");
        taught.bends(1, 3, "17 5/8");
        assertThat(taught.row(0, "").at("/resting").asBoolean()).isTrue();
        assertThat(taught.row(1, "").at("/resting").asBoolean()).isFalse();
    }

    @Test
    void commonCauses_ofThisWeek_areCounted() {
        // What a stub of 95° measures, by the simulation.
        taught.bends(0, 1, "17 5/8");
        taught.bends(0, 1, "18 1/8", "95");
        taught.bends(1, 2, "18 1/8", "95");
        taught.bends(1, 12, "18 1/8", "95");
        JsonNode matrix = runa.get("/api/cohorts/" + taught.id() + "/matrix").body();
        assertThat(matrix.at("/pieces").asInt()).isEqualTo(3);
        assertThat(matrix.at("/slips").valueStream())
                .filteredOn(slip -> slip.at("/cause").asString().equals("angle-off"))
                .singleElement()
                .satisfies(slip -> {
                    assertThat(slip.at("/pieces").asInt()).isEqualTo(2);
                    assertThat(slip.at("/trainees").asInt()).isEqualTo(2);
                });
    }

    @Test
    void habit_isToldWithItsEvidence_andDecidesWhatComesNext() {
        for (int day = 8; day > 0; day--) {
            taught.bends(0, day, "17 5/8", day % 2 == 0 ? "93" : "93.5");
        }
        JsonNode page = page(0);
        assertThat(page.at("/habits/0/sentence").asString())
                .isEqualTo("The bend of stub nineties comes out 3.3° heavy.");
        assertThat(page.at("/habits/0/evidence").asString())
                .startsWith("The same way in 8 of the last 8 stub nineties");
        assertThat(page.at("/next/reason").asString()).isEqualTo("habit");
        assertThat(page.at("/families/0/features")
                        .valueStream()
                        .filter(each -> each.at("/feature").asString().equals("angle1"))
                        .findFirst()
                        .orElseThrow()
                        .at("/biasFrom")
                        .asDouble())
                .isBetween(3.0, 3.25);
    }

    @Test
    void plan_isGivenOutInOneStep_andOnceOnly() {
        taught.bends(0, 2, "17 5/8");
        JsonNode plan = runa.get("/api/cohorts/" + taught.id() + "/plan").body();
        JsonNode group = plan.at("/groups/0");
        assertThat(group.at("/family").asString()).isEqualTo("stub90");
        assertThat(group.at("/trainees").size()).isEqualTo(2);
        assertThat(group.at("/trainees/0/next/reason").asString()).isEqualTo("notSteady");
        assertThat(group.at("/trainees/1/next/reason").asString()).isEqualTo("first");
        String entry = group.at("/entry/id").asString();
        String body = "{\"parts\":[{\"entryId\":\"" + entry + "\",\"traineeIds\":[\"" + taught.trainee(0) + "\",\""
                + taught.trainee(1) + "\"]}]}";
        String path = "/api/cohorts/" + taught.id() + "/plans/" + UUID.randomUUID();
        Answer given = runa.put(path, body);
        assertThat(given.status()).as(given.body().toString()).isEqualTo(200);
        assertThat(runa.put(path, body).body()).isEqualTo(given.body());
        Answer giving = runa.get("/api/givings/" + given.at("/givingIds/0").asString());
        assertThat(giving.at("/sheets").size()).isEqualTo(2);
        assertThat(runa.put(path, "{\"parts\":[]}").status()).isEqualTo(400);
        assertThat(runa.put(
                                "/api/cohorts/" + taught.id() + "/plans/" + UUID.randomUUID(),
                                "{\"parts\":[{\"entryId\":\"" + UUID.randomUUID() + "\",\"traineeIds\":[\""
                                        + taught.trainee(0) + "\"]}]}")
                        .status())
                .isEqualTo(404);
    }

    @Test
    void ownPage_opensWithItsKeyOnly_andAnOldKeyOpensNothing(RunningServer.Address server) {
        taught.bends(0, 2, "17 5/8");
        String path = "/api/trainees/" + taught.trainee(0) + "/keys";
        String first =
                runa.put(path + "/" + UUID.randomUUID(), "").at("/ownPage").asString();
        assertThat(first).matches("(\\w{4}-){2}\\w{4}");
        Client nobody = new Client(server);
        Answer own = nobody.get("/api/own/" + first);
        assertThat(own.at("/fullName").asString()).isEqualTo("Ada Finch");
        assertThat(own.at("/families/0/recent/0/passed").asBoolean()).isTrue();
        assertThat(own.response().body()).doesNotContain("Bo Rill", taught.trainee(0));
        String second =
                runa.put(path + "/" + UUID.randomUUID(), "").at("/ownPage").asString();
        assertThat(nobody.get("/api/own/" + first).status()).isEqualTo(404);
        assertThat(nobody.get("/api/own/" + second).status()).isEqualTo(200);
        assertThat(runa.delete(path).at("/ownPage").isNull()).isTrue();
        assertThat(nobody.get("/api/own/" + second).status()).isEqualTo(404);
    }

    @Test
    void anotherInstructorsClass_isAsIfThereWereNone(RunningServer.Address server) {
        Client dessa = Client.signedIn(server, "dessa");
        String trainee = taught.trainee(0);
        for (String path : new String[] {
            "/api/cohorts/" + taught.id() + "/matrix",
            "/api/cohorts/" + taught.id() + "/plan",
            "/api/trainees/" + trainee + "/progress",
            "/api/trainees/" + trainee + "/record.pdf",
            "/api/trainees/" + trainee + "/everything.json",
            "/api/cohorts/" + taught.id() + "/gradebook.csv",
            "/api/cohorts/" + taught.id() + "/gradebook.xlsx",
            "/api/cohorts/" + taught.id() + "/statements.json",
            "/api/readings.csv?cohort=" + taught.id()
        }) {
            assertThat(dessa.get(path).status()).as(path).isEqualTo(404);
        }
        assertThat(dessa.put(
                                "/api/trainees/" + trainee + "/sign-offs/" + UUID.randomUUID(),
                                "{\"family\":\"stub90\",\"remark\":\"x\"}")
                        .status())
                .isEqualTo(404);
        assertThat(dessa.put("/api/trainees/" + trainee + "/keys/" + UUID.randomUUID(), "")
                        .status())
                .isEqualTo(404);
    }

    /** And a definition that the rules of today lay out no more holds up nobody else's pieces; it is said that it is left out. */
    @Test
    void outcomes_workedOutAnew_areTheSame_andARecordThatNoLongerLaysOut_holdsUpNoOther(RunningServer.Address server)
            throws SQLException {
        taught.bends(0, 3, "18 1/2");
        taught.bends(1, 3, "17 5/8");
        Taught others = Taught.of(runa, "Cy Moss");
        others.bends(0, 1, "17 5/8");
        // The rows are looked at past the interface, which would see to it.
        server.context().getBean(FollowUps.class).settle();
        try (Connection connection =
                        DriverManager.getConnection(server.databaseUrl(), "lobrik_owner", server.databasePassword());
                Statement statement = connection.createStatement()) {
            String cohort = "cohort_id = '" + others.id() + "'";
            String broken = only(
                    statement,
                    "select exercise_id::text from attempt join outcome on attempt.id = attempt_id" + " where " + cohort
                            + " order by measured_at desc limit 1");
            String whole = only(statement, "select definition::text from exercise where id = '" + broken + "'");
            List<String> before = outcomes(statement);
            JsonNode floor = runa.get("/api/floor/" + others.id()).at("/benches");
            // As a definition of long ago might be that today's rules refuse; the record itself lets nobody change it.
            statement.execute("alter table exercise disable trigger user");
            statement.execute("update exercise set definition = jsonb_set(definition, '{bend,legIn}', '1') where id = '"
                    + broken + "'");
            assertThat(statement.executeUpdate("delete from outcome where cohort_id = '" + taught.id() + "'"))
                    .isEqualTo(2);
            OutcomeBook book = server.context().getBean(OutcomeBook.class);
            try {
                statement.execute("update outcome_state set revision = 0");
                book.catchUp(book.behind());
                assertThat(book.behind()).isZero();
                assertThat(book.catchingUp()).isEmpty();
                assertThat(book.leftOut()).isPositive();
                assertThat(outcomes(statement)).containsExactlyElementsOf(before);
                // What a piece comes to was settled when its measuring began: nothing has to be laid out for that.
                assertThat(runa.get("/api/floor/" + others.id()).at("/benches")).isEqualTo(floor);
            } finally {
                statement.execute("update exercise set definition = '" + whole + "' where id = '" + broken + "'");
                statement.execute("alter table exercise enable trigger user");
                // What stood in the way is gone: it needs no new start.
                server.context().getBean(FollowUps.class).tryAgain();
                server.context().getBean(FollowUps.class).settle();
                assertThat(book.leftOut()).isZero();
            }
            assertThat(outcomes(statement)).containsExactlyElementsOf(before);
        }
    }

    private static String only(Statement statement, String question) throws SQLException {
        try (ResultSet result = statement.executeQuery(question)) {
            assertThat(result.next()).isTrue();
            return result.getString(1);
        }
    }

    /** Every row as text: where they differ, the test says which. */
    private static List<String> outcomes(Statement statement) throws SQLException {
        List<String> rows = new ArrayList<>();
        try (ResultSet result = statement.executeQuery("select o::text from outcome o order by attempt_id")) {
            while (result.next()) {
                rows.add(result.getString(1));
            }
        }
        return rows;
    }
}
