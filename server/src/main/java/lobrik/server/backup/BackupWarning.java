package lobrik.server.backup;

import java.time.Duration;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** What a lead is warned of: a school without a backup that is good and new enough does not know it until it needs one. */
final class BackupWarning {

    private BackupWarning() {}

    /** In one sentence; null if all is well. */
    static @Nullable String of(BackupPlan plan, BackupBook book, Instant now) {
        BackupBook.Made good = book.lastGood();
        Instant last = good == null ? plan.since() : good.at();
        long days = Duration.between(last, now).toDays();
        if (days >= plan.warnAfterDays()) {
            return good == null
                    ? "No backup was made in " + days + " days"
                    : "The last good backup is " + days + " days old";
        }
        if (!book.rehearsed().isEmpty() && book.rehearsed().getFirst().fault() != null) {
            return "The last backup that was tried could not be restored";
        }
        if (!book.made().isEmpty() && book.made().getFirst().fault() != null) {
            return "The last backup failed";
        }
        return good != null && good.second() != null && !good.second().isEmpty()
                ? "The last backup did not reach its second place"
                : null;
    }
}
