package lobrik.server.platform;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.DirectoryStream;
import java.nio.file.FileStore;
import java.nio.file.Files;
import java.nio.file.Path;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * Files that are needed for the length of one request, so that large things wait on the disk and not in memory. What a server
 * that was killed left behind is deleted by the next.
 */
@Component
public final class Scratch {

    private static final String SUFFIX = ".scratch";

    private final Path folder;

    Scratch(@Value("${lobrik.scratch:}") String folder) throws IOException {
        this.folder = folder.isBlank() ? temporary() : Files.createDirectories(Path.of(folder));
        try (DirectoryStream<Path> left = Files.newDirectoryStream(this.folder, "*" + SUFFIX)) {
            for (Path file : left) {
                Files.deleteIfExists(file);
            }
        }
    }

    private static Path temporary() throws IOException {
        Path folder = Files.createTempDirectory("lobrik-scratch-");
        folder.toFile().deleteOnExit();
        return folder;
    }

    /** The disk that it is on: that of the data. */
    public FileStore disk() throws IOException {
        return Files.getFileStore(folder);
    }

    /**
     * A new file.
     *
     * @throws TurnedDown if the disk is full
     */
    public Sheet sheet() {
        try {
            return new Sheet(Files.createTempFile(folder, "", SUFFIX));
        } catch (IOException e) {
            throw noRoom();
        }
    }

    private static TurnedDown noRoom() {
        return TurnedDown.unavailable("The server's disk is full; tell the centre lead, and try again later");
    }

    /** A file that is gone when it is closed. */
    public static final class Sheet implements AutoCloseable {

        private final Path path;

        private Sheet(Path path) {
            this.path = path;
        }

        /** Whatever writes to it fails with {@link TurnedDown} if the disk is full. */
        public OutputStream write() {
            try {
                return new Writing(Files.newOutputStream(path));
            } catch (IOException e) {
                throw noRoom();
            }
        }

        public InputStream read() throws IOException {
            return Files.newInputStream(path);
        }

        public Path path() {
            return path;
        }

        @Override
        public void close() {
            try {
                Files.deleteIfExists(path);
            } catch (IOException e) {
                // The next start deletes it.
            }
        }
    }

    /** Tells the two ends of a copy apart: that this one fails has another cause than that the other does. */
    private static final class Writing extends OutputStream {

        private final OutputStream file;

        Writing(OutputStream file) {
            this.file = file;
        }

        @Override
        public void write(int b) {
            write(new byte[] {(byte) b}, 0, 1);
        }

        @Override
        public void write(byte[] bytes, int from, int length) {
            try {
                file.write(bytes, from, length);
            } catch (IOException e) {
                throw noRoom();
            }
        }

        @Override
        public void close() {
            try {
                file.close();
            } catch (IOException e) {
                throw noRoom();
            }
        }
    }
}
