package lobrik.server.rota;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.Table;
import java.util.HashSet;
import java.util.Set;
import java.util.UUID;

/** An exercise that some are given when a session begins. */
@Entity
@Table(name = "class_session_part")
class SessionPart {

    @Id
    private UUID id;

    private UUID sessionId;
    private int place;
    private UUID entryId;
    private boolean varied;

    @ElementCollection(fetch = FetchType.EAGER)
    @CollectionTable(name = "class_session_part_trainee", joinColumns = @JoinColumn(name = "part_id"))
    @Column(name = "trainee_id")
    private Set<UUID> trainees = new HashSet<>();

    @SuppressWarnings("NullAway.Init")
    protected SessionPart() {}

    SessionPart(UUID id, UUID sessionId, int place, UUID entryId, boolean varied, Set<UUID> trainees) {
        this.id = id;
        this.sessionId = sessionId;
        this.place = place;
        this.entryId = entryId;
        this.varied = varied;
        this.trainees = new HashSet<>(trainees);
    }

    UUID id() {
        return id;
    }

    UUID sessionId() {
        return sessionId;
    }

    UUID entryId() {
        return entryId;
    }

    boolean isVaried() {
        return varied;
    }

    Set<UUID> trainees() {
        return Set.copyOf(trainees);
    }
}
