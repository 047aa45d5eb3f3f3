package lobrik.server.transfer;

import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.security.DigestOutputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import javax.sql.DataSource;
import lobrik.server.platform.WireJson;
import lobrik.server.transfer.SchoolTables.Table;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.namedparam.MapSqlParameterSource;
import org.springframework.jdbc.core.namedparam.NamedParameterJdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Transactional;

/**
 * A whole school as one file: a zip archive with a file of JSON lines for each table, its pictures as they are, and a list of contents with
 * the hash of each file. The same school always gives the same bytes, on whatever server it is. See docs/formats/school.md.
 */
@Service
class SchoolArchive {

    static final String FORMAT = "lobrik-school";
    static final int VERSION = 1;
    static final String CONTENTS = "contents.json";
    static final String PICTURES = "pictures/";

    private static final int ROWS_AT_ONCE = 500;

    /** No file says when it was written: that would make it another. */
    private static final LocalDateTime NO_TIME = LocalDateTime.of(1980, 2, 1, 0, 0);

    /**
     * A table in the file.
     *
     * @param sha256 of its lines
     */
    record TableInFile(String name, long rows, String sha256) {}

    /** What is in a file. */
    record Contents(String format, int version, UUID school, String name, List<TableInFile> tables) {}

    private final NamedParameterJdbcTemplate database;

    SchoolArchive(DataSource source) {
        JdbcTemplate rows = new JdbcTemplate(source);
        rows.setFetchSize(ROWS_AT_ONCE);
        this.database = new NamedParameterJdbcTemplate(rows);
    }

    /** Where a table stands in a file. */
    static String entryOf(Table table) {
        return "records/%02d-%s.jsonl".formatted(SchoolTables.ALL.indexOf(table) + 1, table.name());
    }

    /** Writes a school as it is at one moment. */
    @Transactional(readOnly = true, isolation = Isolation.REPEATABLE_READ)
    public void write(UUID school, OutputStream to) throws IOException {
        database.getJdbcTemplate().execute("set local time zone 'UTC'");
        MapSqlParameterSource of = new MapSqlParameterSource("school", school);
        ZipOutputStream zip = new ZipOutputStream(to, StandardCharsets.UTF_8);
        List<TableInFile> tables = new ArrayList<>();
        for (Table table : SchoolTables.ALL) {
            tables.add(write(table, of, zip));
        }
        for (Table table : SchoolTables.ALL) {
            if (!table.picture().isEmpty()) {
                pictures(table, of, zip);
            }
        }
        String name = database.queryForObject("select name from centre where id = :school", of, String.class);
        begin(zip, CONTENTS);
        zip.write(WireJson.mapper()
                .writerWithDefaultPrettyPrinter()
                .writeValueAsBytes(new Contents(FORMAT, VERSION, school, String.valueOf(name), tables)));
        zip.closeEntry();
        zip.finish();
    }

    private static void begin(ZipOutputStream zip, String name) throws IOException {
        ZipEntry entry = new ZipEntry(name);
        entry.setTimeLocal(NO_TIME);
        zip.putNextEntry(entry);
    }

    private TableInFile write(Table table, MapSqlParameterSource of, ZipOutputStream zip) throws IOException {
        begin(zip, entryOf(table));
        MessageDigest digest = sha256();
        OutputStream lines = new DigestOutputStream(zip, digest);
        long[] rows = {0};
        String question = "select row_to_json(r)::text from (select " + String.join(", ", columns(table)) + " from "
                + table.name() + " where " + table.of() + " order by " + table.order() + ") r";
        try {
            database.query(question, of, row -> {
                rows[0]++;
                try {
                    lines.write(row.getString(1).getBytes(StandardCharsets.UTF_8));
                    lines.write('\n');
                } catch (IOException e) {
                    throw new UncheckedIOException(e);
                }
            });
        } catch (UncheckedIOException e) {
            throw e.getCause();
        }
        zip.closeEntry();
        return new TableInFile(table.name(), rows[0], HexFormat.of().formatHex(digest.digest()));
    }

    /** By name, so that it does not matter in which order migrations added them. */
    private List<String> columns(Table table) {
        Set<String> without = table.without();
        return database.queryForList("""
                        select column_name from information_schema.columns
                        where table_schema = current_schema() and table_name = :table and is_generated = 'NEVER'
                        order by column_name""", new MapSqlParameterSource("table", table.name()), String.class).stream()
                .filter(column -> !without.contains(column) && !column.equals(table.picture()))
                .map(column -> "\"" + column + "\"")
                .collect(Collectors.toList());
    }

    private void pictures(Table table, MapSqlParameterSource of, ZipOutputStream zip) throws IOException {
        String question = "select id::text, " + table.picture() + " from " + table.name() + " where " + table.of()
                + " and " + table.picture() + " is not null order by id";
        try {
            database.query(question, of, row -> {
                try {
                    begin(zip, PICTURES + row.getString(1) + ".jpg");
                    zip.write(row.getBytes(2));
                    zip.closeEntry();
                } catch (IOException e) {
                    throw new UncheckedIOException(e);
                }
            });
        } catch (UncheckedIOException e) {
            throw e.getCause();
        }
    }

    static MessageDigest sha256() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }
}
