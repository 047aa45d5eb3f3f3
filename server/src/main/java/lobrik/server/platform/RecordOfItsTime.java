package lobrik.server.platform;

import org.flywaydb.core.api.MigrationInfo;
import org.flywaydb.core.api.MigrationVersion;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.diagnostics.AbstractFailureAnalyzer;
import org.springframework.boot.diagnostics.FailureAnalysis;
import org.springframework.boot.flyway.autoconfigure.FlywayMigrationStrategy;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Brings the record up to this build, unless a newer build kept it: what that wrote, this one cannot know. */
@Configuration
class RecordOfItsTime {

    @Bean
    FlywayMigrationStrategy migrateUnlessNewer() {
        return flyway -> {
            MigrationVersion ours =
                    newest(flyway.info().pending(), newest(flyway.info().applied(), null, true), true);
            MigrationVersion kept = newest(flyway.info().applied(), null, false);
            if (kept != null && (ours == null || kept.isNewerThan(ours))) {
                throw new NewerRecord(kept, ours);
            }
            flyway.migrate();
        };
    }

    /** The newest version among these, or the one before; of those that this build has too, if only those count. */
    private static @Nullable MigrationVersion newest(
            MigrationInfo[] migrations, @Nullable MigrationVersion before, boolean ofThisBuild) {
        MigrationVersion newest = before;
        for (MigrationInfo migration : migrations) {
            MigrationVersion version = migration.getVersion();
            boolean known = migration.getState().isResolved();
            if (version != null && (known || !ofThisBuild) && (newest == null || version.isNewerThan(newest))) {
                newest = version;
            }
        }
        return newest;
    }

    /** A newer build kept this record. */
    static final class NewerRecord extends RuntimeException {

        private static final long serialVersionUID = 1L;

        NewerRecord(MigrationVersion kept, @Nullable MigrationVersion ours) {
            super("This data folder was used by a newer Lobrik (its record is of form " + kept
                    + ", this build knows forms up to " + (ours == null ? "none" : ours)
                    + "): start it with the newer one, or restore a backup of before; nothing was changed.");
        }
    }

    /** Tells it in that one sentence. */
    static final class Analyzer extends AbstractFailureAnalyzer<NewerRecord> {

        @Override
        protected FailureAnalysis analyze(Throwable rootFailure, NewerRecord cause) {
            return new FailureAnalysis(String.valueOf(cause.getMessage()), null, cause);
        }
    }
}
