package lobrik.e2e;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

/**
 * A folder on a disk of its own that is soon full. Where disks may not be mounted it is a folder like any other, and can not be
 * filled.
 */
record SmallDisk(Path place, boolean mounted) implements AutoCloseable {

    private static final int SIZE_MB = 900;

    static SmallDisk make() throws IOException {
        Path place = Files.createTempDirectory("lobrik-small-disk-");
        boolean mounted =
                Commands.run("mount", "-t", "tmpfs", "-o", "size=" + SIZE_MB + "m,mode=755", "tmpfs", place.toString())
                        == 0;
        if (!mounted) {
            Commands.run("chmod", "755", place.toString());
        }
        return new SmallDisk(place, mounted);
    }

    /** A demo school on it, as it is after its first start. */
    Path school() throws IOException {
        Path data = place.resolve("data");
        Commands.mustRun("cp", "-a", PreparedSchool.copy().toString(), data.toString());
        return data;
    }

    /** Takes all the room that is left. */
    void fill() throws IOException {
        Commands.run("dd", "if=/dev/zero", "of=" + ballast(), "bs=1M");
    }

    /** Gives the room back. */
    void clear() throws IOException {
        Files.delete(ballast());
    }

    private Path ballast() {
        return place.resolve("ballast");
    }

    @Override
    public void close() throws IOException {
        if (mounted) {
            Commands.run("umount", "-l", place.toString());
        }
    }
}
