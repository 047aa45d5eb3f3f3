package lobrik.e2e;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.stream.Stream;

/**
 * The data folder of a demo school that was started once and stopped. Whoever wants a school of their own takes a copy:
 * making the school and its database takes most of a first start. All test processes of a build share the one.
 */
final class PreparedSchool {

    private static final Path FOLDERS = Path.of(System.getProperty("java.io.tmpdir"));
    private static final String PREFIX = "lobrik-prepared-";

    private PreparedSchool() {}

    /** A new copy, for one instance. */
    static Path copy() throws IOException {
        Path copy = Launched.newFolder();
        run("cp", "-a", made().resolve("data").toString(), copy.toString());
        return copy;
    }

    /** Made by whoever comes first; the others wait. The school's days count from today, so it lasts for a day. */
    private static Path made() throws IOException {
        Path school = FOLDERS.resolve(PREFIX
                + Files.getLastModifiedTime(Launched.JAR).toMillis() + "-" + LocalDate.now(ZoneId.systemDefault()));
        try (FileChannel lock = FileChannel.open(
                FOLDERS.resolve("lobrik-prepared.lock"), StandardOpenOption.CREATE, StandardOpenOption.WRITE)) {
            // Let go with its channel.
            lock.lock();
            if (!Files.exists(school.resolve("done"))) {
                discardAll();
                Files.createDirectory(school);
                Files.setPosixFilePermissions(school, PosixFilePermissions.fromString("rwxr-xr-x"));
                Launched.startNew(school.resolve("data")).close();
                Files.createFile(school.resolve("done"));
            }
            return school;
        }
    }

    private static void discardAll() throws IOException {
        try (Stream<Path> folders = Files.list(FOLDERS)) {
            List<Path> old = folders.filter(folder -> Files.isDirectory(folder)
                            && folder.getFileName().toString().startsWith(PREFIX))
                    .toList();
            for (Path folder : old) {
                run("rm", "-rf", folder.toString());
            }
        }
    }

    private static void run(String... command) throws IOException {
        int code =
                new ProcessBuilder(command).inheritIO().start().onExit().join().exitValue();
        if (code != 0) {
            throw new IOException(String.join(" ", command) + " ended with " + code);
        }
    }
}
