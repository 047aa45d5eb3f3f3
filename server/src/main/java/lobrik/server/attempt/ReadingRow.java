package lobrik.server.attempt;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Objects;
import java.util.UUID;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Quantity;
import lobrik.shape.FeatureId;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** A reading as it was taken. Never changed: a correction is a new row that names the one it corrects. */
@Entity
@Immutable
@Table(name = "reading")
public class ReadingRow {

    private static final String PICOMETRES = "pm";
    private static final String NANODEGREES = "ndeg";

    /** What a correction corrects, and why. */
    public record Correction(UUID of, String reason) {}

    @Id
    private UUID id;

    private UUID attemptId;
    private String feature;
    private String unit;
    private long value;
    private String typed;
    private UUID takenBy;
    private Instant takenAt;
    private @Nullable UUID corrects;
    private @Nullable String reason;

    @SuppressWarnings("NullAway.Init")
    protected ReadingRow() {}

    public ReadingRow(
            UUID id,
            UUID attemptId,
            FeatureId feature,
            Quantity value,
            String typed,
            UUID takenBy,
            Instant takenAt,
            @Nullable Correction correction) {
        this.id = id;
        this.attemptId = attemptId;
        this.feature = feature.id();
        this.unit = switch (value) {
            case Length _ -> PICOMETRES;
            case Angle _ -> NANODEGREES;
        };
        this.value = value.count();
        this.typed = typed;
        this.takenBy = takenBy;
        this.takenAt = takenAt;
        this.corrects = correction == null ? null : correction.of();
        this.reason = correction == null ? null : correction.reason();
    }

    UUID id() {
        return id;
    }

    UUID attemptId() {
        return attemptId;
    }

    FeatureId feature() {
        return FeatureId.withId(feature).orElseThrow();
    }

    Quantity value() {
        return unit.equals(PICOMETRES) ? new Length(value) : new Angle(value);
    }

    String typed() {
        return typed;
    }

    UUID takenBy() {
        return takenBy;
    }

    Instant takenAt() {
        return takenAt;
    }

    @Nullable
    UUID corrects() {
        return corrects;
    }

    @Nullable
    String reason() {
        return reason;
    }

    /** Whether this row says the same as another: a repeated request. */
    boolean saysTheSameAs(ReadingRow other) {
        return attemptId.equals(other.attemptId)
                && feature.equals(other.feature)
                && value == other.value
                && Objects.equals(corrects, other.corrects);
    }
}
