package lobrik.server.rota;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import lobrik.rota.Rota;
import lobrik.rota.Seat;
import lobrik.rota.SeatingPlan;
import lobrik.rota.Sitting;
import lobrik.server.account.Audit;
import lobrik.server.account.SignedIn;
import lobrik.server.cohort.Cohort;
import lobrik.server.cohort.Cohorts;
import lobrik.server.cohort.Trainee;
import lobrik.server.live.Live;
import lobrik.server.platform.Days;
import lobrik.server.platform.TurnedDown;
import lobrik.server.platform.Turns;
import lobrik.server.shed.Bender;
import lobrik.server.shed.BenderCards;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Who of a cohort sits where in its sessions: kept seats, those set by hand among them, and what a rota is worked out from. */
@Service
class Seating {

    /** Older ones say little about who is due for what, and make the rota slow. */
    private static final int LOOKED_BACK = 30;

    private static final int LOOKED_AHEAD = 40;

    /** A seat to be kept. */
    record Chosen(UUID sessionId, UUID traineeId, int bench, UUID benderId) {}

    /** Where a bench and a bender are meant by their numbers; nowhere if null. */
    record Place(int bench, UUID benderId) {}

    /**
     * Everything that a rota is made of, with what its numbers mean.
     *
     * @param plan of the seats that are kept
     * @param byHand who of which session was set by hand
     */
    record Table(
            Cohort cohort,
            List<ClassSession> sessions,
            List<Trainee> people,
            List<Bender> benders,
            Rota rota,
            SeatingPlan plan,
            Set<InSession> byHand) {

        /** The same with other seats. */
        Table with(SeatingPlan other) {
            return new Table(cohort, sessions, people, benders, rota, other, byHand);
        }
    }

    private final EntityManager entities;
    private final Cohorts cohorts;
    private final Timetable timetable;
    private final Presence presence;
    private final Rooms rooms;
    private final BenderCards cards;
    private final Audit audit;
    private final Turns turns;
    private final Live live;
    private final Clock clock;

    Seating(
            EntityManager entities,
            Cohorts cohorts,
            Timetable timetable,
            Presence presence,
            Rooms rooms,
            BenderCards cards,
            Audit audit,
            Turns turns,
            Live live,
            Clock clock) {
        this.entities = entities;
        this.cohorts = cohorts;
        this.timetable = timetable;
        this.presence = presence;
        this.rooms = rooms;
        this.cards = cards;
        this.audit = audit;
        this.turns = turns;
        this.live = live;
        this.clock = clock;
    }

    /** The rota of a cohort as it is kept. */
    @Transactional(readOnly = true)
    Table of(SignedIn who, UUID cohortId) {
        Cohort cohort = cohorts.cohort(who, cohortId);
        List<Trainee> people = cohorts.trainees(who, cohortId);
        List<ClassSession> sessions = near(timetable.held(cohortId));
        Map<UUID, Integer> person = indexed(people.stream().map(Trainee::id).toList());
        Map<UUID, List<SeatRow>> rows = seats(sessions);
        List<Bender> benders = benders(
                who,
                sessions,
                rows.values().stream()
                        .flatMap(List::stream)
                        .map(SeatRow::benderId)
                        .collect(Collectors.toSet()));
        Map<UUID, Integer> bender = indexed(benders.stream().map(Bender::id).toList());
        Map<UUID, Integer> places = rooms.all(who).stream()
                .collect(Collectors.toMap(Room::id, room -> room.furniture().places()));
        Presence.Known known = presence.of(people, sessions);
        Set<InSession> byHand = new HashSet<>();
        List<Sitting> sittings = new ArrayList<>();
        List<Map<Integer, Seat>> kept = new ArrayList<>();
        for (ClassSession session : sessions) {
            boolean over = isOver(session);
            Map<Integer, Seat> fixed = new HashMap<>();
            Map<Integer, Seat> all = new HashMap<>();
            for (SeatRow row : rows.getOrDefault(session.id(), List.of())) {
                Integer who2 = person.get(row.traineeId());
                if (who2 == null || known.isAway(session, row.traineeId())) {
                    continue;
                }
                Seat seat = new Seat(row.bench(), Objects.requireNonNull(bender.get(row.benderId())));
                all.put(who2, seat);
                if (over || row.isByHand()) {
                    fixed.put(who2, seat);
                }
                if (row.isByHand()) {
                    byHand.add(new InSession(session.id(), row.traineeId()));
                }
            }
            kept.add(all);
            sittings.add(sitting(session, over, fixed, people, person, bender, places, known));
        }
        Rota rota = new Rota(people.stream().map(Trainee::bench).toList(), benders.size(), sittings, apart(person));
        return new Table(cohort, sessions, people, benders, rota, new SeatingPlan(kept), byHand);
    }

    private static Sitting sitting(
            ClassSession session,
            boolean over,
            Map<Integer, Seat> fixed,
            List<Trainee> people,
            Map<UUID, Integer> person,
            Map<UUID, Integer> bender,
            Map<UUID, Integer> places,
            Presence.Known known) {
        ClassSession.Arrangement arranged = session.arrangement();
        Set<Integer> present = people.stream()
                .map(Trainee::id)
                .filter(id -> !known.isAway(session, id))
                .map(id -> Objects.requireNonNull(person.get(id)))
                .collect(Collectors.toSet());
        List<Integer> benches = arranged.benches().stream().sorted().toList();
        UUID room = arranged.roomId();
        // Without a room nobody knows how many a bench holds: as many as there have to be.
        int perBench = room == null || !places.containsKey(room)
                ? Math.max(1, benches.isEmpty() ? 1 : Math.ceilDiv(present.size(), benches.size()))
                : places.get(room);
        return new Sitting(
                present,
                benches,
                perBench,
                arranged.benders().stream()
                        .map(id -> Objects.requireNonNull(bender.get(id)))
                        .sorted()
                        .toList(),
                fixed,
                over);
    }

    private List<ClassSession> near(List<ClassSession> sessions) {
        int next = (int) sessions.stream().takeWhile(this::isOver).count();
        return sessions.subList(Math.max(0, next - LOOKED_BACK), Math.min(sessions.size(), next + LOOKED_AHEAD));
    }

    /** Whether nobody is seated in it any more. */
    boolean isOver(ClassSession session) {
        return session.day().isBefore(Days.today(clock));
    }

    private Map<UUID, List<SeatRow>> seats(Collection<ClassSession> sessions) {
        return entities.createQuery("from SeatRow s where s.id.sessionId in :sessions", SeatRow.class)
                .setParameter(
                        "sessions", sessions.stream().map(ClassSession::id).toList())
                .getResultStream()
                .collect(Collectors.groupingBy(SeatRow::sessionId));
    }

    /** The seats of one session, by trainee. */
    @Transactional(readOnly = true)
    Map<UUID, SeatRow> of(ClassSession session) {
        return seats(List.of(session)).getOrDefault(session.id(), List.of()).stream()
                .collect(Collectors.toMap(SeatRow::traineeId, Function.identity()));
    }

    /** Those that somebody sits on or could, by label. */
    private List<Bender> benders(SignedIn who, List<ClassSession> sessions, Set<UUID> satOn) {
        Set<UUID> named = new HashSet<>(satOn);
        sessions.forEach(session -> named.addAll(session.arrangement().benders()));
        return cards.all(who).stream()
                .map(BenderCards.Card::bender)
                .filter(bender -> named.contains(bender.id()))
                .toList();
    }

    private Set<Rota.Pair> apart(Map<UUID, Integer> person) {
        return entities.createQuery(
                        "from KeptApart k where k.id.oneId in :people and k.id.otherId in :people", KeptApart.class)
                .setParameter("people", person.keySet())
                .getResultStream()
                .map(pair -> Rota.Pair.of(
                        Objects.requireNonNull(person.get(pair.id().oneId())),
                        Objects.requireNonNull(person.get(pair.id().otherId()))))
                .collect(Collectors.toSet());
    }

    private static Map<UUID, Integer> indexed(List<UUID> ids) {
        return IntStream.range(0, ids.size()).boxed().collect(Collectors.toMap(ids::get, Function.identity()));
    }

    /**
     * Keeps seats that were worked out, of sessions to come; what was set by hand stays.
     *
     * @throws TurnedDown if a session, or what was set by hand, is not any more what the seats were worked out for
     */
    @Transactional
    public void keep(SignedIn who, UUID cohortId, List<Chosen> chosen) {
        cohorts.open(who, cohortId);
        turns.take(cohortId);
        Table now = of(who, cohortId);
        Map<UUID, ClassSession> sessions = now.sessions().stream()
                .filter(session -> !isOver(session))
                .collect(Collectors.toMap(ClassSession::id, Function.identity()));
        Set<UUID> people = now.people().stream().map(Trainee::id).collect(Collectors.toSet());
        Map<InSession, SeatRow> rows = new HashMap<>();
        seats(sessions.values())
                .values()
                .forEach(each -> each.forEach(row -> rows.put(new InSession(row.sessionId(), row.traineeId()), row)));
        Set<InSession> wanted = new HashSet<>();
        for (Chosen seat : chosen) {
            ClassSession session = sessions.get(seat.sessionId());
            InSession id = new InSession(seat.sessionId(), seat.traineeId());
            SeatRow row = rows.get(id);
            boolean stays = row != null && row.isByHand();
            boolean same =
                    row != null && row.bench() == seat.bench() && row.benderId().equals(seat.benderId());
            if (session == null
                    || !people.contains(seat.traineeId())
                    || (stays && !same)
                    || (!stays && !fits(session, seat))) {
                throw TurnedDown.changedMeanwhile("The rota");
            }
            wanted.add(id);
            if (row == null) {
                entities.persist(new SeatRow(id, seat.bench(), seat.benderId(), false));
            } else if (!stays) {
                row.become(seat.bench(), seat.benderId(), false);
            }
        }
        rows.forEach((id, row) -> {
            if (!wanted.contains(id) && !row.isByHand()) {
                entities.remove(row);
            }
        });
        live.changed(cohortId);
        audit.changed(
                who,
                new Audit.Subject(Audit.Kind.ROTA, cohortId, now.cohort().name()),
                List.of(Audit.Change.of("seats worked out", null, chosen.size())),
                null);
    }

    private static boolean fits(ClassSession session, Chosen seat) {
        ClassSession.Arrangement arranged = session.arrangement();
        return arranged.benches().contains(seat.bench()) && arranged.benders().contains(seat.benderId());
    }

    /**
     * Seats somebody by hand, or lets go of that, so that the next rota that is worked out seats them.
     *
     * @param seen where they sat when whoever asks looked; nowhere if null
     * @param place where they sit from now on; null to let go
     * @throws TurnedDown if the bench or bender is not in the session, it is over, or somebody else seated them since
     */
    @Transactional
    public void seat(SignedIn who, UUID sessionId, UUID traineeId, @Nullable Place seen, @Nullable Place place) {
        ClassSession session = timetable.session(who, sessionId);
        Cohort cohort = cohorts.open(who, session.cohortId());
        turns.take(cohort.id());
        Trainee trainee = cohorts.trainee(who, traineeId);
        if (isOver(session) || !trainee.cohortId().equals(cohort.id())) {
            throw TurnedDown.conflict("is-over", "This session is over; who sat where stays");
        }
        InSession id = new InSession(sessionId, traineeId);
        SeatRow row = entities.find(SeatRow.class, id);
        Place was = row == null ? null : new Place(row.bench(), row.benderId());
        if (!Objects.equals(was, seen)) {
            throw TurnedDown.changedMeanwhile("The seat of " + trainee.fullName());
        }
        if (place != null && !fits(session, new Chosen(sessionId, traineeId, place.bench(), place.benderId()))) {
            throw TurnedDown.badInput(
                    "/bench", "unknown", "the session has no such bench or bender; change the session first");
        }
        if (place == null && row != null) {
            row.become(row.bench(), row.benderId(), false);
        } else if (place != null && row == null) {
            entities.persist(new SeatRow(id, place.bench(), place.benderId(), true));
        } else if (place != null && row != null) {
            row.become(place.bench(), place.benderId(), true);
        }
        live.changed(cohort.id(), traineeId, null);
        audit.changed(
                who,
                new Audit.Subject(Audit.Kind.TRAINEE, traineeId, trainee.fullName()),
                List.of(Audit.Change.of(
                        "seat on " + session.day(),
                        was == null ? null : "bench " + was.bench(),
                        place == null ? "as the rota says" : "bench " + place.bench())),
                null);
    }
}
