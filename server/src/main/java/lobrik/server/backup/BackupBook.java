package lobrik.server.backup;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What became of backups and rehearsals, the newest first.
 *
 * @param made the last {@value #KEPT}
 * @param rehearsed the last {@value #KEPT}
 */
record BackupBook(List<Made> made, List<Rehearsed> rehearsed) {

    static final int KEPT = 60;

    /**
     * One that was made, or could not be.
     *
     * @param file its name; null if there is none
     * @param bytes 0 if there is none
     * @param sealed whether by a passphrase
     * @param fault why there is none, in a sentence; null if it is good
     * @param second how it went with the second place: null without one, "" if it is there too, else why not
     */
    record Made(
            Instant at,
            long millis,
            @Nullable String file,
            long bytes,
            boolean sealed,
            @Nullable String fault,
            @Nullable String second) {

        boolean isGood() {
            return fault == null;
        }
    }

    /**
     * One that was restored to be looked at, or could not be.
     *
     * @param file that it was
     * @param tables that were counted and compared
     * @param rows in all of them
     * @param schools as people know them, with what is of each
     * @param fault what was not as it should be, in a sentence; null if all was
     */
    record Rehearsed(
            Instant at,
            long millis,
            String file,
            int tables,
            long rows,
            List<Contents.SchoolInside> schools,
            @Nullable String fault) {

        Rehearsed {
            schools = List.copyOf(schools);
        }
    }

    BackupBook {
        made = List.copyOf(made);
        rehearsed = List.copyOf(rehearsed);
    }

    static BackupBook empty() {
        return new BackupBook(List.of(), List.of());
    }

    BackupBook with(Made one) {
        return new BackupBook(first(one, made), rehearsed);
    }

    BackupBook with(Rehearsed one) {
        return new BackupBook(made, first(one, rehearsed));
    }

    /** The last good one; null if there never was one. */
    @Nullable
    Made lastGood() {
        return made.stream().filter(Made::isGood).findFirst().orElse(null);
    }

    private static <T> List<T> first(T one, List<T> before) {
        List<T> all = new ArrayList<>(List.of(one));
        all.addAll(before.subList(0, Math.min(before.size(), KEPT - 1)));
        return all;
    }
}
