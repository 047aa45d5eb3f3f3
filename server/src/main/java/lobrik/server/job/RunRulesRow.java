package lobrik.server.job;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import lobrik.server.platform.Numbered;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** Rules from when on they count; never changed. */
@Entity
@Table(name = "run_rules")
class RunRulesRow extends Numbered {

    @Id
    private UUID id;

    private UUID centreId;

    @JdbcTypeCode(SqlTypes.JSON)
    private JobRules rules;

    private UUID keptBy;
    private Instant keptAt;

    @SuppressWarnings("NullAway.Init")
    protected RunRulesRow() {}

    RunRulesRow(UUID id, UUID centreId, JobRules rules, UUID keptBy, Instant keptAt) {
        this.id = id;
        this.centreId = centreId;
        this.rules = rules;
        this.keptBy = keptBy;
        this.keptAt = keptAt;
    }

    JobRules rules() {
        return rules;
    }
}
