package lobrik.server.inside;

import io.micrometer.core.instrument.Gauge;
import io.micrometer.core.instrument.TimeGauge;
import io.micrometer.core.instrument.binder.MeterBinder;
import jakarta.persistence.EntityManager;
import java.io.IOException;
import java.nio.file.FileStore;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.concurrent.TimeUnit;
import lobrik.server.backup.BackupsAtAGlance;
import lobrik.server.live.Live;
import lobrik.server.platform.DatabaseWatch;
import lobrik.server.platform.Scratch;
import lobrik.server.together.Together;
import org.springframework.boot.health.contributor.Health;
import org.springframework.boot.health.contributor.HealthIndicator;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** What of ours is measured besides what the framework measures: as numbers, of nobody. docs/operations.md names them all. */
@Configuration
class Meters {

    /** Whether the database answers, by the one that asks it all the time: readiness must not wait for a connection of the pool. */
    @Bean
    HealthIndicator recordHealthIndicator(DatabaseWatch database) {
        return () -> (database.answers() ? Health.up() : Health.down()).build();
    }

    @Bean
    MeterBinder ours(
            Live live,
            Together together,
            DatabaseWatch database,
            BackupsAtAGlance backups,
            Scratch scratch,
            EntityManager entities,
            Clock clock) {
        return registry -> {
            Gauge.builder("lobrik.screens", live, Live::open)
                    .description("Live screens that listen at this server")
                    .register(registry);
            Gauge.builder("lobrik.servers", together, Together::servers)
                    .description("Servers of this record that this one knows of, itself among them")
                    .register(registry);
            Gauge.builder("lobrik.database.answers", database, watch -> watch.answers() ? 1 : 0)
                    .description("Whether the database answers")
                    .register(registry);
            Gauge.builder("lobrik.followups.waiting", entities, Meters::waiting)
                    .description("Attempts of which it is not worked out yet what follows")
                    .register(registry);
            TimeGauge.builder("lobrik.backup.age", backups, TimeUnit.SECONDS, made -> age(made, clock))
                    .description("Since the last good backup; not a number where there is none")
                    .register(registry);
            Gauge.builder("lobrik.disk.free", scratch, Meters::free)
                    .description("Of the disk of the data")
                    .baseUnit("bytes")
                    .register(registry);
        };
    }

    private static double waiting(EntityManager entities) {
        return ((Number) entities.createNativeQuery("select count(*) from follow_up", Long.class)
                        .getSingleResult())
                .doubleValue();
    }

    private static double age(BackupsAtAGlance backups, Clock clock) {
        Instant last = backups.lastGoodAt();
        return last == null
                ? Double.NaN
                : Duration.between(last, clock.instant()).toSeconds();
    }

    private static double free(Scratch scratch) {
        try {
            FileStore disk = scratch.disk();
            return disk.getUsableSpace();
        } catch (IOException e) {
            return Double.NaN;
        }
    }
}
