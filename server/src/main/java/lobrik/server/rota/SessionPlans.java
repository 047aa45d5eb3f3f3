package lobrik.server.rota;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import lobrik.server.account.Account;
import lobrik.server.account.Audit;
import lobrik.server.account.SignedIn;
import lobrik.server.cohort.Cohort;
import lobrik.server.cohort.Cohorts;
import lobrik.server.cohort.Trainee;
import lobrik.server.exercise.Library;
import lobrik.server.live.Live;
import lobrik.server.platform.TurnedDown;
import lobrik.server.platform.Turns;
import lobrik.server.progress.Planning;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** What is bent in a session: planned before it, and given out when it begins. */
@Service
class SessionPlans {

    private static final Logger LOG = LoggerFactory.getLogger(SessionPlans.class);
    private static final int MOST_PARTS = 40;
    private static final int SECONDS_BETWEEN = 30;

    private final EntityManager entities;
    private final TransactionTemplate transaction;
    private final Cohorts cohorts;
    private final Timetable timetable;
    private final Presence presence;
    private final Seating seating;
    private final Planning planning;
    private final Library library;
    private final Audit audit;
    private final Turns turns;
    private final Live live;
    private final Clock clock;

    SessionPlans(
            EntityManager entities,
            TransactionTemplate transaction,
            Cohorts cohorts,
            Timetable timetable,
            Presence presence,
            Seating seating,
            Planning planning,
            Library library,
            Audit audit,
            Turns turns,
            Live live,
            Clock clock) {
        this.entities = entities;
        this.transaction = transaction;
        this.cohorts = cohorts;
        this.timetable = timetable;
        this.presence = presence;
        this.seating = seating;
        this.planning = planning;
        this.library = library;
        this.audit = audit;
        this.turns = turns;
        this.live = live;
        this.clock = clock;
    }

    /** What is planned for a session, in its order. */
    @Transactional(readOnly = true)
    List<SessionPart> of(SignedIn who, UUID sessionId) {
        timetable.session(who, sessionId);
        return parts(sessionId);
    }

    private List<SessionPart> parts(UUID sessionId) {
        return entities.createQuery("from SessionPart where sessionId = :session order by place", SessionPart.class)
                .setParameter("session", sessionId)
                .getResultList();
    }

    /** The sessions of some that have a plan. */
    @Transactional(readOnly = true)
    Set<UUID> planned(List<ClassSession> sessions) {
        return new HashSet<>(entities.createQuery(
                        "select distinct sessionId from SessionPart where sessionId in :sessions", UUID.class)
                .setParameter(
                        "sessions", sessions.stream().map(ClassSession::id).toList())
                .getResultList());
    }

    /**
     * Plans a session anew; nothing is planned if there are no parts.
     *
     * @param seen the edition that whoever asks has seen
     * @throws TurnedDown if it has begun, somebody else changed it, or an exercise or trainee is not there
     */
    @Transactional
    public void plan(SignedIn who, UUID sessionId, int seen, List<Planning.Part> parts) {
        ClassSession session = timetable.session(who, sessionId);
        Cohort cohort = cohorts.open(who, session.cohortId());
        turns.take(who.centreId());
        if (session.edition() != seen) {
            throw TurnedDown.changedMeanwhile("This session");
        }
        if (session.hasBegun()) {
            throw TurnedDown.conflict("has-begun", "This session has begun, and its plan was given out");
        }
        if (parts.size() > MOST_PARTS) {
            throw TurnedDown.badInput("/parts", "out-of-range", "at most " + MOST_PARTS + " exercises");
        }
        Set<UUID> people =
                cohorts.trainees(who, cohort.id()).stream().map(Trainee::id).collect(Collectors.toSet());
        List<String> titles = new ArrayList<>();
        for (Planning.Part part : parts) {
            titles.add(library.newest(who, part.entryId()).title());
            if (!people.containsAll(part.traineeIds())) {
                throw TurnedDown.notFound("trainee");
            }
        }
        parts(sessionId).forEach(entities::remove);
        entities.flush();
        for (int place = 0; place < parts.size(); place++) {
            Planning.Part part = parts.get(place);
            entities.persist(new SessionPart(
                    UUID.randomUUID(),
                    sessionId,
                    place,
                    part.entryId(),
                    part.varied(),
                    new HashSet<>(part.traineeIds())));
        }
        session.planned(clock.instant());
        audit.changed(
                who,
                new Audit.Subject(Audit.Kind.SESSION, sessionId, Timetable.named(cohort, session.day())),
                List.of(Audit.Change.of("plan", null, titles.isEmpty() ? "none" : String.join("; ", titles))),
                null);
    }

    /**
     * Begins a session: what is planned is given out to those who are not known to be away. Repeating it changes nothing.
     *
     * @throws TurnedDown if it is called off or on another day
     */
    @Transactional
    public List<UUID> begin(SignedIn who, UUID sessionId) {
        ClassSession session = timetable.session(who, sessionId);
        cohorts.open(who, session.cohortId());
        turns.take(who.centreId());
        entities.refresh(session);
        if (session.hasBegun()) {
            return List.of();
        }
        LocalDateTime now = now();
        if (session.isCalledOff()) {
            throw TurnedDown.conflict("called-off", "This session was called off");
        }
        if (!session.day().equals(now.toLocalDate())) {
            throw TurnedDown.conflict(
                    "another-day", "This session is on " + session.day() + "; move it to today to begin it now");
        }
        return begun(who, session);
    }

    private List<UUID> begun(SignedIn who, ClassSession session) {
        List<Trainee> people = cohorts.trainees(who, session.cohortId());
        Presence.Known known = presence.of(people, List.of(session));
        Set<UUID> there = people.stream()
                .map(Trainee::id)
                .filter(id -> !known.isAway(session, id))
                .collect(Collectors.toSet());
        List<Planning.Part> given = parts(session.id()).stream()
                .map(part -> new Planning.Part(
                        part.entryId(),
                        part.trainees().stream()
                                .filter(there::contains)
                                .sorted()
                                .toList(),
                        part.isVaried()))
                .filter(part -> !part.traineeIds().isEmpty())
                .toList();
        session.begin(who.accountId(), clock.instant());
        live.changed(session.cohortId());
        Map<UUID, UUID> benders =
                seating.of(session).values().stream().collect(Collectors.toMap(SeatRow::traineeId, SeatRow::benderId));
        return planning.give(who, session.cohortId(), session.id(), given, null, benders);
    }

    /** Begins by themselves the sessions that are meant to, in the name of whoever holds them. */
    @Scheduled(initialDelay = SECONDS_BETWEEN * 1000L, fixedDelay = SECONDS_BETWEEN * 1000L)
    void beginWhatIsDue() {
        try {
            due().forEach(this::beginByItself);
        } catch (RuntimeException e) {
            // The database is away; what is due then is due still.
            LOG.warn("Whether a session is to begin by itself could not be asked; it is asked again", e);
        }
    }

    private List<UUID> due() {
        LocalDateTime now = now();
        return entities.createQuery("""
                        select id from ClassSession
                        where onDay = :today and begins <= :now and ends > :now and beginsByItself
                          and begunAt is null and calledOffAt is null and instructorId is not null""", UUID.class)
                .setParameter("today", now.toLocalDate())
                .setParameter("now", now.toLocalTime())
                .getResultList();
    }

    private void beginByItself(UUID id) {
        try {
            transaction.executeWithoutResult(_ -> {
                UUID holder =
                        entities.find(ClassSession.class, id).arrangement().instructorId();
                begin(entities.find(Account.class, holder).signedIn(), id);
            });
        } catch (RuntimeException e) {
            LOG.warn("Session {} did not begin by itself; whoever holds it can begin it", id, e);
        }
    }

    private LocalDateTime now() {
        return LocalDateTime.ofInstant(clock.instant(), ZoneId.systemDefault());
    }
}
