package lobrik.server.platform;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.FlywayException;
import org.flywaydb.core.api.MigrationInfo;
import org.flywaydb.core.api.MigrationInfoService;
import org.flywaydb.core.api.MigrationState;
import org.flywaydb.core.api.MigrationVersion;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.diagnostics.AbstractFailureAnalyzer;
import org.springframework.boot.diagnostics.FailureAnalysis;
import org.springframework.boot.flyway.autoconfigure.FlywayMigrationStrategy;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/**
 * Brings the record up to this build: after a backup, at once or not at all. One that a newer build kept is left alone: what that wrote,
 * this one cannot know.
 */
@Configuration
class RecordOfItsTime {

    private static final Logger LOG = LoggerFactory.getLogger(RecordOfItsTime.class);

    @Bean
    FlywayMigrationStrategy migrateAfterABackup(BeforeUpgrade before) {
        return flyway -> bringUp(flyway, before);
    }

    /**
     * Brings it up.
     *
     * @throws LeftAsItWas if that cannot be done, in one sentence
     */
    static void bringUp(Flyway flyway, BeforeUpgrade before) {
        MigrationInfoService info = flyway.info();
        MigrationInfo[] all = info.all();
        MigrationVersion ours = newest(all, MigrationState::isResolved).orElseThrow();
        newest(all, state -> !state.isResolved())
                .filter(kept -> kept.isNewerThan(ours))
                .ifPresent(kept -> {
                    throw new LeftAsItWas("This data folder was used by a newer Lobrik (its record is of form " + kept
                            + ", this build knows forms up to " + ours
                            + "): start it with the newer one, or restore a backup of before; nothing was changed.");
                });
        Optional<MigrationVersion> kept = newest(all, MigrationState::isApplied);
        MigrationInfo[] pending = info.pending();
        if (kept.isEmpty() || pending.length == 0) {
            flyway.migrate();
            return;
        }
        String way = "from form " + kept.orElseThrow() + " to " + pending[pending.length - 1].getVersion();
        Path backup = backup(before, kept.orElseThrow().getVersion(), way);
        try {
            flyway.migrate();
        } catch (FlywayException e) {
            throw new LeftAsItWas("The record could not be brought up " + way + " (" + reason(e)
                    + "). It was left as it was, and the Lobrik of before goes on with it"
                    + (backup == null ? "." : "; a backup of it is in " + backup + "."));
        }
        LOG.info("The record was brought up {}; a backup of before: {}", way, backup == null ? "none" : backup);
    }

    private static @Nullable Path backup(BeforeUpgrade before, String form, String way) {
        try {
            return before.keep(form);
        } catch (IOException e) {
            throw new LeftAsItWas(
                    "This Lobrik would bring the record up " + way
                            + ", but a backup of before could not be made: " + e.getMessage()
                            + ". Put that right and start it again; until then the Lobrik of before goes on with it. Nothing was changed.");
        }
    }

    /** The database's own words, without the statement and the place in it. */
    private static String reason(Throwable e) {
        Throwable last = e;
        while (last.getCause() != null) {
            last = last.getCause();
        }
        return String.valueOf(last.getMessage()).lines().findFirst().orElse("").strip();
    }

    private static Optional<MigrationVersion> newest(MigrationInfo[] migrations, Predicate<MigrationState> in) {
        return Stream.of(migrations)
                .filter(migration -> migration.getVersion() != null && in.test(migration.getState()))
                .map(MigrationInfo::getVersion)
                .max(Comparator.naturalOrder());
    }

    /** This build did not touch the record, and why. */
    static final class LeftAsItWas extends RuntimeException {

        private static final long serialVersionUID = 1L;

        LeftAsItWas(String why) {
            super(why);
        }
    }

    /** Tells it in that one sentence. */
    static final class Analyzer extends AbstractFailureAnalyzer<LeftAsItWas> {

        @Override
        protected FailureAnalysis analyze(Throwable rootFailure, LeftAsItWas cause) {
            return new FailureAnalysis(String.valueOf(cause.getMessage()), null, cause);
        }
    }
}
