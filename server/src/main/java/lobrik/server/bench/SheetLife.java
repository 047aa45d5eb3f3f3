package lobrik.server.bench;

import java.time.Clock;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import lobrik.server.attempt.Measured;
import lobrik.server.cohort.Cohorts;
import lobrik.server.giving.Assignments;
import lobrik.server.giving.Givings.Sheet;
import lobrik.server.platform.Days;
import lobrik.server.platform.TurnedDown;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * How long the code on a sheet opens it: so many days, as the school chose, after its session. That is the last day on which it
 * was given, due or worked at, so that an instructor who goes on with a piece brings its sheet back to life.
 */
@Component
final class SheetLife {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM", Locale.ENGLISH);

    private final Assignments assignments;
    private final Cohorts cohorts;
    private final Clock clock;

    SheetLife(Assignments assignments, Cohorts cohorts, Clock clock) {
        this.assignments = assignments;
        this.cohorts = cohorts;
        this.clock = clock;
    }

    /**
     * Lets a code pass that has not ended.
     *
     * @param last the last piece at it, if there is one
     * @throws TurnedDown if it has ended
     */
    void require(Sheet sheet, @Nullable Measured last) {
        int days = cohorts.centreOf(sheet.trainee().cohortId()).sheetDays();
        LocalDate end = session(sheet, last).plusDays(days);
        if (Days.today(clock).isAfter(end)) {
            throw TurnedDown.conflict(
                    "sheet-ended",
                    "The code of this sheet worked until " + DAY.format(end)
                            + "; ask your instructor, who can go on with it");
        }
    }

    private LocalDate session(Sheet sheet, @Nullable Measured last) {
        Stream<LocalDate> days = Stream.concat(
                Stream.ofNullable(assignments.terms(sheet.assignment()).dueOn()),
                Stream.concat(
                                Stream.of(sheet.assignment().givenAt()),
                                Optional.ofNullable(last).map(Measured::workedAt).stream())
                        .map(Days::of));
        return days.max(LocalDate::compareTo).orElseThrow();
    }
}
