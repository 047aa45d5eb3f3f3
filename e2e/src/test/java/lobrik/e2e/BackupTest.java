package lobrik.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** A whole data folder in a file, while it runs, and back into a folder of another place. */
@ExtendWith(School.class)
class BackupTest {

    /** Of each table, what all its rows say, whatever their order. */
    private static Map<String, String> everyRow(Launched school) throws IOException, SQLException {
        try (Connection database = DriverManager.getConnection(
                        school.databaseUrl(), "lobrik_owner", school.setting("spring.flyway.password"));
                Statement statement = database.createStatement()) {
            List<String> tables = new ArrayList<>();
            try (ResultSet found = statement.executeQuery(
                    "select quote_ident(tablename) from pg_tables where schemaname = 'public'")) {
                while (found.next()) {
                    tables.add(found.getString(1));
                }
            }
            Map<String, String> rows = new TreeMap<>();
            for (String table : tables) {
                try (ResultSet found = statement.executeQuery("select count(*) || ' ' || coalesce(md5(string_agg("
                        + "md5(each::text), '' order by md5(each::text))), '') from " + table + " each")) {
                    found.next();
                    rows.put(table, found.getString(1));
                }
            }
            return rows;
        }
    }

    @Test
    void backupOfARunningSchool_isRestoredRowByRow_andADamagedOneLeavesNothing(School.Room room) throws Exception {
        Launched school = room.lobrik();
        Path folder = Files.createTempDirectory("lobrik-backup-");
        Path passphrase = Files.writeString(folder.resolve("passphrase"), "weir lantern kelp\n");
        Path file = folder.resolve("school.backup");
        String[] sealed = {"--passphrase-file", passphrase.toString()};
        Map<String, String> before = everyRow(school);
        Launched.Said said = command("backup", file, school.data(), sealed);
        assertThat(said.code()).as(said.text()).isZero();
        assertThat(said.text()).doesNotContain("INFO", "SLF4J");
        assertThat(said.text()).contains("Tern Quay Apprentice School: 37 trainees");
        assertThat(everyRow(school)).isEqualTo(before);

        Path data = Launched.newFolder();
        assertThat(command("restore", file, data, "--dry-run").text()).contains("it is sealed");
        assertThat(command("restore", file, data, "--dry-run", sealed[0], sealed[1])
                        .text())
                .contains("is whole", "Tern Quay Apprentice School: 37 trainees");
        assertThat(data).doesNotExist();
        said = command("restore", file, school.data(), sealed);
        assertThat(said.code()).isNotZero();
        assertThat(said.text()).contains("There is a school in " + school.data());
        said = command("restore", file, data, sealed);
        assertThat(said.code()).as(said.text()).isZero();
        try (Launched restored = Launched.in(data)) {
            assertThat(everyRow(restored)).isEqualTo(before);
            assertThat(restored.password()).isEqualTo(school.password());
            assertThat(restored.setting("spring.datasource.password"))
                    .isNotEqualTo(school.setting("spring.datasource.password"));
        }

        byte[] bytes = Files.readAllBytes(file);
        bytes[bytes.length / 2] ^= 4;
        Files.write(file, bytes);
        Path damaged = Launched.newFolder();
        said = command("restore", file, damaged, sealed);
        assertThat(said.code()).isNotZero();
        assertThat(said.text()).contains("It could not be restored", "Nothing was left");
        assertThat(damaged.resolve("postgres")).doesNotExist();
        assertThat(damaged.resolve("settings.properties")).doesNotExist();
    }

    /** By the screen: chosen, made, and restored on a database that is thrown away; what is made is a backup like any other. */
    @Test
    void lead_hasOneMadeAndTried_andChoosesDaysAndASecondPlace(School.Room room) throws Exception {
        Path second = Files.createTempDirectory("lobrik-second-");
        Files.setPosixFilePermissions(second, PosixFilePermissions.fromString("rwxrwxrwx"));
        Page page = room.signedIn("oskar", room.screen(1280, 800, "film", new ArrayList<>()));
        School.go(page, "/shed?side=backups");
        page.getByLabel("Sunday").uncheck(new Locator.UncheckOptions().setForce(true));
        page.getByLabel("A second place: a folder on another disk").fill("/nowhere/at/all");
        page.getByText("Do it so").click();
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("There is no folder /nowhere/at/all");
        page.getByLabel("A second place: a folder on another disk").fill(second.toString());
        page.getByText("Do it so").click();
        assertThat(page.getByText("● Kept.")).isVisible();
        assertThat(page.getByText("It is on the same disk as the data")).isVisible();
        page.getByText("Make one now").click();
        assertThat(page.getByText("at the second place, too").first()).isVisible();
        page.getByText("Try the last one").click();
        assertThat(page.getByLabel("Tried"))
                .containsText(
                        "counted and compared, the audit checked. Tern Quay Apprentice School: 37 trainees",
                        new LocatorAssertions.ContainsTextOptions().setTimeout(120_000));
        assertThat(room.lobrik().data().resolve("server/rehearsal")).doesNotExist();
        School.go(page, "/shed?side=server");
        assertThat(page.getByLabel("How it is")).containsText("Here in the last five minutes: ");
        try (Stream<Path> files = Files.list(second)) {
            Path file = files.findFirst().orElseThrow();
            Launched.Said said = Launched.run(Map.of(), "restore", file.toString(), "--dry-run");
            assertThat(said.text()).contains("is whole", "Tern Quay Apprentice School: 37 trainees");
        }
    }

    /** Someone erased what they should not have; and the school goes back to the moment before. */
    @Test
    void everyChange_isInTheArchive_andTheSchoolGoesBackToAMoment() throws Exception {
        Path archive = Launched.newFolder().resolveSibling("archive of the school " + UUID.randomUUID());
        String before;
        try (Launched school = Launched.school("--archive", archive.toString())) {
            until(() -> Launched.run(Map.of(), "restore", "--archive", archive.toString(), "--dry-run")
                            .code()
                    == 0);
            execute(school, "create table remark as select 1 as line");
            Thread.sleep(1100);
            before = LocalDateTime.now()
                    .truncatedTo(ChronoUnit.SECONDS)
                    .toString()
                    .replace('T', ' ');
            Thread.sleep(1100);
            execute(school, "drop table remark");
            execute(school, "create table later as select 1 as line");
        }
        Path data = Launched.newFolder();
        String[] into = {"--data", data.toString()};
        Launched.Said said = restored(archive, into, "--until", "2020-02-02 02:02");
        assertThat(said.code()).isNotZero();
        assertThat(said.text()).contains("It does not go back to");
        said = restored(archive, into, "--until", before);
        assertThat(said.code()).as(said.text()).isZero();
        try (Launched back = Launched.in(data)) {
            assertThat(everyRow(back)).containsKey("remark").doesNotContainKey("later");
            assertThat(back.get("/api/status")).isEqualTo(200);
        }
        Path all = Launched.newFolder();
        said = restored(archive, new String[] {"--data", all.toString()});
        assertThat(said.code()).as(said.text()).isZero();
        assertThat(all.resolve("postgres/recovery.signal")).doesNotExist();
    }

    private static Launched.Said restored(Path archive, String[] into, String... options) throws IOException {
        List<String> all = new ArrayList<>(List.of("restore", "--archive", archive.toString()));
        all.addAll(List.of(into));
        all.addAll(List.of(options));
        return Launched.run(Map.of(), all.toArray(String[]::new));
    }

    private static void execute(Launched school, String statement) throws IOException, SQLException {
        try (Connection database = DriverManager.getConnection(
                        school.databaseUrl(), "lobrik_owner", school.setting("spring.flyway.password"));
                Statement one = database.createStatement()) {
            one.execute(statement);
        }
    }

    private static void until(Callable<Boolean> done) throws Exception {
        Instant patience = Instant.now().plus(Duration.ofMinutes(2));
        while (!done.call()) {
            assertThat(Instant.now()).isBefore(patience);
            Thread.sleep(500);
        }
    }

    private static Launched.Said command(String command, Path file, Path data, String... options) throws IOException {
        List<String> all = new ArrayList<>(List.of(command, file.toString(), "--data", data.toString()));
        all.addAll(List.of(options));
        return Launched.run(Map.of(), all.toArray(String[]::new));
    }
}
