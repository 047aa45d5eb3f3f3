package lobrik.server.backup;

import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** How many rows each table of a database has. */
final class RowCounts {

    private RowCounts() {}

    static Map<String, Long> of(Connection database) throws SQLException {
        List<String> tables = new ArrayList<>();
        try (Statement statement = database.createStatement();
                ResultSet found = statement.executeQuery(
                        "select quote_ident(tablename) from pg_tables where schemaname = 'public' order by 1")) {
            while (found.next()) {
                tables.add(found.getString(1));
            }
        }
        Map<String, Long> rows = new TreeMap<>();
        for (String table : tables) {
            try (Statement statement = database.createStatement();
                    ResultSet counted = statement.executeQuery("select count(*) from " + table)) {
                counted.next();
                rows.put(table, counted.getLong(1));
            }
        }
        return rows;
    }
}
