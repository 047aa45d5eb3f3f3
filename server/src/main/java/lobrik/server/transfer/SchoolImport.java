package lobrik.server.transfer;

import java.io.BufferedInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.security.DigestInputStream;
import java.security.MessageDigest;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;
import javax.sql.DataSource;
import lobrik.server.account.SignedIn;
import lobrik.server.account.Succession;
import lobrik.server.attempt.BasisCheck;
import lobrik.server.attempt.FollowUps;
import lobrik.server.platform.TurnedDown;
import lobrik.server.platform.Turns;
import lobrik.server.platform.WireJson;
import lobrik.server.transfer.SchoolArchive.Contents;
import lobrik.server.transfer.SchoolArchive.TableInFile;
import lobrik.server.transfer.SchoolTables.Table;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DataAccessException;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.namedparam.MapSqlParameterSource;
import org.springframework.jdbc.core.namedparam.NamedParameterJdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;

/** Brings a school in that was taken out of a server as a file, whole or not at all, in place of one that is empty still. */
@Service
class SchoolImport {

    private static final int ROWS_AT_ONCE = 500;

    /** No row of ours is nearly as long. */
    private static final int LONGEST_LINE = 4 * 1024 * 1024;

    private static final int LARGEST_PICTURE = 12 * 1024 * 1024;

    /** Somebody in a file who led the school. */
    record LeadInFile(UUID id, String fullName, String signInName) {}

    /**
     * What a file would bring.
     *
     * @param leads one of whom whoever brings it in goes on as
     */
    record SchoolInFile(String name, long trainees, long attempts, long readings, List<LeadInFile> leads) {}

    private final NamedParameterJdbcTemplate database;
    private final Succession succession;
    private final BasisCheck bases;
    private final FollowUps followUps;
    private final Turns turns;

    SchoolImport(DataSource source, Succession succession, BasisCheck bases, FollowUps followUps, Turns turns) {
        this.database = new NamedParameterJdbcTemplate(source);
        this.succession = succession;
        this.bases = bases;
        this.followUps = followUps;
        this.turns = turns;
    }

    /**
     * What is in a file; brings nothing in.
     *
     * @throws TurnedDown if it is no file of a school, or a damaged one
     */
    SchoolInFile look(Path file) throws IOException {
        try (ZipFile zip = open(file)) {
            Contents contents = contents(zip);
            List<LeadInFile> leads = new ArrayList<>();
            lines(
                    zip,
                    contents,
                    table("account"),
                    rows -> rows.forEach(row -> lead(read(row)).ifPresent(leads::add)));
            return new SchoolInFile(
                    contents.name(),
                    rows(contents, "trainee"),
                    rows(contents, "attempt"),
                    rows(contents, "reading"),
                    leads);
        }
    }

    private static Optional<LeadInFile> lead(JsonNode row) {
        boolean leads = row.path("role").asString().equals("LEAD")
                && row.path("disabled_at").isNull();
        return leads
                ? Optional.of(new LeadInFile(
                        UUID.fromString(row.path("id").asString()),
                        row.path("full_name").asString(),
                        row.path("sign_in_name").asString()))
                : Optional.empty();
    }

    private static long rows(Contents contents, String table) {
        return contents.tables().stream()
                .filter(each -> each.name().equals(table))
                .mapToLong(TableInFile::rows)
                .sum();
    }

    private static Table table(String name) {
        return SchoolTables.ALL.stream()
                .filter(table -> table.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    /**
     * Brings it in. Whoever does so goes on as one of the leads in it, with the password that they have.
     *
     * @param as the lead's account in the file
     * @return as they are signed in from now on
     * @throws TurnedDown if the school that they lead is not empty, or the file is damaged, or of a school that is here already
     */
    @Transactional
    public SignedIn bringIn(SignedIn who, Path file, UUID as) throws IOException {
        turns.take(who.centreId());
        requireEmpty(who);
        try (ZipFile zip = open(file)) {
            Contents contents = contents(zip);
            succession.makeRoom(who);
            MapSqlParameterSource of = new MapSqlParameterSource("school", contents.school());
            database.query("select bring_in_begin(:school)", of, _ -> {});
            for (Table table : SchoolTables.ALL) {
                bring(zip, contents, table);
            }
            for (Table table : SchoolTables.ALL) {
                requireOfSchool(table, contents, of);
            }
            bases.require(database.queryForList(
                    "select id from basis where " + table("basis").of(), of, UUID.class));
            database.update(
                    "insert into follow_up (attempt_id) select id from attempt where "
                            + table("attempt").of() + " order by entry_no",
                    of);
            database.query("select bring_in_end(:highest)", new MapSqlParameterSource("highest", highest(of)), _ -> {});
            SignedIn now = succession.goOnAs(who, contents.school(), as);
            followUps.wakeAfterCommit();
            return now;
        } catch (DuplicateKeyException taken) {
            throw TurnedDown.conflict(
                    "known-here",
                    "Something of this school is on this server already: a sign-in name, or the school itself");
        } catch (DataAccessException refused) {
            if (String.valueOf(refused.getMessage()).contains("school-known")) {
                throw TurnedDown.conflict("known-here", "This school is on this server already");
            }
            throw damaged("a row in it is not as it should be");
        }
    }

    private void requireEmpty(SignedIn who) {
        Boolean used = database.queryForObject("""
                select exists (select from cohort where centre_id = :school)
                  or exists (select from exercise where centre_id = :school)
                  or (select count(*) from account where centre_id = :school) > 1""", new MapSqlParameterSource("school", who.centreId()), Boolean.class);
        if (!Boolean.FALSE.equals(used)) {
            throw TurnedDown.conflict(
                    "not-empty",
                    "This school has cohorts, exercises or colleagues of its own; bring the file into one that is empty still");
        }
    }

    private static ZipFile open(Path file) throws IOException {
        try {
            return new ZipFile(file.toFile(), StandardCharsets.UTF_8);
        } catch (ZipException e) {
            throw TurnedDown.badInput("", "unreadable", "this is no zip archive");
        }
    }

    private static Contents contents(ZipFile zip) throws IOException {
        ZipEntry entry = zip.getEntry(SchoolArchive.CONTENTS);
        if (entry == null) {
            throw TurnedDown.badInput(
                    "", "unreadable", "this is no file of a school: " + SchoolArchive.CONTENTS + " is missing");
        }
        try (InputStream from = zip.getInputStream(entry)) {
            Contents contents = WireJson.mapper().readValue(from.readNBytes(LONGEST_LINE), Contents.class);
            if (!SchoolArchive.FORMAT.equals(contents.format())) {
                throw TurnedDown.badInput("", "unreadable", "this is no file of a school");
            }
            if (contents.version() > SchoolArchive.VERSION) {
                throw TurnedDown.badInput(
                        "", "too-new", "this file was written by a newer Lobrik; bring it into one that is as new");
            }
            return contents;
        } catch (JacksonException e) {
            throw damaged("its list of contents cannot be read");
        }
    }

    /** What is done with some rows of a table: as they are written, since who reads a number and writes it may write it otherwise. */
    private interface Rows {

        void take(List<String> rows) throws IOException;
    }

    private static JsonNode read(String row) {
        return WireJson.mapper().readTree(row);
    }

    /** Reads a table, some rows at a time, and holds it to the list of contents. */
    private static void lines(ZipFile zip, Contents contents, Table table, Rows rows) throws IOException {
        TableInFile said = contents.tables().stream()
                .filter(each -> each.name().equals(table.name()))
                .findFirst()
                .orElse(null);
        ZipEntry entry = zip.getEntry(SchoolArchive.entryOf(table));
        if (said == null && entry == null) {
            // An earlier build had no such table.
            return;
        }
        if (said == null || entry == null) {
            throw damaged(table.name() + " is missing");
        }
        MessageDigest digest = SchoolArchive.sha256();
        long read = 0;
        try (InputStream from = new DigestInputStream(new BufferedInputStream(zip.getInputStream(entry)), digest)) {
            List<String> some = new ArrayList<>();
            for (String line = line(from); line != null; line = line(from)) {
                some.add(line);
                read++;
                if (some.size() == ROWS_AT_ONCE) {
                    rows.take(some);
                    some.clear();
                }
            }
            if (!some.isEmpty()) {
                rows.take(some);
            }
        } catch (JacksonException e) {
            throw damaged("a line of " + table.name() + " cannot be read");
        }
        if (read != said.rows() || !HexFormat.of().formatHex(digest.digest()).equals(said.sha256())) {
            throw damaged(table.name() + " is not what the list of contents says");
        }
    }

    private static @Nullable String line(InputStream from) throws IOException {
        ByteArrayOutputStream line = new ByteArrayOutputStream();
        int read = from.read();
        if (read < 0) {
            return null;
        }
        while (read >= 0 && read != '\n') {
            line.write(read);
            if (line.size() > LONGEST_LINE) {
                throw damaged("a line is longer than any of ours");
            }
            read = from.read();
        }
        return line.toString(StandardCharsets.UTF_8);
    }

    private void bring(ZipFile zip, Contents contents, Table table) throws IOException {
        lines(zip, contents, table, rows -> {
            List<String> whole = new ArrayList<>();
            for (String row : rows) {
                whole.add(table.picture().isEmpty() ? row : withPicture(zip, row, table));
            }
            database.query(
                    "select bring_in(:table, cast(:rows as jsonb))",
                    new MapSqlParameterSource("table", table.name())
                            .addValue("rows", "[" + String.join(",", whole) + "]"),
                    _ -> {});
        });
    }

    private static String withPicture(ZipFile zip, String row, Table table) throws IOException {
        ZipEntry entry =
                zip.getEntry(SchoolArchive.PICTURES + read(row).path("id").asString() + ".jpg");
        String picture = "null";
        if (entry != null) {
            try (InputStream from = zip.getInputStream(entry)) {
                picture = "\"\\\\x" + HexFormat.of().formatHex(from.readNBytes(LARGEST_PICTURE)) + '"';
            }
        }
        return row.substring(0, row.length() - 1) + ",\"" + table.picture() + "\":" + picture + "}";
    }

    /** Every row that was brought in is of the school in the file, and of no other. */
    private void requireOfSchool(Table table, Contents contents, MapSqlParameterSource of) {
        Long there = database.queryForObject(
                "select count(*) from " + table.name() + " where " + table.of(), of, Long.class);
        if (there == null || there != rows(contents, table.name())) {
            throw damaged("rows of " + table.name() + " are of another school");
        }
    }

    private long highest(MapSqlParameterSource of) {
        long highest = 1;
        for (Table table : SchoolTables.ALL) {
            if (table.order().equals("entry_no") || table.name().equals("audit")) {
                Long number = database.queryForObject(
                        "select coalesce(max(entry_no), 1) from " + table.name() + " where " + table.of(),
                        of,
                        Long.class);
                highest = Math.max(highest, number == null ? 1 : number);
            }
        }
        return highest;
    }

    private static TurnedDown damaged(String what) {
        return TurnedDown.badInput("", "damaged", "this file is damaged: " + what);
    }
}
