package lobrik.server.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import lobrik.server.RunningServer;
import lobrik.server.attempt.V18__BasisOfAttempts;
import lobrik.server.calc.Calculations;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.configuration.FluentConfiguration;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** A school's data lives through new versions of the database. */
@ExtendWith(RunningServer.class)
class MigrationTest {

    private static final String SCHEMA = "carried_over";

    /** What a school had that ran the first version: one exercise, given to two. */
    private static final String FIRST_VERSION = """
            insert into centre values ('00000000-0000-0000-0000-000000000001', 'Old school', now());
            insert into account values ('00000000-0000-0000-0000-000000000002', '00000000-0000-0000-0000-000000000001',
              'one', 'One', 'LEAD', 'x', 'INCH', now());
            insert into cohort values ('00000000-0000-0000-0000-000000000003', '00000000-0000-0000-0000-000000000001', 'C', now());
            insert into trainee values
              ('00000000-0000-0000-0000-000000000004', '00000000-0000-0000-0000-000000000003', 'Ada', 1),
              ('00000000-0000-0000-0000-000000000005', '00000000-0000-0000-0000-000000000003', 'Bo', 2);
            insert into exercise values ('00000000-0000-0000-0000-000000000006', '00000000-0000-0000-0000-000000000001',
              'Up', '3/4', 'B', '{"bend":{"kind":"stub90","legIn":18}}', '{}', '00000000-0000-0000-0000-000000000002', now());
            insert into assignment
              select gen_random_uuid(), '00000000-0000-0000-0000-000000000006', id, '00000000-0000-0000-0000-000000000002', now()
              from trainee;
            """;

    private static FluentConfiguration flyway(RunningServer.Address server) {
        return Flyway.configure()
                .dataSource(server.databaseUrl(), "lobrik_owner", server.databasePassword())
                .javaMigrations(new V18__BasisOfAttempts(new Calculations()))
                .schemas(SCHEMA);
    }

    private static List<String> rows(Statement statement, String query) throws SQLException {
        List<String> rows = new ArrayList<>();
        try (ResultSet result = statement.executeQuery(query)) {
            while (result.next()) {
                rows.add(result.getString(1));
            }
        }
        return rows;
    }

    @Test
    void exercisesOfTheFirstVersion_becomeEntriesOfTheLibrary_andWhatWasGivenStaysGiven(RunningServer.Address server)
            throws SQLException {
        flyway(server).target("1").load().migrate();
        try (Connection connection =
                        DriverManager.getConnection(server.databaseUrl(), "lobrik_owner", server.databasePassword());
                Statement statement = connection.createStatement()) {
            statement.execute("set search_path to " + SCHEMA);
            statement.execute(FIRST_VERSION);
            flyway(server).load().migrate();
            assertThat(rows(statement, "select kind || ' ' || version || ' ' || level from exercise"))
                    .containsExactly("stub90 1 first");
            assertThat(rows(statement, "select l.id from library_entry l join exercise e on e.entry_id = l.id"))
                    .hasSize(1);
            assertThat(rows(statement, "select a.id from assignment a join giving g on g.id = a.giving_id"))
                    .hasSize(2);
            assertThat(rows(statement, "select code from assignment"))
                    .doesNotHaveDuplicates()
                    .allMatch(code -> code.matches("[0-9A-F]{12}"));
            statement.execute("drop schema " + SCHEMA + " cascade");
        }
    }

    /** Its readings were held to something, which stays, though nobody can lay its exercise out. */
    @Test
    void attemptWhoseExerciseLaysOutNoMore_isStillJudgedByWhatItWasHeldTo(RunningServer.Address server)
            throws SQLException {
        flyway(server).target("1").load().migrate();
        try (Connection connection =
                        DriverManager.getConnection(server.databaseUrl(), "lobrik_owner", server.databasePassword());
                Statement statement = connection.createStatement()) {
            statement.execute("set search_path to " + SCHEMA);
            statement.execute(FIRST_VERSION);
            statement.execute("insert into attempt select gen_random_uuid(), id, exercise_id, trainee_id,"
                    + " '{\"preset\":\"site\",\"lengthIn\":0.125,\"angleDeg\":2,\"dogLegDeg\":2,\"passMark\":70}',"
                    + " given_by, now() from assignment");
            flyway(server).target("16").load().migrate();
            statement.execute("update attempt set targets = '{\"leg\": 457200000000, \"angle1\": 90000000000}'");
            flyway(server).load().migrate();
            assertThat(rows(statement, """
                    select (f ->> 'id') || ' ' || (f ->> 'target') || ' ' || (f ->> 'over') || ' ' || (f ->> 'critical')
                    from (select distinct basis_id from attempt) a join basis b on b.id = a.basis_id,
                      jsonb_array_elements(b.said -> 'features') f"""))
                    .containsExactlyInAnyOrder(
                            "leg 457200000000 3175000000 true", "angle1 90000000000 2000000000 true");
            statement.execute("drop schema " + SCHEMA + " cascade");
        }
    }

    /** What was bent and signed at the machine was never one for bending by hand. */
    @Test
    void piecesAndSignaturesOfOtherTools_becomeFamiliesOfTheirOwn(RunningServer.Address server) throws SQLException {
        flyway(server).target("1").load().migrate();
        try (Connection connection =
                        DriverManager.getConnection(server.databaseUrl(), "lobrik_owner", server.databasePassword());
                Statement statement = connection.createStatement()) {
            statement.execute("set search_path to " + SCHEMA);
            statement.execute(FIRST_VERSION.replace("{\"bend\":", "{\"bender\":{\"kind\":\"machine\"},\"bend\":"));
            statement.execute("insert into attempt select gen_random_uuid(), id, exercise_id, trainee_id,"
                    + " '{\"preset\":\"site\",\"lengthIn\":0.125,\"angleDeg\":2,\"dogLegDeg\":2,\"passMark\":70}',"
                    + " given_by, now() from assignment");
            flyway(server).target("23").load().migrate();
            statement.execute("""
                    insert into outcome (attempt_id, centre_id, cohort_id, trainee_id, kind, measured_at, title, bender_label,
                      conduit_label, preset, length_tolerance_pm, angle_tolerance_ndeg, twist_tolerance_ndeg, pass_mark, points,
                      passed, rebent, conduit_pm, wasted_pm, features, targets, deviations, planned, tolerances)
                    select a.id, c.centre_id, c.id, t.id, 'stub90', now(), 'Up', 'M', '3', 'site', 1, 1, 1, 70, 90,
                      true, 0, 1, 0, '{}', '{}', '{}', '{}', '{}'
                    from attempt a join trainee t on t.id = a.trainee_id join cohort c on c.id = t.cohort_id""");
            statement.execute("""
                    insert into sign_off (id, trainee_id, kind, signed_by, signed_name, signed_at, rule, evidence, met, remark)
                    select gen_random_uuid(), trainee_id, 'stub90', cast('00000000-0000-0000-0000-000000000002' as uuid), 'One', now(), cast('{}' as jsonb),
                      jsonb_build_array(jsonb_build_object('attemptId', attempt_id)), true, 'shown' from outcome
                    union all
                    select gen_random_uuid(), trainee_id, 'stub90', cast('00000000-0000-0000-0000-000000000002' as uuid), 'One', now(), cast('{}' as jsonb),
                      cast('[]' as jsonb), false, 'by hand, elsewhere' from outcome limit 3""");
            flyway(server).load().migrate();
            assertThat(rows(statement, "select family from outcome")).containsOnly("stub90.machine");
            assertThat(rows(statement, "select distinct remark || ' ' || family from sign_off"))
                    .containsExactlyInAnyOrder("shown stub90.machine", "by hand, elsewhere stub90");
            statement.execute("drop schema " + SCHEMA + " cascade");
        }
    }
}
