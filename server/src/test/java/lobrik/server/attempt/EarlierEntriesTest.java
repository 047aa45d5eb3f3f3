package lobrik.server.attempt;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import lobrik.server.Client.Answer;
import lobrik.server.RunningServer;
import org.junit.jupiter.api.Test;

/**
 * What a tablet wrote down under an earlier Lobrik and did not send, sent as the screens of then send it: those of 24 November 2026 were
 * the first that kept anything. It arrives, or stays where it is.
 */
class EarlierEntriesTest extends ClassOfTwo {

    /** As the screens of then had them; members that came later are not in them. */
    private static final List<String> READINGS = List.of("""
            {"feature":"leg","text":"17 5/8","bare":"in","takenWith":"pad","takenAt":"2026-11-24T09:12:44.120Z"}""", """
            {"feature":"angle1","text":"90","bare":"in","takenWith":"keys","takenAt":"2026-11-24T09:13:02.008Z"}""");

    private static final List<String> FACTS = List.of("""
            {"fact":{"kind":"finding","point":"kink","result":"good","note":null},"corrects":null,"takenAt":"2026-11-24T09:14:00.000Z"}""", """
            {"fact":{"kind":"rework","bend":1,"change":"eased"},"takenAt":"2026-11-24T09:14:10.000Z"}""", """
            {"fact":{"kind":"waste","text":"2 1/2"},"bare":"in","takenAt":"2026-11-24T09:14:20.000Z"}""", """
            {"fact":{"kind":"time","minutes":14},"takenAt":"2026-11-24T09:14:30.000Z"}""", """
            {"fact":{"kind":"note","text":"walked on the foot"},"takenAt":"2026-11-24T09:14:40.000Z"}""");

    private static final String CORRECTION = """
            {"feature":"leg","text":"17 9/16","bare":"in","takenWith":"pad","takenAt":"2026-11-24T09:15:10.000Z",\
            "corrects":"$first","reason":"read again"}""";

    @Test
    void fullOutboxOfTheFirstScreens_isTakenInItsOrder_andOnce(RunningServer.Address server) throws SQLException {
        Answer given = give(runa, "{\"cohortId\":\"" + cohort + "\"}");
        String attempt = UUID.randomUUID().toString();
        String open = "{\"traineeId\":\"" + trainees.getFirst() + "\",\"assignmentId\":\""
                + given.at("/sheets/0/assignmentId").asString() + "\"}";
        List<String> keys = Stream.generate(() -> UUID.randomUUID().toString())
                .limit(READINGS.size() + FACTS.size() + 1)
                .toList();
        for (int time = 0; time < 2; time++) {
            assertThat(runa.putByEdition(0, "/api/attempts/" + attempt, open).status())
                    .isEqualTo(200);
            for (int i = 0; i < READINGS.size(); i++) {
                Answer kept =
                        runa.putByEdition(0, "/api/attempts/" + attempt + "/readings/" + keys.get(i), READINGS.get(i));
                assertThat(kept.status()).as(kept.response().body()).isEqualTo(200);
            }
            for (int i = 0; i < FACTS.size(); i++) {
                Answer kept = runa.putByEdition(
                        0, "/api/attempts/" + attempt + "/facts/" + keys.get(READINGS.size() + i), FACTS.get(i));
                assertThat(kept.status()).as(kept.response().body()).isEqualTo(200);
            }
            Answer corrected = runa.putByEdition(
                    0,
                    "/api/attempts/" + attempt + "/readings/" + keys.getLast(),
                    CORRECTION.replace("$first", keys.getFirst()));
            assertThat(corrected.status()).as(corrected.response().body()).isEqualTo(200);
        }
        assertThat(written(server, attempt)).containsExactlyInAnyOrderElementsOf(keys);
    }

    private static List<String> written(RunningServer.Address server, String attempt) throws SQLException {
        List<String> ids = new ArrayList<>();
        try (Connection database =
                        DriverManager.getConnection(server.databaseUrl(), "lobrik_owner", server.databasePassword());
                ResultSet found = database.createStatement()
                        .executeQuery("select id from reading where attempt_id = '" + attempt
                                + "' union all select id from bench_fact where attempt_id = '" + attempt + "'")) {
            while (found.next()) {
                ids.add(found.getString(1));
            }
        }
        return ids;
    }

    @Test
    void screensThatAreTooOld_areToldToBeLoadedAnew_andNothingIsWrittenDown(RunningServer.Address server)
            throws SQLException {
        String attempt = givenAndOpened();
        Answer told = runa.putByEdition(
                -1, "/api/attempts/" + attempt + "/readings/" + UUID.randomUUID(), READINGS.getFirst());
        assertThat(told.status()).isEqualTo(426);
        assertThat(told.at("/errors/0/code").asString()).isEqualTo("earlier-screens");
        assertThat(told.at("/detail").asString()).contains("What waits on this device stays");
        assertThat(written(server, attempt)).isEmpty();
        // A program that says no edition is no window.
        assertThat(read(attempt, "leg", "17 5/8").status()).isEqualTo(200);
    }
}
