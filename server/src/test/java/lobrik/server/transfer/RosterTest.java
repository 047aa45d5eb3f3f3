package lobrik.server.transfer;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import lobrik.server.Client;
import lobrik.server.Client.Answer;
import lobrik.server.RunningServer;
import lobrik.server.progress.Taught;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A roster in: shown first with everything that is wrong, then added whole or not at all. */
@ExtendWith(RunningServer.class)
class RosterTest {

    private static final JsonMapper JSON = JsonMapper.shared();

    private Client runa;
    private Taught taught;

    @BeforeEach
    void startClass(RunningServer.Address server) {
        runa = Client.signedIn(server, "runa");
        taught = Taught.of(runa, "=SUM(A1) Finch", "Bo Rill");
    }

    private static String roster(String text, String more) {
        return "{\"text\":" + JSON.writeValueAsString(text) + more + "}";
    }

    private JsonNode cohort(String name) {
        return runa.get("/api/cohorts")
                .body()
                .valueStream()
                .filter(each -> each.at("/name").asString().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private void takeIn(String roster) {
        Answer added = runa.put("/api/roster/" + UUID.randomUUID(), roster);
        assertThat(added.status()).as(added.body().toString()).isEqualTo(200);
    }

    private String intoClass() {
        return ",\"cohortId\":\"" + taught.id() + "\"";
    }

    @Test
    void roster_isShownFirst_withEveryRowThatIsWrong_andThenNothingIsAdded() {
        String text = """
                Full name;Bench;Student number
                Cy Marsh;;S-1
                ;4;S-2
                Bo Rill;5;S-3
                Di Reed;x;S-1
                "Eva; Fenn";7;
                """;
        Answer preview = runa.post("/api/roster/preview", roster(text, intoClass()));
        assertThat(preview.status()).as(preview.body().toString()).isEqualTo(200);
        assertThat(preview.at("/mapping/name").asInt()).isZero();
        assertThat(preview.at("/mapping/number").asInt()).isEqualTo(2);
        assertThat(preview.at("/wrong").asInt()).isEqualTo(3);
        assertThat(preview.at("/rows/0/bench").asInt()).isEqualTo(3);
        assertThat(preview.at("/rows/1/problems/0").asString()).isEqualTo("The name is missing");
        assertThat(preview.at("/rows/2/problems/0").asString()).contains("in this cohort already");
        assertThat(preview.at("/rows/3/problems").valueStream().map(JsonNode::asString))
                .containsExactly(
                        "The number S-1 belongs to Cy Marsh already",
                        "“x” is no bench: give a number from 1 to 999, or nothing");
        assertThat(preview.at("/rows/4/name").asString()).isEqualTo("Eva; Fenn");
        Answer refused = runa.put("/api/roster/" + UUID.randomUUID(), roster(text, intoClass()));
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.at("/detail").asString()).isEqualTo("3 rows are wrong; nothing was added");
        assertThat(runa.get("/api/cohorts/" + taught.id() + "/matrix")
                        .at("/rows")
                        .size())
                .isEqualTo(2);
    }

    /** Two of one name sit in one room; a list that is read in twice must not make two of everybody. */
    @Test
    void twoOfOneNameInACohort_areTwoPeople_whereEachHasANumber() {
        String cohort = "Evening " + UUID.randomUUID();
        String one = UUID.randomUUID().toString();
        String table = "name,cohort,number\nCy Marsh," + cohort + "," + one + "\nCy Marsh," + cohort + ",%s\n";
        String options = ",\"newCohorts\":true";
        Answer without = runa.post("/api/roster/preview", roster(table.formatted(""), options));
        assertThat(without.at("/rows/0/problems").size()).isZero();
        assertThat(without.at("/rows/1/problems/0").asString())
                .isEqualTo(
                        "“Cy Marsh” is in this cohort already: leave the row out, or, if it is somebody else, give each"
                                + " of the two a number");
        String text = table.formatted(UUID.randomUUID());
        takeIn(roster(text, options));
        JsonNode found = cohort(cohort);
        assertThat(found.at("/trainees").size()).isEqualTo(2);
        assertThat(found.at("/trainees/0/bench")).isNotEqualTo(found.at("/trainees/1/bench"));
        Answer again = runa.post("/api/roster/preview", roster(text, options));
        assertThat(again.at("/wrong").asInt()).isEqualTo(2);
    }

    @Test
    void numberOfSomebodyWhomOneMayNotSee_isTakenWithoutTheirName(RunningServer.Address server) {
        String number = UUID.randomUUID().toString();
        String text = "Name,Number,Cohort\nSecret Person," + number + ",Hers " + number + "\n";
        Client dessa = Client.signedIn(server, "dessa");
        assertThat(dessa.put("/api/roster/" + UUID.randomUUID(), roster(text, ",\"newCohorts\":true"))
                        .status())
                .isEqualTo(200);
        String same = "Name,Number\nCy Marsh," + number + "\n";
        Answer preview = runa.post("/api/roster/preview", roster(same, intoClass()));
        assertThat(preview.at("/rows/0/problems/0").asString())
                .contains("belongs to somebody of another cohort")
                .doesNotContain("Secret");
        assertThat(Client.signedIn(server, "oskar")
                        .post("/api/roster/preview", roster(same, intoClass()))
                        .at("/rows/0/problems/0")
                        .asString())
                .contains("belongs to Secret Person");
    }

    @Test
    void roster_isTakenIn_withAnotherMapping_andNewCohorts() {
        String cohort = "Evening " + UUID.randomUUID();
        String number = UUID.randomUUID().toString();
        String text = "\uFEFFa,b,c,d\nCy Marsh,9," + cohort + "," + number + "\nDi Reed,," + cohort + ",\n";
        String mapping = ",\"mapping\":{\"name\":0,\"bench\":1,\"cohort\":2,\"number\":3}";
        assertThat(runa.post("/api/roster/preview", roster(text, mapping))
                        .at("/rows/0/problems/0")
                        .asString())
                .contains("There is no cohort");
        takeIn(roster(text, mapping + ",\"newCohorts\":true"));
        JsonNode found = cohort(cohort);
        assertThat(found.at("/trainees/0/fullName").asString()).isEqualTo("Di Reed");
        assertThat(found.at("/trainees/0/bench").asInt()).isEqualTo(1);
        assertThat(found.at("/trainees/1/bench").asInt()).isEqualTo(9);
    }

    @Test
    void whatIsNoTable_isRefusedWithAReason() {
        assertThat(runa.post("/api/roster/preview", roster("Name\n", "")).status())
                .isEqualTo(400);
        Answer broken = runa.post("/api/roster/preview", roster("Name,Bench\n\"Cy,1\n", ""));
        assertThat(broken.status()).isEqualTo(400);
        assertThat(broken.at("/detail").asString()).contains("no table that can be read");
        assertThat(runa.post("/api/roster/preview", roster("x,y\n1,2\n", ""))
                        .at("/rows")
                        .size())
                .isZero();
    }
}
