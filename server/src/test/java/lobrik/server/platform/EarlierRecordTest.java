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
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * The records of earlier builds open under this one and say the same: {@code records/demo-school-vN.sql.gz} is a dump of the demo
 * school as the build with migration N made it, and the file beside it is what that build said of it. Migration 5 is of 28
 * November 2026, migration 16 of the day after: with it came what was concluded of the pieces, too; migration 29, of 1 December,
 * has runs, machines and heat, and of some trainees what is signed.
 */
@ExtendWith(RunningServer.class)
class EarlierRecordTest {

    /** Every build looks at one attempt of this many, a full run at all. */
    private static final int EACH = Boolean.getBoolean("lobrik.full") ? 1 : 64;

    private static final Path RECORDS = Path.of("src", "test", "resources", "records");

    private static JsonNode said(String build) throws IOException {
        try (InputStream file =
                EarlierRecordTest.class.getResourceAsStream("/records/demo-school-" + build + ".json.gz")) {
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
        } else if (before.isNumber() && now.isNumber()) {
            // 100 and 100.0 are the same.
            assertThat(now.asDouble()).as(what).isEqualTo(before.asDouble());
        } else {
            assertThat(now).as(what).isEqualTo(before);
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"v5", "v16", "v29"})
    void everyAttemptAndEveryCohort_sayWhatTheySaidBefore(String build, RunningServer.Address server)
            throws IOException {
        JsonNode before = said(build);
        RunningServer.Address earlier = server.restored(
                "earlier_" + build,
                RECORDS.resolve("demo-school-" + build + ".sql.gz").toAbsolutePath());
        try {
            Client oskar = Client.signedIn(earlier, "oskar");
            for (int i = 0; i < before.at("/attempts").size(); i += EACH) {
                ObjectNode attempt = (ObjectNode) before.at("/attempts").get(i);
                JsonNode judgement = attempt.remove("judgement");
                String id = attempt.at("/id").asString();
                assertSame(id, attempt, oskar.get("/api/attempts/" + id).body());
                if (judgement != null) {
                    assertSame(
                            id,
                            judgement,
                            oskar.get("/api/attempts/" + id + "/judgement").body());
                }
            }
            List<String> cohorts = new ArrayList<>();
            for (JsonNode matrix : before.at("/matrices")) {
                String cohort = matrix.at("/cohort").asString();
                JsonNode now = oskar.get("/api/cohorts/" + cohort + "/matrix").body();
                for (int row = 0; row < matrix.at("/rows").size(); row++) {
                    JsonNode cells = matrix.at("/rows").get(row).at("/cells");
                    // Kinds of bends that came later stand behind those there were.
                    for (int cell = 0; cell < cells.size(); cell++) {
                        // What was a kind of bend then is that bend by hand, now that there are other tools.
                        ObjectNode called = (ObjectNode) cells.get(cell);
                        if (called.has("kind")) {
                            called.set("family", called.remove("kind"));
                        }
                        assertSame(
                                cohort + ", row " + row + ", cell " + cell,
                                cells.get(cell),
                                now.at("/rows").path(row).at("/cells").path(cell));
                    }
                }
                assertThat(oskar.get("/api/floor/" + cohort).body().toString())
                        .as("what was replaced by a later exercise is in nobody's hand")
                        .doesNotContain("\"others\":[{");
                cohorts.add(cohort);
            }
            assertThat(cohorts).hasSizeGreaterThan(1);
            for (JsonNode trainee : before.path("trainees")) {
                String id = trainee.at("/traineeId").asString();
                assertSame(
                        id,
                        trainee,
                        oskar.get("/api/trainees/" + id + "/progress").body());
            }
        } finally {
            earlier.context().close();
        }
    }
}
