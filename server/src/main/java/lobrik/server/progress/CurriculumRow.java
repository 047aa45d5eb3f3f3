package lobrik.server.progress;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import lobrik.progress.Curriculum;
import lobrik.server.platform.Numbered;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** An order in which bends are learnt, from when on it counts; never changed. */
@Entity
@Table(name = "curriculum")
class CurriculumRow extends Numbered {

    @Id
    private UUID id;

    private UUID centreId;

    @JdbcTypeCode(SqlTypes.JSON)
    private List<CurriculumStep> steps;

    private UUID keptBy;
    private Instant keptAt;

    @SuppressWarnings("NullAway.Init")
    protected CurriculumRow() {}

    CurriculumRow(UUID id, UUID centreId, Curriculum order, UUID keptBy, Instant keptAt) {
        this.id = id;
        this.centreId = centreId;
        this.steps = CurriculumStep.of(order);
        this.keptBy = keptBy;
        this.keptAt = keptAt;
    }

    Curriculum toCore() {
        return CurriculumStep.toCore(steps);
    }

    List<CurriculumStep> steps() {
        return steps;
    }

    UUID keptBy() {
        return keptBy;
    }

    Instant keptAt() {
        return keptAt;
    }
}
