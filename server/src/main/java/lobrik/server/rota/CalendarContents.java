package lobrik.server.rota;

import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Writes a calendar of the past that nobody kept on a screen: for a school that is made up. */
public final class CalendarContents {

    /** When, where, with whom and with what a session is. */
    public record Slot(
            UUID cohortId,
            UUID seriesId,
            LocalTime begins,
            LocalTime ends,
            UUID roomId,
            UUID instructorId,
            Set<Integer> benches) {}

    private final EntityManager entities;
    private final UUID centreId;

    public CalendarContents(EntityManager entities, UUID centreId) {
        this.entities = entities;
        this.centreId = centreId;
    }

    /** A room with so many benches, and so many places at each. */
    public void room(UUID id, String name, int benches, int places) {
        entities.persist(new Room(id, centreId, name, new Room.Furniture(benches, places)));
    }

    public void holiday(UUID id, String name, LocalDate first, LocalDate last) {
        entities.persist(new Holiday(id, centreId, name, first, last));
    }

    /** A session on a day; nobody began it yet if {@code begunAt} is null. */
    public void session(
            UUID id, Slot slot, LocalDate day, Set<UUID> benders, @Nullable Instant begunAt, Instant writtenAt) {
        ClassSession session = new ClassSession(
                id,
                centreId,
                slot.cohortId(),
                slot.seriesId(),
                new ClassSession.Arrangement(
                        day,
                        slot.begins(),
                        slot.ends(),
                        slot.roomId(),
                        slot.instructorId(),
                        slot.benches(),
                        benders,
                        "",
                        false),
                writtenAt);
        if (begunAt != null) {
            session.begin(slot.instructorId(), begunAt);
        }
        entities.persist(session);
    }

    public void seat(UUID sessionId, UUID traineeId, int bench, UUID benderId) {
        entities.persist(new SeatRow(new InSession(sessionId, traineeId), bench, benderId, false));
    }

    public void noted(UUID sessionId, UUID traineeId, Attendance.State state, UUID by, Instant at) {
        entities.persist(new Attendance(new InSession(sessionId, traineeId), state, by, at));
    }

    /** Somebody said that they will not be there on a day. */
    public void absent(UUID id, UUID traineeId, LocalDate day, String reason, UUID notedBy) {
        entities.persist(new Absence(id, traineeId, day, day, reason, notedBy));
    }
}
