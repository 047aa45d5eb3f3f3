package lobrik.server.backup;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/** Brings a backup into an empty database of ours, and looks whether all of it arrived. */
final class Restore {

    private static final String DUMP = "database.dump";

    /** No name leads out of the folder. */
    private static final Pattern CERTIFICATE = Pattern.compile("network/[a-z]+(\\.crt|\\.key)?");

    private Restore() {}

    /**
     * Brings it in, in one transaction: on any fault nothing is there.
     *
     * @param folder where certificates go, into a folder {@code network}
     * @throws IOException if the file is not as it was made, the database turns it down, or not all of it arrived
     */
    static Contents bring(Path file, char @Nullable [] passphrase, PostgresLogin login, Path folder)
            throws IOException, SQLException {
        // All of it is looked at before anything is done.
        BackupReader.check(file, passphrase);
        Contents contents = BackupReader.read(file, passphrase, (name, in) -> {
            if (name.equals(DUMP)) {
                try (DatabaseProgram restore = login.start(
                        "pg_restore",
                        "--exit-on-error",
                        "--single-transaction",
                        "--no-owner",
                        "--dbname",
                        login.database())) {
                    try (OutputStream to = restore.in()) {
                        in.transferTo(to);
                    } catch (IOException ended) {
                        restore.requireGoodEnd();
                        throw ended;
                    }
                    restore.requireGoodEnd();
                }
            } else if (CERTIFICATE.matcher(name).matches()) {
                Path certificate = folder.resolve(name);
                Files.createDirectories(certificate.getParent());
                Files.createFile(
                        certificate,
                        PosixFilePermissions.asFileAttribute(
                                PosixFilePermissions.fromString(name.endsWith(".key") ? "rw-------" : "rw-r--r--")));
                try (OutputStream to = Files.newOutputStream(certificate)) {
                    in.transferTo(to);
                }
            }
        });
        try (Connection database = login.connect()) {
            requireAll(contents.rows(), RowCounts.of(database));
        }
        return contents;
    }

    private static void requireAll(Map<String, Long> made, Map<String, Long> found) throws IOException {
        if (!made.equals(found)) {
            Set<Map.Entry<String, Long>> missing = new TreeMap<>(made).entrySet();
            missing.removeIf(table -> table.getValue().equals(found.get(table.getKey())));
            throw new IOException("not all of it arrived: " + missing);
        }
    }
}
