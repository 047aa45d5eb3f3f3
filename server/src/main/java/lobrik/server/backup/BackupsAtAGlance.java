package lobrik.server.backup;

import java.time.Clock;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What others need to know of the backups of this server. */
@Component
public class BackupsAtAGlance {

    private final Backups backups;
    private final ChangeArchive archive;
    private final Clock clock;
    private final boolean elsewhere;

    BackupsAtAGlance(Backups backups, BackupOptions options, ChangeArchive archive, Clock clock) {
        this.elsewhere = options.elsewhere();
        this.backups = backups;
        this.archive = archive;
        this.clock = clock;
    }

    /** What is not well with them, in a sentence; null if nothing is, or none are made. */
    public @Nullable String warning() {
        if (!backups.isPossible()) {
            return null;
        }
        Instant now = clock.instant();
        String behind = ChangeArchive.warning(archive.stand(), now);
        Backups.Stand stand = backups.stand();
        return behind != null ? behind : BackupWarning.of(stand.plan(), stand.book(), now);
    }

    /** Whether another server of the same record makes them. */
    public boolean areElsewhere() {
        return elsewhere;
    }

    /** When the last good one was made; null if there never was one, or none are made. */
    public @Nullable Instant lastGoodAt() {
        BackupBook.Made good = backups.isPossible() ? backups.stand().book().lastGood() : null;
        return good == null ? null : good.at();
    }
}
