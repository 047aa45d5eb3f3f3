package lobrik.server.rota;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import lobrik.server.account.Accounts;
import lobrik.server.account.SignedIn;
import lobrik.server.cohort.Trainee;
import lobrik.server.shed.Bender;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** The session of today: who is there and where they sit, for the floor. */
@Component
public class Today {

    /** Where somebody sits, on what, and whether they are there. */
    public record Sits(int bench, @Nullable String benderLabel, Attendance.@Nullable State presence) {}

    /** A cohort today. */
    public record Here(@Nullable FloorSession session, Map<UUID, Sits> sits) {

        /** Where somebody sits: at their own bench where nothing else is known. */
        public Sits of(Trainee trainee) {
            return sits.getOrDefault(trainee.id(), new Sits(trainee.bench(), null, null));
        }
    }

    private final EntityManager entities;
    private final Accounts accounts;
    private final Presence presence;
    private final Seating seating;
    private final Clock clock;

    Today(EntityManager entities, Accounts accounts, Presence presence, Seating seating, Clock clock) {
        this.entities = entities;
        this.accounts = accounts;
        this.presence = presence;
        this.seating = seating;
        this.clock = clock;
    }

    /** Some trainees of a cohort today. */
    @Transactional(readOnly = true)
    public Here of(SignedIn who, UUID cohortId, List<Trainee> trainees) {
        Optional<ClassSession> on = session(who, cohortId);
        if (on.isEmpty()) {
            return new Here(null, Map.of());
        }
        ClassSession session = on.get();
        Presence.Known known = presence.of(trainees, List.of(session));
        Map<UUID, SeatRow> seats = seating.of(session);
        Map<UUID, String> labels =
                labels(seats.values().stream().map(SeatRow::benderId).distinct().toList());
        return new Here(view(session), trainees.stream().collect(Collectors.toMap(Trainee::id, trainee -> {
            SeatRow seat = seats.get(trainee.id());
            return new Sits(
                    seat == null ? trainee.bench() : seat.bench(),
                    seat == null ? null : labels.get(seat.benderId()),
                    known.of(session, trainee.id()).orElse(null));
        })));
    }

    /** At which bench trainees sat, or sit, in the sessions of a day. */
    @Transactional(readOnly = true)
    public Map<UUID, Integer> benches(Collection<Trainee> trainees, LocalDate day) {
        Map<UUID, Integer> benches = new HashMap<>();
        entities.createQuery("""
                        select s from SeatRow s join ClassSession c on c.id = s.id.sessionId
                        where c.onDay = :day and c.calledOffAt is null and s.id.traineeId in :trainees order by c.begins desc""", SeatRow.class)
                .setParameter("day", day)
                .setParameter("trainees", trainees.stream().map(Trainee::id).toList())
                .getResultStream()
                .forEach(seat -> benches.put(seat.traineeId(), seat.bench()));
        return benches;
    }

    private Map<UUID, String> labels(List<UUID> benders) {
        return benders.isEmpty()
                ? Map.of()
                : entities.createQuery("from Bender where id in :ids", Bender.class)
                        .setParameter("ids", benders)
                        .getResultStream()
                        .collect(Collectors.toMap(Bender::id, Bender::label));
    }

    /** The one that is on; else the next one of today; else the last one of it. */
    private Optional<ClassSession> session(SignedIn who, UUID cohortId) {
        LocalDateTime now = LocalDateTime.ofInstant(clock.instant(), ZoneId.systemDefault());
        LocalTime time = now.toLocalTime();
        List<ClassSession> today = entities.createQuery("""
                        from ClassSession where centreId = :centre and cohortId = :cohort and onDay = :today
                          and calledOffAt is null order by begins, id""", ClassSession.class)
                .setParameter("centre", who.centreId())
                .setParameter("cohort", cohortId)
                .setParameter("today", now.toLocalDate())
                .getResultList();
        return today.stream()
                .filter(session -> session.ends().isAfter(time))
                .findFirst()
                .or(() -> today.stream().max(Comparator.comparing(ClassSession::ends)));
    }

    private FloorSession view(ClassSession session) {
        ClassSession.Arrangement arranged = session.arrangement();
        UUID instructor = arranged.instructorId();
        UUID room = arranged.roomId();
        return new FloorSession(
                session.id(),
                arranged.begins().toString(),
                arranged.ends().toString(),
                room == null ? null : entities.find(Room.class, room).name(),
                instructor == null
                        ? null
                        : accounts.namesOf(List.of(instructor)).get(instructor),
                entities.createQuery("select count(*) from SessionPart where sessionId = :id", Long.class)
                        .setParameter("id", session.id())
                        .getSingleResult()
                        .intValue(),
                session.begunAt());
    }
}
