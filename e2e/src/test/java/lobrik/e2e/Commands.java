package lobrik.e2e;

import java.io.IOException;

/** Programs of the machine that tests run to their end. */
final class Commands {

    private Commands() {}

    /** Runs one; gives how it ended. */
    static int run(String... command) throws IOException {
        return new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .start()
                .onExit()
                .join()
                .exitValue();
    }

    /** Runs one that must succeed. */
    static void mustRun(String... command) throws IOException {
        int code = run(command);
        if (code != 0) {
            throw new IOException(String.join(" ", command) + " ended with " + code);
        }
    }
}
