package lobrik.server.transfer;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import lobrik.server.transfer.SchoolTables.Table;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/**
 * Makes a region of one school, to see how many schools a record stands up to: {@code ./lobrik load --schools 500}. Each is the first one
 * with all that it has, under ids of its own, which are made of the first one's and the number of the copy; its people sign in with that
 * number behind their names, and what was signed says that its pieces were changed since, as it names them by
 * their ids. Without pictures and the audit, whose chain copies would break.
 */
@Component
@ConditionalOnProperty("lobrik.load.schools")
@Order(5) // After what the first school is loaded with.
class SchoolCopies implements ApplicationRunner {

    private static final Logger LOG = LoggerFactory.getLogger(SchoolCopies.class);

    /** What a piece came to is worked out from the rest, which is the same for each copy. */
    private static final Table OUTCOMES = new Table("outcome", "centre_id = :school", "", "", Set.of());

    /** What is the same for all schools goes by what it says, and is there once. */
    private static final String SHARED = "basis";

    private static final Set<String> NOT_COPIED = Set.of(SHARED, "audit", "photo", "portrait");

    /** What nobody else may have, as a text made of the first one's and the number of the copy, {@code copy_no}. */
    private static final Map<String, String> OF_ONE_ONLY = Map.of(
            "account.sign_in_name", "sign_in_name || copy_no",
            "account.session_name", "md5(session_name || copy_no)",
            "assignment.code", "upper(left(md5(code || copy_no), 12))",
            "trainee_key.code", "upper(left(md5(code || copy_no), length(code)))",
            "calendar_feed.hash", "md5(hash || copy_no)");

    private final int schools;
    private final String url;
    private final String owner;
    private final String password;

    SchoolCopies(
            @Value("${lobrik.load.schools}") int schools,
            @Value("${spring.datasource.url}") String url,
            @Value("${spring.flyway.user}") String owner,
            @Value("${spring.flyway.password}") String password) {
        this.schools = schools;
        this.url = url;
        this.owner = owner;
        this.password = password;
    }

    @Override
    public void run(ApplicationArguments arguments) throws SQLException {
        try (Connection connection = DriverManager.getConnection(url, owner, password)) {
            connection.setAutoCommit(false);
            UUID first = asked(connection, "select first_school()", UUID.class);
            int there = asked(connection, "select schools_here()", Long.class).intValue();
            List<Table> tables = Stream.concat(SchoolTables.ALL.stream(), Stream.of(OUTCOMES))
                    .filter(table -> !NOT_COPIED.contains(table.name()))
                    .toList();
            for (Table table : tables) {
                long begun = System.nanoTime();
                // What the database writes by itself beside a row is copied, too.
                execute(connection, "alter table " + table.name() + " disable trigger user");
                int rows = copy(connection, table, first, there + 1);
                execute(connection, "alter table " + table.name() + " enable trigger user");
                LOG.info(
                        "{}: {} rows in {} s",
                        table.name(),
                        rows,
                        Duration.ofNanos(System.nanoTime() - begun).toSeconds());
            }
            connection.commit();
            connection.setAutoCommit(true);
            for (Table table : tables) {
                execute(connection, "vacuum analyze " + table.name());
            }
        }
    }

    private int copy(Connection connection, Table table, UUID first, int from) throws SQLException {
        Map<String, String> columns = columns(connection, table.name());
        String sql =
                "insert into %s (%s) select %s from (select * from %1$s where %s) one, generate_series(?, ?) copies(copy_no)"
                        .formatted(
                                table.name(),
                                String.join(", ", columns.keySet()),
                                String.join(", ", columns.values()),
                                table.of().replace(":school", "?"));
        try (PreparedStatement statement = connection.prepareStatement(sql)) {
            statement.setObject(1, first);
            statement.setInt(2, from);
            statement.setInt(3, schools);
            return statement.executeUpdate();
        }
    }

    /** What each column of a copy is made of; those that number all rows of a record count on by themselves. */
    private static Map<String, String> columns(Connection connection, String table) throws SQLException {
        Map<String, String> columns = new LinkedHashMap<>();
        try (PreparedStatement statement = connection.prepareStatement("""
                select column_name, data_type from information_schema.columns
                where table_schema = 'public' and table_name = ? and is_generated = 'NEVER'
                  and coalesce(column_default, '') not like 'nextval%' order by ordinal_position""")) {
            statement.setString(1, table);
            try (ResultSet found = statement.executeQuery()) {
                while (found.next()) {
                    String column = found.getString(1);
                    boolean isOwn = found.getString(2).equals("uuid") && !column.equals(SHARED + "_id");
                    String made = isOwn ? "md5(%s || '/' || copy_no)::uuid".formatted(column) : column;
                    columns.put(column, OF_ONE_ONLY.getOrDefault(table + "." + column, made));
                }
            }
        }
        return columns;
    }

    private static void execute(Connection connection, String sql) throws SQLException {
        try (Statement statement = connection.createStatement()) {
            statement.execute(sql);
        }
    }

    private static <T> T asked(Connection connection, String question, Class<T> type) throws SQLException {
        try (Statement statement = connection.createStatement();
                ResultSet answer = statement.executeQuery(question)) {
            answer.next();
            return answer.getObject(1, type);
        }
    }
}
