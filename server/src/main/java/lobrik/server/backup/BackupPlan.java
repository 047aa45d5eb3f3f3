package lobrik.server.backup;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.EnumSet;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * When backups are made by themselves, where they go besides, and how long they are kept. Of this server's folder, not of the record:
 * a copy of the record that is started elsewhere must not clear away the backups of the one that it was taken from.
 *
 * @param installation tells these backups from those of another server in the same second place: 6 small hexadecimal figures
 * @param days none for no backups by themselves
 * @param at of the day, where the server stands
 * @param keepDays so many days back the last of each day is kept
 * @param keepMonths so many months back the last of each month is kept
 * @param warnAfterDays when the last good one is older, the lead is warned
 * @param second a folder on another disk; null for none
 * @param since from when it holds: what was due before is not made up for
 */
record BackupPlan(
        String installation,
        Set<DayOfWeek> days,
        LocalTime at,
        int keepDays,
        int keepMonths,
        int warnAfterDays,
        @Nullable SecondPlace second,
        Instant since) {

    static final int MOST_DAYS = 90;
    static final int MOST_MONTHS = 120;
    static final int MOST_WARN_DAYS = 60;

    private static final int DAYS_OF_A_WEEK = 7;
    private static final LocalTime AT_FIRST = LocalTime.of(12, 15);
    private static final int KEEP_DAYS_AT_FIRST = 7;
    private static final int KEEP_MONTHS_AT_FIRST = 12;
    private static final int WARN_AT_FIRST = 3;

    /**
     * A folder that copies go to.
     *
     * @param onItsOwnDisk as it was when it was chosen: if it is on the disk of the data later, what was mounted there no longer is
     */
    record SecondPlace(String folder, boolean onItsOwnDisk) {}

    BackupPlan {
        days = days.isEmpty() ? Set.of() : Set.copyOf(EnumSet.copyOf(days));
    }

    /** At noon of each day, when a school's machine is on and its benches are not: what a school has that never chose. */
    static BackupPlan atFirst(String installation, Instant now) {
        return new BackupPlan(
                installation,
                EnumSet.allOf(DayOfWeek.class),
                AT_FIRST,
                KEEP_DAYS_AT_FIRST,
                KEEP_MONTHS_AT_FIRST,
                WARN_AT_FIRST,
                null,
                now);
    }

    /** The last moment, not after this one, at which a backup was to be made; null before the first. */
    @Nullable
    Instant dueBy(Instant now, ZoneId zone) {
        LocalDate today = LocalDate.ofInstant(now, zone);
        for (int back = 0; back <= DAYS_OF_A_WEEK; back++) {
            LocalDate day = today.minusDays(back);
            if (days.contains(day.getDayOfWeek())) {
                Instant due = day.atTime(at).atZone(zone).toInstant();
                if (!due.isAfter(now)) {
                    return due.isBefore(since) ? null : due;
                }
            }
        }
        return null;
    }

    /** The next moment at which one is to be made; null if none is. */
    @Nullable
    Instant next(Instant now, ZoneId zone) {
        LocalDate today = LocalDate.ofInstant(now, zone);
        for (int ahead = 0; ahead <= DAYS_OF_A_WEEK; ahead++) {
            LocalDate day = today.plusDays(ahead);
            Instant due = day.atTime(at).atZone(zone).toInstant();
            if (days.contains(day.getDayOfWeek()) && due.isAfter(now)) {
                return due;
            }
        }
        return null;
    }
}
