package lobrik.server.shed;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** A set of tolerances that a centre made for itself. */
@Entity
class JudgingPreset {

    @Id
    private UUID id;

    private UUID centreId;
    private String name;

    @JdbcTypeCode(SqlTypes.JSON)
    private ToleranceFigures figures;

    private UUID madeBy;
    private UUID keptBy;
    private Instant keptAt;
    private boolean putAway;

    @SuppressWarnings("NullAway.Init")
    protected JudgingPreset() {}

    JudgingPreset(UUID id, UUID centreId, ToleranceFigures figures, UUID keptBy, Instant keptAt) {
        this.id = id;
        this.centreId = centreId;
        this.name = figures.preset();
        this.figures = figures;
        this.madeBy = keptBy;
        this.keptBy = keptBy;
        this.keptAt = keptAt;
    }

    UUID id() {
        return id;
    }

    ToleranceFigures figures() {
        return figures;
    }

    UUID madeBy() {
        return madeBy;
    }

    UUID keptBy() {
        return keptBy;
    }

    Instant keptAt() {
        return keptAt;
    }

    boolean isPutAway() {
        return putAway;
    }

    boolean isIn(UUID centre) {
        return centreId.equals(centre);
    }

    /** Its figures from now on; whatever was set or measured with the old ones keeps those. */
    void change(ToleranceFigures changed, UUID by, Instant at) {
        this.name = changed.preset();
        this.figures = changed;
        this.keptBy = by;
        this.keptAt = at;
        this.putAway = false;
    }

    void putAway(UUID by, Instant at) {
        this.putAway = true;
        this.keptBy = by;
        this.keptAt = at;
    }
}
