package lobrik.server.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
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
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import lobrik.server.RunningServer;
import lobrik.server.attempt.V18__BasisOfAttempts;
import lobrik.server.calc.Calculations;
import org.apache.commons.compress.archivers.tar.TarArchiveEntry;
import org.apache.commons.compress.archivers.tar.TarArchiveInputStream;
import org.apache.commons.compress.compressors.xz.XZCompressorInputStream;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;

/**
 * The record of every earlier form is brought up to this build, and says the same: {@code records/earlier-forms.tar.xz} has a dump of
 * the demo school as the last build of each form made it, {@code vN.sql}. Forms 5, 16 and 29 stand beside it, with what screens and
 * judgements of then said ({@link EarlierRecordTest}); 14, 15, 17 to 19 and 30 are forms that no build ended with.
 */
@ExtendWith(RunningServer.class)
class EarlierFormsTest {

    /** Every build tries one of so many, a full run all. */
    private static final int EACH = Boolean.getBoolean("lobrik.full") ? 1 : 7;

    /** What is no part of the record: who is signed in, and what was worked out and is worked out anew. */
    private static final Set<String> NOT_THE_RECORD =
            Set.of("flyway_schema_history", "spring_session", "spring_session_attributes");

    /** Where a later form says what was in a column, as that had it. */
    private static final Map<String, String> NOW_IN = Map.ofEntries(
            Map.entry("attempt.targets", """
                    (select jsonb_object_agg(f ->> 'id', f -> 'target') from basis b, jsonb_array_elements(b.said -> 'features') f
                     where b.id = basis_id)"""),
            Map.entry("anonymous_outcome.kind", "split_part(family, '.', 1)"),
            Map.entry("outcome.kind", "split_part(family, '.', 1)"),
            Map.entry("sign_off.kind", "split_part(family, '.', 1)"),
            Map.entry("sign_off_rule.kind", "split_part(family, '.', 1)"),
            Map.entry("bender.take_up_pm", firstFigure("takeUpPm")),
            Map.entry("bender.radius_pm", firstFigure("radiusPm")),
            Map.entry("bender.springback_ndeg", firstFigure("springbackNdeg")),
            Map.entry("bender.min_stub_pm", firstFigure("minStubPm")),
            Map.entry("bender.min_standing_pm", firstFigure("minStandingPm")),
            Map.entry("bender.min_spacing_pm", firstFigure("minSpacingPm")));

    private static String firstFigure(String name) {
        return "(select figures ->> '" + name
                + "' from bender_revision r where r.bender_id = bender.id and revision = 1)";
    }

    @TempDir
    private Path folder;

    private static Connection connect(RunningServer.Address server, String url) throws SQLException {
        return DriverManager.getConnection(url, "lobrik_owner", server.databasePassword());
    }

    /** The columns of each table of the record. */
    private static Map<String, Set<String>> columns(Connection database) throws SQLException {
        Map<String, Set<String>> columns = new TreeMap<>();
        try (Statement statement = database.createStatement();
                ResultSet found =
                        statement.executeQuery("select c.table_name, c.column_name from information_schema.columns c"
                                + " join information_schema.tables t using (table_schema, table_name)"
                                + " where c.table_schema = 'public' and t.table_type = 'BASE TABLE'")) {
            while (found.next()) {
                if (!NOT_THE_RECORD.contains(found.getString(1))) {
                    columns.computeIfAbsent(found.getString(1), _ -> new TreeSet<>())
                            .add(found.getString(2));
                }
            }
        }
        return columns;
    }

    /**
     * Of each column of a table what all its rows say, with the id that they say it of.
     *
     * @param whatIs what gives each of the columns
     */
    private static Map<String, String> said(Connection database, String table, Map<String, String> whatIs)
            throws SQLException {
        Map<String, String> said = new TreeMap<>();
        String of = whatIs.containsKey("id") ? "id::text || ' ' || " : "";
        String all = whatIs.values().stream()
                .map(column -> "md5(" + of + "coalesce((" + column + ")::text, ''))")
                .map(each -> "md5(coalesce(string_agg(" + each + ", '' order by " + each + "), ''))")
                .collect(Collectors.joining(", ", "select count(*), ", " from " + table));
        try (Statement statement = database.createStatement();
                ResultSet found = statement.executeQuery(all)) {
            found.next();
            said.put(table, found.getString(1));
            int at = 2;
            for (String column : whatIs.keySet()) {
                said.put(table + "." + column, found.getString(at++));
            }
        }
        return said;
    }

    /** The columns of a table by themselves, or where a later form has what was in them. */
    private static Map<String, String> whatIs(String table, Set<String> before, Set<String> now) {
        Map<String, String> whatIs = new TreeMap<>();
        before.forEach(column -> whatIs.put(
                column, now.contains(column) ? column : NOW_IN.getOrDefault(table + "." + column, "'gone'")));
        return whatIs;
    }

    private List<String> changed(RunningServer.Address server, String form, Path dump)
            throws IOException, SQLException {
        String name = "form_" + form;
        String url = server.dumped(name, dump);
        List<String> changed = new ArrayList<>();
        try (Connection database = connect(server, url)) {
            Map<String, Set<String>> before = columns(database);
            Map<String, String> said = new TreeMap<>();
            for (Map.Entry<String, Set<String>> one : before.entrySet()) {
                said.putAll(said(database, one.getKey(), whatIs(one.getKey(), one.getValue(), one.getValue())));
            }
            RecordOfItsTime.bringUp(
                    Flyway.configure()
                            .dataSource(url, "lobrik_owner", server.databasePassword())
                            .javaMigrations(new V18__BasisOfAttempts(new Calculations()))
                            .group(true)
                            .load(),
                    _ -> null);
            Map<String, Set<String>> after = columns(database);
            for (Map.Entry<String, Set<String>> one : before.entrySet()) {
                Set<String> now = after.getOrDefault(one.getKey(), Set.of());
                said(database, one.getKey(), whatIs(one.getKey(), one.getValue(), now))
                        .forEach((what, is) -> {
                            if (!is.equals(said.get(what))) {
                                changed.add(what);
                            }
                        });
            }
        }
        server.dropped(name);
        return changed;
    }

    @Test
    void recordOfEveryForm_isBroughtUp_andSaysTheSame(RunningServer.Address server) throws Exception {
        Map<String, List<String>> found = new TreeMap<>();
        int number = 0;
        try (InputStream file = EarlierFormsTest.class.getResourceAsStream("/records/earlier-forms.tar.xz");
                TarArchiveInputStream dumps =
                        new TarArchiveInputStream(new XZCompressorInputStream(new BufferedInputStream(file)))) {
            for (TarArchiveEntry dump = dumps.getNextEntry(); dump != null; dump = dumps.getNextEntry()) {
                if (number++ % EACH == 0) {
                    String form = dump.getName().replaceAll("v(\\d+)\\.sql", "$1");
                    Path sql = folder.resolve(dump.getName());
                    Files.copy(dumps, sql);
                    found.put(form, changed(server, form, sql));
                    Files.delete(sql);
                }
            }
        }
        assertThat(number).isGreaterThanOrEqualTo(26);
        found.values().removeIf(List::isEmpty);
        assertThat(found).isEmpty();
    }
}
