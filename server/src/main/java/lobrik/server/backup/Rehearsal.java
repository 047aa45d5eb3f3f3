package lobrik.server.backup;

import java.io.IOException;
import java.nio.file.FileStore;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import lobrik.server.account.AuditCheck;
import org.jspecify.annotations.Nullable;

/**
 * Whether a backup can be restored, by doing so: on a database of its own that is thrown away, with all rows counted and compared and
 * the audit checked. Only what was restored once is a backup.
 */
final class Rehearsal {

    /** What it takes on the disk, as a multiple of a backup: the record unpacked, its indexes, and what is written beside. */
    private static final int ROOM_PER_BYTE = 12;

    private static final long LEAST_ROOM = 400L << 20;
    private static final double MEGABYTE = 1e6;

    private final Path programs;
    private final Path scratch;
    private final Clock clock;

    /**
     * One that can be held.
     *
     * @param scratch a folder that is not there
     */
    Rehearsal(Path programs, Path scratch, Clock clock) {
        this.programs = programs;
        this.scratch = scratch;
        this.clock = clock;
    }

    /** Holds it; what is wrong is in what it says. */
    BackupBook.Rehearsed hold(Path backup, char @Nullable [] passphrase) {
        Instant began = clock.instant();
        String name = String.valueOf(backup.getFileName());
        Contents contents = null;
        String fault;
        try {
            requireRoom(backup);
            try (ThrowAwayCluster cluster = ThrowAwayCluster.start(programs, scratch)) {
                contents = Restore.bring(
                        backup, passphrase, cluster.login(), Files.createDirectory(scratch.resolve("files")));
                fault = auditFault(cluster.login());
            }
        } catch (IOException | SQLException e) {
            fault = String.valueOf(e.getMessage());
        }
        Map<String, Long> rows = contents == null ? Map.of() : contents.rows();
        return new BackupBook.Rehearsed(
                began,
                Duration.between(began, clock.instant()).toMillis(),
                name,
                rows.size(),
                rows.values().stream().mapToLong(Long::longValue).sum(),
                contents == null ? List.of() : contents.schools(),
                fault);
    }

    private static @Nullable String auditFault(PostgresLogin login) throws SQLException {
        try (Connection database = login.connect()) {
            database.setAutoCommit(false);
            return AuditCheck.isWhole(database)
                    ? null
                    : "all rows arrived, but the audit in it is not whole: ./lobrik audit says where";
        }
    }

    private void requireRoom(Path backup) throws IOException {
        FileStore disk = Files.getFileStore(backup.toAbsolutePath().getParent());
        long needed = Math.max(LEAST_ROOM, ROOM_PER_BYTE * Files.size(backup));
        if (disk.getUsableSpace() < needed) {
            throw new IOException(String.format(
                    Locale.ROOT,
                    "there is no room to try it: %.0f MB are free on the disk of the data, about %.0f are needed",
                    disk.getUsableSpace() / MEGABYTE,
                    needed / MEGABYTE));
        }
    }
}
