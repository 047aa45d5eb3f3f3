package lobrik.server.shed;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.util.UUID;
import org.hibernate.annotations.DynamicUpdate;

/** A bender of the centre, for one size of conduit. What its figures are is a {@link BenderRevision}. */
@Entity
@DynamicUpdate // The application may only update what can change.
public class Bender {

    @Id
    private UUID id;

    private UUID centreId;
    private UUID conduitId;
    private String label;

    @Enumerated(EnumType.STRING)
    private BenderState state;

    private String stateReason;

    /** Counts what is kept of it, so that two who change it at once do not write over each other. */
    private int edition;

    @SuppressWarnings("NullAway.Init")
    protected Bender() {}

    public Bender(UUID id, UUID centreId, UUID conduitId, String label) {
        this.id = id;
        this.centreId = centreId;
        this.conduitId = conduitId;
        this.label = label;
        this.state = BenderState.IN_USE;
        this.stateReason = "";
    }

    public UUID id() {
        return id;
    }

    public UUID conduitId() {
        return conduitId;
    }

    boolean isIn(UUID centre) {
        return centreId.equals(centre);
    }

    public BenderState state() {
        return state;
    }

    /** Why it is not simply in use; empty if it is. */
    String stateReason() {
        return stateReason;
    }

    int edition() {
        return edition;
    }

    void become(String newLabel, BenderState newState, String reason) {
        label = newLabel;
        state = newState;
        stateReason = reason;
        edition++;
    }

    public String label() {
        return label;
    }
}
