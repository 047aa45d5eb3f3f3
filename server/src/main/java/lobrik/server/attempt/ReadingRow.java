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
import lobrik.feature.FeatureId;
import lobrik.layout.MarkDatum;
import lobrik.layout.TakenMark;
import lobrik.measure.Angle;
import lobrik.measure.Length;
import lobrik.measure.Percentage;
import lobrik.measure.Quantity;
import lobrik.reading.FloorReading;
import lobrik.server.platform.Numbered;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** A reading as it was taken, or the word that a feature was not measured and why. */
@Entity
@Immutable
@Table(name = "reading")
public class ReadingRow extends Numbered implements Entry {

    /** As first bent. */
    static final int FIRST_STAGE = 1;

    private static final String PICOMETRES = "pm";
    private static final String NANODEGREES = "ndeg";
    private static final String BILLIONTHS_PER_CENT = "npct";

    /** What a correction corrects, and why. */
    public record Correction(UUID of, String reason) {}

    /**
     * Who took it, how, and when.
     *
     * @param stage of the piece: 1 as first bent, one more after each rework
     * @param asFound whether a mark was found on the part-bent piece, and not worked out
     * @param byLevel whether it is against the horizontal, so that the floor has to be taken off
     * @param instrument what the gauge is called, if one was read
     * @param time when it was taken
     * @param received by the server's clock
     */
    public record Taken(
            UUID by,
            int stage,
            boolean byLevel,
            boolean asFound,
            TakenWith with,
            @Nullable String instrument,
            DeviceTime time,
            Instant received) {

        /** By hand and typed, of a piece as it was first bent, with no device to ask for the time. */
        public static Taken byKeys(UUID by, Instant at) {
            return new Taken(by, FIRST_STAGE, true, false, TakenWith.KEYS, null, DeviceTime.at(at), at);
        }

        /** The same of a further stage of the piece. */
        public Taken ofStage(int further) {
            return new Taken(by, further, byLevel, asFound, with, instrument, time, received);
        }
    }

    @Id
    private UUID id;

    private UUID attemptId;
    private String feature;
    private @Nullable String unit;
    private @Nullable Long value;
    private String typed;
    private UUID takenBy;
    private int stage;
    private boolean byLevel;
    private boolean asFound;
    private String takenWith;
    private @Nullable String instrument;
    private Instant takenAt;
    private @Nullable Instant saidAt;
    private @Nullable Long deviceAheadMs;
    private Instant receivedAt;
    private @Nullable String measuredFrom;
    private @Nullable String omitted;
    private @Nullable UUID corrects;
    private @Nullable String reason;

    @SuppressWarnings("NullAway.Init")
    protected ReadingRow() {}

    private ReadingRow(
            UUID id, UUID attemptId, FeatureId feature, String typed, Taken taken, @Nullable Correction correction) {
        this.id = id;
        this.attemptId = attemptId;
        this.feature = feature.id();
        this.typed = typed;
        this.takenBy = taken.by();
        this.stage = taken.stage();
        this.byLevel = taken.byLevel() && FloorReading.concerns(feature);
        this.asFound = taken.asFound();
        this.takenWith = taken.with().id();
        this.instrument = taken.instrument();
        this.takenAt = taken.time().at();
        this.saidAt = taken.time().said();
        this.deviceAheadMs = taken.time().aheadMillis();
        this.receivedAt = taken.received();
        this.corrects = correction == null ? null : correction.of();
        this.reason = correction == null ? null : correction.reason();
    }

    /**
     * The reading of a mark that may be measured from either end.
     *
     * @param value from the end of the straight conduit, wherever it was measured from
     */
    static ReadingRow read(
            UUID id,
            UUID attemptId,
            FeatureId feature,
            TakenMark value,
            String typed,
            Taken taken,
            @Nullable Correction correction) {
        ReadingRow row = read(id, attemptId, feature, value.position(), typed, taken, correction);
        row.measuredFrom = value.from().id();
        return row;
    }

    /** A reading. */
    public static ReadingRow read(
            UUID id,
            UUID attemptId,
            FeatureId feature,
            Quantity value,
            String typed,
            Taken taken,
            @Nullable Correction correction) {
        ReadingRow row = new ReadingRow(id, attemptId, feature, typed, taken, correction);
        row.unit = switch (value) {
            case Length _ -> PICOMETRES;
            case Angle _ -> NANODEGREES;
            case Percentage _ -> BILLIONTHS_PER_CENT;
        };
        row.value = value.count();
        return row;
    }

    /** The word that a feature was not measured, and why. */
    public static ReadingRow omitted(
            UUID id, UUID attemptId, FeatureId feature, String why, Taken taken, @Nullable Correction correction) {
        ReadingRow row = new ReadingRow(id, attemptId, feature, "", taken, correction);
        row.omitted = why;
        return row;
    }

    @Override
    public UUID id() {
        return id;
    }

    UUID attemptId() {
        return attemptId;
    }

    FeatureId feature() {
        return FeatureId.withId(feature).orElseThrow();
    }

    /** What was read, before the floor is taken off; nothing if the feature was not measured. */
    @Nullable
    Quantity value() {
        if (value == null) {
            return null;
        }
        return feature().measured().ofCount(value);
    }

    /** Of which stage of the piece: 1 as first bent. */
    int stage() {
        return stage;
    }

    /** Whether it was read against the horizontal, so that the floor is in it. */
    boolean isByLevel() {
        return byLevel;
    }

    /** Whether the mark was found on the part-bent piece. */
    boolean isAsFound() {
        return asFound;
    }

    String typed() {
        return typed;
    }

    /** Where a mark was measured from; nothing where nobody asked. */
    @Nullable
    MarkDatum measuredFrom() {
        return Optional.ofNullable(measuredFrom).flatMap(MarkDatum::withId).orElse(null);
    }

    Taken taken() {
        return new Taken(
                takenBy,
                stage,
                byLevel,
                asFound,
                TakenWith.withId(takenWith),
                instrument,
                DeviceTime.kept(takenAt, saidAt, deviceAheadMs),
                receivedAt);
    }

    @Override
    public long takenAtMicros() {
        return ChronoUnit.MICROS.between(Instant.EPOCH, takenAt);
    }

    Instant takenAt() {
        return takenAt;
    }

    /** When it came in, by the server's clock. */
    Instant receivedAt() {
        return receivedAt;
    }

    /** Why it was not measured. */
    @Nullable
    String omitted() {
        return omitted;
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

    /** Whether this row says the same as another: a repeated request. */
    boolean saysTheSameAs(ReadingRow other) {
        return attemptId.equals(other.attemptId)
                && feature.equals(other.feature)
                && Objects.equals(value, other.value)
                && stage == other.stage
                && asFound == other.asFound
                && Objects.equals(omitted, other.omitted)
                && Objects.equals(corrects, other.corrects);
    }
}
