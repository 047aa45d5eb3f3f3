package lobrik.server.rota;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.random.RandomGenerator;
import java.util.stream.Collectors;
import lobrik.server.account.Account;
import lobrik.server.account.Audit;
import lobrik.server.account.SignedIn;
import lobrik.server.cohort.Centre;
import lobrik.server.cohort.Cohort;
import lobrik.server.cohort.Cohorts;
import lobrik.server.platform.Codes;
import lobrik.server.platform.Days;
import lobrik.server.platform.Right;
import lobrik.server.platform.Sha256;
import lobrik.server.platform.TurnedDown;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtEnd;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.DtStart;
import net.fortuna.ical4j.model.property.LastModified;
import net.fortuna.ical4j.model.property.Location;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.Sequence;
import net.fortuna.ical4j.model.property.Summary;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.XProperty;
import net.fortuna.ical4j.model.property.immutable.ImmutableStatus;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The sessions of an instructor or a cohort as a calendar (RFC 5545) that other calendars read. Whoever has its address reads it, so
 * it says when, where and for which cohort, and names no trainee.
 */
@Service
class CalendarFeeds {

    /** 120 bits: nobody guesses an address. */
    private static final int KEY_LENGTH = 24;

    private static final int DAYS_BACK = 60;
    private static final int DAYS_AHEAD = 366;
    private static final int MOST = 200;

    private final EntityManager entities;
    private final Timetable timetable;
    private final Cohorts cohorts;
    private final Audit audit;
    private final Clock clock;
    private final RandomGenerator codes;

    CalendarFeeds(
            EntityManager entities,
            Timetable timetable,
            Cohorts cohorts,
            Audit audit,
            Clock clock,
            RandomGenerator codes) {
        this.entities = entities;
        this.timetable = timetable;
        this.cohorts = cohorts;
        this.audit = audit;
        this.clock = clock;
        this.codes = codes;
    }

    /** The feeds that somebody made, those that have ended left out; the newest first. */
    @Transactional(readOnly = true)
    List<CalendarFeed> madeBy(SignedIn who) {
        return entities.createQuery(
                        "from CalendarFeed where madeBy = :account and endedAt is null order by madeAt desc",
                        CalendarFeed.class)
                .setParameter("account", who.accountId())
                .getResultList();
    }

    /**
     * Makes a feed of one's own sessions, or of those of a cohort.
     *
     * @return what stands in its address, told this once
     */
    @Transactional
    public String make(SignedIn who, UUID id, @Nullable UUID cohortId) {
        if (madeBy(who).size() >= MOST) {
            throw TurnedDown.conflict("too-many", "there are " + MOST + " addresses already; end some");
        }
        String name = cohortId == null
                ? who.fullName()
                : cohorts.cohort(who, cohortId).name();
        String key = Codes.next(codes, KEY_LENGTH);
        entities.persist(new CalendarFeed(
                id,
                who.centreId(),
                cohortId == null ? who.accountId() : null,
                cohortId,
                hash(key),
                who.accountId(),
                clock.instant()));
        audit.added(who, new Audit.Subject(Audit.Kind.SCHOOL, who.centreId(), "calendar of " + name));
        return key;
    }

    /** Ends a feed: its address opens nothing any more. */
    @Transactional
    public void end(SignedIn who, UUID id) {
        CalendarFeed feed = entities.find(CalendarFeed.class, id);
        if (feed == null
                || !feed.centreId().equals(who.centreId())
                || !(feed.madeBy().equals(who.accountId()) || who.may(Right.LEAD))) {
            throw TurnedDown.notFound("calendar");
        }
        if (!feed.hasEnded()) {
            feed.end(clock.instant());
            audit.ended(who, new Audit.Subject(Audit.Kind.SCHOOL, who.centreId(), "calendar"), null);
        }
    }

    /**
     * The calendar at an address.
     *
     * @throws TurnedDown if the address opens nothing
     */
    @Transactional(readOnly = true)
    Calendar read(String key) {
        CalendarFeed feed = Codes.read(key, KEY_LENGTH, KEY_LENGTH)
                .flatMap(code -> entities.createQuery(
                                "from CalendarFeed where hash = :hash and endedAt is null", CalendarFeed.class)
                        .setParameter("hash", hash(code))
                        .getResultStream()
                        .findFirst())
                .orElseThrow(() -> TurnedDown.notFound("calendar"));
        UUID holder = feed.accountId();
        if (holder != null && entities.find(Account.class, holder).isDisabled()) {
            throw TurnedDown.notFound("calendar");
        }
        LocalDate today = Days.today(clock);
        List<ClassSession> sessions =
                timetable.between(feed.centreId(), today.minusDays(DAYS_BACK), today.plusDays(DAYS_AHEAD)).stream()
                        .filter(session -> holder == null
                                ? session.cohortId().equals(feed.cohortId())
                                : holder.equals(session.arrangement().instructorId()))
                        .toList();
        String school = entities.find(Centre.class, feed.centreId()).name();
        Map<UUID, String> names = names(sessions);
        Map<UUID, String> rooms = rooms(feed.centreId());
        Calendar calendar = new Calendar();
        calendar.add(new ProdId("-//Lobrik//Sessions//EN"));
        calendar.add(ImmutableVersion.VERSION_2_0);
        calendar.add(new XProperty("X-WR-CALNAME", school));
        sessions.forEach(session -> calendar.add(event(session, names, rooms)));
        return calendar;
    }

    private Map<UUID, String> names(List<ClassSession> sessions) {
        return entities.createQuery("from Cohort where id in :ids", Cohort.class)
                .setParameter(
                        "ids",
                        sessions.stream().map(ClassSession::cohortId).distinct().toList())
                .getResultStream()
                .collect(Collectors.toMap(Cohort::id, Cohort::name));
    }

    private Map<UUID, String> rooms(UUID centreId) {
        return entities.createQuery("from Room where centreId = :centre", Room.class)
                .setParameter("centre", centreId)
                .getResultStream()
                .collect(Collectors.toMap(Room::id, Room::name));
    }

    private static VEvent event(ClassSession session, Map<UUID, String> cohorts, Map<UUID, String> rooms) {
        ClassSession.Arrangement arranged = session.arrangement();
        VEvent event = new VEvent(false);
        event.add(new Uid(session.id() + "@lobrik"));
        event.add(new DtStamp(session.changedAt()));
        event.add(new LastModified(session.changedAt()));
        event.add(new Sequence(session.edition()));
        event.add(new DtStart<>(at(arranged.day(), arranged.begins())));
        event.add(new DtEnd<>(at(arranged.day(), arranged.ends())));
        event.add(new Summary(Objects.requireNonNull(cohorts.get(session.cohortId()))));
        if (arranged.roomId() != null) {
            event.add(new Location(Objects.requireNonNull(rooms.get(arranged.roomId()))));
        }
        if (session.isCalledOff()) {
            event.add(ImmutableStatus.VEVENT_CANCELLED);
            event.add(new Description("Called off: " + session.calledOffReason()));
        } else {
            event.add(ImmutableStatus.VEVENT_CONFIRMED);
            if (!arranged.note().isEmpty()) {
                event.add(new Description(arranged.note()));
            }
        }
        return event;
    }

    private static Instant at(LocalDate day, LocalTime time) {
        return day.atTime(time).atZone(ZoneId.systemDefault()).toInstant();
    }

    private static String hash(String key) {
        return HexFormat.of().formatHex(Sha256.of(key));
    }
}
