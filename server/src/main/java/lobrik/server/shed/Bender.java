package lobrik.server.shed;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.util.UUID;
import org.hibernate.annotations.Immutable;

/** A bender of the centre, for one size of conduit. What its figures are is a {@link BenderRevision}. */
@Entity
@Immutable
public class Bender {

    @Id
    private UUID id;

    private UUID centreId;
    private UUID conduitId;
    private String label;

    @SuppressWarnings("NullAway.Init")
    protected Bender() {}

    public Bender(UUID id, UUID centreId, UUID conduitId, String label) {
        this.id = id;
        this.centreId = centreId;
        this.conduitId = conduitId;
        this.label = label;
    }

    public UUID id() {
        return id;
    }

    public UUID conduitId() {
        return conduitId;
    }

    public String label() {
        return label;
    }
}
