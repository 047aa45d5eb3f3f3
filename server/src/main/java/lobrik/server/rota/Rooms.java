package lobrik.server.rota;

import jakarta.persistence.EntityManager;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.UUID;
import lobrik.server.account.Audit;
import lobrik.server.account.Differences;
import lobrik.server.account.SignedIn;
import lobrik.server.platform.TurnedDown;
import lobrik.server.platform.Turns;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Rooms with their benches, and the days on which the school is closed: kept by its lead. */
@Service
class Rooms {

    private static final int LONGEST_NAME = 60;
    private static final int MOST_BENCHES = 200;
    private static final int MOST_PLACES = 20;
    private static final int MOST_ROOMS = 100;
    private static final int MOST_HOLIDAYS = 500;
    private static final long LONGEST_HOLIDAY = 120;

    private final EntityManager entities;
    private final Audit audit;
    private final Turns turns;

    Rooms(EntityManager entities, Audit audit, Turns turns) {
        this.entities = entities;
        this.audit = audit;
        this.turns = turns;
    }

    /** The rooms of a school, by name. */
    @Transactional(readOnly = true)
    List<Room> all(SignedIn who) {
        return entities.createQuery("from Room where centreId = :centre order by name", Room.class)
                .setParameter("centre", who.centreId())
                .getResultList();
    }

    /**
     * The room with this id.
     *
     * @throws TurnedDown if the school of the one who asks has none
     */
    @Transactional(readOnly = true)
    Room room(SignedIn who, UUID id) {
        Room room = entities.find(Room.class, id);
        if (room == null || !room.isIn(who.centreId())) {
            throw TurnedDown.notFound("room");
        }
        return room;
    }

    /**
     * Makes a room, or changes it.
     *
     * @param seen the edition that whoever asks has seen; of a new one none
     * @throws TurnedDown if its name is taken, a figure is out of range, or somebody else changed it since
     */
    @Transactional
    public void keep(SignedIn who, UUID id, int seen, String name, Room.Furniture has, boolean away) {
        String called = requireName(name);
        requireWithin("/benches", "a room has", has.benches(), MOST_BENCHES, "benches");
        requireWithin("/places", "a bench has", has.places(), MOST_PLACES, "places");
        turns.take(who.centreId());
        List<Room> all = all(who);
        if (all.stream()
                .anyMatch(room ->
                        room.name().equalsIgnoreCase(called) && !room.id().equals(id))) {
            throw TurnedDown.badInput("/name", "duplicate", "there is a room called “" + called + "” already");
        }
        Room room = entities.find(Room.class, id);
        Audit.Subject subject = new Audit.Subject(Audit.Kind.ROOM, id, called);
        if (room == null) {
            if (all.size() >= MOST_ROOMS) {
                throw TurnedDown.conflict("too-many", "there are " + MOST_ROOMS + " rooms already");
            }
            entities.persist(new Room(id, who.centreId(), called, has));
            audit.added(who, subject, Differences.between(null, has).toArray(Audit.Change[]::new));
            return;
        }
        Room own = room(who, id);
        if (own.edition() != seen) {
            throw TurnedDown.changedMeanwhile(own.name());
        }
        Kept before = new Kept(own.name(), own.furniture(), own.isPutAway());
        own.become(called, has, away);
        audit.changed(who, subject, Differences.between(before, new Kept(called, has, away)), null);
    }

    private record Kept(String name, Room.Furniture has, boolean putAway) {}

    /** The days on which a school is closed, in their order. */
    @Transactional(readOnly = true)
    List<Holiday> holidays(SignedIn who) {
        return entities.createQuery("from Holiday where centreId = :centre order by firstDay, name", Holiday.class)
                .setParameter("centre", who.centreId())
                .getResultList();
    }

    /** Closes the school for some days. Repeating it changes nothing. */
    @Transactional
    public void close(SignedIn who, UUID id, String name, LocalDate first, LocalDate last) {
        String called = requireName(name);
        if (last.isBefore(first) || ChronoUnit.DAYS.between(first, last) >= LONGEST_HOLIDAY) {
            throw TurnedDown.badInput(
                    "/lastDay", "out-of-range", "holidays last from 1 to " + LONGEST_HOLIDAY + " days");
        }
        turns.take(who.centreId());
        if (entities.find(Holiday.class, id) != null) {
            return;
        }
        if (holidays(who).size() >= MOST_HOLIDAYS) {
            throw TurnedDown.conflict("too-many", "there are " + MOST_HOLIDAYS + " holidays already");
        }
        entities.persist(new Holiday(id, who.centreId(), called, first, last));
        audit.added(
                who,
                new Audit.Subject(Audit.Kind.HOLIDAY, id, called),
                Audit.Change.of("first day", null, first),
                Audit.Change.of("last day", null, last));
    }

    /** Opens it again. */
    @Transactional
    public void open(SignedIn who, UUID id) {
        Holiday holiday = entities.find(Holiday.class, id);
        if (holiday == null || !holiday.isIn(who.centreId())) {
            throw TurnedDown.notFound("holiday");
        }
        entities.remove(holiday);
        audit.ended(who, new Audit.Subject(Audit.Kind.HOLIDAY, id, holiday.name()), null);
    }

    private static String requireName(String name) {
        String called = name.strip();
        if (called.isEmpty() || called.length() > LONGEST_NAME) {
            throw TurnedDown.badInput("/name", "missing", "give a name of 1 to " + LONGEST_NAME + " characters");
        }
        return called;
    }

    private static void requireWithin(String pointer, String what, int given, int most, String unit) {
        if (given < 1 || given > most) {
            throw TurnedDown.badInput(pointer, "out-of-range", what + " from 1 to " + most + " " + unit);
        }
    }
}
