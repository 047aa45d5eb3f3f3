package lobrik.server.rota;

import jakarta.persistence.EntityManager;
import jakarta.persistence.Tuple;
import java.time.Clock;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Collection;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import lobrik.server.account.Audit;
import lobrik.server.account.SignedIn;
import lobrik.server.cohort.Cohorts;
import lobrik.server.cohort.Trainee;
import lobrik.server.live.Live;
import lobrik.server.platform.Days;
import lobrik.server.platform.TurnedDown;
import lobrik.server.platform.Turns;
import lobrik.server.rota.Attendance.State;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Who is there: what was said beforehand, what was noted at the session, and who does not share a bench. */
@Service
class Presence {

    private static final int LONGEST_REASON = 300;
    private static final long LONGEST_ABSENCE = 366;

    /** What is known of some people and sessions. */
    static final class Known {

        private final Map<UUID, List<Absence>> absences;
        private final Map<InSession, Attendance> attendance;

        private Known(Map<UUID, List<Absence>> absences, Map<InSession, Attendance> attendance) {
            this.absences = absences;
            this.attendance = attendance;
        }

        /** What was noted; else what was said beforehand. */
        Optional<State> of(ClassSession session, UUID traineeId) {
            Attendance noted = attendance.get(new InSession(session.id(), traineeId));
            if (noted != null) {
                return Optional.of(noted.state());
            }
            return absences.getOrDefault(traineeId, List.of()).stream().anyMatch(each -> each.isOn(session.day()))
                    ? Optional.of(State.EXCUSED)
                    : Optional.empty();
        }

        boolean isNoted(ClassSession session, UUID traineeId) {
            return attendance.containsKey(new InSession(session.id(), traineeId));
        }

        /** Whether somebody will not be there, or was not. */
        boolean isAway(ClassSession session, UUID traineeId) {
            return of(session, traineeId).filter(state -> !state.isThere()).isPresent();
        }
    }

    private final EntityManager entities;
    private final Cohorts cohorts;
    private final Timetable timetable;
    private final Audit audit;
    private final Turns turns;
    private final Live live;
    private final Clock clock;

    Presence(
            EntityManager entities,
            Cohorts cohorts,
            Timetable timetable,
            Audit audit,
            Turns turns,
            Live live,
            Clock clock) {
        this.entities = entities;
        this.cohorts = cohorts;
        this.timetable = timetable;
        this.audit = audit;
        this.turns = turns;
        this.live = live;
        this.clock = clock;
    }

    /** What is known of some people at some sessions. */
    @Transactional(readOnly = true)
    Known of(Collection<Trainee> people, Collection<ClassSession> sessions) {
        List<UUID> ids = people.stream().map(Trainee::id).toList();
        return new Known(
                entities.createQuery("from Absence where traineeId in :people", Absence.class)
                        .setParameter("people", ids)
                        .getResultStream()
                        .collect(Collectors.groupingBy(Absence::traineeId)),
                entities.createQuery(
                                "from Attendance a where a.id.sessionId in :sessions and a.id.traineeId in :people",
                                Attendance.class)
                        .setParameter(
                                "sessions",
                                sessions.stream().map(ClassSession::id).toList())
                        .setParameter("people", ids)
                        .getResultStream()
                        .collect(Collectors.toMap(
                                each -> new InSession(each.sessionId(), each.traineeId()), Function.identity())));
    }

    /** How often each was noted of somebody, over all their sessions. */
    @Transactional(readOnly = true)
    Map<State, Long> counted(SignedIn who, UUID traineeId) {
        cohorts.trainee(who, traineeId);
        Map<State, Long> counted = new EnumMap<>(State.class);
        entities.createQuery(
                        "select a.state as state, count(*) as times from Attendance a where a.id.traineeId = :trainee group by a.state",
                        Tuple.class)
                .setParameter("trainee", traineeId)
                .getResultStream()
                .forEach(row -> counted.put(row.get("state", State.class), row.get("times", Long.class)));
        return counted;
    }

    /**
     * Notes whether somebody is at a session, or takes that back.
     *
     * @param state null to take it back
     * @throws TurnedDown if the session is still to come, or they are not of its cohort
     */
    @Transactional
    public void note(SignedIn who, UUID sessionId, UUID traineeId, @Nullable State state) {
        ClassSession session = timetable.session(who, sessionId);
        Trainee trainee = cohorts.trainee(who, traineeId);
        LocalDate today = Days.today(clock);
        if (session.day().isAfter(today)) {
            throw TurnedDown.conflict(
                    "not-yet", "This session is still to come; note beforehand who will not be there as an absence");
        }
        if (!trainee.cohortId().equals(session.cohortId())) {
            throw TurnedDown.notFound("trainee");
        }
        turns.take(session.id());
        InSession id = new InSession(sessionId, traineeId);
        Attendance noted = entities.find(Attendance.class, id);
        State before = noted == null ? null : noted.state();
        if (noted == null && state != null) {
            entities.persist(new Attendance(id, state, who.accountId(), clock.instant()));
        } else if (noted != null && state != null) {
            noted.become(state, who.accountId(), clock.instant());
        } else if (noted != null) {
            entities.remove(noted);
        }
        live.changed(session.cohortId(), traineeId, null);
        // On the day itself it is taken down as people come in; what is changed later is a change of the record.
        if (session.day().isBefore(today)) {
            audit.changed(
                    who,
                    new Audit.Subject(Audit.Kind.TRAINEE, traineeId, trainee.fullName()),
                    List.of(Audit.Change.of("attendance on " + session.day(), before, state)),
                    null);
        }
    }

    /** The absences of the people of a cohort that are not over, by day. */
    @Transactional(readOnly = true)
    List<Absence> absences(SignedIn who, UUID cohortId) {
        return entities.createQuery(
                        "from Absence where traineeId in :people and lastDay >= :today order by firstDay, id",
                        Absence.class)
                .setParameter(
                        "people",
                        cohorts.trainees(who, cohortId).stream()
                                .map(Trainee::id)
                                .toList())
                .setParameter("today", Days.today(clock))
                .getResultList();
    }

    /** Notes beforehand that somebody will not be there on some days. Repeating it changes nothing. */
    @Transactional
    public void willBeAway(SignedIn who, UUID id, UUID traineeId, LocalDate first, LocalDate last, String reason) {
        Trainee trainee = cohorts.trainee(who, traineeId);
        if (last.isBefore(first) || ChronoUnit.DAYS.between(first, last) >= LONGEST_ABSENCE) {
            throw TurnedDown.badInput("/lastDay", "out-of-range", "an absence is from 1 to 366 days long");
        }
        if (reason.length() > LONGEST_REASON) {
            throw TurnedDown.badInput("/reason", "out-of-range", "at most " + LONGEST_REASON + " characters");
        }
        if (entities.find(Absence.class, id) != null) {
            return;
        }
        entities.persist(new Absence(id, traineeId, first, last, reason.strip(), who.accountId()));
        live.changed(trainee.cohortId(), traineeId, null);
    }

    /** Takes that back. */
    @Transactional
    public void willBeThere(SignedIn who, UUID id) {
        Absence absence = entities.find(Absence.class, id);
        if (absence == null) {
            throw TurnedDown.notFound("absence");
        }
        Trainee trainee = cohorts.trainee(who, absence.traineeId());
        entities.remove(absence);
        live.changed(trainee.cohortId(), trainee.id(), null);
    }

    /** Who of a cohort does not share a bench with whom. */
    @Transactional(readOnly = true)
    List<KeptApart.Pair> apart(SignedIn who, UUID cohortId) {
        return entities.createQuery(
                        "from KeptApart k where k.id.oneId in :people and k.id.otherId in :people", KeptApart.class)
                .setParameter(
                        "people",
                        cohorts.trainees(who, cohortId).stream()
                                .map(Trainee::id)
                                .toList())
                .getResultStream()
                .map(KeptApart::id)
                .toList();
    }

    /** Keeps two apart, or lets them share a bench again. */
    @Transactional
    public void keepApart(SignedIn who, UUID one, UUID other, boolean apart) {
        Trainee first = cohorts.trainee(who, one);
        Trainee second = cohorts.trainee(who, other);
        if (one.equals(other) || !first.cohortId().equals(second.cohortId())) {
            throw TurnedDown.badInput("/otherId", "unknown", "choose two people of one cohort");
        }
        turns.take(first.cohortId());
        KeptApart.Pair id = KeptApart.Pair.of(one, other);
        KeptApart kept = entities.find(KeptApart.class, id);
        if (apart && kept == null) {
            entities.persist(new KeptApart(id, who.accountId()));
        } else if (!apart && kept != null) {
            entities.remove(Objects.requireNonNull(kept));
        }
    }
}
