package lobrik.server.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import lobrik.server.RunningServer;
import lobrik.server.attempt.V18__BasisOfAttempts;
import lobrik.server.calc.Calculations;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** A newer build brings the record up to itself: after a backup, whole, or not at all. */
@ExtendWith(RunningServer.class)
class UpgradeTest {

    private static final String SCHEMA = "upgraded";

    private final List<String> kept = new ArrayList<>();

    private static Flyway build(RunningServer.Address server, String target, String... locations) {
        return Flyway.configure()
                .dataSource(server.databaseUrl(), "lobrik_owner", server.databasePassword())
                .javaMigrations(new V18__BasisOfAttempts(new Calculations()))
                .schemas(SCHEMA)
                .locations(locations)
                // As application.properties has it.
                .group(true)
                .target(target)
                .load();
    }

    private Path keeps(String form) {
        kept.add(form);
        return Path.of("/kept/form-" + form);
    }

    private static String form(RunningServer.Address server) throws SQLException {
        try (Connection database =
                        DriverManager.getConnection(server.databaseUrl(), "lobrik_owner", server.databasePassword());
                ResultSet found = database.createStatement()
                        .executeQuery("select max(cast(version as int)) || ' ' || (select count(*) from pg_tables where"
                                + " schemaname = '" + SCHEMA + "' and tablename = 'of_another_time') from " + SCHEMA
                                + ".flyway_schema_history")) {
            found.next();
            return found.getString(1);
        }
    }

    @AfterEach
    void discard(RunningServer.Address server) throws SQLException {
        try (Connection database =
                DriverManager.getConnection(server.databaseUrl(), "lobrik_owner", server.databasePassword())) {
            database.createStatement().execute("drop schema if exists " + SCHEMA + " cascade");
        }
    }

    @Test
    void firstStartAndEveryOneLater_keepNothing_andAnUpgradeDoesFirst(RunningServer.Address server)
            throws SQLException {
        RecordOfItsTime.bringUp(build(server, "34", "db/migration"), this::keeps);
        RecordOfItsTime.bringUp(build(server, "34", "db/migration"), this::keeps);
        assertThat(kept).isEmpty();
        RecordOfItsTime.bringUp(build(server, "35", "db/migration"), this::keeps);
        assertThat(kept).containsExactly("34");
        assertThat(form(server)).isEqualTo("35 0");
    }

    @Test
    void migrationThatFails_leavesTheRecordAsItWas_andSaysWhereItsBackupIs(RunningServer.Address server)
            throws SQLException {
        RecordOfItsTime.bringUp(build(server, "35", "db/migration"), this::keeps);
        assertThatThrownBy(
                        () -> RecordOfItsTime.bringUp(build(server, "latest", "db/migration", "db/unfit"), this::keeps))
                .isInstanceOf(RecordOfItsTime.LeftAsItWas.class)
                .hasMessageContainingAll(
                        "could not be brought up from form 35 to 9001",
                        "nobody_has_this",
                        "It was left as it was, and the Lobrik of before goes on with it",
                        "/kept/form-35")
                .hasMessageNotContaining("\n");
        // Neither the migration before it, which was good.
        assertThat(form(server)).isEqualTo("35 0");
        RecordOfItsTime.bringUp(build(server, "35", "db/migration"), this::keeps);
        assertThat(kept).containsExactly("35");
    }

    @Test
    void withoutABackupOfBefore_nothingIsTouched(RunningServer.Address server) throws SQLException {
        RecordOfItsTime.bringUp(build(server, "34", "db/migration"), this::keeps);
        assertThatThrownBy(() -> RecordOfItsTime.bringUp(build(server, "35", "db/migration"), form -> {
                    throw new IOException("No space left on device");
                }))
                .hasMessageContainingAll("from form 34 to 35", "No space left on device", "Nothing was changed");
        assertThat(form(server)).isEqualTo("34 0");
    }
}
