package lobrik.server.backup;

import java.io.IOException;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Instant;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.properties.EnableConfigurationProperties;
import org.springframework.core.env.Environment;
import org.springframework.stereotype.Component;

/** What a running server makes backups of: its own record, read as its owner, and what a restored folder begins with. */
@Component
@EnableConfigurationProperties(BackupOptions.class)
class BackupSource {

    private final BackupOptions options;
    private final Environment environment;
    private final String url;
    private final String password;

    BackupSource(
            BackupOptions options,
            Environment environment,
            @Value("${spring.datasource.url}") String url,
            @Value("${spring.flyway.password}") String password) {
        this.options = options;
        this.environment = environment;
        this.url = url;
        this.password = password;
    }

    /** Writes one to a file that is not there yet. */
    Contents write(Path file, char @Nullable [] passphrase, Instant now) throws IOException, SQLException {
        Path programs = Objects.requireNonNull(options.programs(), "the database's own programs");
        Path network = Objects.requireNonNullElseGet(options.network(), () -> Path.of(""));
        Map<String, String> settings = new TreeMap<>();
        for (String name : BackupCommand.SETTINGS) {
            String value = environment.getProperty(name);
            if (value != null) {
                settings.put(name, value);
            }
        }
        PostgresLogin login = new PostgresLogin(programs, url, password);
        try (Connection database = login.connect()) {
            return BackupWriter.write(
                    new BackupWriter.Source(database, login, network, settings), file, passphrase, now);
        }
    }
}
