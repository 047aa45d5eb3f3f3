package lobrik.server.platform;

import java.util.Comparator;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.flywaydb.core.api.MigrationInfo;
import org.flywaydb.core.api.MigrationState;
import org.flywaydb.core.api.MigrationVersion;
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
            MigrationInfo[] all = flyway.info().all();
            newest(all, state -> !state.isResolved()).ifPresent(kept -> {
                MigrationVersion ours = newest(all, MigrationState::isResolved).orElseThrow();
                if (kept.isNewerThan(ours)) {
                    throw new NewerRecord(kept, ours);
                }
            });
            flyway.migrate();
        };
    }

    private static Optional<MigrationVersion> newest(MigrationInfo[] migrations, Predicate<MigrationState> in) {
        return Stream.of(migrations)
                .filter(migration -> migration.getVersion() != null && in.test(migration.getState()))
                .map(MigrationInfo::getVersion)
                .max(Comparator.naturalOrder());
    }

    /** A newer build kept this record. */
    static final class NewerRecord extends RuntimeException {

        private static final long serialVersionUID = 1L;

        NewerRecord(MigrationVersion kept, MigrationVersion ours) {
            super("This data folder was used by a newer Lobrik (its record is of form " + kept
                    + ", this build knows forms up to " + ours
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
