package lobrik.server.exercise;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import lobrik.server.calc.LayoutRequest;
import lobrik.server.shed.ToleranceFigures;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** A bend as an instructor set it. It does not change once it was given. */
@Entity
public class Exercise {

    @Id
    private UUID id;

    private UUID centreId;
    private String title;
    private String conduitLabel;
    private String benderLabel;

    @JdbcTypeCode(SqlTypes.JSON)
    private LayoutRequest definition;

    @JdbcTypeCode(SqlTypes.JSON)
    private ToleranceFigures tolerances;

    private UUID createdBy;
    private Instant createdAt;

    @SuppressWarnings("NullAway.Init")
    protected Exercise() {}

    public Exercise(
            UUID id,
            UUID centreId,
            String title,
            String conduitLabel,
            String benderLabel,
            LayoutRequest definition,
            ToleranceFigures tolerances,
            UUID createdBy,
            Instant createdAt) {
        this.id = id;
        this.centreId = centreId;
        this.title = title;
        this.conduitLabel = conduitLabel;
        this.benderLabel = benderLabel;
        this.definition = definition;
        this.tolerances = tolerances;
        this.createdBy = createdBy;
        this.createdAt = createdAt;
    }

    public UUID id() {
        return id;
    }

    UUID centreId() {
        return centreId;
    }

    public String title() {
        return title;
    }

    public String conduitLabel() {
        return conduitLabel;
    }

    public String benderLabel() {
        return benderLabel;
    }

    public LayoutRequest definition() {
        return definition;
    }

    public ToleranceFigures tolerances() {
        return tolerances;
    }
}
