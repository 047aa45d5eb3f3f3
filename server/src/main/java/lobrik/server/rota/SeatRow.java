package lobrik.server.rota;

import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.annotations.DynamicUpdate;

/** Where somebody sits in a session. */
@Entity
@Table(name = "seat")
@DynamicUpdate // The application may only update what can change.
class SeatRow {

    @EmbeddedId
    private InSession id;

    private int bench;
    private UUID benderId;
    private boolean byHand;

    @SuppressWarnings("NullAway.Init")
    protected SeatRow() {}

    SeatRow(InSession id, int bench, UUID benderId, boolean byHand) {
        this.id = id;
        this.bench = bench;
        this.benderId = benderId;
        this.byHand = byHand;
    }

    UUID sessionId() {
        return id.sessionId();
    }

    UUID traineeId() {
        return id.traineeId();
    }

    int bench() {
        return bench;
    }

    UUID benderId() {
        return benderId;
    }

    /** Whether somebody chose it, so that it stays when the rota is worked out again. */
    boolean isByHand() {
        return byHand;
    }

    void become(int newBench, UUID newBender, boolean chosen) {
        bench = newBench;
        benderId = newBender;
        byHand = chosen;
    }
}
