package lobrik.server.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Properties;
import java.util.Set;
import java.util.UUID;
import lobrik.server.RunningServer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** The database itself shows a school its own rows and no others, whatever the application asks. */
@ExtendWith(RunningServer.class)
class OtherSchoolsRowsTest {

    /** What belongs to no school: content-addressed bases, sessions by a secret, and what servers tell each other. */
    private static final Set<String> OF_NO_SCHOOL = Set.of(
            "allowance",
            "basis",
            "bringing_in",
            "flyway_schema_history",
            "outcome_state",
            "spring_session",
            "spring_session_attributes",
            "tried");

    private RunningServer.Address server;

    @BeforeEach
    void at(RunningServer.Address running) {
        server = running;
    }

    private Connection application(String school) throws SQLException {
        Properties login = new Properties();
        login.setProperty("user", "lobrik_app");
        login.setProperty("password", server.databasePassword());
        login.setProperty("options", "-c lobrik.school=" + school);
        return DriverManager.getConnection(server.databaseUrl(), login);
    }

    private static List<String> texts(Connection connection, String question) throws SQLException {
        try (Statement statement = connection.createStatement();
                ResultSet found = statement.executeQuery(question)) {
            List<String> texts = new ArrayList<>();
            while (found.next()) {
                texts.add(found.getString(1));
            }
            return texts;
        }
    }

    private static long count(Connection connection, String of) throws SQLException {
        return Long.parseLong(texts(connection, "select count(*) from " + of).getFirst());
    }

    private static List<String> guarded(Connection connection) throws SQLException {
        return texts(connection, """
                select relname from pg_class where relnamespace = 'public'::regnamespace and relkind = 'r' and relrowsecurity
                order by relname""");
    }

    @Test
    void everyTable_isGuarded_orOfNoSchool() throws SQLException {
        try (Connection all = application("*")) {
            List<String> tables = texts(
                    all, "select relname from pg_class where relnamespace = 'public'::regnamespace and relkind = 'r'");
            tables.removeAll(guarded(all));
            assertThat(tables).containsExactlyInAnyOrderElementsOf(OF_NO_SCHOOL);
        }
    }

    @Test
    void noRowOfTheDemoSchool_isShownToAnother_orToNobody() throws SQLException {
        UUID another = server.school();
        try (Connection all = application("*");
                Connection others = application(another.toString());
                Connection nobody = application("")) {
            int filled = 0;
            for (String table : guarded(all)) {
                boolean own = table.equals("centre") || table.equals("cohort");
                // What was tried with names that nobody has is of no school.
                String rows = table.equals("audit") ? "audit where centre_id is not null" : table;
                assertThat(count(others, rows)).as(table).isEqualTo(own ? 1 : 0);
                assertThat(count(nobody, rows)).as(table).isZero();
                filled += count(all, table) > 0 ? 1 : 0;
            }
            assertThat(filled).as("tables that have something to hide").isGreaterThan(35);
        }
    }

    @Test
    void ownRows_areAllThere() throws SQLException {
        try (Connection all = application("*")) {
            String demo = texts(all, "select centre_id::text from account where sign_in_name = 'oskar'")
                    .getFirst();
            try (Connection own = application(demo)) {
                assertThat(count(own, "account")).isEqualTo(count(all, "account where centre_id = '" + demo + "'"));
                String readings =
                        "reading r join attempt a on a.id = r.attempt_id join trainee t on t.id = a.trainee_id"
                                + " join cohort c on c.id = t.cohort_id where c.centre_id = '" + demo + "'";
                assertThat(count(own, "reading")).isPositive().isLessThanOrEqualTo(count(all, readings));
            }
        }
    }

    @Test
    void nothingIsWritten_intoAnotherSchool() throws SQLException {
        UUID another = server.school();
        try (Connection all = application("*");
                Connection others = application(another.toString());
                Statement write = others.createStatement()) {
            String cohort = texts(
                            all,
                            "select c.id::text from cohort c join account a on a.centre_id = c.centre_id"
                                    + " where a.sign_in_name = 'oskar'")
                    .getFirst();
            assertThatThrownBy(() -> write.executeUpdate("insert into trainee (id, cohort_id, full_name, bench) values"
                            + " (gen_random_uuid(), '" + cohort + "', 'Nobody', 99)"))
                    .hasMessageContaining("row-level security");
            assertThat(write.executeUpdate(
                            "update trainee set full_name = 'Nobody' where cohort_id = '" + cohort + "'"))
                    .isZero();
        }
    }

    @Test
    void requestWorksForNobody_untilItIsKnownWhoAsks() {
        assertThat(WorksFor.said()).as("what the server does by itself").isEqualTo("*");
        try {
            WorksFor.nobody();
            assertThat(WorksFor.said()).isEmpty();
            UUID school = UUID.randomUUID();
            WorksFor.school(school);
            assertThat(WorksFor.said()).isEqualTo(school.toString());
            assertThat(WorksFor.whichever(WorksFor::said)).isEqualTo(WorksFor.WHICHEVER);
            assertThat(WorksFor.said()).isEqualTo(school.toString());
        } finally {
            WorksFor.forget();
        }
    }
}
