package lobrik.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
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
