package lobrik.server.rota;

import jakarta.persistence.EntityManager;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lobrik.server.account.Accounts;
import lobrik.server.account.Audit;
import lobrik.server.account.Differences;
import lobrik.server.account.SignedIn;
import lobrik.server.cohort.Cohort;
import lobrik.server.cohort.Cohorts;
import lobrik.server.live.Live;
import lobrik.server.platform.Days;
import lobrik.server.platform.Right;
import lobrik.server.platform.TurnedDown;
import lobrik.server.platform.Turns;
import lobrik.server.rota.ClassSession.Arrangement;
import lobrik.server.shed.Bender;
import lobrik.server.shed.BenderCards;
import lobrik.server.shed.BenderState;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The calendar of a school: its sessions, repeated by the week, and where they get in one another's way. */
@Service
class Timetable {

    private static final int MOST_AT_ONCE = 60;
    private static final int MOST_WEEKS_APART = 8;
    private static final int LONGEST_NOTE = 300;
    private static final int HIGHEST_BENCH = 999;
    private static final int MOST_BENDERS = 60;
    private static final int YEARS_SHOWN = 2;

    /**
     * How a session is repeated.
     *
     * @param everyWeeks from week to week if 1
     * @param until the last day that one can be on
     */
    record Repeat(int everyWeeks, LocalDate until) {}

    /** A day that a session would be on, with what is in its way there. */
    record Proposed(Arrangement arrangement, List<String> clashes, boolean isHoliday) {}

    /** Which of a series a change is of. */
    enum Reach {
        THIS,
        /** This one, and those of its series that follow and have not begun. */
        FROM_HERE
    }

    private final EntityManager entities;
    private final Cohorts cohorts;
    private final Accounts accounts;
    private final Rooms rooms;
    private final BenderCards cards;
    private final Audit audit;
    private final Turns turns;
    private final Live live;
    private final Clock clock;

    Timetable(
            EntityManager entities,
            Cohorts cohorts,
            Accounts accounts,
            Rooms rooms,
            BenderCards cards,
            Audit audit,
            Turns turns,
            Live live,
            Clock clock) {
        this.entities = entities;
        this.cohorts = cohorts;
        this.accounts = accounts;
        this.rooms = rooms;
        this.cards = cards;
        this.audit = audit;
        this.turns = turns;
        this.live = live;
        this.clock = clock;
    }

    /** The sessions of a school on some days, in their order. */
    @Transactional(readOnly = true)
    List<ClassSession> between(UUID centreId, LocalDate first, LocalDate last) {
        return entities.createQuery("""
                        from ClassSession where centreId = :centre and onDay between :first and :last
                        order by onDay, begins, id""", ClassSession.class)
                .setParameter("centre", centreId)
                .setParameter("first", first)
                .setParameter("last", last)
                .getResultList();
    }

    /** The sessions of a cohort that were or will be held, in their order. */
    @Transactional(readOnly = true)
    List<ClassSession> held(UUID cohortId) {
        return entities.createQuery(
                        "from ClassSession where cohortId = :cohort and calledOffAt is null order by onDay, begins, id",
                        ClassSession.class)
                .setParameter("cohort", cohortId)
                .getResultList();
    }

    /**
     * The session with this id.
     *
     * @throws TurnedDown if there is none of a cohort that the one who asks may see
     */
    @Transactional(readOnly = true)
    ClassSession session(SignedIn who, UUID id) {
        ClassSession session = entities.find(ClassSession.class, id);
        if (session == null || !session.centreId().equals(who.centreId())) {
            throw TurnedDown.notFound("session");
        }
        cohorts.cohort(who, session.cohortId());
        return session;
    }

    /**
     * The days that a session would be on, with what is in its way on each.
     *
     * @param repeat once if null
     * @param not the session that is being changed, if it is there already
     */
    @Transactional(readOnly = true)
    List<Proposed> propose(
            SignedIn who, UUID cohortId, Arrangement first, @Nullable Repeat repeat, @Nullable UUID not) {
        Cohort cohort = cohorts.cohort(who, cohortId);
        List<Arrangement> wanted = days(first, repeat).stream().map(first::on).toList();
        Clashes clashes = clashes(who, first.day(), wanted.getLast().day());
        return wanted.stream()
                .map(each -> new Proposed(each, clashes.of(cohort, each, not), clashes.isHoliday(each.day())))
                .toList();
    }

    private static List<LocalDate> days(Arrangement first, @Nullable Repeat repeat) {
        List<LocalDate> days = new ArrayList<>(List.of(first.day()));
        if (repeat == null) {
            return days;
        }
        if (repeat.everyWeeks() < 1 || repeat.everyWeeks() > MOST_WEEKS_APART) {
            throw TurnedDown.badInput(
                    "/repeat/everyWeeks", "out-of-range", "repeat every 1 to " + MOST_WEEKS_APART + " weeks");
        }
        LocalDate next = first.day().plusWeeks(repeat.everyWeeks());
        while (!next.isAfter(repeat.until())) {
            if (days.size() == MOST_AT_ONCE) {
                throw TurnedDown.badInput(
                        "/repeat/until",
                        "out-of-range",
                        "these would be more than " + MOST_AT_ONCE + " sessions; choose an earlier last day");
            }
            days.add(next);
            next = next.plusWeeks(repeat.everyWeeks());
        }
        return days;
    }

    /** What gets in the way of what on some days of a school. */
    @Transactional(readOnly = true)
    Clashes clashes(SignedIn who, LocalDate first, LocalDate last) {
        List<ClassSession> there = between(who.centreId(), first, last);
        Map<UUID, String> people = accounts.namesOf(there.stream()
                .flatMap(session -> Stream.ofNullable(session.arrangement().instructorId()))
                .distinct()
                .toList());
        return new Clashes(
                there,
                rooms.holidays(who),
                names(who, there),
                rooms.all(who).stream().collect(Collectors.toMap(Room::id, Room::name)),
                people,
                cards.all(who).stream()
                        .map(BenderCards.Card::bender)
                        .collect(Collectors.toMap(Bender::id, Function.identity())));
    }

    /** What the cohorts of some sessions of one's own school are called, whoever teaches them. */
    @Transactional(readOnly = true)
    Map<UUID, String> names(SignedIn who, List<ClassSession> sessions) {
        Set<UUID> ids = sessions.stream().map(ClassSession::cohortId).collect(Collectors.toSet());
        return entities.createQuery("from Cohort where centreId = :centre and id in :ids", Cohort.class)
                .setParameter("centre", who.centreId())
                .setParameter("ids", ids)
                .getResultStream()
                .collect(Collectors.toMap(Cohort::id, Cohort::name));
    }

    /**
     * Puts sessions into the calendar: one on each day. Repeating the request changes nothing.
     *
     * @param series under which they belong together, made by the client; the first of them has the same id
     * @param days of a proposal; without those on which the school is closed
     * @throws TurnedDown if something of it is not there or out of range
     */
    @Transactional
    public void arrange(SignedIn who, UUID series, UUID cohortId, Arrangement wanted, List<LocalDate> days) {
        Cohort cohort = cohorts.open(who, cohortId);
        if (days.isEmpty() || days.size() > MOST_AT_ONCE) {
            throw TurnedDown.badInput("/days", "out-of-range", "choose from 1 to " + MOST_AT_ONCE + " days");
        }
        Arrangement arranged = requireThere(who, wanted);
        turns.take(who.centreId());
        if (entities.find(ClassSession.class, series) != null) {
            session(who, series);
            return;
        }
        List<LocalDate> sorted = days.stream().sorted().distinct().toList();
        UUID together = sorted.size() > 1 ? series : null;
        for (LocalDate day : sorted) {
            requireNear(day);
            UUID id = day.equals(sorted.getFirst())
                    ? series
                    : UUID.nameUUIDFromBytes((series + "/" + day).getBytes(StandardCharsets.UTF_8));
            entities.persist(
                    new ClassSession(id, who.centreId(), cohort.id(), together, arranged.on(day), clock.instant()));
        }
        live.changed(cohortId);
        audit.added(
                who,
                new Audit.Subject(Audit.Kind.SESSION, series, named(cohort, sorted.getFirst())),
                Audit.Change.of("sessions", null, sorted.size()),
                Audit.Change.of("last on", null, sorted.getLast()));
    }

    private void requireNear(LocalDate day) {
        LocalDate today = Days.today(clock);
        if (day.isBefore(today.minusYears(YEARS_SHOWN)) || day.isAfter(today.plusYears(YEARS_SHOWN))) {
            throw TurnedDown.badInput(
                    "/days",
                    "out-of-range",
                    "a session is at most " + YEARS_SHOWN + " years from today; check the year");
        }
    }

    /**
     * Changes a session, or it and those of its series that follow: these keep their days, moved by as many as this one.
     *
     * @param seen the edition that whoever asks has seen
     * @throws TurnedDown if it has begun, or somebody else changed it since
     */
    @Transactional
    public void change(SignedIn who, UUID id, int seen, Arrangement wanted, Reach reach) {
        turns.take(who.centreId());
        ClassSession session = requireSeen(who, id, seen);
        if (session.hasBegun() && !session.day().equals(wanted.day())) {
            throw TurnedDown.conflict("has-begun", "This session has begun; it stays on its day");
        }
        Cohort cohort = cohorts.open(who, session.cohortId());
        Arrangement arranged = requireThere(who, wanted);
        requireNear(arranged.day());
        long moved = ChronoUnit.DAYS.between(session.day(), arranged.day());
        List<Audit.Change> changes = new ArrayList<>(Differences.between(session.arrangement(), arranged));
        List<ClassSession> all = reached(session, reach);
        for (ClassSession each : all) {
            each.arrange(arranged.on(each.day().plusDays(moved)), clock.instant());
        }
        if (all.size() > 1) {
            changes.add(Audit.Change.of("sessions", null, all.size()));
        }
        live.changed(cohort.id());
        audit.changed(who, new Audit.Subject(Audit.Kind.SESSION, id, named(cohort, session.day())), changes, null);
    }

    /** Calls a session off, or it and those of its series that follow; it stays in the calendar and says why. */
    @Transactional
    public void callOff(SignedIn who, UUID id, int seen, String reason, Reach reach) {
        if (reason.isBlank() || reason.length() > LONGEST_NOTE) {
            throw TurnedDown.badInput("/reason", "missing", "say why, in 1 to " + LONGEST_NOTE + " characters");
        }
        turns.take(who.centreId());
        ClassSession session = requireSeen(who, id, seen);
        requireNotBegun(session);
        Cohort cohort = cohorts.cohort(who, session.cohortId());
        List<ClassSession> all = reached(session, reach);
        all.forEach(each -> each.callOff(reason.strip(), clock.instant()));
        live.changed(cohort.id());
        audit.changed(
                who,
                new Audit.Subject(Audit.Kind.SESSION, id, named(cohort, session.day())),
                List.of(Audit.Change.of("held", all.size(), 0)),
                reason.strip());
    }

    /** Holds a session after all that was called off. */
    @Transactional
    public void holdAfterAll(SignedIn who, UUID id, int seen) {
        turns.take(who.centreId());
        ClassSession session = requireSeen(who, id, seen);
        Cohort cohort = cohorts.cohort(who, session.cohortId());
        session.holdAfterAll(clock.instant());
        live.changed(cohort.id());
        audit.changed(
                who,
                new Audit.Subject(Audit.Kind.SESSION, id, named(cohort, session.day())),
                List.of(Audit.Change.of("held", 0, 1)),
                null);
    }

    /**
     * Takes a session out of the calendar that was put there by mistake.
     *
     * @throws TurnedDown if it has begun, or somebody was noted as there
     */
    @Transactional
    public void remove(SignedIn who, UUID id, Reach reach) {
        turns.take(who.centreId());
        ClassSession session = session(who, id);
        requireNotBegun(session);
        List<ClassSession> all = reached(session, reach);
        boolean noted = !entities.createQuery(
                        "select a.id from Attendance a where a.id.sessionId in :ids", InSession.class)
                .setParameter("ids", all.stream().map(ClassSession::id).toList())
                .setMaxResults(1)
                .getResultList()
                .isEmpty();
        if (noted) {
            throw TurnedDown.conflict(
                    "attended", "It says already who was there; call the session off instead, so that this stays");
        }
        Cohort cohort = cohorts.cohort(who, session.cohortId());
        all.forEach(entities::remove);
        live.changed(cohort.id());
        audit.ended(who, new Audit.Subject(Audit.Kind.SESSION, id, named(cohort, session.day())), null);
    }

    private List<ClassSession> reached(ClassSession session, Reach reach) {
        UUID series = session.seriesId();
        if (reach == Reach.THIS || series == null) {
            return List.of(session);
        }
        return entities.createQuery("""
                        from ClassSession where seriesId = :series and onDay >= :day and (begunAt is null or id = :id)
                        order by onDay""", ClassSession.class)
                .setParameter("series", series)
                .setParameter("day", session.day())
                .setParameter("id", session.id())
                .getResultList();
    }

    private ClassSession requireSeen(SignedIn who, UUID id, int seen) {
        ClassSession session = session(who, id);
        if (session.edition() != seen) {
            throw TurnedDown.changedMeanwhile("This session");
        }
        return session;
    }

    private static void requireNotBegun(ClassSession session) {
        if (session.hasBegun()) {
            throw TurnedDown.conflict("has-begun", "This session has begun; what was given out and measured stays");
        }
    }

    /** What is arranged, once all of it is of this school and within reason. */
    private Arrangement requireThere(SignedIn who, Arrangement wanted) {
        if (!wanted.begins().isBefore(wanted.ends())) {
            throw TurnedDown.badInput("/ends", "out-of-range", "it ends after it begins");
        }
        if (wanted.note().length() > LONGEST_NOTE) {
            throw TurnedDown.badInput("/note", "out-of-range", "at most " + LONGEST_NOTE + " characters");
        }
        if (wanted.benders().size() > MOST_BENDERS) {
            throw TurnedDown.badInput("/benders", "out-of-range", "at most " + MOST_BENDERS + " benders");
        }
        if (wanted.benches().stream().anyMatch(bench -> bench < 1 || bench > HIGHEST_BENCH)) {
            throw TurnedDown.badInput("/benches", "out-of-range", "benches have numbers from 1 to " + HIGHEST_BENCH);
        }
        if (wanted.roomId() != null) {
            Room room = rooms.room(who, wanted.roomId());
            int most = room.furniture().benches();
            if (wanted.benches().stream().anyMatch(bench -> bench > most)) {
                throw TurnedDown.badInput("/benches", "out-of-range", room.name() + " has benches 1 to " + most);
            }
        }
        Set<UUID> known = cards.all(who).stream()
                .map(BenderCards.Card::bender)
                .filter(bender -> bender.state() != BenderState.OUT)
                .map(Bender::id)
                .collect(Collectors.toCollection(HashSet::new));
        if (!known.containsAll(wanted.benders())) {
            throw TurnedDown.badInput("/benders", "unknown", "a bender is not there, or out of use; choose others");
        }
        if (wanted.instructorId() != null) {
            UUID instructor = wanted.instructorId();
            boolean teaches = accounts.whoMay(who.centreId(), Right.TEACH).stream()
                    .anyMatch(account -> account.id().equals(instructor));
            if (!teaches) {
                throw TurnedDown.notFound("instructor");
            }
        }
        return wanted;
    }

    static String named(Cohort cohort, LocalDate day) {
        return cohort.name() + ", " + day;
    }
}
