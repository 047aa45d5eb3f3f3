package lobrik.server.rota;

import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.DynamicUpdate;
import org.jspecify.annotations.Nullable;

/** Whether somebody was at a session. */
@Entity
@DynamicUpdate // The application may only update what can change.
public class Attendance {

    /** Whether somebody was there. */
    public enum State {
        HERE,
        LATE,
        /** Without a word. */
        AWAY,
        EXCUSED;

        public boolean isThere() {
            return this == HERE || this == LATE;
        }
    }

    @EmbeddedId
    private InSession id;

    @Enumerated(EnumType.STRING)
    private State state;

    private @Nullable UUID notedBy;
    private Instant notedAt;

    @SuppressWarnings("NullAway.Init")
    protected Attendance() {}

    Attendance(InSession id, State state, UUID notedBy, Instant notedAt) {
        this.id = id;
        this.state = state;
        this.notedBy = notedBy;
        this.notedAt = notedAt;
    }

    UUID sessionId() {
        return id.sessionId();
    }

    UUID traineeId() {
        return id.traineeId();
    }

    State state() {
        return state;
    }

    @Nullable
    UUID notedBy() {
        return notedBy;
    }

    Instant notedAt() {
        return notedAt;
    }

    void become(State newState, UUID by, Instant at) {
        state = newState;
        notedBy = by;
        notedAt = at;
    }
}
