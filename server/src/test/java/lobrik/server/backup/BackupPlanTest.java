package lobrik.server.backup;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

/** When a backup is due, which are kept, and what a lead is warned of. */
class BackupPlanTest {

    private static final ZoneId HERE = ZoneId.of("Europe/Oslo");

    /** A Tuesday. */
    private static final LocalDate TODAY = LocalDate.of(2026, 12, 1);

    private static final Instant LONG_AGO = Instant.parse("2026-01-01T00:00:00Z");

    private static BackupPlan plan(Set<DayOfWeek> days, int keepDays, int keepMonths, Instant since) {
        return new BackupPlan("7f3a2c", days, LocalTime.of(12, 15), keepDays, keepMonths, 3, null, since);
    }

    private static Instant at(LocalDate day, int hour, int minute) {
        return day.atTime(hour, minute).atZone(HERE).toInstant();
    }

    private static BackupBook.Made made(Instant at, @Nullable String fault) {
        return new BackupBook.Made(at, 800, fault == null ? "file" : null, 1, false, fault, null);
    }

    @Test
    void due_isTheLastOfItsDays_andNothingBeforeItBegan() {
        BackupPlan plan = plan(Set.of(DayOfWeek.MONDAY, DayOfWeek.THURSDAY), 7, 12, LONG_AGO);
        LocalDate monday = TODAY.minusDays(1);
        assertThat(plan.dueBy(at(TODAY, 9, 0), HERE)).isEqualTo(at(monday, 12, 15));
        assertThat(plan.dueBy(at(monday, 12, 15), HERE)).isEqualTo(at(monday, 12, 15));
        assertThat(plan.dueBy(at(monday, 12, 14), HERE)).isEqualTo(at(monday.minusDays(4), 12, 15));
        assertThat(plan.next(at(monday, 12, 14), HERE)).isEqualTo(at(monday, 12, 15));
        assertThat(plan.next(at(monday, 12, 15), HERE)).isEqualTo(at(monday.plusDays(3), 12, 15));
        assertThat(plan(Set.of(DayOfWeek.MONDAY), 7, 12, at(monday, 13, 0)).dueBy(at(TODAY, 9, 0), HERE))
                .isNull();
        BackupPlan none = plan(Set.of(), 7, 12, LONG_AGO);
        assertThat(none.dueBy(at(TODAY, 9, 0), HERE)).isNull();
        assertThat(none.next(at(TODAY, 9, 0), HERE)).isNull();
    }

    /** At two in the night of the last Sunday of March there is no such time: it is made at three. */
    @Test
    void due_isThereOnce_whenClocksAreChanged() {
        BackupPlan plan =
                new BackupPlan("7f3a2c", Set.of(DayOfWeek.SUNDAY), LocalTime.of(2, 30), 7, 12, 3, null, LONG_AGO);
        LocalDate spring = LocalDate.of(2026, 3, 29);
        assertThat(plan.dueBy(at(spring, 12, 0), HERE)).isEqualTo(at(spring, 3, 30));
        LocalDate autumn = LocalDate.of(2026, 10, 25);
        assertThat(plan.dueBy(at(autumn, 12, 0), HERE)).isEqualTo(Instant.parse("2026-10-25T00:30:00Z"));
    }

    @Test
    void oneThatFailed_isTriedAgainAnHourLater_andOneThatIsGoodIsEnough() {
        BackupPlan plan =
                new BackupPlan("7f3a2c", Set.of(DayOfWeek.values()), LocalTime.MIDNIGHT, 7, 12, 3, null, LONG_AGO);
        Instant noon = TODAY.atTime(12, 0).atZone(ZoneId.systemDefault()).toInstant();
        BackupBook book = BackupBook.empty();
        assertThat(Backups.isDue(plan, book, noon)).isTrue();
        BackupBook failed = book.with(made(noon.minus(Duration.ofMinutes(20)), "no room"));
        assertThat(Backups.isDue(plan, failed, noon)).isFalse();
        assertThat(Backups.isDue(plan, failed, noon.plus(Duration.ofMinutes(41))))
                .isTrue();
        BackupBook good = book.with(made(noon.minus(Duration.ofHours(2)), null));
        assertThat(Backups.isDue(plan, good, noon)).isFalse();
        assertThat(Backups.isDue(plan, good, noon.plus(Duration.ofDays(1)))).isTrue();
    }

    @Test
    void kept_isTheLastOfEachDay_andOfEachMonth_andNeverNothing() {
        List<BackupName> all = new ArrayList<>(IntStream.range(0, 400)
                .mapToObj(back -> new BackupName("7f3a2c", TODAY.minusDays(back).atTime(12, 15)))
                .toList());
        BackupName twice = new BackupName("7f3a2c", TODAY.atTime(9, 0));
        all.add(twice);
        List<BackupName> superfluous = BackupName.superfluous(all, plan(Set.of(), 3, 4, LONG_AGO), TODAY);
        all.removeAll(superfluous);
        assertThat(superfluous).contains(twice);
        // Three days, of which the oldest is the last of November, too; and the last of October and September.
        assertThat(all.stream().map(BackupName::at).map(LocalDateTime::toLocalDate))
                .containsExactly(
                        TODAY,
                        TODAY.minusDays(1),
                        TODAY.minusDays(2),
                        LocalDate.of(2026, 10, 31),
                        LocalDate.of(2026, 9, 30));
        BackupName ancient = new BackupName("7f3a2c", LocalDateTime.of(2020, 2, 2, 2, 2));
        assertThat(BackupName.superfluous(List.of(ancient), plan(Set.of(), 1, 1, LONG_AGO), TODAY))
                .isEmpty();
        BackupName tomorrow = new BackupName("7f3a2c", TODAY.plusDays(1).atTime(0, 0));
        assertThat(BackupName.superfluous(List.of(tomorrow, twice), plan(Set.of(), 1, 1, LONG_AGO), TODAY))
                .isEmpty();
    }

    @Test
    void name_isReadAsItWasWritten_andNoOtherFileIsTakenForOne() {
        BackupName name = new BackupName("7f3a2c", LocalDateTime.of(2026, 12, 1, 12, 15, 7));
        assertThat(name.text()).isEqualTo("lobrik-7f3a2c-2026-12-01-121507.backup");
        assertThat(BackupName.of(Path.of("/a", name.text()), "7f3a2c")).contains(name);
        assertThat(BackupName.of(Path.of(name.text()), "7f3a2d")).isEmpty();
        assertThat(BackupName.of(Path.of(name.text() + ".partial"), "7f3a2c")).isEmpty();
        assertThat(BackupName.of(Path.of("lobrik-7f3a2c-summer.backup"), "7f3a2c"))
                .isEmpty();
    }

    @Test
    void archiveThatIsBehindForLong_isWarnedOf() {
        Instant now = at(TODAY, 12, 30);
        assertThat(ChangeArchive.warning(null, now)).isNull();
        assertThat(ChangeArchive.warning(new ChangeArchive.Archived("/a", LONG_AGO, false), now))
                .isNull();
        assertThat(ChangeArchive.warning(
                        new ChangeArchive.Archived("/a", now.minus(Duration.ofMinutes(14)), true), now))
                .isNull();
        assertThat(ChangeArchive.warning(
                        new ChangeArchive.Archived("/a", now.minus(Duration.ofMinutes(16)), true), now))
                .contains("do not reach the archive");
    }

    @Test
    void lead_isWarnedOfWhatIsOldOrFailed_andOfNothingElse() {
        Instant now = at(TODAY, 12, 30);
        BackupPlan plan = plan(Set.of(DayOfWeek.values()), 7, 12, now.minus(Duration.ofDays(2)));
        BackupBook none = BackupBook.empty();
        assertThat(BackupWarning.of(plan, none, now)).isNull();
        assertThat(BackupWarning.of(plan, none, now.plus(Duration.ofDays(1))))
                .isEqualTo("No backup was made in 3 days");
        BackupBook good = none.with(made(now, null));
        assertThat(BackupWarning.of(plan, good, now.plus(Duration.ofHours(71)))).isNull();
        assertThat(BackupWarning.of(plan, good, now.plus(Duration.ofDays(3))))
                .isEqualTo("The last good backup is 3 days old");
        assertThat(BackupWarning.of(plan, good.with(made(now, "no room")), now)).isEqualTo("The last backup failed");
        BackupBook.Made notThere = new BackupBook.Made(now, 800, "file", 1, false, null, "It is not mounted");
        assertThat(BackupWarning.of(plan, good.with(notThere), now))
                .isEqualTo("The last backup did not reach its second place");
        BackupBook.Rehearsed unfit = new BackupBook.Rehearsed(now, 9000, "file", 0, 0, List.of(), "damaged");
        assertThat(BackupWarning.of(plan, good.with(unfit), now))
                .isEqualTo("The last backup that was tried could not be restored");
    }
}
