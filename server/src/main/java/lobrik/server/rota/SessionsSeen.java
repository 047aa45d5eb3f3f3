package lobrik.server.rota;

import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lobrik.server.account.Accounts;
import lobrik.server.account.SignedIn;
import lobrik.server.cohort.Cohort;
import lobrik.server.cohort.Cohorts;
import lobrik.server.platform.Days;
import lobrik.server.rota.TimetableResource.ClassSessionView;
import lobrik.server.rota.TimetableResource.TimetableView;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Sessions as screens show them. */
@Component
class SessionsSeen {

    private final Timetable timetable;
    private final Cohorts cohorts;
    private final Rooms rooms;
    private final SessionPlans plans;
    private final Accounts accounts;
    private final Clock clock;

    SessionsSeen(
            Timetable timetable, Cohorts cohorts, Rooms rooms, SessionPlans plans, Accounts accounts, Clock clock) {
        this.timetable = timetable;
        this.cohorts = cohorts;
        this.rooms = rooms;
        this.plans = plans;
        this.accounts = accounts;
        this.clock = clock;
    }

    /** Those of a school on some days. */
    @Transactional(readOnly = true)
    public TimetableView between(SignedIn who, LocalDate first, LocalDate last) {
        List<ClassSession> sessions = timetable.between(who.centreId(), first, last);
        return new TimetableView(Days.today(clock), views(who, sessions, timetable.clashes(who, first, last)));
    }

    private List<ClassSessionView> views(SignedIn who, List<ClassSession> sessions, Clashes clashes) {
        Map<UUID, String> names = timetable.names(who, sessions);
        Map<UUID, String> roomNames = rooms.all(who).stream().collect(Collectors.toMap(Room::id, Room::name));
        Map<UUID, String> people = accounts.namesOf(sessions.stream()
                .flatMap(session -> Stream.ofNullable(session.arrangement().instructorId()))
                .distinct()
                .toList());
        Set<UUID> mine = cohorts.visibleTo(who).stream().map(Cohort::id).collect(Collectors.toSet());
        Set<UUID> planned = plans.planned(sessions);
        return sessions.stream()
                .map(session -> view(
                        session,
                        Objects.requireNonNull(names.get(session.cohortId())),
                        mine.contains(session.cohortId()),
                        roomNames,
                        people,
                        planned.contains(session.id()),
                        session.isCalledOff() ? List.of() : clashes.of(session)))
                .toList();
    }

    private static ClassSessionView view(
            ClassSession session,
            String cohort,
            boolean mine,
            Map<UUID, String> rooms,
            Map<UUID, String> people,
            boolean planned,
            List<String> clashes) {
        ClassSession.Arrangement arranged = session.arrangement();
        UUID room = arranged.roomId();
        UUID instructor = arranged.instructorId();
        return new ClassSessionView(
                session.id(),
                session.cohortId(),
                cohort,
                mine,
                session.seriesId(),
                arranged.day(),
                arranged.begins().toString(),
                arranged.ends().toString(),
                room,
                room == null ? null : rooms.get(room),
                instructor,
                instructor == null ? null : people.get(instructor),
                arranged.benches().stream().sorted().toList(),
                arranged.benders().stream().sorted().toList(),
                arranged.note(),
                arranged.beginsByItself(),
                session.isCalledOff() ? session.calledOffReason() : null,
                session.begunAt(),
                planned,
                clashes,
                session.edition());
    }
}
