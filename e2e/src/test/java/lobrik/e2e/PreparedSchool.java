package lobrik.e2e;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.FileTime;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Duration;
import java.time.Instant;
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
    private static final Duration LONGEST_RUN = Duration.ofHours(1);
    private static final String PREFIX = "lobrik-prepared-";

    private PreparedSchool() {}

    /** A new copy, for one instance. */
    static Path copy() throws IOException {
        Path school = made();
        alone(() -> {
            if (!Files.exists(school.resolve("done"))) {
                // The first start of a build makes its start cache too.
                try (Launched first = Launched.startNew(school.resolve("data"))) {
                    // Else every copy would work out for itself what follows from hundreds of pieces.
                    first.awaitFollowedUp();
                }
                Files.createFile(school.resolve("done"));
            }
        });
        Path copy = Launched.newFolder();
        Commands.mustRun("cp", "-a", school.resolve("data").toString(), copy.toString());
        return copy;
    }

    /** The application that was just built, unpacked. */
    static Path application() throws IOException {
        return made().resolve("application");
    }

    /**
     * Made by whoever comes first; the others wait. The school's days count from today, so it lasts for a day; a run that goes on past
     * midnight goes on with the one that it began with.
     */
    private static Path made() throws IOException {
        LocalDate today = LocalDate.now(ZoneId.systemDefault());
        Path ofBefore = of(today.minusDays(1));
        Path school = isInUse(ofBefore) ? ofBefore : of(today);
        if (!Files.exists(school.resolve("application"))) {
            alone(() -> {
                if (!Files.exists(school.resolve("application"))) {
                    discardAll();
                    Files.createDirectory(school);
                    Files.setPosixFilePermissions(school, PosixFilePermissions.fromString("rwxr-xr-x"));
                    unpack(school.resolve("unpacking"));
                    Files.move(school.resolve("unpacking"), school.resolve("application"));
                }
            });
        }
        return school;
    }

    private static Path of(LocalDate day) throws IOException {
        return FOLDERS.resolve(PREFIX + built() + "-" + day);
    }

    private static boolean isInUse(Path school) throws IOException {
        return Files.exists(school)
                && Files.getLastModifiedTime(school)
                        .toInstant()
                        .isAfter(Instant.now().minus(LONGEST_RUN));
    }

    private static void unpack(Path to) throws IOException {
        Commands.mustRun(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-Djarmode=tools",
                "-jar",
                Launched.JAR.toString(),
                "extract",
                "--destination",
                to.toString());
    }

    /** What only one test process of this machine does at a time. */
    private interface Work {
        void run() throws IOException;
    }

    private static void alone(Work work) throws IOException {
        try (FileChannel lock = FileChannel.open(
                FOLDERS.resolve("lobrik-prepared.lock"), StandardOpenOption.CREATE, StandardOpenOption.WRITE)) {
            // Let go with its channel.
            lock.lock();
            work.run();
        }
    }

    /** When the jar was written; what it says itself of that is the same for every build. */
    private static long built() throws IOException {
        return ((FileTime) Files.getAttribute(Launched.JAR, "unix:ctime")).toMillis();
    }

    private static void discardAll() throws IOException {
        try (Stream<Path> folders = Files.list(FOLDERS)) {
            List<Path> old = folders.filter(folder -> Files.isDirectory(folder)
                            && folder.getFileName().toString().startsWith(PREFIX))
                    .toList();
            for (Path folder : old) {
                Commands.mustRun("rm", "-rf", folder.toString());
            }
        }
    }
}
