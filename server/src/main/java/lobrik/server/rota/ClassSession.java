package lobrik.server.rota;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.HashSet;
import java.util.Set;
import java.util.UUID;
import org.hibernate.annotations.BatchSize;
import org.hibernate.annotations.DynamicUpdate;
import org.jspecify.annotations.Nullable;

/** A session of a cohort in the calendar. */
@Entity
@DynamicUpdate // The application may only update what can change.
class ClassSession {

    /**
     * When, where, with whom and with what.
     *
     * @param roomId nowhere in particular if null
     * @param instructorId nobody in particular if null
     * @param benches numbers of the benches in that room
     * @param benders that are in the room
     * @param beginsByItself whether what is planned is given out when its time has come, without anybody saying so
     */
    record Arrangement(
            LocalDate day,
            LocalTime begins,
            LocalTime ends,
            @Nullable UUID roomId,
            @Nullable UUID instructorId,
            Set<Integer> benches,
            Set<UUID> benders,
            String note,
            boolean beginsByItself) {

        Arrangement {
            benches = Set.copyOf(benches);
            benders = Set.copyOf(benders);
        }

        Arrangement on(LocalDate other) {
            return new Arrangement(other, begins, ends, roomId, instructorId, benches, benders, note, beginsByItself);
        }

        /** Whether two are at least partly at the same time. */
        boolean overlaps(Arrangement other) {
            return day.equals(other.day) && begins.isBefore(other.ends) && other.begins.isBefore(ends);
        }
    }

    @Id
    private UUID id;

    private UUID centreId;
    private UUID cohortId;
    private @Nullable UUID seriesId;
    private LocalDate onDay;
    private LocalTime begins;
    private LocalTime ends;
    private @Nullable UUID roomId;
    private @Nullable UUID instructorId;
    private String note = "";
    private boolean beginsByItself;
    private @Nullable Instant begunAt;
    private @Nullable UUID begunBy;
    private @Nullable Instant calledOffAt;
    private String calledOffReason = "";
    private Instant changedAt;
    private int edition;

    @ElementCollection
    @BatchSize(size = 200)
    @CollectionTable(name = "class_session_bench", joinColumns = @JoinColumn(name = "session_id"))
    @Column(name = "bench")
    private Set<Integer> benches = new HashSet<>();

    @ElementCollection
    @BatchSize(size = 200)
    @CollectionTable(name = "class_session_bender", joinColumns = @JoinColumn(name = "session_id"))
    @Column(name = "bender_id")
    private Set<UUID> benders = new HashSet<>();

    @SuppressWarnings("NullAway.Init")
    protected ClassSession() {}

    @SuppressWarnings("NullAway.Init") // Set by what it is arranged as.
    ClassSession(UUID id, UUID centreId, UUID cohortId, @Nullable UUID seriesId, Arrangement arranged, Instant at) {
        this.id = id;
        this.centreId = centreId;
        this.cohortId = cohortId;
        this.seriesId = seriesId;
        arrange(arranged, at);
        this.edition = 0;
    }

    UUID id() {
        return id;
    }

    UUID centreId() {
        return centreId;
    }

    UUID cohortId() {
        return cohortId;
    }

    @Nullable
    UUID seriesId() {
        return seriesId;
    }

    Arrangement arrangement() {
        return new Arrangement(onDay, begins, ends, roomId, instructorId, benches, benders, note, beginsByItself);
    }

    LocalDate day() {
        return onDay;
    }

    LocalTime begins() {
        return begins;
    }

    LocalTime ends() {
        return ends;
    }

    @Nullable
    Instant begunAt() {
        return begunAt;
    }

    boolean hasBegun() {
        return begunAt != null;
    }

    boolean isCalledOff() {
        return calledOffAt != null;
    }

    @Nullable
    Instant calledOffAt() {
        return calledOffAt;
    }

    String calledOffReason() {
        return calledOffReason;
    }

    Instant changedAt() {
        return changedAt;
    }

    /** Counts what is kept of it, so that two who change it at once do not write over each other. */
    int edition() {
        return edition;
    }

    final void arrange(Arrangement arranged, Instant at) {
        onDay = arranged.day();
        begins = arranged.begins();
        ends = arranged.ends();
        roomId = arranged.roomId();
        instructorId = arranged.instructorId();
        note = arranged.note();
        beginsByItself = arranged.beginsByItself();
        benches.retainAll(arranged.benches());
        benches.addAll(arranged.benches());
        benders.retainAll(arranged.benders());
        benders.addAll(arranged.benders());
        changed(at);
    }

    void callOff(String reason, Instant at) {
        calledOffAt = at;
        calledOffReason = reason;
        changed(at);
    }

    void holdAfterAll(Instant at) {
        calledOffAt = null;
        calledOffReason = "";
        changed(at);
    }

    void begin(@Nullable UUID by, Instant at) {
        begunBy = by;
        begunAt = at;
        changed(at);
    }

    /** Notes that its plan is another. */
    void planned(Instant at) {
        changed(at);
    }

    private void changed(Instant at) {
        changedAt = at;
        edition++;
    }
}
