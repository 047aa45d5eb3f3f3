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
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
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

    private static Launched.Said command(String command, Path file, Path data, String... options) throws IOException {
        List<String> all = new ArrayList<>(List.of(command, file.toString(), "--data", data.toString()));
        all.addAll(List.of(options));
        return Launched.run(Map.of(), all.toArray(String[]::new));
    }
}
