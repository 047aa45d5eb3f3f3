package lobrik.server.inside;

import jakarta.persistence.EntityManager;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.lang.management.ManagementFactory;
import java.nio.file.FileStore;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.UUID;
import lobrik.server.account.SignedIn;
import lobrik.server.backup.BackupsAtAGlance;
import lobrik.server.platform.Scratch;
import lobrik.server.together.Together;
import org.flywaydb.core.Flyway;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How the server stands, in what a lead can do something about: room on the disk, backups, who is connected, how fast it answers. */
@Service
class ServerStand {

    private static final double NEARLY_FULL = 0.1;
    private static final long LITTLE_BYTES = 2L << 30;

    /** An empty question takes a fraction of this where the disk and the machine are well. */
    private static final long SLOW_MILLIS = 250;

    /** That somebody is there is noted once a minute at most. */
    private static final Duration JUST_NOW = Duration.ofMinutes(5);

    private static final double GIGABYTE = 1e9;

    /** Somebody of the school who did something in the last few minutes, and on how many devices. */
    record Connected(UUID accountId, String fullName, int devices) {}

    /**
     * How it stands.
     *
     * @param concerns what is not well, each in a sentence; none if all is
     * @param since when it was started
     * @param recordForm the last migration that the record has
     * @param diskFreeBytes of the disk of the data
     * @param databaseBytes of the record
     * @param answersMillis how long an empty question to the database took just now
     * @param servers how many work on the record, this one among them
     * @param connected of this school, by name
     * @param lastBackup when the last good one was made; null if there never was one, or none are made by themselves
     * @param backupsElsewhere whether another server makes them, and this one knows nothing of it
     */
    record ServerStanding(
            List<String> concerns,
            Instant since,
            String recordForm,
            long diskFreeBytes,
            long diskBytes,
            long databaseBytes,
            long answersMillis,
            int servers,
            List<Connected> connected,
            @Nullable Instant lastBackup,
            boolean backupsElsewhere) {}

    private final Scratch scratch;
    private final BackupsAtAGlance backups;
    private final Clock clock;
    private final EntityManager entities;
    private final String recordForm;
    private final Together together;

    ServerStand(
            Scratch scratch,
            BackupsAtAGlance backups,
            Clock clock,
            Flyway flyway,
            EntityManager entities,
            Together together) {
        this.together = together;
        this.scratch = scratch;
        this.backups = backups;
        this.clock = clock;
        this.entities = entities;
        // The application may not look at the history of migrations, and it changes at a start only.
        this.recordForm =
                String.valueOf(Objects.requireNonNull(flyway.info().current()).getVersion());
    }

    /** As a lead may see it: of other schools on the same server nothing. */
    @Transactional(readOnly = true)
    public ServerStanding now(SignedIn who) {
        long asked = System.nanoTime();
        one("select 1", Integer.class);
        long answersMillis = Duration.ofNanos(System.nanoTime() - asked).toMillis();
        FileStore disk = disk();
        long free;
        long all;
        try {
            free = disk.getUsableSpace();
            all = disk.getTotalSpace();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return new ServerStanding(
                concerns(free, all, answersMillis, backups.warning()),
                Instant.ofEpochMilli(ManagementFactory.getRuntimeMXBean().getStartTime()),
                recordForm,
                free,
                all,
                one("select pg_database_size(current_database())", Long.class),
                answersMillis,
                together.servers(),
                connected(who),
                backups.lastGoodAt(),
                backups.areElsewhere());
    }

    private <T> T one(String question, Class<T> type) {
        return type.cast(entities.createNativeQuery(question, type).getSingleResult());
    }

    private FileStore disk() {
        try {
            return scratch.disk();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    static List<String> concerns(long free, long all, long answersMillis, @Nullable String backups) {
        List<String> concerns = new ArrayList<>();
        if (free < LITTLE_BYTES || free < NEARLY_FULL * all) {
            concerns.add(String.format(
                    Locale.ROOT,
                    "The disk of the data is nearly full: %.1f of %.0f GB are free. Have some freed before it is: nothing can be kept on a full one",
                    free / GIGABYTE,
                    all / GIGABYTE));
        }
        if (answersMillis > SLOW_MILLIS) {
            concerns.add("The database took " + answersMillis
                    + " ms for an empty question: the machine has too much to do, or its disk is slow");
        }
        if (backups != null) {
            concerns.add(backups);
        }
        return concerns;
    }

    private List<Connected> connected(SignedIn who) {
        // Of whichever server: sessions are in the record.
        List<?> found = entities.createNativeQuery("""
                        select a.id, a.full_name, count(*) from spring_session s join account a on cast(a.id as text) = split_part(s.principal_name, '.', 1)
                        where a.centre_id = :school and s.last_access_time > :since
                        group by a.id, a.full_name order by a.full_name, a.id""", Object[].class)
                .setParameter("school", who.centreId())
                .setParameter("since", clock.instant().minus(JUST_NOW).toEpochMilli())
                .getResultList();
        return found.stream()
                .map(row -> (Object[]) row)
                .map(row -> new Connected((UUID) row[0], (String) row[1], ((Number) row[2]).intValue()))
                .toList();
    }
}
