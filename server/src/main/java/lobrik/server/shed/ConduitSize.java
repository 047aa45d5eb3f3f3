package lobrik.server.shed;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;
import lobrik.measure.Length;
import org.hibernate.annotations.DynamicUpdate;

/** A size of conduit that the centre bends. */
@Entity
@DynamicUpdate // The application may only update what can change.
@Table(name = "conduit")
public class ConduitSize {

    @Id
    private UUID id;

    private UUID centreId;
    private String label;
    private long outsideDiameterPm;
    private boolean putAway;

    @SuppressWarnings("NullAway.Init")
    protected ConduitSize() {}

    public ConduitSize(UUID id, UUID centreId, String label, Length outsideDiameter) {
        this.id = id;
        this.centreId = centreId;
        this.label = label;
        this.outsideDiameterPm = outsideDiameter.picometres();
    }

    public UUID id() {
        return id;
    }

    boolean isIn(UUID centre) {
        return centreId.equals(centre);
    }

    boolean isPutAway() {
        return putAway;
    }

    void putAway(boolean away) {
        putAway = away;
    }

    public String label() {
        return label;
    }

    public Length outsideDiameter() {
        return new Length(outsideDiameterPm);
    }
}
