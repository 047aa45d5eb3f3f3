package lobrik.server.retention;

import jakarta.persistence.EntityManager;
import jakarta.persistence.Tuple;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import lobrik.server.account.Account;
import lobrik.server.account.Audit;
import lobrik.server.account.SignedIn;
import lobrik.server.platform.Rows;
import lobrik.server.platform.TurnedDown;
import lobrik.server.platform.Turns;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * How long a school keeps data of each kind. Nothing goes without somebody's having seen what would: by hand what was looked at goes, and
 * no more; by calendar it goes once a day from when the lead chose so.
 */
@Service
class Retention {

    private static final Logger LOG = LoggerFactory.getLogger(Retention.class);

    private static final int MOST_MONTHS = 240;

    /** So many names are shown of those who would be erased. */
    private static final int MOST_NAMES = 200;

    private static final long MINUTES_BETWEEN = 30;
    private static final Duration A_DAY = Duration.ofHours(23);

    /**
     * What would go.
     *
     * @param before what is older
     * @param oldest of it; null where nothing would
     * @param names of people, where people would; the first of them
     */
    record WouldGo(Instant before, int count, @Nullable Instant oldest, List<String> names) {}

    private final EntityManager entities;
    private final TransactionTemplate transaction;
    private final Audit audit;
    private final Turns turns;
    private final Clock clock;

    Retention(EntityManager entities, TransactionTemplate transaction, Audit audit, Turns turns, Clock clock) {
        this.entities = entities;
        this.transaction = transaction;
        this.audit = audit;
        this.turns = turns;
        this.clock = clock;
    }

    /** A school's rule about a kind; empty where it keeps data of that for ever. */
    @Transactional(readOnly = true)
    Optional<RetentionRule> rule(SignedIn who, DataKind kind) {
        return Optional.ofNullable(entities.find(RetentionRule.class, new RetentionRule.Id(who.centreId(), kind)));
    }

    /** What went last. */
    @Transactional(readOnly = true)
    Optional<RetentionRun> lastRun(UUID centreId, DataKind kind) {
        return entities.createQuery(
                        "from RetentionRun where centreId = :centre and kind = :kind order by runAt desc",
                        RetentionRun.class)
                .setParameter("centre", centreId)
                .setParameter("kind", kind)
                .setMaxResults(1)
                .getResultStream()
                .findFirst();
    }

    /**
     * Keeps data of a kind for so many months from now on; nothing goes by that alone, unless it is by calendar.
     *
     * @param seen the edition that whoever asks has seen; of a new rule none
     * @param months null for ever
     * @throws TurnedDown if that is out of range, or somebody else changed it since
     */
    @Transactional
    public void keep(SignedIn who, DataKind kind, int seen, @Nullable Integer months, boolean byCalendar) {
        if (months != null) {
            requireWithin(months);
        }
        turns.take(who.centreId());
        RetentionRule rule = rule(who, kind).orElse(null);
        if ((rule == null ? 0 : rule.edition()) != seen) {
            throw TurnedDown.changedMeanwhile("How long " + kind.words() + " are kept");
        }
        String before = words(rule);
        if (months == null) {
            if (rule != null) {
                entities.remove(rule);
            }
        } else if (rule == null) {
            rule = new RetentionRule(
                    new RetentionRule.Id(who.centreId(), kind), months, byCalendar, who.accountId(), clock.instant());
            entities.persist(rule);
        } else {
            rule.become(months, byCalendar, who.accountId(), clock.instant());
        }
        audit.changed(
                who,
                subject(who.centreId()),
                List.of(new Audit.Change("keeps " + kind.words(), before, months == null ? "for ever" : words(rule))),
                null);
    }

    private static void requireWithin(int months) {
        if (months < 1 || months > MOST_MONTHS) {
            throw TurnedDown.badInput("/months", "out-of-range", "keep it from 1 to " + MOST_MONTHS + " months");
        }
    }

    private static String words(@Nullable RetentionRule rule) {
        return rule == null
                ? "for ever"
                : rule.months() + " months" + (rule.isByCalendar() ? ", by calendar" : ", by hand");
    }

    private static Audit.Subject subject(UUID centreId) {
        return new Audit.Subject(Audit.Kind.SCHOOL, centreId, "How long data is kept");
    }

    /**
     * What would go now if data of a kind were kept for so many months; nothing does.
     *
     * @throws TurnedDown if nothing can be kept so long, or so short
     */
    @Transactional(readOnly = true)
    WouldGo wouldGo(SignedIn who, DataKind kind, int months) {
        requireWithin(months);
        return wouldGo(who.centreId(), kind, before(months));
    }

    private Instant before(int months) {
        return clock.instant().atZone(ZoneOffset.UTC).minusMonths(months).toInstant();
    }

    private WouldGo wouldGo(UUID centreId, DataKind kind, Instant before) {
        String from = switch (kind) {
            case PHOTOS -> """
                select p.received_at as at from photo p join attempt a on a.id = p.attempt_id join trainee t on t.id = a.trainee_id
                  join cohort c on c.id = t.cohort_id where c.centre_id = :centre and p.received_at < :before""";
            case PRESENCE -> """
                select cast(s.on_day as timestamptz) as at from attendance p join class_session s on s.id = p.session_id
                where s.centre_id = :centre and s.on_day < cast(:before as date)
                union all select cast(p.last_day as timestamptz) from absence p join trainee t on t.id = p.trainee_id
                  join cohort c on c.id = t.cohort_id where c.centre_id = :centre and p.last_day < cast(:before as date)""";
            case PEOPLE_LEFT -> """
                select t.left_at as at from trainee t join cohort c on c.id = t.cohort_id
                where c.centre_id = :centre and t.left_at < :before""";
            case STUDIES -> """
                select s.closed_at as at from study_figure f join measuring_study s on s.id = f.study_id
                where s.centre_id = :centre and s.closed_at < :before""";
        };
        Tuple found = Rows.listed(entities.createNativeQuery(
                                "select cast(count(*) as int) as n, min(gone.at) as oldest from (" + from + ") gone",
                                Tuple.class)
                        .setParameter("centre", centreId)
                        .setParameter("before", before))
                .getFirst();
        List<String> names = kind == DataKind.PEOPLE_LEFT
                ? left(centreId, before).stream()
                        .limit(MOST_NAMES)
                        .map(row -> row.get("full_name", String.class))
                        .toList()
                : List.of();
        return new WouldGo(before, found.get("n", Integer.class), found.get("oldest", Instant.class), names);
    }

    private List<Tuple> left(UUID centreId, Instant before) {
        return Rows.listed(entities.createNativeQuery("""
                        select t.id, t.full_name from trainee t join cohort c on c.id = t.cohort_id
                        where c.centre_id = :centre and t.left_at < :before order by t.full_name, t.id""", Tuple.class)
                .setParameter("centre", centreId)
                .setParameter("before", before));
    }

    /**
     * Takes away what is older than the rule of a kind keeps it.
     *
     * @param seen how much that was when whoever asks looked
     * @return how much went
     * @throws TurnedDown if there is no rule, or it is another number by now
     */
    @Transactional
    public int run(SignedIn who, DataKind kind, int seen) {
        turns.take(who.centreId());
        RetentionRule rule = rule(who, kind)
                .orElseThrow(() -> TurnedDown.conflict(
                        "no-rule", "There is no rule how long " + kind.words() + " are kept; make one first"));
        Instant before = before(rule.months());
        if (wouldGo(who.centreId(), kind, before).count() != seen) {
            throw TurnedDown.changedMeanwhile("What would go");
        }
        return take(who, rule, before, who.accountId());
    }

    private int take(SignedIn who, RetentionRule rule, Instant before, @Nullable UUID by) {
        DataKind kind = rule.id().kind();
        UUID centreId = rule.id().centreId();
        int taken = kind == DataKind.PEOPLE_LEFT
                ? erase(who, rule, before)
                : (Integer) entities.createNativeQuery("select retain(:kind, :centre, :before)", Integer.class)
                        .setParameter("kind", kind.name())
                        .setParameter("centre", centreId)
                        .setParameter("before", before)
                        .getSingleResult();
        if (taken > 0) {
            entities.persist(new RetentionRun(centreId, kind, before, taken, by, clock.instant()));
            audit.changed(
                    who,
                    subject(centreId),
                    List.of(Audit.Change.of(
                            kind.words() + " older than " + rule.months() + " months"
                                    + (by == null ? ", by calendar" : ""),
                            taken,
                            0)),
                    null);
        }
        return taken;
    }

    private int erase(SignedIn who, RetentionRule rule, Instant before) {
        List<Tuple> people = left(rule.id().centreId(), before);
        for (Tuple person : people) {
            entities.createNativeQuery("select erase_trainee(:trainee, :id, :who, :moment, :why)", Integer.class)
                    .setParameter("trainee", person.get("id", UUID.class))
                    .setParameter("id", UUID.randomUUID())
                    .setParameter("who", who.accountId())
                    .setParameter("moment", clock.instant())
                    .setParameter("why", "kept no longer than " + rule.months() + " months after leaving")
                    .getSingleResult();
        }
        return people.size();
    }

    /** Once a day, whatever server comes first. */
    @Scheduled(initialDelay = MINUTES_BETWEEN, fixedDelay = MINUTES_BETWEEN, timeUnit = TimeUnit.MINUTES)
    void byCalendar() {
        List<RetentionRule.Id> due = transaction.execute(
                _ -> entities.createQuery("from RetentionRule where byCalendar", RetentionRule.class)
                        .getResultStream()
                        .map(RetentionRule::id)
                        .toList());
        for (RetentionRule.Id id : due == null ? List.<RetentionRule.Id>of() : due) {
            try {
                transaction.executeWithoutResult(_ -> ofToday(id));
            } catch (RuntimeException e) {
                LOG.warn("What is older than a school keeps it could not be taken away; it is tried again", e);
            }
        }
    }

    private void ofToday(RetentionRule.Id id) {
        turns.take(id.centreId());
        RetentionRule rule = entities.find(RetentionRule.class, id);
        boolean already = lastRun(id.centreId(), id.kind())
                .filter(run -> run.runAt().isAfter(clock.instant().minus(A_DAY)))
                .isPresent();
        if (rule != null && rule.isByCalendar() && !already) {
            SignedIn keeper = entities.find(Account.class, rule.keptBy()).signedIn();
            take(keeper, rule, before(rule.months()), null);
        }
    }
}
