package lobrik.server.backup;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.channels.Channels;
import java.nio.channels.FileChannel;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFilePermission;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.DigestInputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Savepoint;
import java.sql.Statement;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import java.util.zip.Deflater;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.jspecify.annotations.Nullable;
import org.springframework.util.StreamUtils;

/**
 * Writes a backup: everything as it was at one moment, whatever is written meanwhile. Nothing of it is ever held in memory. The file
 * has its name once it is whole and on the disk.
 */
final class BackupWriter {

    private static final Set<PosixFilePermission> OURS_ALONE = PosixFilePermissions.fromString("rw-------");

    /**
     * What a backup is made of.
     *
     * @param database as its owner, for this alone
     * @param login the same for the database's own programs
     * @param network certificates; may not be there
     * @param settings those that a restored folder begins with
     */
    record Source(Connection database, PostgresLogin login, Path network, Map<String, String> settings) {}

    private final Source source;
    private final List<Contents.Part> parts = new ArrayList<>();

    private BackupWriter(Source source) {
        this.source = source;
    }

    /**
     * Makes one.
     *
     * @param file where there is none yet
     * @param passphrase null for one that everybody who has it can open
     * @throws IOException if it cannot be written, or the database's program ends with a fault; nothing is left then
     */
    static Contents write(Source source, Path file, char @Nullable [] passphrase, Instant now)
            throws IOException, SQLException {
        if (Files.exists(file)) {
            throw new FileAlreadyExistsException(file.toString());
        }
        Path partial = file.resolveSibling(file.getFileName() + ".partial");
        Files.deleteIfExists(partial);
        Files.createFile(partial, PosixFilePermissions.asFileAttribute(OURS_ALONE));
        try {
            Contents contents;
            try (FileChannel channel = FileChannel.open(partial, StandardOpenOption.WRITE)) {
                OutputStream out = new BufferedOutputStream(Channels.newOutputStream(channel), 1 << 16);
                contents = new BackupWriter(source).write(out, passphrase, now);
                out.flush();
                channel.force(true);
            }
            Files.move(partial, file, StandardCopyOption.ATOMIC_MOVE);
            return contents;
        } finally {
            Files.deleteIfExists(partial);
        }
    }

    private Contents write(OutputStream out, char @Nullable [] passphrase, Instant now)
            throws IOException, SQLException {
        Connection database = source.database();
        database.setAutoCommit(false);
        database.setTransactionIsolation(Connection.TRANSACTION_REPEATABLE_READ);
        try (OutputStream sealed = passphrase == null ? StreamUtils.nonClosing(out) : Sealed.into(out, passphrase);
                ZipOutputStream zip = new ZipOutputStream(sealed)) {
            // What is packed already is not packed again.
            zip.setLevel(Deflater.NO_COMPRESSION);
            String snapshot = text("select pg_export_snapshot()");
            try (DatabaseProgram dump = source.login()
                    .start(
                            "pg_dump",
                            "--format=custom",
                            "--compress=6",
                            "--no-owner",
                            "--no-comments",
                            "--snapshot=" + snapshot)) {
                parts.add(part(zip, "database.dump", dump.out()));
                dump.requireGoodEnd();
            }
            if (Files.isDirectory(source.network())) {
                for (Path file : certificates()) {
                    try (InputStream in = Files.newInputStream(file)) {
                        parts.add(part(zip, "network/" + file.getFileName(), in));
                    }
                }
            }
            Contents contents = new Contents(
                    Contents.FORM,
                    now,
                    text(
                            "select version from flyway_schema_history where success order by installed_rank desc limit 1"),
                    text("select split_part(current_setting('server_version'), ' ', 1)"),
                    schools(),
                    RowCounts.of(database),
                    source.settings(),
                    parts);
            zip.putNextEntry(new ZipEntry(Contents.NAME));
            zip.write(contents.json());
            zip.closeEntry();
            return contents;
        } finally {
            database.rollback();
        }
    }

    private List<Path> certificates() throws IOException {
        try (Stream<Path> files = Files.list(source.network())) {
            return files.filter(Files::isRegularFile)
                    .filter(file -> !file.toString().endsWith(".new"))
                    .sorted()
                    .toList();
        }
    }

    private static Contents.Part part(ZipOutputStream zip, String name, InputStream in) throws IOException {
        zip.putNextEntry(new ZipEntry(name));
        DigestInputStream digested = new DigestInputStream(in, sha256());
        long bytes = digested.transferTo(zip);
        zip.closeEntry();
        return new Contents.Part(
                name,
                bytes,
                HexFormat.of().formatHex(digested.getMessageDigest().digest()));
    }

    static MessageDigest sha256() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }

    private String text(String question) throws SQLException {
        try (Statement statement = source.database().createStatement();
                ResultSet answer = statement.executeQuery(question)) {
            answer.next();
            return answer.getString(1);
        }
    }

    /** A record of an early form, which has not all that is asked for, is told by the names of its schools. */
    private List<Contents.SchoolInside> schools() throws SQLException {
        Connection database = source.database();
        Savepoint here = database.setSavepoint();
        try {
            return counted();
        } catch (SQLException early) {
            database.rollback(here);
            List<Contents.SchoolInside> schools = new ArrayList<>();
            try (Statement statement = database.createStatement();
                    ResultSet found = statement.executeQuery("select name from centre order by name, id")) {
                while (found.next()) {
                    schools.add(new Contents.SchoolInside(found.getString(1), 0, 0, 0));
                }
            }
            return schools;
        }
    }

    private List<Contents.SchoolInside> counted() throws SQLException {
        List<Contents.SchoolInside> schools = new ArrayList<>();
        try (Statement statement = source.database().createStatement();
                ResultSet found = statement.executeQuery("""
                        select c.name,
                          (select count(*) from trainee t join cohort k on k.id = t.cohort_id where k.centre_id = c.id),
                          (select count(*) from attempt a join trainee t on t.id = a.trainee_id
                            join cohort k on k.id = t.cohort_id where k.centre_id = c.id),
                          (select count(*) from reading r join attempt a on a.id = r.attempt_id
                            join trainee t on t.id = a.trainee_id
                            join cohort k on k.id = t.cohort_id where k.centre_id = c.id)
                        from centre c where c.replaced_by is null order by c.name, c.id""")) {
            while (found.next()) {
                schools.add(new Contents.SchoolInside(
                        found.getString(1), found.getLong(2), found.getLong(3), found.getLong(4)));
            }
        }
        return schools;
    }
}
