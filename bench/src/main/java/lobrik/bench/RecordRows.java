package lobrik.bench;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * Every row of every table of a record, as a number made of all its values (64 bits: among ten million rows two different ones are the
 * same number once in four hundred thousand such records). Sorted, a table's rows can be compared with those of another record.
 *
 * @param tables by name
 */
record RecordRows(Map<String, long[]> tables) {

    private static final int FETCHED_AT_ONCE = 10_000;

    /** Reads them as the record's owner, in one moment's view of the record. */
    static RecordRows of(String url, String owner, String password) throws SQLException {
        Map<String, long[]> tables = new TreeMap<>();
        try (Connection connection = DriverManager.getConnection(url, owner, password)) {
            connection.setAutoCommit(false);
            connection.setTransactionIsolation(Connection.TRANSACTION_REPEATABLE_READ);
            for (String table : names(connection)) {
                tables.put(table, rows(connection, table));
            }
        }
        return new RecordRows(tables);
    }

    private static List<String> names(Connection connection) throws SQLException {
        List<String> names = new ArrayList<>();
        try (Statement statement = connection.createStatement();
                ResultSet found = statement.executeQuery(
                        "select tablename from pg_tables where schemaname = 'public' order by tablename")) {
            while (found.next()) {
                names.add(found.getString(1));
            }
        }
        return names;
    }

    private static long[] rows(Connection connection, String table) throws SQLException {
        long[] rows = new long[1024];
        int count = 0;
        try (Statement statement = connection.createStatement()) {
            statement.setFetchSize(FETCHED_AT_ONCE);
            try (ResultSet found = statement.executeQuery("select hashtextextended(t::text, 0) from %s t"
                    .formatted(statement.enquoteIdentifier(table, true)))) {
                while (found.next()) {
                    if (count == rows.length) {
                        rows = Arrays.copyOf(rows, 2 * count);
                    }
                    rows[count] = found.getLong(1);
                    count++;
                }
            }
        }
        long[] sorted = Arrays.copyOf(rows, count);
        Arrays.sort(sorted);
        return sorted;
    }

    long[] table(String name) {
        return tables.getOrDefault(name, new long[0]);
    }

    int count() {
        return tables.values().stream().mapToInt(rows -> rows.length).sum();
    }

    /** Those of the one that the other has, too; both sorted. */
    static long[] both(long[] one, long[] other) {
        long[] both = new long[Math.min(one.length, other.length)];
        int count = 0;
        int j = 0;
        for (int i = 0; i < one.length && j < other.length; ) {
            if (one[i] < other[j]) {
                i++;
            } else if (one[i] > other[j]) {
                j++;
            } else {
                both[count] = one[i];
                count++;
                i++;
                j++;
            }
        }
        return Arrays.copyOf(both, count);
    }

    /** Those of the one that the other does not have; both sorted. */
    static long[] without(long[] one, long[] other) {
        long[] without = new long[one.length];
        int count = 0;
        int j = 0;
        for (long row : one) {
            while (j < other.length && other[j] < row) {
                j++;
            }
            if (j < other.length && other[j] == row) {
                j++;
            } else {
                without[count] = row;
                count++;
            }
        }
        return Arrays.copyOf(without, count);
    }
}
