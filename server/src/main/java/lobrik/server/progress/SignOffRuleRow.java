package lobrik.server.progress;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import lobrik.server.platform.Numbered;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** A rule from when on it counts; never changed. */
@Entity
@Table(name = "sign_off_rule")
class SignOffRuleRow extends Numbered {

    /** The family of the rule for all families of bends that have none of their own. */
    static final String ALL = "";

    @Id
    private UUID id;

    private UUID centreId;
    private String family;

    @JdbcTypeCode(SqlTypes.JSON)
    private SignOffFigures figures;

    private UUID keptBy;
    private Instant keptAt;

    @SuppressWarnings("NullAway.Init")
    protected SignOffRuleRow() {}

    SignOffRuleRow(UUID id, UUID centreId, String family, SignOffFigures figures, UUID keptBy, Instant keptAt) {
        this.id = id;
        this.centreId = centreId;
        this.family = family;
        this.figures = figures;
        this.keptBy = keptBy;
        this.keptAt = keptAt;
    }

    UUID centreId() {
        return centreId;
    }

    String family() {
        return family;
    }

    SignOffFigures figures() {
        return figures;
    }

    UUID keptBy() {
        return keptBy;
    }

    Instant keptAt() {
        return keptAt;
    }
}
