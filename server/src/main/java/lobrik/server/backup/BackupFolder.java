package lobrik.server.backup;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileStore;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFileAttributeView;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/**
 * The folder of a server's backups: the files themselves, {@code plan.json}, {@code book.json} of what became of them, and
 * {@code passphrase}, by which they are sealed. All of it is its owner's alone.
 */
final class BackupFolder {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final String PARTIAL = ".partial";

    private final Path folder;

    BackupFolder(Path folder) {
        this.folder = folder;
    }

    /** Makes it where it is not there, and takes away what was left half made. */
    void open() throws IOException {
        Files.createDirectories(
                folder, PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rwx------")));
        clearPartial(folder, "");
    }

    Path path() {
        return folder;
    }

    /** The plan; the first one from now on where nobody chose yet. */
    BackupPlan plan(String fresh, Instant now) throws IOException {
        BackupPlan kept = read("plan.json", BackupPlan.class);
        if (kept == null) {
            kept = BackupPlan.atFirst(fresh, now);
            keep(kept);
        }
        return kept;
    }

    void keep(BackupPlan plan) throws IOException {
        write("plan.json", JSON.writerWithDefaultPrettyPrinter().writeValueAsBytes(plan));
    }

    BackupBook book() throws IOException {
        return Objects.requireNonNullElseGet(read("book.json", BackupBook.class), BackupBook::empty);
    }

    void keep(BackupBook book) throws IOException {
        write("book.json", JSON.writerWithDefaultPrettyPrinter().writeValueAsBytes(book));
    }

    /** By which backups are sealed; null for not at all. */
    char @Nullable [] passphrase() throws IOException {
        try {
            return Files.readString(folder.resolve("passphrase"), StandardCharsets.UTF_8)
                    .strip()
                    .toCharArray();
        } catch (NoSuchFileException none) {
            return null;
        }
    }

    /** Whether one that was made then is sealed as later ones are: its passphrase is not known any more where it is not. */
    boolean sealsAs(BackupBook.Made made) throws IOException {
        Path passphrase = folder.resolve("passphrase");
        return !made.sealed()
                || (Files.exists(passphrase)
                        && !Files.getLastModifiedTime(passphrase).toInstant().isAfter(made.at()));
    }

    /** Seals later ones by this; by none where it is empty. */
    void sealBy(String passphrase) throws IOException {
        if (passphrase.isEmpty()) {
            Files.deleteIfExists(folder.resolve("passphrase"));
        } else {
            write("passphrase", passphrase.getBytes(StandardCharsets.UTF_8));
        }
    }

    private <T> @Nullable T read(String name, Class<T> type) throws IOException {
        try {
            return JSON.readValue(Files.readAllBytes(folder.resolve(name)), type);
        } catch (NoSuchFileException none) {
            return null;
        } catch (JacksonException damaged) {
            throw new IOException(folder.resolve(name) + " cannot be read: " + damaged.getOriginalMessage(), damaged);
        }
    }

    /** Whole or not at all. */
    private void write(String name, byte[] bytes) throws IOException {
        Path fresh = folder.resolve(name + PARTIAL);
        Files.deleteIfExists(fresh);
        createOwn(fresh);
        try (FileChannel channel = FileChannel.open(fresh, StandardOpenOption.WRITE)) {
            channel.write(ByteBuffer.wrap(bytes));
            channel.force(true);
        }
        Files.move(fresh, folder.resolve(name), StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
    }

    /** The backups of an installation that are in a folder. */
    static List<BackupName> backups(Path in, String installation) throws IOException {
        try (Stream<Path> files = Files.list(in)) {
            return files.flatMap(file -> BackupName.of(file, installation).stream())
                    .toList();
        } catch (UncheckedIOException e) {
            throw e.getCause();
        }
    }

    /** How large a backup is; 0 if it was cleared away just now. */
    static long size(Path backup) throws IOException {
        try {
            return Files.size(backup);
        } catch (NoSuchFileException cleared) {
            return 0;
        }
    }

    /** Takes away what a copy of an installation's left half made. */
    static void clearPartial(Path in, String installation) throws IOException {
        try (Stream<Path> files = Files.list(in)) {
            for (Path file : files.filter(each -> {
                        String name = String.valueOf(each.getFileName());
                        return name.endsWith(PARTIAL) && name.contains(installation);
                    })
                    .toList()) {
                Files.delete(file);
            }
        }
    }

    /** Copies a backup to another folder; it has its name there once it is whole and on the disk. */
    static void copy(Path backup, Path to) throws IOException {
        Path partial = to.resolve(backup.getFileName() + PARTIAL);
        Files.deleteIfExists(partial);
        createOwn(partial);
        try {
            try (FileChannel from = FileChannel.open(backup, StandardOpenOption.READ);
                    FileChannel into = FileChannel.open(partial, StandardOpenOption.WRITE)) {
                long size = from.size();
                for (long at = 0; at < size; ) {
                    at += from.transferTo(at, size - at, into);
                }
                into.force(true);
            }
            Files.move(partial, to.resolve(backup.getFileName()), StandardCopyOption.ATOMIC_MOVE);
        } finally {
            Files.deleteIfExists(partial);
        }
    }

    /** Its owner's alone, on disks that know such a thing. */
    private static void createOwn(Path file) throws IOException {
        if (Files.getFileStore(file.resolveSibling(".")).supportsFileAttributeView(PosixFileAttributeView.class)) {
            Files.createFile(file, PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rw-------")));
        } else {
            Files.createFile(file);
        }
    }

    /** Whether a folder is on another disk than the data. */
    boolean isOnAnotherDisk(Path other) throws IOException {
        FileStore ours = Files.getFileStore(folder);
        return !ours.equals(Files.getFileStore(other));
    }

    long freeBytes() throws IOException {
        return Files.getFileStore(folder).getUsableSpace();
    }
}
