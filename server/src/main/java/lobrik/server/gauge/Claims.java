package lobrik.server.gauge;

import jakarta.persistence.EntityManager;
import jakarta.persistence.Tuple;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import lobrik.server.account.SignedIn;
import lobrik.server.live.Live;
import lobrik.server.platform.Rows;
import lobrik.server.together.Together;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Which screen has which gauge, the same at every server: in the database, with what is known of it here at hand, since gauges are asked
 * for many times a second. The server that has a screen's stream says so every few seconds; a claim outlives its screen a little, so that
 * one that was just reloaded gets its gauge back.
 */
@Component
class Claims {

    private static final Logger LOG = LoggerFactory.getLogger(Claims.class);
    private static final int SECONDS_BETWEEN = 3;
    private static final String CLAIMS = "claims";
    private static final String LIVE = "seen_at > clock_timestamp() - interval '12 seconds'";

    /** Who has a gauge. */
    record Claim(UUID screen, UUID account, String name) {}

    /** A screen here has a gauge no more: another one has. */
    record TakenOver(String gauge, UUID screen) {}

    private final EntityManager entities;
    private final TransactionTemplate transaction;
    private final Live live;
    private final Together together;
    private final ApplicationEventPublisher events;
    private volatile Map<String, Claim> known = Map.of();

    Claims(
            EntityManager entities,
            TransactionTemplate transaction,
            Live live,
            Together together,
            ApplicationEventPublisher events) {
        this.events = events;
        this.entities = entities;
        this.transaction = transaction;
        this.live = live;
        this.together = together;
        together.hear(CLAIMS, String.class, _ -> look());
    }

    /** The claim on a gauge; null if no screen has it. */
    @Nullable
    Claim of(String gauge) {
        return known.get(gauge);
    }

    /**
     * Takes a gauge for a screen.
     *
     * @param takeOver from the screen that has it
     * @return who had it before, or has it still; null if nobody had
     */
    @Nullable
    Claim take(SignedIn who, String gauge, UUID screen, boolean takeOver) {
        Optional<Claim> before = Objects.requireNonNull(transaction.execute(_ -> {
            Claim had = had(gauge);
            if (had == null || had.screen().equals(screen) || takeOver) {
                entities.createNativeQuery("""
                                insert into gauge_claim (gauge_id, centre_id, screen_id, account_id, name)
                                values (:gauge, :centre, :screen, :account, :name)
                                on conflict (gauge_id) do update set centre_id = :centre, screen_id = :screen,
                                    account_id = :account, name = :name, seen_at = clock_timestamp()""")
                        .setParameter("gauge", gauge)
                        .setParameter("centre", who.centreId())
                        .setParameter("screen", screen)
                        .setParameter("account", who.accountId())
                        .setParameter("name", who.fullName())
                        .executeUpdate();
            }
            return Optional.ofNullable(had);
        }));
        changed();
        return before.orElse(null);
    }

    /** In turn with whoever wants the same gauge just now. */
    private @Nullable Claim had(String gauge) {
        entities.createNativeQuery(
                        "select cast(pg_advisory_xact_lock(hashtextextended('gauge ' || :gauge, 0)) as text)",
                        String.class)
                .setParameter("gauge", gauge)
                .getSingleResult();
        return found("where gauge_id = :gauge and " + LIVE, Map.of("gauge", gauge))
                .get(gauge);
    }

    /** Gives a gauge back, which only whoever has it can. */
    void release(SignedIn who, String gauge, UUID screen) {
        transaction.executeWithoutResult(_ -> entities.createNativeQuery(
                        "delete from gauge_claim where gauge_id = :gauge and screen_id = :screen and account_id = :account")
                .setParameter("gauge", gauge)
                .setParameter("screen", screen)
                .setParameter("account", who.accountId())
                .executeUpdate());
        changed();
    }

    private void changed() {
        look();
        together.tell(CLAIMS, "");
    }

    @EventListener({ApplicationReadyEvent.class, Together.Missed.class})
    synchronized void look() {
        try {
            Map<String, Claim> before = known;
            Map<String, Claim> now = transaction.execute(_ -> found("where " + LIVE, Map.of()));
            known = now;
            before.forEach((gauge, claim) -> {
                Claim next = now.get(gauge);
                if (next != null && !next.screen().equals(claim.screen()) && live.isOpen(claim.screen())) {
                    events.publishEvent(new TakenOver(gauge, claim.screen()));
                }
            });
        } catch (RuntimeException e) {
            LOG.debug("The database is away; claims are asked for again", e);
        }
    }

    /** Says which claims have their screens here, and forgets those whose screens are nowhere. */
    @Scheduled(fixedDelay = SECONDS_BETWEEN, timeUnit = TimeUnit.SECONDS)
    void lookAfter() {
        Map<String, Claim> now = known;
        if (now.isEmpty()) {
            return;
        }
        Set<UUID> here =
                now.values().stream().map(Claim::screen).filter(live::isOpen).collect(Collectors.toSet());
        try {
            transaction.executeWithoutResult(_ -> {
                if (!here.isEmpty()) {
                    entities.createNativeQuery(
                                    "update gauge_claim set seen_at = clock_timestamp() where screen_id in (:here)")
                            .setParameter("here", here)
                            .executeUpdate();
                }
            });
            look();
        } catch (RuntimeException e) {
            LOG.debug("The database is away; it is said again", e);
        }
    }

    private Map<String, Claim> found(String which, Map<String, ?> values) {
        var question = entities.createNativeQuery(
                "select gauge_id, screen_id, account_id, name from gauge_claim " + which, Tuple.class);
        values.forEach(question::setParameter);
        List<Tuple> rows = Rows.listed(question);
        Map<String, Claim> claims = new HashMap<>();
        rows.forEach(row -> claims.put(
                row.get("gauge_id", String.class),
                new Claim(
                        row.get("screen_id", UUID.class),
                        row.get("account_id", UUID.class),
                        row.get("name", String.class))));
        return Map.copyOf(claims);
    }
}
