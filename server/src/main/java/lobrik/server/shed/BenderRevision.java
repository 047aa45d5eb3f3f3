package lobrik.server.shed;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import lobrik.shop.Tool;
import org.hibernate.annotations.Immutable;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

/** The figures of a bender from some time on. They never change: a bender that is measured anew has another revision. */
@Entity
@Immutable
public class BenderRevision {

    @Id
    private UUID id;

    private UUID benderId;
    private int revision;

    @JdbcTypeCode(SqlTypes.JSON)
    private ToolFigures figures;

    private @Nullable UUID madeBy;
    private Instant madeAt;
    private String reason;

    @SuppressWarnings("NullAway.Init")
    protected BenderRevision() {}

    /**
     * A revision of a bender.
     *
     * @param madeBy nobody if it came with the school
     * @param reason why its figures are these
     */
    public BenderRevision(
            UUID id, UUID benderId, int revision, Tool tool, @Nullable UUID madeBy, Instant madeAt, String reason) {
        this.id = id;
        this.benderId = benderId;
        this.revision = revision;
        this.figures = ToolFigures.of(tool);
        this.madeBy = madeBy;
        this.madeAt = madeAt;
        this.reason = reason;
    }

    public UUID id() {
        return id;
    }

    public UUID benderId() {
        return benderId;
    }

    /** 1 for the first. */
    public int revision() {
        return revision;
    }

    @Nullable
    UUID madeBy() {
        return madeBy;
    }

    Instant madeAt() {
        return madeAt;
    }

    /** Why its figures are these. */
    String reason() {
        return reason;
    }

    public Tool tool() {
        return figures.toCore();
    }
}
