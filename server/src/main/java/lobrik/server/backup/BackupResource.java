package lobrik.server.backup;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.time.Clock;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import lobrik.server.account.SignedIn;
import lobrik.server.platform.Needs;
import lobrik.server.platform.Right;
import lobrik.server.platform.SchoolsHere;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Backups that this server makes by itself, for the lead of the school. */
@RestController
@Tag(name = "server")
class BackupResource {

    private static final DateTimeFormatter AT = DateTimeFormatter.ofPattern("HH:mm", Locale.ROOT);
    private static final int TOLD = 8;

    /**
     * When they are made and where they go.
     *
     * @param days in the order of a week; none if none are made by themselves
     * @param at of the day where the server stands, as 12:15
     * @param second a folder on another disk; null for none
     * @param secondOnItsOwnDisk whether that is on another disk than the data
     * @param sealed whether later ones are sealed by a passphrase
     */
    record PlanOfBackups(
            List<DayOfWeek> days,
            String at,
            int keepDays,
            int keepMonths,
            int warnAfterDays,
            @Nullable String second,
            boolean secondOnItsOwnDisk,
            boolean sealed) {}

    /**
     * One that was made, or could not be.
     *
     * @param bytes 0 if there is none
     * @param fault why there is none, in a sentence; null if it is good
     * @param atSecond whether it is at the second place, too; null if there is none
     * @param secondFault why it is not there; null if it is
     */
    record BackupMade(
            Instant at,
            long millis,
            long bytes,
            boolean sealed,
            @Nullable String fault,
            @Nullable Boolean atSecond,
            @Nullable String secondFault) {}

    /**
     * The last that was restored to be looked at, or could not be.
     *
     * @param of when that backup was made; null if nobody knows any more
     * @param schools as people know them
     * @param fault in a sentence; null if all was as it should be
     */
    record BackupRehearsed(
            Instant at,
            long millis,
            @Nullable Instant of,
            int tables,
            long rows,
            List<Contents.SchoolInside> schools,
            @Nullable String fault) {}

    /**
     * How it all stands.
     *
     * @param changeable whether the lead may change it here
     * @param whyNot if not, in a sentence
     * @param plan null if this server makes none by itself
     * @param warning what is wrong, in a sentence; null if nothing is
     * @param next when the next is made; null if none is
     * @param lastGood null if there never was one
     * @param made the last few, the newest first
     * @param rehearsed null if none ever was
     * @param files how many are kept
     * @param bytes of all of them
     * @param folder that they are in, on the machine that runs Lobrik
     * @param archive where every change goes besides; null if it does not
     */
    record BackupsView(
            boolean changeable,
            @Nullable String whyNot,
            @Nullable PlanOfBackups plan,
            @Nullable String warning,
            Backups.Doing doing,
            @Nullable Instant next,
            @Nullable BackupMade lastGood,
            List<BackupMade> made,
            @Nullable BackupRehearsed rehearsed,
            int files,
            long bytes,
            @Nullable String folder,
            ChangeArchive.@Nullable Archived archive) {}

    private final Backups backups;
    private final BackupsByTheLead byTheLead;
    private final BackupsAtAGlance glance;
    private final ChangeArchive archive;
    private final SchoolsHere schools;
    private final Clock clock;

    BackupResource(
            Backups backups,
            BackupsByTheLead byTheLead,
            BackupsAtAGlance glance,
            ChangeArchive archive,
            SchoolsHere schools,
            Clock clock) {
        this.backups = backups;
        this.byTheLead = byTheLead;
        this.glance = glance;
        this.archive = archive;
        this.schools = schools;
        this.clock = clock;
    }

    @Operation(
            summary =
                    "Backups that are made by themselves: when, what became of the last, and whether one was restored to be looked at")
    @Needs(Right.LEAD)
    @GetMapping("/api/backups")
    BackupsView backups() {
        String whyNot = byTheLead.whyNot();
        if (!backups.isPossible()) {
            return new BackupsView(
                    false, whyNot, null, null, Backups.Doing.NOTHING, null, null, List.of(), null, 0, 0, null, null);
        }
        Backups.Stand stand = backups.stand();
        BackupPlan plan = stand.plan();
        BackupBook book = stand.book();
        Instant now = clock.instant();
        BackupPlan.SecondPlace second = plan.second();
        BackupBook.Made good = book.lastGood();
        return new BackupsView(
                whyNot == null,
                whyNot,
                new PlanOfBackups(
                        plan.days().stream().sorted().toList(),
                        AT.format(plan.at()),
                        plan.keepDays(),
                        plan.keepMonths(),
                        plan.warnAfterDays(),
                        second == null ? null : second.folder(),
                        second != null && second.onItsOwnDisk(),
                        stand.sealed()),
                glance.warning(),
                stand.doing(),
                plan.next(now, ZoneId.systemDefault()),
                good == null ? null : view(good),
                book.made().stream().limit(TOLD).map(BackupResource::view).toList(),
                book.rehearsed().isEmpty() ? null : view(book.rehearsed().getFirst(), book),
                stand.files(),
                stand.bytes(),
                stand.folder().toString(),
                archive.stand());
    }

    private static BackupMade view(BackupBook.Made made) {
        String second = made.second();
        return new BackupMade(
                made.at(),
                made.millis(),
                made.bytes(),
                made.sealed(),
                made.fault(),
                second == null ? null : second.isEmpty(),
                second == null || second.isEmpty() ? null : second);
    }

    /** Of other schools on the same server a lead is told nothing. */
    private BackupRehearsed view(BackupBook.Rehearsed rehearsed, BackupBook book) {
        return new BackupRehearsed(
                rehearsed.at(),
                rehearsed.millis(),
                book.made().stream()
                        .filter(made -> rehearsed.file().equals(made.file()))
                        .map(BackupBook.Made::at)
                        .findFirst()
                        .orElse(null),
                rehearsed.tables(),
                rehearsed.rows(),
                schools.areSeveral() ? List.of() : rehearsed.schools(),
                rehearsed.fault());
    }

    @Operation(summary = "Say when backups are made by themselves, where they go besides, and how long they are kept")
    @Needs(Right.LEAD)
    @PutMapping("/api/backups")
    BackupsView plan(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @RequestBody BackupsByTheLead.BackupWishes wishes) {
        byTheLead.change(who, wishes);
        return backups();
    }

    @Operation(summary = "Have a backup made now")
    @Needs(Right.LEAD)
    @PostMapping("/api/backups")
    BackupsView make(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who) {
        byTheLead.makeNow(who);
        return backups();
    }

    @Operation(summary = "Have the last good backup restored to be looked at, on a database that is thrown away")
    @Needs(Right.LEAD)
    @PostMapping("/api/backups/rehearsal")
    BackupsView rehearse() {
        byTheLead.rehearseNow();
        return backups();
    }
}
