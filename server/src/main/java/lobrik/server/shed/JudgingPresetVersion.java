package lobrik.server.shed;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import java.io.Serializable;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** A set of tolerances as somebody kept it, or put it away. */
@Entity
@Immutable
@IdClass(JudgingPresetVersion.Key.class)
class JudgingPresetVersion {

    /** Which version of which set. */
    record Key(UUID presetId, int version) implements Serializable {}

    @Id
    private UUID presetId;

    @Id
    private int version;

    @JdbcTypeCode(SqlTypes.JSON)
    private ToleranceFigures figures;

    private boolean putAway;
    private UUID keptBy;
    private Instant keptAt;

    @SuppressWarnings("NullAway.Init")
    protected JudgingPresetVersion() {}

    JudgingPresetVersion(JudgingPreset preset, int version) {
        this.presetId = preset.id();
        this.version = version;
        this.figures = preset.figures();
        this.putAway = preset.isPutAway();
        this.keptBy = preset.keptBy();
        this.keptAt = preset.keptAt();
    }

    int version() {
        return version;
    }

    ToleranceFigures figures() {
        return figures;
    }

    boolean isPutAway() {
        return putAway;
    }

    UUID keptBy() {
        return keptBy;
    }

    Instant keptAt() {
        return keptAt;
    }
}
