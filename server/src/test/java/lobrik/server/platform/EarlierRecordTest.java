package lobrik.server.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.zip.GZIPInputStream;
import lobrik.server.Client;
import lobrik.server.RunningServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * The record of an earlier build opens under this one and says the same. {@code records/demo-school-v5.sql.gz} is a dump of the
 * demo school as the build of 28 November 2026 (migration 5) made it, and the file beside it is what that build said of it.
 */
@ExtendWith(RunningServer.class)
class EarlierRecordTest {

    /** Every build looks at one attempt of this many, a full run at all. */
    private static final int EACH = Boolean.getBoolean("lobrik.full") ? 1 : 4;

    private static final Path RECORDS = Path.of("src", "test", "resources", "records");

    private static JsonNode said() throws IOException {
        try (InputStream file = EarlierRecordTest.class.getResourceAsStream("/records/demo-school-v5.json.gz")) {
            return JsonMapper.shared().readTree(new GZIPInputStream(file));
        }
    }

    /** The members that both have, so that an answer may grow. */
    private static void assertSame(String what, JsonNode before, JsonNode now) {
        if (before.isObject()) {
            before.properties()
                    .forEach(each -> assertSame(what + "/" + each.getKey(), each.getValue(), now.path(each.getKey())));
        } else if (before.isArray()) {
            assertThat(now.size()).as(what).isEqualTo(before.size());
            for (int i = 0; i < before.size(); i++) {
                assertSame(what + "/" + i, before.get(i), now.path(i));
            }
        } else {
            assertThat(now).as(what).isEqualTo(before);
        }
    }

    @Test
    void everyAttemptAndEveryCohort_sayWhatTheySaidBefore(RunningServer.Address server) throws IOException {
        JsonNode before = said();
        RunningServer.Address earlier = server.restored(
                "earlier", RECORDS.resolve("demo-school-v5.sql.gz").toAbsolutePath());
        try {
            Client oskar = Client.signedIn(earlier, "oskar");
            for (int i = 0; i < before.at("/attempts").size(); i += EACH) {
                JsonNode attempt = before.at("/attempts").get(i);
                String id = attempt.at("/id").asString();
                assertSame(id, attempt, oskar.get("/api/attempts/" + id).body());
            }
            List<String> cohorts = new ArrayList<>();
            for (JsonNode matrix : before.at("/matrices")) {
                String cohort = matrix.at("/cohort").asString();
                JsonNode now = oskar.get("/api/cohorts/" + cohort + "/matrix").body();
                for (int row = 0; row < matrix.at("/rows").size(); row++) {
                    assertSame(
                            cohort + ", row " + row,
                            matrix.at("/rows").get(row).at("/cells"),
                            now.at("/rows").path(row).at("/cells"));
                }
                assertThat(oskar.get("/api/floor/" + cohort).body().toString())
                        .as("what was replaced by a later exercise is in nobody's hand")
                        .doesNotContain("\"others\":[{");
                cohorts.add(cohort);
            }
            assertThat(cohorts).hasSizeGreaterThan(1);
        } finally {
            earlier.context().close();
        }
    }
}
