package lobrik.server.backup;

import java.io.IOException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * A program for the launcher: {@code write FILE NETWORK}, {@code check FILE} or {@code bring FILE FOLDER}. Passwords, passphrase and
 * settings come by the environment. Ends with 1 and one sentence where something is wrong.
 */
public final class BackupCommand {

    /** Settings that a restored folder begins with: what accounts of the first day are told, and whose school it is. */
    static final List<String> SETTINGS = List.of("lobrik.first-password", "lobrik.demo");

    private enum Task {
        WRITE,
        CHECK,
        BRING
    }

    private BackupCommand() {}

    public static void main(String[] arguments) {
        try {
            Path file = Path.of(arguments[1]);
            switch (Task.valueOf(arguments[0].toUpperCase(Locale.ROOT))) {
                case WRITE -> tell("Written to " + file, write(file, Path.of(arguments[2])), file);
                case CHECK -> tell(file + " is whole", BackupReader.check(file, passphrase()), file);
                case BRING -> bring(file, Path.of(arguments[2]));
            }
        } catch (FileAlreadyExistsException e) {
            end("there is a file " + e.getFile() + " already; give another name, or move it away");
        } catch (NoSuchFileException e) {
            end("there is no file or folder " + e.getFile());
        } catch (IOException | SQLException e) {
            end(String.valueOf(e.getMessage()));
        }
    }

    private static void end(String why) {
        System.err.println(why);
        System.exit(1);
    }

    private static Contents write(Path file, Path network) throws IOException, SQLException {
        PostgresLogin login = PostgresLogin.ofEnvironment();
        Map<String, String> settings = Arrays.stream(
                        System.getenv().getOrDefault("LOBRIK_SETTINGS", "").split("\n"))
                .map(line -> line.split("=", 2))
                .filter(parts -> parts.length == 2 && SETTINGS.contains(parts[0]))
                .collect(Collectors.toMap(parts -> parts[0], parts -> parts[1]));
        try (Connection database = login.connect()) {
            return BackupWriter.write(
                    new BackupWriter.Source(database, login, network, settings),
                    file.toAbsolutePath(),
                    passphrase(),
                    Clock.systemUTC().instant());
        }
    }

    /** Beside the certificates, the settings are left for the launcher. */
    private static void bring(Path file, Path folder) throws IOException, SQLException {
        Contents contents = Restore.bring(file, passphrase(), PostgresLogin.ofEnvironment(), folder);
        Files.write(
                folder.resolve("settings"),
                contents.settings().entrySet().stream()
                        .filter(setting -> SETTINGS.contains(setting.getKey()))
                        .map(setting -> setting.getKey() + "=" + setting.getValue())
                        .toList());
        tell("Restored from " + file, contents, file);
    }

    private static char @Nullable [] passphrase() {
        String said = System.getenv("LOBRIK_PASSPHRASE");
        return said == null || said.isEmpty() ? null : said.toCharArray();
    }

    private static void tell(String what, Contents contents, Path file) throws IOException {
        System.out.println(what + ": " + megabytes(Files.size(file)) + ", made "
                + contents.madeAt().truncatedTo(ChronoUnit.SECONDS) + ", record of form " + contents.recordForm()
                + ", PostgreSQL " + contents.postgres());
        contents.schools().stream().map(BackupCommand::line).forEach(System.out::println);
    }

    private static String line(Contents.SchoolInside school) {
        return String.format(
                Locale.ROOT,
                "  %s: %d trainees, %d pieces, %d readings",
                school.name(),
                school.trainees(),
                school.pieces(),
                school.readings());
    }

    private static String megabytes(long bytes) {
        return String.format(Locale.ROOT, "%.1f MB", bytes / 1e6);
    }
}
