package lobrik.server.backup;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** A program of the database's own while it runs; with its end what it complained of is deleted. */
final class DatabaseProgram implements AutoCloseable {

    private static final int LINES_SAID = 3;
    private static final List<String> GIVING_WAY = List.of("nice", "-n", "10");

    private final String name;
    private final Process process;
    private final Path complaints;

    DatabaseProgram(String name, Process process, Path complaints) {
        this.name = name;
        this.process = process;
        this.complaints = complaints;
    }

    /**
     * Runs one to its end.
     *
     * @throws IOException with what it said, if that was not a good one
     */
    static void run(Path programs, String program, List<String> options) throws IOException {
        try (DatabaseProgram one = start(programs, program, options, Map.of(), ProcessBuilder.Redirect.DISCARD)) {
            one.requireGoodEnd();
        }
    }

    /** Starts one, which gives way to whatever people wait for. */
    static DatabaseProgram start(
            Path programs,
            String program,
            List<String> options,
            Map<String, String> environment,
            ProcessBuilder.Redirect out)
            throws IOException {
        List<String> command = new ArrayList<>(GIVING_WAY);
        command.add(programs.resolve(program).toString());
        command.addAll(options);
        Path complaints = Files.createTempFile("lobrik", ".said");
        ProcessBuilder builder =
                new ProcessBuilder(command).redirectError(complaints.toFile()).redirectOutput(out);
        builder.environment().putAll(environment);
        return new DatabaseProgram(program, builder.start(), complaints);
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
