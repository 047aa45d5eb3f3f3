package lobrik.e2e;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Lobrik as a service: what is installed, what systemd thinks of it, and that it runs as an ordinary user from there. */
class ServiceTest {

    /** Of systemd's 0 (locked up) to 10 (may do anything), in tenths. */
    private static final String MOST_EXPOSED = "30";

    private static String output(String... command) throws IOException {
        Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
        String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(process.onExit().join().exitValue()).as(said).isZero();
        return said;
    }

    @Test
    void service_hasLeastRights_runsAsAnOrdinaryUser_andLeavesTheDataWhenItGoes() throws Exception {
        assumeTrue(TwoHosts.canBeMade(), "users are changed by root only");
        Path root = Files.createTempDirectory("lobrik-service-");
        Files.setPosixFilePermissions(root, PosixFilePermissions.fromString("rwxr-xr-x"));
        // A folder that root has run before.
        Path data = PreparedSchool.copy();
        Map<String, String> there = Map.of("LOBRIK_INSTALL_ROOT", root.toString());
        Path archive = Files.createDirectories(Launched.newFolder());
        Path second = Files.createDirectories(Launched.newFolder());
        int port = Launched.freePort();
        String[] options = {
            "--data",
            data.toString(),
            "--port",
            String.valueOf(port),
            "--public-address",
            "http://a.test",
            "--archive",
            archive.toString(),
            "--second-place",
            second.toString()
        };
        Launched.Said said = Launched.run(there, concat("install", options));
        assertThat(said.code()).as(said.text()).isZero();
        Path program = root.resolve("opt/lobrik");
        Path unit = root.resolve("etc/systemd/system/lobrik.service");
        isWellMade(root, unit);
        assertThat(Files.readString(unit))
                .contains("ReadWritePaths=\"" + archive + "\"", "ReadWritePaths=\"" + second + "\"")
                .doesNotContain("--second-place");

        output("chown", "-RP", "lobrik:lobrik", data.toString(), archive.toString());
        Files.createFile(program.resolve("application/no-aot"));
        List<String> start = new ArrayList<>(List.of(
                "setpriv",
                "--reuid",
                "lobrik",
                "--regid",
                "lobrik",
                "--clear-groups",
                "--no-new-privs",
                "--bounding-set=-all",
                "--inh-caps=-all",
                "env",
                "-i",
                "PATH=/usr/local/bin:/usr/bin:/bin",
                "LOBRIK_JAVA_HOME=" + System.getProperty("java.home"),
                "JAVA_TOOL_OPTIONS=-XX:TieredStopAtLevel=1"));
        start.addAll(commandOf(unit, root));
        Process launcher = new ProcessBuilder(start)
                .redirectErrorStream(true)
                .redirectOutput(root.resolve("said").toFile())
                .start();
        try {
            awaitAnswer(launcher, data, root.resolve("said"));
            assertThat(archive.resolve("wal")).isDirectory();
            for (String file : new String[] {"launcher.pid", "server.pid", "gauges.pid", "postgres/postmaster.pid"}) {
                long pid = Long.parseLong(
                        Files.readAllLines(data.resolve(file)).getFirst().strip());
                assertThat(ProcessHandle.of(pid).orElseThrow().info().user())
                        .as(file)
                        .hasValue("lobrik");
            }
        } finally {
            // As systemd ends it.
            launcher.destroy();
            launcher.onExit().join();
        }
        assertThat(launcher.exitValue()).isZero();
        said = Launched.run(there, "uninstall");
        assertThat(said.text()).contains("The data stays in " + data);
        assertThat(program).doesNotExist();
        assertThat(unit).doesNotExist();
        assertThat(data.resolve("postgres/PG_VERSION")).exists();
        assertThat(Launched.run(there, "uninstall").text()).contains("not installed");
    }

    @Test
    void serverThatJoinsOthers_reachesTheirDatabase_andNobodyElseWhereThatIsHere() throws Exception {
        assumeTrue(TwoHosts.canBeMade(), "users are changed by root only");
        Path backups = Files.createDirectories(Launched.newFolder());
        Path settings =
                Files.writeString(Files.createTempFile("lobrik", ".properties"), "spring.datasource.password=x");
        String elsewhere = unitOf(
                "--database", "db.example:5432", "--settings", settings.toString(), "--backups", backups.toString());
        assertThat(elsewhere)
                .contains("\"--database\" \"db.example:5432\"", "ReadWritePaths=\"" + backups + "\"")
                .doesNotContain("IPAddressDeny", "--settings");
        assertThat(unitOf("--database", "127.0.0.1:25432", "--settings", settings.toString()))
                .contains("IPAddressDeny=any", "IPAddressAllow=localhost");
    }

    private static String unitOf(String... options) throws IOException {
        Path root = Files.createTempDirectory("lobrik-service-");
        Launched.Said said = Launched.run(Map.of("LOBRIK_INSTALL_ROOT", root.toString()), concat("install", options));
        assertThat(said.code()).as(said.text()).isZero();
        return Files.readString(root.resolve("etc/systemd/system/lobrik.service"));
    }

    private static void isWellMade(Path root, Path unit) throws IOException {
        // Where the program is for now: systemd looks whether it is there.
        Path here = root.resolve("lobrik.service");
        Files.writeString(here, Files.readString(unit).replace("ExecStart=/opt", "ExecStart=" + root + "/opt"));
        assertThat(output("systemd-analyze", "verify", "--man=no", here.toString()))
                .isEmpty();
        output("systemd-analyze", "security", "--offline=true", "--threshold=" + MOST_EXPOSED, here.toString());
    }

    /** What the service starts, as it stands in the unit. */
    private static List<String> commandOf(Path unit, Path root) throws IOException {
        String line = Files.readAllLines(unit).stream()
                .filter(each -> each.startsWith("ExecStart="))
                .findFirst()
                .orElseThrow();
        return Arrays.stream(line.replace("ExecStart=", root.toString()).split(" "))
                .map(word -> word.replace("\"", ""))
                .toList();
    }

    private static void awaitAnswer(Process launcher, Path data, Path said) throws Exception {
        while (!Files.exists(data.resolve("address"))) {
            assertThat(launcher.isAlive()).as(Files.readString(said)).isTrue();
            Thread.sleep(100);
        }
    }

    private static String[] concat(String first, String... more) {
        List<String> all = new ArrayList<>(List.of(first));
        all.addAll(List.of(more));
        return all.toArray(String[]::new);
    }
}
