package lobrik.server.backup;

import jakarta.persistence.EntityManager;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** How the database fares with putting every change at another place, where whoever runs it asked for that. */
@Component
class ChangeArchive {

    /** A disk that is away for a moment is nobody's trouble; what waits for it longer fills the disk of the data. */
    private static final Duration PATIENCE = Duration.ofMinutes(15);

    /**
     * How it stands.
     *
     * @param folder on the machine that runs the database
     * @param last when something arrived there last; null if nothing did yet
     * @param failing whether the last that was to go there did not arrive
     */
    record Archived(String folder, @Nullable Instant last, boolean failing) {}

    private final BackupOptions options;
    private final EntityManager entities;

    ChangeArchive(BackupOptions options, EntityManager entities) {
        this.options = options;
        this.entities = entities;
    }

    /** Null where there is none. */
    @Transactional(readOnly = true)
    public @Nullable Archived stand() {
        Path folder = options.archive();
        if (folder == null) {
            return null;
        }
        Object[] found = (Object[]) entities.createNativeQuery(
                        "select last_archived_time, coalesce(last_failed_time > coalesce(last_archived_time, '-infinity'), false)"
                                + " from pg_stat_archiver",
                        Object[].class)
                .getSingleResult();
        return new Archived(folder.toString(), (Instant) found[0], (Boolean) found[1]);
    }

    /** In one sentence; null if all is well. */
    static @Nullable String warning(@Nullable Archived archived, Instant now) {
        return archived != null
                        && archived.failing()
                        && (archived.last() == null || archived.last().isBefore(now.minus(PATIENCE)))
                ? "Changes do not reach the archive, and fill the disk of the data meanwhile"
                : null;
    }
}
