package lobrik.server.attempt;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import lobrik.layout.Layout;
import lobrik.layout.PlannedFeature;
import lobrik.measure.Quantity;
import lobrik.server.exercise.Exercise;
import lobrik.server.exercise.ReadingsAsked;
import lobrik.server.giving.Assignment;
import lobrik.server.platform.Numbered;
import lobrik.server.shed.ToleranceFigures;
import lobrik.verdict.BenderShare;
import lobrik.verdict.Yardstick;
import org.hibernate.annotations.DynamicUpdate;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

/** One piece that a trainee bent, with the tolerances it is judged by, frozen when its measuring began. */
@Entity
@DynamicUpdate
public class Attempt extends Numbered {

    @Id
    private UUID id;

    private UUID assignmentId;
    private UUID exerciseId;
    private UUID traineeId;

    @JdbcTypeCode(SqlTypes.JSON)
    private ToleranceFigures tolerances;

    private String readings;
    private String yardstick;

    @JdbcTypeCode(SqlTypes.JSON)
    private Map<String, Long> targets;

    @JdbcTypeCode(SqlTypes.JSON)
    private @Nullable OnBender benderKnown;

    private @Nullable UUID startedBy;
    private Instant startedAt;
    private boolean complete;

    @SuppressWarnings("NullAway.Init")
    protected Attempt() {}

    /**
     * An attempt.
     *
     * @param exercise what is bent; by what it is judged is frozen here
     * @param layout of the exercise; what the readings are held to is frozen, too
     * @param onBender what is known of the bender; null where nobody asks
     * @param startedBy nobody with an account if the trainee began it on a phone
     */
    public Attempt(
            UUID id,
            Assignment assignment,
            Exercise exercise,
            Layout layout,
            @Nullable OnBender onBender,
            @Nullable UUID startedBy,
            Instant startedAt) {
        this.id = id;
        this.assignmentId = assignment.id();
        this.exerciseId = assignment.exerciseId();
        this.traineeId = assignment.traineeId();
        this.tolerances = exercise.tolerances();
        this.readings = exercise.readings().id();
        Yardstick judgedBy = exercise.isMethodFree() ? Yardstick.FREE_METHOD : Yardstick.RIGHT_PIECE;
        this.yardstick = judgedBy.id();
        this.benderKnown = onBender;
        BenderShare share =
                onBender == null || !onBender.leftOut() ? BenderShare.NONE : BenderShare.of(onBender.toCore(), layout);
        this.targets = layout.features().stream()
                .collect(Collectors.toMap(
                        feature -> feature.id().id(),
                        feature -> share.onto(judgedBy.target(feature), feature.id())
                                .count()));
        this.startedBy = startedBy;
        this.startedAt = startedAt;
    }

    public UUID id() {
        return id;
    }

    public UUID assignmentId() {
        return assignmentId;
    }

    public UUID exerciseId() {
        return exerciseId;
    }

    public UUID traineeId() {
        return traineeId;
    }

    public ToleranceFigures tolerances() {
        return tolerances;
    }

    /** Which features are read, frozen when it began. */
    public ReadingsAsked readings() {
        return ReadingsAsked.withId(readings);
    }

    /** What its readings are judged against, frozen when it began. */
    public Yardstick yardstick() {
        return Yardstick.withId(yardstick).orElseThrow();
    }

    /** What a reading of a feature is held to: as it was when measuring began, whatever is laid out otherwise since. */
    Quantity target(PlannedFeature feature) {
        Quantity target = yardstick().target(feature);
        return target.withCount(targets.getOrDefault(feature.id().id(), target.count()));
    }

    /** What was known of the bender when it was begun; empty where nobody asked. */
    public Optional<OnBender> onBender() {
        return Optional.ofNullable(benderKnown);
    }

    public Instant startedAt() {
        return startedAt;
    }

    /** Whether everything asked was read when something was last written down. */
    boolean isNotedComplete() {
        return complete;
    }

    /** Notes whether everything asked is read, so that a whole cohort's unfinished pieces are found without judging all. */
    public void note(boolean everythingRead) {
        complete = everythingRead;
    }
}
