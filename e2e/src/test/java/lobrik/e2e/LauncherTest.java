package lobrik.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** The one command, and what it says when something is in the way. */
@ExtendWith(School.class)
class LauncherTest {

    private static void assertRefused(Launched.Said said, String... words) {
        assertThat(said.code()).as(said.text()).isNotZero();
        assertThat(said.text()).contains(words).doesNotContain("Exception");
        assertThat(said.text().strip().lines()).hasSize(1);
    }

    @Test
    void secondInstance_runsBesideTheFirst_emptyAndWithItsOwnAccount_andRefusesTheRecordOfANewerBuild(School.Room room)
            throws Exception {
        try (Launched second = Launched.startNew(Launched.newFolder(), "--empty")) {
            assertThat(second.get("/api/status")).isEqualTo(200);
            assertThat(room.lobrik().get("/api/status")).isEqualTo(200);
            Page page = room.screen(1280, 800, "film", new ArrayList<>());
            page.navigate(second.base());
            page.getByLabel("Name").fill("lead");
            page.getByLabel("Password").fill(second.password());
            page.keyboard().press("Enter");
            page.getByLabel("Name of the cohort").waitFor();
            for (String side : List.of("matrix", "plan", "files")) {
                page.navigate(second.base() + "/progress?side=" + side);
                assertThat(page.getByText("There is nobody here yet")).isVisible();
            }
            page.getByText("Start a cohort on the floor").click();
            page.getByLabel("Name of the cohort").fill("Autumn intake");
            page.getByLabel("Trainees, one name").fill("Ada Finch\nBo Rill");
            page.getByText("Start with 2 trainees").click();
            // Not the text field, which has the same words: the floor, when the cohort has been kept.
            assertThat(page.getByText("Start with 2 trainees")).isHidden();
            assertThat(page.getByText("Bo Rill")).isVisible();
            page.navigate(second.base() + "/progress?side=plan");
            assertThat(page.getByText("the order begins with it").first()).isVisible();
            page.navigate(second.base() + "/progress?side=matrix");
            assertThat(page.getByText("never measured").first()).isVisible();
            assertThat(page.getByRole(AriaRole.COMPLEMENTARY)).not().containsText("Ada Finch");
            assertThat(Launched.run(Map.of(), "status", "--data", second.data().toString())
                            .text())
                    .contains("running at " + second.base());
            recordOfANewerBuild(second);
            assertThat(second.terminate()).isZero();
            assertThat(Launched.run(Map.of(), "status", "--data", second.data().toString())
                            .code())
                    .isEqualTo(3);
            // In one sentence; and it is left as it is.
            Launched.Said said = Launched.run(
                    Map.of(), "start", "--data", second.data().toString(), "--port", String.valueOf(second.port()));
            assertThat(said.code()).isNotZero();
            assertThat(said.text())
                    .contains("was used by a newer Lobrik (its record is of form 9999", "nothing was changed")
                    .doesNotContain("Exception", "\tat ");
        }
    }

    private static void recordOfANewerBuild(Launched other) throws Exception {
        try (Connection connection = DriverManager.getConnection(
                        other.databaseUrl(), "lobrik_owner", other.setting("spring.flyway.password"));
                Statement statement = connection.createStatement()) {
            statement.execute(
                    "insert into flyway_schema_history select installed_rank + 1, '9999', 'of another time', type,"
                            + " 'V9999__of_another_time.sql', 1, installed_by, installed_on, 1, true from flyway_schema_history"
                            + " order by installed_rank desc limit 1");
        }
    }

    @Test
    void takenPort_isSaid() throws IOException {
        try (ServerSocket taken = new ServerSocket(0)) {
            assertRefused(
                    Launched.run(
                            Map.of("LOBRIK_PORT", String.valueOf(taken.getLocalPort())),
                            "start",
                            "--data",
                            Launched.newFolder().toString()),
                    "Port " + taken.getLocalPort() + " is taken",
                    "--port");
        }
    }

    @Test
    void dataFolderInUse_isSaid(School.Room room) throws IOException {
        assertRefused(
                Launched.run(
                        Map.of("LOBRIK_DATA", room.lobrik().data().toString()),
                        "start",
                        "--port",
                        String.valueOf(Launched.freePort())),
                "already running",
                "./lobrik stop");
    }

    @Test
    void brokenDataFolder_isSaid() throws IOException {
        String port = String.valueOf(Launched.freePort());
        Path file = Files.createTempFile("lobrik", "data");
        assertRefused(Launched.run(Map.of(), "start", "--port", port, "--data", file.toString()), "is not a folder");

        Path damaged = Launched.newFolder();
        Files.createDirectories(damaged.resolve("postgres"));
        assertRefused(
                Launched.run(Map.of(), "start", "--port", port, "--data", damaged.toString()),
                "damaged",
                "restore it from a backup");
    }

    @Test
    void missingJdk_andBadOptions_areSaid() throws IOException {
        assertRefused(
                Launched.run(Map.of("LOBRIK_JVM_DIR", "/nowhere", "JAVA_HOME", "", "LOBRIK_JAVA_HOME", ""), "start"),
                "needs a JDK 25");
        assertRefused(Launched.run(Map.of(), "start", "--port", "eighty"), "is not a port");
        assertRefused(Launched.run(Map.of(), "start", "--colour", "red"), "Unknown option");
        assertRefused(Launched.run(Map.of(), "dance"), "Unknown command");
        assertThat(Launched.run(Map.of(), "help").code()).isZero();
    }
}
