package lobrik.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Assumptions;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/**
 * What ends by itself is started again, and from every half-dead state one command leads back. People measure all the while, and
 * in the end nothing that they were told has arrived is lost, doubled or altered.
 */
class CrashTest {

    /** Kills in company, of which each build has those that are worst, and a plain restart beside the one after a kill. */
    private static final boolean FULL = Boolean.getBoolean("lobrik.full");

    private static final int PEOPLE = 2;
    private static final int PAUSE_MS = 400;

    private static SmallDisk disk;
    private static Launched school;
    private static Proving people;

    @BeforeAll
    static void open() throws IOException {
        disk = SmallDisk.make();
        Path data = disk.school();
        // A first start was killed between the two moves that put its database in place.
        Files.move(data.resolve("settings.properties"), data.resolve("settings.properties.new"));
        school = Launched.withEnvironment(data, Map.of("LOBRIK_MOST_ENDS", "1000"));
        people = Proving.in(school, disk, PEOPLE, PAUSE_MS);
    }

    @AfterAll
    static void nothingIsLost() throws Exception {
        try {
            Proving.Found found = people.finish();
            System.out.println(found);
            found.assertWhole();
        } finally {
            people.close();
            school.close();
            disk.close();
        }
    }

    /** Whatever a test did, the next finds everything as it should be, and people measure on. */
    @AfterEach
    void worksAgain() throws Exception {
        school.awaitReady();
        assertThat(school.launcher().isAlive()).isTrue();
        people.awaitMore(1);
    }

    private static Launched.Said status() throws IOException {
        return Launched.run(Map.of(), "status", "--data", school.data().toString());
    }

    private static Launched.Said command(String command, Launched of) throws IOException {
        return Launched.run(Map.of(), command, "--data", of.data().toString());
    }

    private static List<String> ends() throws IOException {
        Path log = school.data().resolve("ends.log");
        return Files.exists(log) ? Files.readAllLines(log) : List.of();
    }

    @Test
    void killedServer_isStartedAgain_andStatusTellsWhy() throws Exception {
        ProcessHandle before = school.server();
        school.killServer();
        school.awaitReady();
        assertThat(school.server()).isNotEqualTo(before);
        // Why, only its own launcher knows; another test may have had it taken over.
        assertThat(ends().getLast()).contains("server: ");
        Launched.Said said = status();
        assertThat(said.code()).isZero();
        assertThat(said.text()).contains("running at " + school.base(), "Last end: ", "server: ");
    }

    @Test
    void killedDatabase_isStartedAgain_underTheSameServer() throws Exception {
        ProcessHandle server = school.server();
        ProcessHandle before = school.database();
        int ends = ends().size();
        Launched.kill(before);
        while (ends().size() == ends || Files.notExists(school.data().resolve("address"))) {
            Thread.sleep(20);
        }
        school.awaitReady();
        assertThat(school.database()).isNotEqualTo(before);
        assertThat(school.server()).isEqualTo(server);
        assertThat(ends().getLast()).contains("database: ");
    }

    @Test
    void databaseThatHangs_isToldByTheHealth_untilItGoesOn() throws Exception {
        signalDatabase("STOP");
        try {
            while (school.isReady()) {
                Thread.sleep(20);
            }
            assertThat(school.get("/api/health")).isEqualTo(503);
            assertThat(school.get("/api/status")).isEqualTo(200);
            Launched.Said said = status();
            assertThat(said.code()).isEqualTo(4);
            assertThat(said.text()).contains("does not answer");
        } finally {
            signalDatabase("CONT");
        }
    }

    private static void signalDatabase(String signal) throws IOException {
        Commands.run("pkill", "-" + signal, "-f", school.data() + "/postgres");
        Commands.run(
                "pkill", "-" + signal, "-P", String.valueOf(school.database().pid()));
    }

    @Test
    void killedBackend_bringsNothingDown() throws Exception {
        ProcessHandle server = school.server();
        ProcessHandle database = school.database();
        long backend = backend();
        Launched.kill(ProcessHandle.of(backend).orElseThrow());
        // All other backends are ended by the database itself, which then works through its log.
        while (backend() == backend) {
            Thread.sleep(20);
        }
        school.awaitReady();
        assertThat(school.database()).isEqualTo(database);
        assertThat(school.server()).isEqualTo(server);
    }

    /** The process of some connection of the server's; 0 while there is none. */
    private static long backend() throws IOException, InterruptedException {
        try (Connection connection = DriverManager.getConnection(
                        school.databaseUrl(), "lobrik_owner", school.setting("spring.flyway.password"));
                Statement statement = connection.createStatement();
                ResultSet backends = statement.executeQuery(
                        "select pid from pg_stat_activity where usename = 'lobrik_app' order by backend_start limit 1")) {
            return backends.next() ? backends.getLong(1) : 0;
        } catch (SQLException starting) {
            Thread.sleep(50);
            return 0;
        }
    }

    @Test
    void bothKilledAtOnce_areStartedInOrder() throws Exception {
        Assumptions.assumeTrue(FULL, "each build kills all three at once");
        ProcessHandle server = school.server();
        school.database().destroyForcibly();
        Launched.kill(server);
        school.awaitReady();
        assertThat(school.server()).isNotEqualTo(server);
    }

    @Test
    void killedLauncher_isTakenOverByTheNextStart_withoutAPause() throws Exception {
        ProcessHandle server = school.server();
        ProcessHandle database = school.database();
        school.killLauncher();
        assertThat(school.get("/api/health")).isEqualTo(200);
        Launched.Said said = status();
        assertThat(said.code()).isEqualTo(3);
        assertThat(said.text()).contains("launcher", "was killed", "start takes it over");
        school.again();
        assertThat(school.server()).isEqualTo(server);
        assertThat(school.database()).isEqualTo(database);
    }

    @Test
    void launcherAndDatabaseKilled_theNextStartPutsItRight() throws Exception {
        Assumptions.assumeTrue(FULL, "each build kills all three at once");
        school.killLauncher();
        Launched.kill(school.database());
        school.again();
        assertThat(school.get("/api/health")).isEqualTo(200);
    }

    @Test
    void allThreeKilled_theNextRestartPutsItRight() throws Exception {
        school.killLauncher();
        school.database().destroyForcibly();
        school.killServer();
        school.again("restart");
        assertThat(school.get("/api/health")).isEqualTo(200);
    }

    @Test
    void restart_startsBothAgain_inOrder() throws Exception {
        Assumptions.assumeTrue(FULL, "each build restarts after a kill");
        ProcessHandle server = school.server();
        ProcessHandle database = school.database();
        assertThat(command("restart", school).text()).contains("Started again at " + school.base());
        assertThat(school.get("/api/health")).isEqualTo(200);
        assertThat(school.server()).isNotEqualTo(server);
        assertThat(school.database()).isNotEqualTo(database);
    }

    @Test
    void launcherThatHangs_isStoppedAllTheSame_andForeignNumbersInItsMarksStopNoStart() throws Exception {
        Assumptions.assumeTrue(FULL, "each build stops what works, and kills what hangs");
        // Held, as by a debugger: it hears nothing.
        new ProcessBuilder("kill", "-STOP", String.valueOf(school.launcher().pid()))
                .start()
                .onExit()
                .join();
        Launched.Said said = Launched.run(
                Map.of("LOBRIK_STOP_PATIENCE_S", "1"),
                "stop",
                "--data",
                school.data().toString());
        assertThat(said.code()).as(said.text()).isZero();
        assertThat(school.isReady()).isFalse();
        // After a restart of the machine the numbers that were left may belong to anybody.
        String ourselves = String.valueOf(ProcessHandle.current().pid());
        for (String mark : List.of("launcher.pid", "server.pid", "gauges.pid")) {
            Files.writeString(school.data().resolve(mark), ourselves + "\n");
        }
        Files.writeString(
                school.data().resolve("postgres/postmaster.pid"),
                String.join("\n", ourselves, school.data() + "/postgres", "1", "1", "", "127.0.0.1", "", "ready")
                        + "\n");
        school.again();
    }

    @Test
    void startThatWasKilledWhileItPutItsDatabaseInPlace_wasFinishedByTheNext() {
        assertThat(school.data().resolve("settings.properties")).exists();
        assertThat(school.data().resolve("settings.properties.new")).doesNotExist();
    }

    @Test
    void serverThatCannotStartAnyMore_isGivenUpWithItsReason_andNoLogIsLost() throws Exception {
        Assumptions.assumeTrue(FULL, "each build sees one that may not start at all, in LauncherTest");
        try (Launched other = Launched.withEnvironment(PreparedSchool.copy(), Map.of("LOBRIK_MOST_ENDS", "2"))) {
            long logged = Files.size(other.data().resolve("console.log"));
            // It may not sign in to its database any more.
            Path settings = other.data().resolve("settings.properties");
            String good = Files.readString(settings);
            Files.writeString(
                    settings, good.replaceAll("(?m)^spring.datasource.password=.*", "spring.datasource.password=x"));
            other.killServer();
            assertThat(other.launcher().waitFor()).isNotZero();
            assertThat(Files.readString(other.data().resolve("ends.log")))
                    .contains("server: it was killed (signal 9)", "it ended with code 1");
            assertThat(command("status", other).text()).contains("not running", "Last end: ", "it ended with code 1");
            Files.writeString(settings, good);
            other.again();
            assertThat(other.get("/api/health")).isEqualTo(200);
            assertThat(Files.size(other.data().resolve("console.log"))).isGreaterThanOrEqualTo(logged);
            assertThat(Files.readString(other.data().resolve("server/server.log")))
                    .contains("password authentication failed");
        }
    }

    @Test
    void fullDisk_isWaitedOut() throws Exception {
        Assumptions.assumeTrue(disk.mounted(), "a small disk can only be made where disks may be mounted");
        disk.fill();
        Launched.kill(school.database());
        while (!status().text().contains("disk of " + school.data() + " is full")) {
            Thread.sleep(200);
        }
        assertThat(status().code()).isEqualTo(4);
        disk.clear();
    }
}
