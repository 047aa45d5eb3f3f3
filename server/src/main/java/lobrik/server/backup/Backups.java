package lobrik.server.backup;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import lobrik.server.together.OneServer;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * Backups that are made by themselves: when the plan says, in this server's folder and at a second place, cleared away when nobody needs
 * them any more, and tried by being restored. One thing at a time. A machine that was off when one was due makes it when it is on again.
 */
@Component
class Backups {

    private static final Logger LOG = LoggerFactory.getLogger(Backups.class);
    private static final int SECONDS_BETWEEN = 60;
    private static final int INSTALLATION_FIGURES = 6;

    /** One that failed is tried again after so long: a disk may be there again. */
    private static final Duration AGAIN_AFTER = Duration.ofHours(1);

    private static final Duration REHEARSED_EACH = Duration.ofDays(7);
    private static final long LEAST_LEFT_FREE = 300L << 20;
    private static final double MEGABYTE = 1e6;

    /** What is being done. */
    enum Doing {
        NOTHING,
        BACKUP,
        REHEARSAL
    }

    /**
     * How it all stands.
     *
     * @param doing what is being done just now
     * @param sealed whether later ones are sealed
     * @param files how many are kept in this server's folder
     * @param bytes of all of them
     * @param folder that they are in
     */
    record Stand(BackupPlan plan, BackupBook book, Doing doing, boolean sealed, int files, long bytes, Path folder) {}

    private final BackupOptions options;
    private final BackupSource source;
    private final Clock clock;
    private final OneServer servers;
    private final ExecutorService worker = Executors.newSingleThreadExecutor(
            Thread.ofPlatform().daemon().name("backups").factory());
    private volatile Doing doing = Doing.NOTHING;

    /** Null until everything else works, and where there is no place for backups. */
    private volatile @Nullable BackupFolder folder;

    Backups(BackupOptions options, BackupSource source, Clock clock, OneServer servers) {
        this.servers = servers;
        this.options = options;
        this.source = source;
        this.clock = clock;
    }

    @EventListener(ApplicationReadyEvent.class)
    void begin() {
        Path where = options.folder();
        if (where == null || options.programs() == null) {
            return;
        }
        try {
            BackupFolder opened = new BackupFolder(where);
            opened.open();
            ThrowAwayCluster.discard(options.programs(), scratch(where));
            plan(opened);
            folder = opened;
        } catch (IOException e) {
            LOG.error("No backups are made by themselves: {}", e.toString());
        }
    }

    @EventListener(ContextClosedEvent.class)
    void end() {
        worker.shutdownNow();
    }

    /** Whether there is a place for them. */
    boolean isPossible() {
        return folder != null;
    }

    /** How it stands. */
    Stand stand() {
        try {
            return stand(opened());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private Stand stand(BackupFolder where) throws IOException {
        BackupPlan plan = plan(where);
        long bytes = 0;
        List<BackupName> files = BackupFolder.backups(where.path(), plan.installation());
        for (BackupName name : files) {
            bytes += BackupFolder.size(where.path().resolve(name.text()));
        }
        return new Stand(plan, where.book(), doing, where.passphrase() != null, files.size(), bytes, where.path());
    }

    /** What is wrong with a folder that somebody typed for a second place, in a sentence; null if copies can go there. */
    @Nullable
    String wrongWith(String typed) {
        return SecondPlaces.wrong(opened(), typed);
    }

    /** A folder that copies can go to, as it stands now. */
    BackupPlan.SecondPlace secondPlace(String typed) {
        try {
            return new BackupPlan.SecondPlace(typed, opened().isOnAnotherDisk(Path.of(typed)));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * Takes another plan into use.
     *
     * @param passphrase by which later ones are sealed; "" for none; null to leave that as it is
     */
    synchronized void use(BackupPlan plan, @Nullable String passphrase) throws IOException {
        BackupFolder where = opened();
        if (passphrase != null) {
            where.sealBy(passphrase);
        }
        where.keep(plan);
    }

    /** Makes one as soon as nothing else is being done; what became of it is in the book. */
    void makeSoon() {
        doing = Doing.BACKUP;
        worker.execute(() -> alone(this::make));
    }

    /** Tries the last good one as soon as nothing else is being done; what became of it is in the book. */
    void rehearseSoon() {
        doing = Doing.REHEARSAL;
        worker.execute(() -> alone(this::rehearse));
    }

    /** Servers may share a folder of backups. */
    private void alone(Runnable work) {
        if (!servers.does("backups", work)) {
            LOG.info("Another server is at its backups");
        }
        doing = Doing.NOTHING;
    }

    @Scheduled(initialDelay = SECONDS_BETWEEN, fixedDelay = SECONDS_BETWEEN, timeUnit = TimeUnit.SECONDS)
    void lookWhetherOneIsDue() {
        BackupFolder where = folder;
        if (where == null || doing != Doing.NOTHING) {
            return;
        }
        try {
            Instant now = clock.instant();
            BackupPlan plan = plan(where);
            BackupBook book = where.book();
            if (isDue(plan, book, now)) {
                worker.execute(() -> alone(this::makeWhatIsDue));
            }
        } catch (IOException e) {
            LOG.error("Whether a backup is due cannot be told: {}", e.toString());
        }
    }

    /** Unless another server has just made it. */
    private void makeWhatIsDue() {
        try {
            BackupFolder where = opened();
            Instant now = clock.instant();
            if (!isDue(plan(where), where.book(), now)) {
                return;
            }
            boolean rehearsal = rehearsalIsDue(where.book(), now);
            make();
            if (rehearsal) {
                rehearse();
            }
        } catch (IOException e) {
            LOG.error("Whether a backup is due cannot be told: {}", e.toString());
        }
    }

    /** Whether none was made since one was due, and none was tried just now. */
    static boolean isDue(BackupPlan plan, BackupBook book, Instant now) {
        Instant due = plan.dueBy(now, ZoneId.systemDefault());
        BackupBook.Made good = book.lastGood();
        if (due == null || (good != null && !good.at().isBefore(due))) {
            return false;
        }
        return book.made().isEmpty()
                || !book.made().getFirst().at().isAfter(now.minus(AGAIN_AFTER))
                || book.made().getFirst().at().isBefore(due);
    }

    private static boolean rehearsalIsDue(BackupBook book, Instant now) {
        return book.rehearsed().isEmpty()
                || book.rehearsed().getFirst().fault() != null
                || book.rehearsed().getFirst().at().isBefore(now.minus(REHEARSED_EACH));
    }

    private BackupFolder opened() {
        return Objects.requireNonNull(folder, "no backups are made by themselves");
    }

    private BackupPlan plan(BackupFolder where) throws IOException {
        String fresh = UUID.randomUUID().toString().substring(0, INSTALLATION_FIGURES);
        return where.plan(fresh, clock.instant());
    }

    private static Path scratch(Path of) {
        return of.resolveSibling("rehearsal");
    }

    private void make() {
        doing = Doing.BACKUP;
        try {
            BackupFolder where = opened();
            BackupPlan plan = plan(where);
            BackupBook.Made made = made(where, plan);
            keep(where.book().with(made));
            if (made.isGood()) {
                LOG.info("Backup {} made in {} ms", made.file(), made.millis());
            } else {
                LOG.error("No backup was made: {}", made.fault());
            }
        } catch (IOException e) {
            LOG.error("What became of a backup cannot be written down: {}", e.toString());
        } finally {
            doing = Doing.NOTHING;
        }
    }

    private BackupBook.Made made(BackupFolder where, BackupPlan plan) {
        Instant began = clock.instant();
        ZoneId zone = ZoneId.systemDefault();
        LocalDateTime local = LocalDateTime.ofInstant(began, zone).truncatedTo(ChronoUnit.SECONDS);
        BackupName name = new BackupName(plan.installation(), local);
        Path file = where.path().resolve(name.text());
        boolean sealed = false;
        try {
            char[] passphrase = where.passphrase();
            sealed = passphrase != null;
            requireRoom(where);
            source.write(file, passphrase, began);
            long bytes = Files.size(file);
            clear(where.path(), plan, local.toLocalDate());
            String second = second(where, plan, file, local.toLocalDate());
            return new BackupBook.Made(began, millisSince(began), name.text(), bytes, sealed, null, second);
        } catch (IOException | SQLException e) {
            String fault = String.valueOf(e.getMessage());
            return new BackupBook.Made(began, millisSince(began), null, 0, sealed, fault, null);
        }
    }

    private long millisSince(Instant began) {
        return Duration.between(began, clock.instant()).toMillis();
    }

    /** As much as the last one took and a half, so that the database is not left without room. */
    private void requireRoom(BackupFolder where) throws IOException {
        BackupBook.Made last = where.book().lastGood();
        long needed = LEAST_LEFT_FREE + (last == null ? 0 : last.bytes() + last.bytes() / 2);
        long free = where.freeBytes();
        if (free < needed) {
            throw new IOException(String.format(
                    Locale.ROOT,
                    "only %.0f MB are free on the disk of %s, and %.0f are needed; free some, or keep fewer",
                    free / MEGABYTE,
                    where.path(),
                    needed / MEGABYTE));
        }
    }

    /** What cannot be taken away makes the new one no worse. */
    private static void clear(Path in, BackupPlan plan, LocalDate today) {
        try {
            for (BackupName name : BackupName.superfluous(BackupFolder.backups(in, plan.installation()), plan, today)) {
                Files.deleteIfExists(in.resolve(name.text()));
            }
        } catch (IOException e) {
            LOG.warn("Backups that nobody needs any more cannot be taken away: {}", e.toString());
        }
    }

    /** A fault there leaves the backup here a good one. */
    private static @Nullable String second(BackupFolder where, BackupPlan plan, Path file, LocalDate today) {
        BackupPlan.SecondPlace second = plan.second();
        if (second == null) {
            return null;
        }
        Path to = Path.of(second.folder());
        try {
            String fault = SecondPlaces.fault(where, second);
            if (fault != null) {
                return fault;
            }
            BackupFolder.clearPartial(to, plan.installation());
            BackupFolder.copy(file, to);
            clear(to, plan, today);
            return "";
        } catch (IOException e) {
            LOG.warn("The second place cannot be written to: {}", e.toString());
            return SecondPlaces.said(e);
        }
    }

    private void rehearse() {
        BackupFolder where = opened();
        doing = Doing.REHEARSAL;
        try {
            BackupBook.Made last = where.book().lastGood();
            if (last != null && !where.sealsAs(last)) {
                // Nobody here can open it any more; what counts is one that is sealed as they are now.
                make();
                doing = Doing.REHEARSAL;
                last = where.book().lastGood();
            }
            if (last == null || last.file() == null) {
                return;
            }
            Path programs = Objects.requireNonNull(options.programs());
            BackupBook.Rehearsed rehearsed = new Rehearsal(programs, scratch(where.path()), clock)
                    .hold(where.path().resolve(last.file()), last.sealed() ? where.passphrase() : null);
            keep(where.book().with(rehearsed));
            if (rehearsed.fault() == null) {
                LOG.info("Backup {} was restored to be looked at, and is good", rehearsed.file());
            } else {
                LOG.error("Backup {} could not be restored: {}", rehearsed.file(), rehearsed.fault());
            }
        } catch (IOException e) {
            LOG.error("What became of a rehearsal cannot be written down: {}", e.toString());
        } finally {
            doing = Doing.NOTHING;
        }
    }

    private synchronized void keep(BackupBook book) throws IOException {
        opened().keep(book);
    }
}
