package lobrik.server.progress;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import lobrik.server.platform.Numbered;
import lobrik.wire.Unit;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** A signature, with the rule and the evidence as they were. */
@Entity
public class SignOff extends Numbered {

    /** A piece that it was given on; written out, so that it still says so when everything else has changed. */
    public record Evidence(
            UUID attemptId,
            Instant measuredAt,
            String title,
            String conduitLabel,
            String benderLabel,
            String preset,
            double points,
            boolean passed,
            int rebent,
            List<EvidenceFeature> features) {}

    /** How far a feature of it was off; inches or degrees. */
    public record EvidenceFeature(String feature, Unit unit, double deviation, double tolerance) {}

    @Id
    private UUID id;

    private UUID traineeId;
    private String family;
    private UUID signedBy;
    private String signedName;
    private Instant signedAt;

    @JdbcTypeCode(SqlTypes.JSON)
    private SignOffFigures rule;

    @JdbcTypeCode(SqlTypes.JSON)
    private List<Evidence> evidence;

    private boolean met;
    private String remark;

    @SuppressWarnings("NullAway.Init")
    protected SignOff() {}

    SignOff(
            UUID id,
            UUID traineeId,
            String family,
            UUID signedBy,
            String signedName,
            Instant signedAt,
            SignOffFigures rule,
            List<Evidence> evidence,
            boolean met,
            String remark) {
        this.id = id;
        this.traineeId = traineeId;
        this.family = family;
        this.signedBy = signedBy;
        this.signedName = signedName;
        this.signedAt = signedAt;
        this.rule = rule;
        this.evidence = List.copyOf(evidence);
        this.met = met;
        this.remark = remark;
    }

    UUID id() {
        return id;
    }

    UUID traineeId() {
        return traineeId;
    }

    String family() {
        return family;
    }

    String signedName() {
        return signedName;
    }

    Instant signedAt() {
        return signedAt;
    }

    SignOffFigures rule() {
        return rule;
    }

    List<Evidence> evidence() {
        return evidence;
    }

    boolean isMet() {
        return met;
    }

    String remark() {
        return remark;
    }
}
