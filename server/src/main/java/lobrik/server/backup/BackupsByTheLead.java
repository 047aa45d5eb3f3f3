package lobrik.server.backup;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalTime;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import lobrik.server.account.Audit;
import lobrik.server.account.SignedIn;
import lobrik.server.platform.InputError;
import lobrik.server.platform.SchoolsHere;
import lobrik.server.platform.TurnedDown;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What the lead of a school may do about backups: all, where it is the only school there. */
@Service
class BackupsByTheLead {

    private static final int LEAST_PASSPHRASE = 12;
    private static final int MOST_PASSPHRASE = 200;

    /**
     * What a lead wants.
     *
     * @param days on which they are made; none for none by themselves
     * @param at of the day, as 12:15
     * @param second a folder on the machine that runs Lobrik; null for none
     * @param passphrase by which later ones are sealed; "" for none; null to leave that as it is
     */
    record BackupWishes(
            @Nullable Set<DayOfWeek> days,
            @Nullable String at,
            @Nullable Integer keepDays,
            @Nullable Integer keepMonths,
            @Nullable Integer warnAfterDays,
            @Nullable String second,
            @Nullable String passphrase) {}

    private final Backups backups;
    private final SchoolsHere schools;
    private final Audit audit;
    private final Clock clock;
    private final boolean elsewhere;

    BackupsByTheLead(Backups backups, BackupOptions options, SchoolsHere schools, Audit audit, Clock clock) {
        this.elsewhere = options.elsewhere();
        this.backups = backups;
        this.schools = schools;
        this.audit = audit;
        this.clock = clock;
    }

    /** Why it is not for the lead to say; null if it is. */
    @Nullable
    String whyNot() {
        if (!backups.isPossible()) {
            return elsewhere
                    ? "Another server of this school makes its backups; whoever runs them gives all of them the same folder (./lobrik start --backups)"
                    : "This server makes no backups by itself; whoever runs it starts it with ./lobrik start";
        }
        return schools.areSeveral()
                ? "Several schools share this server; whoever runs it looks after its backups"
                : null;
    }

    /**
     * Takes what the lead wants into use.
     *
     * @throws TurnedDown if it is not for the lead to say, or something of it cannot be
     */
    @Transactional
    public void change(SignedIn who, BackupWishes wishes) {
        require();
        BackupPlan before = backups.stand().plan();
        List<InputError> errors = new ArrayList<>();
        String second = wishes.second() == null ? "" : wishes.second().strip();
        String unfit = second.isEmpty() ? null : backups.wrongWith(second);
        if (unfit != null) {
            errors.add(new InputError("/second", "unfit-folder", unfit));
        }
        String passphrase = wishes.passphrase();
        if (passphrase != null
                && !passphrase.isEmpty()
                && (passphrase.strip().length() < LEAST_PASSPHRASE || passphrase.length() > MOST_PASSPHRASE)) {
            errors.add(new InputError(
                    "/passphrase",
                    "unfit-passphrase",
                    "A passphrase has " + LEAST_PASSPHRASE + " to " + MOST_PASSPHRASE
                            + " characters: four words that nobody would put together are good"));
        }
        Set<DayOfWeek> days = TurnedDown.required("/days", wishes.days());
        LocalTime at = time(TurnedDown.required("/at", wishes.at()), errors);
        // By other days nothing is due of before they were chosen; the rest changes nothing of what is due.
        Instant since = days.equals(before.days()) && at.equals(before.at()) ? before.since() : clock.instant();
        BackupPlan plan = new BackupPlan(
                before.installation(),
                days,
                at,
                within("/keepDays", "days", wishes.keepDays(), BackupPlan.MOST_DAYS, errors),
                within("/keepMonths", "months", wishes.keepMonths(), BackupPlan.MOST_MONTHS, errors),
                within("/warnAfterDays", "days", wishes.warnAfterDays(), BackupPlan.MOST_WARN_DAYS, errors),
                second.isEmpty() || unfit != null ? null : backups.secondPlace(second),
                since);
        if (!errors.isEmpty()) {
            throw TurnedDown.badInputs(errors);
        }
        List<Audit.Change> changes = changes(before, plan, passphrase);
        try {
            backups.use(plan, passphrase == null ? null : passphrase.strip());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        audit.changed(who, new Audit.Subject(Audit.Kind.SCHOOL, who.centreId(), "Backups"), changes, null);
    }

    private static List<Audit.Change> changes(BackupPlan before, BackupPlan after, @Nullable String passphrase) {
        List<Audit.Change> changes = new ArrayList<>(List.of(
                Audit.Change.of("made on", words(before), words(after)),
                Audit.Change.of("kept for", kept(before), kept(after)),
                Audit.Change.of("second place", place(before), place(after)),
                Audit.Change.of("warns after", before.warnAfterDays() + " days", after.warnAfterDays() + " days")));
        if (passphrase != null) {
            changes.add(Audit.Change.of("passphrase", "", passphrase.isEmpty() ? "taken away" : "another"));
        }
        return changes;
    }

    private static String words(BackupPlan plan) {
        return plan.days().isEmpty()
                ? "no day"
                : plan.days().stream()
                                .sorted()
                                .map(day -> day.getDisplayName(TextStyle.SHORT, Locale.ENGLISH))
                                .collect(Collectors.joining(", "))
                        + " at " + plan.at();
    }

    private static String kept(BackupPlan plan) {
        return plan.keepDays() + " days, " + plan.keepMonths() + " months";
    }

    private static String place(BackupPlan plan) {
        BackupPlan.SecondPlace second = plan.second();
        return second == null ? "none" : second.folder();
    }

    private static LocalTime time(String at, List<InputError> errors) {
        try {
            return LocalTime.parse(at);
        } catch (DateTimeException e) {
            errors.add(new InputError("/at", "not-a-time", "“" + at + "” is no time of a day; give one such as 12:15"));
            return LocalTime.NOON;
        }
    }

    private static int within(String pointer, String what, @Nullable Integer value, int most, List<InputError> errors) {
        int number = TurnedDown.required(pointer, value);
        if (number < 1 || number > most) {
            errors.add(new InputError(pointer, "out-of-range", number + " " + what + ": it must be 1 to " + most));
        }
        return number;
    }

    /**
     * Has one made at once.
     *
     * @throws TurnedDown if it is not for the lead to say, or something is being done
     */
    @Transactional
    public void makeNow(SignedIn who) {
        requireIdle();
        backups.makeSoon();
        audit.changed(
                who,
                new Audit.Subject(Audit.Kind.SCHOOL, who.centreId(), "Backups"),
                List.of(Audit.Change.of("asked for", "", "a backup")),
                null);
    }

    /**
     * Has the last good one tried at once.
     *
     * @throws TurnedDown if it is not for the lead to say, something is being done, or there is none
     */
    @Transactional
    public void rehearseNow() {
        requireIdle();
        if (backups.stand().book().lastGood() == null) {
            throw TurnedDown.conflict("no-backup", "There is no backup yet that could be tried; have one made first");
        }
        backups.rehearseSoon();
    }

    private void require() {
        String whyNot = whyNot();
        if (whyNot != null) {
            throw TurnedDown.conflict("not-here", whyNot);
        }
    }

    private void requireIdle() {
        require();
        if (backups.stand().doing() != Backups.Doing.NOTHING) {
            throw TurnedDown.conflict("just-now", "A backup is being made or tried just now; wait until that is done");
        }
    }
}
