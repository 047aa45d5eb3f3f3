package lobrik.server.backup;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import lobrik.server.platform.BeforeUpgrade;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** The last few records as they were before a newer build brought them up, in a folder of their own. */
@Component
class BackupBeforeUpgrade implements BeforeUpgrade {

    private static final Logger LOG = LoggerFactory.getLogger(BackupBeforeUpgrade.class);
    private static final int KEPT = 3;

    private final BackupOptions options;
    private final BackupSource source;
    private final Clock clock;

    BackupBeforeUpgrade(BackupOptions options, BackupSource source, Clock clock) {
        this.options = options;
        this.source = source;
        this.clock = clock;
    }

    @Override
    public @Nullable Path keep(String form) throws IOException {
        if (options.elsewhere()) {
            throw new IOException("this server joins others and makes none; start the one that does first");
        }
        Path backups = options.folder();
        if (backups == null || options.programs() == null) {
            return null;
        }
        BackupFolder folder = new BackupFolder(backups);
        folder.open();
        Path upgrades = Files.createDirectories(backups.resolve("upgrades"));
        BackupFolder.clearPartial(upgrades, "");
        Instant now = clock.instant();
        String at = BackupName.AT.format(LocalDateTime.ofInstant(now, ZoneId.systemDefault()));
        Path file = upgrades.resolve("lobrik-" + at + "-of-form-" + form + ".backup");
        LOG.info("Making a backup of the record of form {} before it is brought up", form);
        try {
            source.write(file, folder.passphrase(), now);
        } catch (SQLException e) {
            throw new IOException(e.getMessage(), e);
        }
        clear(upgrades);
        return file;
    }

    private static void clear(Path upgrades) throws IOException {
        List<Path> newestFirst;
        try (Stream<Path> files = Files.list(upgrades)) {
            newestFirst = files.sorted(Comparator.comparing(Path::getFileName).reversed())
                    .toList();
        }
        for (Path old : newestFirst.subList(Math.min(KEPT, newestFirst.size()), newestFirst.size())) {
            Files.delete(old);
        }
    }
}
