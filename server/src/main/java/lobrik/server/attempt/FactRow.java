package lobrik.server.attempt;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import lobrik.assessment.Entry;
import lobrik.server.platform.Numbered;
import org.hibernate.annotations.Immutable;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

/** A fact with who wrote it down and when. */
@Entity
@Immutable
@Table(name = "bench_fact")
public class FactRow extends Numbered implements Entry {

    @Id
    private UUID id;

    private UUID attemptId;
    private String kind;
    private String about;

    @JdbcTypeCode(SqlTypes.JSON)
    private Fact said;

    private @Nullable UUID takenBy;
    private Instant takenAt;
    private @Nullable Instant saidAt;
    private @Nullable Long deviceAheadMs;
    private Instant receivedAt;
    private @Nullable UUID corrects;
    private @Nullable String reason;

    @SuppressWarnings("NullAway.Init")
    protected FactRow() {}

    /**
     * A fact.
     *
     * @param takenBy nobody if the trainee sent it from a phone
     */
    FactRow(
            UUID id,
            UUID attemptId,
            Fact said,
            @Nullable UUID takenBy,
            DeviceTime time,
            Instant receivedAt,
            ReadingRow.@Nullable Correction correction) {
        this.id = id;
        this.attemptId = attemptId;
        this.kind = said.kind();
        this.about = said.about();
        this.said = said;
        this.takenBy = takenBy;
        this.takenAt = time.at();
        this.saidAt = time.said();
        this.deviceAheadMs = time.aheadMillis();
        this.receivedAt = receivedAt;
        this.corrects = correction == null ? null : correction.of();
        this.reason = correction == null ? null : correction.reason();
    }

    /**
     * A fact, with no device to ask for the time.
     *
     * @param takenBy nobody if the trainee sent it from a phone
     */
    public static FactRow by(@Nullable UUID takenBy, UUID id, UUID attemptId, Fact said, Instant at) {
        return new FactRow(id, attemptId, said, takenBy, DeviceTime.at(at), at, null);
    }

    @Override
    public UUID id() {
        return id;
    }

    UUID attemptId() {
        return attemptId;
    }

    Fact said() {
        return said;
    }

    String kind() {
        return kind;
    }

    String about() {
        return about;
    }

    @Nullable
    UUID takenBy() {
        return takenBy;
    }

    @Override
    public long takenAtMicros() {
        return ChronoUnit.MICROS.between(Instant.EPOCH, takenAt);
    }

    Instant takenAt() {
        return takenAt;
    }

    Instant receivedAt() {
        return receivedAt;
    }

    @Override
    public Optional<UUID> correctionOf() {
        return Optional.ofNullable(corrects);
    }

    @Override
    public Optional<Long> number() {
        return Optional.ofNullable(entryNo());
    }

    @Nullable
    String reason() {
        return reason;
    }

    boolean saysTheSameAs(FactRow other) {
        return attemptId.equals(other.attemptId) && said.equals(other.said) && Objects.equals(corrects, other.corrects);
    }
}
