package lobrik.server.transfer;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import lobrik.server.Client;
import lobrik.server.Client.Answer;
import lobrik.server.RunningServer;
import lobrik.server.platform.Days;
import lobrik.server.progress.Taught;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.dhatim.fastexcel.reader.ReadableWorkbook;
import org.dhatim.fastexcel.reader.Row;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Files out, and the erasure of a person. */
@ExtendWith(RunningServer.class)
class TransferTest {

    private static final JsonMapper JSON = JsonMapper.shared();

    private Client runa;
    private Taught taught;

    @BeforeEach
    void startClass(RunningServer.Address server) {
        runa = Client.signedIn(server, "runa");
        taught = Taught.of(runa, "=SUM(A1) Finch", "Bo Rill");
    }

    private List<CSVRecord> table(String path) throws IOException {
        String text = new String(runa.file(path), StandardCharsets.UTF_8);
        return CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .get()
                .parse(new StringReader(text))
                .getRecords();
    }

    @Test
    void gradebook_hasARowForEachTrainee_andNoFormula() throws IOException {
        taught.bends(0, 3, "17 5/8");
        taught.bends(0, 2, "18 1/2");
        List<CSVRecord> rows = table("/api/cohorts/" + taught.id() + "/gradebook.csv");
        assertThat(rows).hasSize(2);
        CSVRecord first = rows.getFirst();
        assertThat(first.get("trainee")).isEqualTo("'=SUM(A1) Finch");
        assertThat(first.get("stub ninety: standing")).isEqualTo("learning");
        assertThat(first.get("stub ninety: pieces")).isEqualTo("2");
        assertThat(first.get("stub ninety: passes")).isEqualTo("1");
        assertThat(first.get("kick: standing")).isEqualTo("not tried");
    }

    @Test
    void workbook_hasTheGradesAndEveryPiece() throws IOException {
        taught.bends(0, 3, "17 5/8");
        taught.bends(1, 2, "18 1/2");
        byte[] file = runa.file("/api/cohorts/" + taught.id() + "/gradebook.xlsx");
        try (ReadableWorkbook workbook = new ReadableWorkbook(new ByteArrayInputStream(file))) {
            List<Row> grades = workbook.getFirstSheet().read();
            assertThat(grades).hasSize(3);
            assertThat(grades.get(0).getCellText(3)).isEqualTo("stub ninety: standing");
            assertThat(grades.get(1).getCellText(3)).isEqualTo("learning");
            List<Row> pieces = workbook.getSheet(1).orElseThrow().read();
            assertThat(pieces).hasSize(3);
            assertThat(pieces.get(1).getCellText(0)).isEqualTo("'=SUM(A1) Finch");
            assertThat(pieces.get(1).getCellText(5)).isEqualTo("Bender 4");
            assertThat(pieces.get(1).getCellAsNumber(7).orElseThrow().doubleValue())
                    .isEqualTo(100);
            assertThat(pieces.get(2).getCellAsBoolean(8)).contains(false);
        }
    }

    @Test
    void readings_areAllThere_withWhatWasCorrected_andTheirColumnsAreExplained() throws IOException {
        String attempt = taught.bends(0, 3, "18 1/2");
        String reading = runa.get("/api/attempts/" + attempt)
                .at("/features/1/reading/id")
                .asString();
        runa.put(
                "/api/attempts/" + attempt + "/readings/" + UUID.randomUUID(),
                "{\"feature\":\"leg\",\"text\":\"17 3/4\",\"corrects\":\"" + reading + "\",\"reason\":\"wrong line\"}");
        List<CSVRecord> rows = table("/api/readings.csv?cohort=" + taught.id());
        assertThat(rows).hasSize(5);
        List<CSVRecord> legs =
                rows.stream().filter(row -> row.get("feature").equals("leg")).toList();
        assertThat(legs).anySatisfy(row -> {
            assertThat(row.get("value")).isEqualTo("17.75");
            assertThat(row.get("target")).isEqualTo("17.625");
            assertThat(row.get("deviation")).isEqualTo("0.125");
            assertThat(row.get("counts")).isEqualTo("true");
            assertThat(row.get("corrects")).isEqualTo(reading);
            assertThat(row.get("typed")).isEqualTo("17 3/4");
            assertThat(row.get("taken_by")).isEqualTo("Runa Tolvane");
        });
        assertThat(legs).anySatisfy(row -> {
            assertThat(row.get("value")).isEqualTo("18.5");
            assertThat(row.get("counts")).isEqualTo("false");
            assertThat(row.get("deviation")).isEmpty();
        });
        List<String> explained = table("/api/readings-columns.csv").stream()
                .map(row -> row.get("column"))
                .toList();
        assertThat(explained)
                .containsExactlyElementsOf(rows.getFirst().getParser().getHeaderNames());
    }

    @Test
    void statements_areOneForEachPieceAndSignature_andAWithdrawalVoidsIts() {
        String attempt = taught.bends(0, 3, "17 5/8");
        taught.bends(1, 3, "18 1/2");
        String signed = runa.put(
                        "/api/trainees/" + taught.trainee(0) + "/sign-offs/" + UUID.randomUUID(),
                        "{\"family\":\"stub90\",\"remark\":\"Trade test\"}")
                .at("/signOffs/0/id")
                .asString();
        runa.put("/api/sign-offs/" + signed + "/withdrawal", "{\"reason\":\"Too early\"}");
        JsonNode statements = JSON.readTree(runa.file("/api/cohorts/" + taught.id() + "/statements.json"));
        assertThat(statements.size()).isEqualTo(4);
        JsonNode first = statements.get(0);
        assertThat(first.at("/id").asString()).isEqualTo(attempt);
        assertThat(first.at("/verb/id").asString()).isEqualTo("http://adlnet.gov/expapi/verbs/passed");
        assertThat(first.at("/result/score/scaled").asDouble()).isEqualTo(1);
        assertThat(first.at("/actor/account/name").asString()).isEqualTo(taught.trainee(0));
        assertThat(statements.get(1).at("/result/success").asBoolean()).isFalse();
        assertThat(statements.get(2).at("/verb/display/en").asString()).isEqualTo("mastered");
        assertThat(statements.get(3).at("/object/id").asString()).isEqualTo(signed);
    }

    @Test
    void everythingAboutAPerson_isOneFile() {
        String attempt = taught.bends(0, 3, "17 5/8");
        sitsInASession();
        JsonNode file = JSON.readTree(runa.file("/api/trainees/" + taught.trainee(0) + "/everything.json"));
        assertThat(file.at("/attendance/0/state").asString()).isEqualTo("LATE");
        assertThat(file.at("/absences/0/reason").asString()).isEqualTo("at the dentist’s");
        assertThat(file.at("/seats/0/bench").asInt()).isEqualTo(2);
        assertThat(file.at("/keptApart/0/people").asInt()).isEqualTo(1);
        assertThat(file.at("/enrolments/0/bench").asInt()).isEqualTo(1);
        assertThat(file.at("/format").asString()).isEqualTo("lobrik-person/1");
        assertThat(file.at("/trainee/0/full_name").asString()).isEqualTo("=SUM(A1) Finch");
        assertThat(file.at("/attempts/0/id").asString()).isEqualTo(attempt);
        assertThat(file.at("/readings").size()).isEqualTo(4);
        assertThat(file.at("/outcomes").size()).isEqualTo(1);
    }

    /** The first of them is in the calendar: a session of today with a seat, late, apart from the other, and away another day. */
    private void sitsInASession() {
        LocalDate today = Days.of(Instant.now());
        String bender = runa.get("/api/benders").at("/benders/0/id").asString();
        String session = "/api/class-sessions/" + UUID.randomUUID();
        String who = taught.trainee(0);
        for (String[] call : new String[][] {
            {
                session,
                "{\"session\":{\"cohortId\":\"%s\",\"day\":\"%s\",\"from\":\"08:00\",\"until\":\"09:00\",\"benches\":[2],\"benders\":[\"%s\"]},\"days\":[\"%s\"]}"
                        .formatted(taught.id(), today, bender, today)
            },
            {session + "/seats/" + who, "{\"place\":{\"bench\":2,\"benderId\":\"%s\"}}".formatted(bender)},
            {session + "/attendance/" + who, "{\"state\":\"LATE\"}"},
            {
                "/api/absences/" + UUID.randomUUID(),
                "{\"traineeId\":\"%s\",\"firstDay\":\"%s\",\"lastDay\":\"%s\",\"reason\":\"at the dentist’s\"}"
                        .formatted(who, today.plusDays(3), today.plusDays(3))
            },
            {"/api/kept-apart", "{\"oneId\":\"%s\",\"otherId\":\"%s\",\"apart\":true}".formatted(who, taught.trainee(1))
            }
        }) {
            assertThat(runa.put(call[0], call[1]).status()).as(call[0]).isEqualTo(204);
        }
    }

    /** Every table that knows of a trainee, directly or through an attempt or a signature, is in the file and goes with the person. */
    @Test
    void erasure_leavesNothingThatLeadsToThePerson(RunningServer.Address server) throws SQLException {
        taught.bends(0, 3, "17 5/8");
        runa.put(
                "/api/trainees/" + taught.trainee(0) + "/sign-offs/" + UUID.randomUUID(),
                "{\"family\":\"stub90\",\"remark\":\"Trade test\"}");
        runa.put("/api/trainees/" + taught.trainee(0) + "/keys/" + UUID.randomUUID(), "");
        sitsInASession();
        Client oskar = Client.signedIn(server, "oskar");
        String path = "/api/trainees/" + taught.trainee(0) + "/erasures/" + UUID.randomUUID();
        String body = "{\"fullName\":\"=SUM(A1) Finch\",\"reason\":\"Left the school and asked for it\"}";
        assertThat(runa.put(path, body).status()).isEqualTo(403);
        assertThat(oskar.put(path, "{\"fullName\":\"Finch\",\"reason\":\"x\"}").status())
                .isEqualTo(400);
        try (Connection connection =
                        DriverManager.getConnection(server.databaseUrl(), "lobrik_owner", server.databasePassword());
                Statement statement = connection.createStatement()) {
            // What was taken off again goes, too.
            statement.execute("insert into taken_off select id, given_by, given_at from assignment where trainee_id = '"
                    + taught.trainee(0) + "' on conflict do nothing");
            List<String> before = mentions(statement, taught.trainee(0));
            assertThat(before)
                    .contains("trainee", "attempt", "outcome", "sign_off", "assignment", "trainee_key")
                    .contains("seat", "attendance", "absence", "kept_apart");
            long anonymous = count(statement, "select count(*) from anonymous_outcome");
            Answer erased = oskar.put(path, body);
            assertThat(erased.status()).as(erased.body().toString()).isEqualTo(200);
            assertThat(erased.at("/pieces").asInt()).isEqualTo(1);
            assertThat(mentions(statement, taught.trainee(0))).isEmpty();
            assertThat(count(
                            statement,
                            "select count(*) from trainee where full_name like '%SUM(A1)%' and cohort_id = '"
                                    + taught.id() + "'"))
                    .isZero();
            assertThat(count(statement, "select count(*) from anonymous_outcome"))
                    .isEqualTo(anonymous + 1);
            assertThat(count(statement, "select count(*) from erasure where cohort_id = '" + taught.id() + "'"))
                    .isEqualTo(1);
        }
        assertThat(runa.get("/api/trainees/" + taught.trainee(0) + "/progress").status())
                .isEqualTo(404);
        assertThat(runa.get("/api/cohorts/" + taught.id() + "/matrix")
                        .at("/rows")
                        .size())
                .isEqualTo(1);
    }

    /** Of two with one name only the one whose bench was given goes. */
    @Test
    void erasure_asksForWhatOnlyTheRightOneHas(RunningServer.Address server) {
        Taught namesakes = Taught.of(runa, "Ada Finch", "Ada Finch");
        Client oskar = Client.signedIn(server, "oskar");
        String path = "/api/trainees/" + namesakes.trainee(1) + "/erasures/" + UUID.randomUUID();
        String body = "{\"fullName\":\"Ada Finch\",%s\"reason\":\"Left the school\"}";
        for (String bench : List.of("", "\"bench\":1,")) {
            assertThat(oskar.put(path, body.formatted(bench))
                            .at("/errors/0/code")
                            .asString())
                    .isEqualTo("name-shared");
        }
        assertThat(oskar.put(path, body.formatted("\"bench\":2,")).status()).isEqualTo(200);
        assertThat(runa.get("/api/cohorts/" + namesakes.id() + "/matrix")
                        .at("/rows/0/traineeId")
                        .asString())
                .isEqualTo(namesakes.trainee(0));
    }

    /** The tables that have a row with this id in any column. */
    private static List<String> mentions(Statement statement, String id) throws SQLException {
        List<String> columns = new ArrayList<>();
        try (ResultSet result =
                statement.executeQuery("select table_name || ' ' || column_name from information_schema.columns "
                        + "where table_schema = 'public' and data_type = 'uuid'")) {
            while (result.next()) {
                columns.add(result.getString(1));
            }
        }
        List<String> mentions = new ArrayList<>();
        for (String column : columns) {
            String[] parts = column.split(" ");
            if (count(statement, "select count(*) from " + parts[0] + " where " + parts[1] + " = '" + id + "'") > 0) {
                mentions.add(parts[0]);
            }
        }
        return mentions;
    }

    private static long count(Statement statement, String query) throws SQLException {
        try (ResultSet result = statement.executeQuery(query)) {
            result.next();
            return result.getLong(1);
        }
    }
}
