package lobrik.server.study;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.FetchType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import lobrik.feature.FeatureKind;
import lobrik.measure.Quantity;
import org.hibernate.annotations.BatchSize;
import org.hibernate.annotations.DynamicUpdate;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

/** Pieces that several people measure, each several times. */
@Entity
@DynamicUpdate // The application may only update what can change.
class MeasuringStudy {

    /** What is measured with. */
    enum Instrument {
        /** Tape, level and caliper, read by eye. */
        HAND,
        GAUGE
    }

    /**
     * Something that is read of every piece.
     *
     * @param feature id of its kind
     * @param tolerance to either side that its spread is held against, in picometres, nanodegrees or billionths of one per cent
     */
    record Asked(String feature, long tolerance) {

        FeatureKind kind() {
            return FeatureKind.withId(feature).orElseThrow();
        }

        Quantity limit() {
            return kind().measured().ofCount(tolerance);
        }
    }

    /**
     * What a study is of.
     *
     * @param pieces numbered from 1
     * @param repeats how often everybody measures each
     * @param readers accounts
     */
    record Plan(String title, Instrument instrument, int pieces, int repeats, List<Asked> asked, Set<UUID> readers) {}

    @Id
    private UUID id;

    private UUID centreId;
    private String title;

    @Enumerated(EnumType.STRING)
    private Instrument instrument;

    private int pieces;
    private int repeats;

    @JdbcTypeCode(SqlTypes.JSON)
    private List<Asked> asked;

    @ElementCollection(fetch = FetchType.EAGER)
    @BatchSize(size = 100)
    @CollectionTable(name = "measuring_study_reader", joinColumns = @JoinColumn(name = "study_id"))
    @Column(name = "account_id")
    private Set<UUID> readers = new HashSet<>();

    private UUID madeBy;
    private Instant madeAt;
    private @Nullable UUID closedBy;
    private @Nullable Instant closedAt;

    @SuppressWarnings("NullAway.Init")
    protected MeasuringStudy() {}

    MeasuringStudy(UUID id, UUID centreId, Plan plan, UUID madeBy, Instant madeAt) {
        this.id = id;
        this.centreId = centreId;
        this.title = plan.title();
        this.instrument = plan.instrument();
        this.pieces = plan.pieces();
        this.repeats = plan.repeats();
        this.asked = plan.asked();
        this.readers = new HashSet<>(plan.readers());
        this.madeBy = madeBy;
        this.madeAt = madeAt;
    }

    UUID id() {
        return id;
    }

    UUID centreId() {
        return centreId;
    }

    Plan plan() {
        return new Plan(title, instrument, pieces, repeats, List.copyOf(asked), Set.copyOf(readers));
    }

    Instant madeAt() {
        return madeAt;
    }

    @Nullable
    Instant closedAt() {
        return closedAt;
    }

    boolean isClosed() {
        return closedAt != null;
    }

    /** Nobody measures for it any more, and everybody may see what came out. */
    void close(UUID by, Instant at) {
        closedBy = by;
        closedAt = at;
    }

    /** How many readings of a piece everybody takes in all. */
    int turnsEach() {
        return pieces * repeats;
    }
}
