package lobrik.server.backup;

import java.nio.file.Path;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.YearMonth;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/**
 * The name of a backup that was made by itself, which says of which installation it is and when it was made.
 *
 * @param at where the server stands, to the second
 */
record BackupName(String installation, LocalDateTime at) {

    private static final String BEFORE = "lobrik-";
    private static final String AFTER = ".backup";
    /** When, as it stands in names. */
    static final DateTimeFormatter AT = DateTimeFormatter.ofPattern("uuuu-MM-dd-HHmmss", Locale.ROOT);

    String text() {
        return BEFORE + installation + "-" + AT.format(at) + AFTER;
    }

    /** What a file is, if it is one of this installation's. */
    static Optional<BackupName> of(Path file, String installation) {
        String name = String.valueOf(file.getFileName());
        String before = BEFORE + installation + "-";
        if (!name.startsWith(before) || !name.endsWith(AFTER)) {
            return Optional.empty();
        }
        try {
            String at = name.substring(before.length(), name.length() - AFTER.length());
            return Optional.of(new BackupName(installation, LocalDateTime.parse(at, AT)));
        } catch (DateTimeParseException another) {
            return Optional.empty();
        }
    }

    /**
     * Those that the plan no longer keeps: all but the last one, the last of each of the last days and the last of each of the last
     * months. What seems to be of a day to come, since a clock was wrong, is kept.
     */
    static List<BackupName> superfluous(Collection<BackupName> all, BackupPlan plan, LocalDate today) {
        List<BackupName> newestFirst = all.stream()
                .sorted(Comparator.comparing(BackupName::at).reversed())
                .toList();
        Set<BackupName> kept = new HashSet<>();
        newestFirst.stream().findFirst().ifPresent(kept::add);
        LocalDate oldestDay = today.minusDays(plan.keepDays() - 1L);
        lastOfEach(newestFirst, name -> name.at().toLocalDate(), oldestDay, kept);
        YearMonth oldestMonth = YearMonth.from(today).minusMonths(plan.keepMonths() - 1L);
        lastOfEach(newestFirst, name -> YearMonth.from(name.at()), oldestMonth, kept);
        return newestFirst.stream().filter(name -> !kept.contains(name)).toList();
    }

    private static <T extends Comparable<? super T>> void lastOfEach(
            List<BackupName> newestFirst, Function<BackupName, T> span, T oldest, Set<BackupName> kept) {
        Set<T> seen = new HashSet<>();
        for (BackupName name : newestFirst) {
            T of = span.apply(name);
            if (of.compareTo(oldest) >= 0 && seen.add(of)) {
                kept.add(name);
            }
        }
    }
}
