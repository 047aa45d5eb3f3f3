package lobrik.server.backup;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Collectors;

/** A program of the database's own while it runs; with its end what it complained of is deleted. */
final class DatabaseProgram implements AutoCloseable {

    private static final int LINES_SAID = 3;

    private final String name;
    private final Process process;
    private final Path complaints;

    DatabaseProgram(String name, Process process, Path complaints) {
        this.name = name;
        this.process = process;
        this.complaints = complaints;
    }

    /** What it writes. */
    InputStream out() {
        return process.getInputStream();
    }

    /** What it reads. */
    OutputStream in() {
        return process.getOutputStream();
    }

    /**
     * Waits for its end.
     *
     * @throws IOException with what it said, if it was not a good one
     */
    void requireGoodEnd() throws IOException {
        int code = process.onExit().join().exitValue();
        if (code != 0) {
            String said = Files.readString(complaints, StandardCharsets.UTF_8)
                    .lines()
                    .limit(LINES_SAID)
                    .collect(Collectors.joining(" "));
            throw new IOException(name + " ended with " + code + ": " + said);
        }
    }

    @Override
    public void close() throws IOException {
        process.destroy();
        Files.deleteIfExists(complaints);
    }
}
