package lobrik.server.attempt;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import lobrik.assessment.Basis;
import lobrik.layout.Layout;
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
    private @Nullable UUID benderRevisionId;

    @JdbcTypeCode(SqlTypes.JSON)
    private ToleranceFigures tolerances;

    private String readings;
    private String yardstick;

    private UUID basisId;

    @JdbcTypeCode(SqlTypes.JSON)
    private @Nullable OnBender benderKnown;

    @JdbcTypeCode(SqlTypes.JSON)
    private @Nullable ReadsTo readsTo;

    private @Nullable UUID startedBy;
    private Instant startedAt;
    private boolean complete;

    @SuppressWarnings("NullAway.Init")
    protected Attempt() {}

    /**
     * An attempt.
     *
     * @param exercise what is bent; by what it is judged is frozen here
     * @param basisId of what the readings are held to, worked out by {@link #basis}
     * @param onBender what is known of the bender; null where nobody asks
     * @param readsTo what readings are known to spread by
     * @param startedBy nobody with an account if the trainee began it on a phone
     */
    public Attempt(
            UUID id,
            Assignment assignment,
            Exercise exercise,
            UUID basisId,
            @Nullable OnBender onBender,
            ReadsTo readsTo,
            @Nullable UUID startedBy,
            Instant startedAt) {
        this.id = id;
        this.assignmentId = assignment.id();
        this.exerciseId = assignment.exerciseId();
        this.traineeId = assignment.traineeId();
        this.benderRevisionId = exercise.benderRevisionId();
        this.tolerances = exercise.tolerances();
        this.readings = exercise.readings().id();
        this.yardstick = yardstick(exercise).id();
        this.benderKnown = onBender;
        this.readsTo = readsTo.isUsual() ? null : readsTo;
        this.basisId = basisId;
        this.startedBy = startedBy;
        this.startedAt = startedAt;
    }

    private static Yardstick yardstick(Exercise exercise) {
        return exercise.isMethodFree() ? Yardstick.FREE_METHOD : Yardstick.RIGHT_PIECE;
    }

    /**
     * What a piece that is begun now is judged by.
     *
     * @param layout of the exercise
     */
    public static Basis basis(Exercise exercise, Layout layout, @Nullable OnBender onBender) {
        Yardstick judgedBy = yardstick(exercise);
        BenderShare share =
                onBender == null || !onBender.leftOut() ? BenderShare.NONE : BenderShare.of(onBender.toCore(), layout);
        return Basis.of(
                layout,
                judgedBy,
                feature -> share.onto(judgedBy.target(feature), feature.id()),
                exercise.tolerances().toCore(),
                exercise.readings().toCore());
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

    /** Of the bender that it is bent on; null where the exercise came from another school. */
    public @Nullable UUID benderRevisionId() {
        return benderRevisionId;
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

    /** What its readings are held to: as it was when measuring began, whatever is laid out otherwise since. */
    UUID basisId() {
        return basisId;
    }

    /** What was known of the bender when it was begun; empty where nobody asked. */
    public Optional<OnBender> onBender() {
        return Optional.ofNullable(benderKnown);
    }

    /** What readings were known to spread by when it was begun. */
    ReadsTo readsTo() {
        return readsTo == null ? ReadsTo.USUAL : readsTo;
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
