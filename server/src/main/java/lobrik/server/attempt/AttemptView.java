package lobrik.server.attempt;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import lobrik.layout.MarkDatum;
import lobrik.server.cohort.Trainee;
import lobrik.server.exercise.ReadingsAsked;
import lobrik.server.shed.ToleranceFigures;
import lobrik.verdict.Judged;
import lobrik.wire.LayoutAnswer;
import lobrik.wire.LayoutRequest;
import lobrik.wire.PieceShape;
import lobrik.wire.Unit;
import org.jspecify.annotations.Nullable;

/**
 * An attempt as the screens show it.
 *
 * @param readings which features are read
 * @param plan the exercise laid out: marks, features, the shape asked for
 * @param bench what is written down of the piece besides its readings
 * @param made the shape that the readings describe, once they describe one
 * @param madeFirst the shape as it was first bent, where it was bent again since
 * @param drawnTimes how many times as large its difference to what was asked is best drawn
 * @param edition grows with all that is written down of it, so that an answer that comes late is known to be older
 */
public record AttemptView(
        UUID id,
        UUID assignmentId,
        Instant startedAt,
        AttemptTrainee trainee,
        ExerciseView exercise,
        ToleranceFigures tolerances,
        ReadingsAsked readings,
        LayoutAnswer plan,
        List<FeatureView> features,
        BenchNotes bench,
        @Nullable ScoreView score,
        @Nullable PieceShape made,
        @Nullable PieceShape madeFirst,
        int drawnTimes,
        int edition) {

    /** Whose attempt. */
    public record AttemptTrainee(UUID id, String fullName, int bench, UUID cohortId) {}

    /** At what. */
    public record ExerciseView(
            UUID id, String title, String conduitLabel, String benderLabel, LayoutRequest definition) {}

    /**
     * A feature with its target and, once measured, its reading, deviation and credit.
     *
     * @param asked by the exercise
     * @param target what the reading is judged against
     * @param tolerance how much more a reading may be
     * @param under how much less it may be
     * @param carried why that is not its own right place; null where it is
     * @param carriedFrom earlier slips that it follows from, charged at their own place
     * @param mayBeFound whether it may be found on the part-bent piece instead of being worked out
     * @param signed whether a reading of it can be less than nothing
     * @param reading the one that counts, or the word that it was not measured
     * @param rivals readings that somebody has to decide between
     * @param history of its readings, from the oldest
     */
    public record FeatureView(
            String id,
            Unit unit,
            double asked,
            double target,
            double tolerance,
            double under,
            boolean critical,
            boolean mayBeFound,
            boolean signed,
            FeatureState state,
            @Nullable CarriedName carried,
            List<String> carriedFrom,
            @Nullable ReadingView reading,
            @Nullable Double deviation,
            @Nullable Double credit,
            Judged.@Nullable Band band,
            List<ReadingView> rivals,
            List<ReadingView> history) {}

    /** Why something is held to another place than its own right one. */
    public enum CarriedName {
        /** The ring stands on the trainee's own figure. */
        @JsonProperty("ownFigure")
        OWN_FIGURE,
        /** It stands rightly to an earlier mark, which was charged. */
        @JsonProperty("earlierMark")
        EARLIER_MARK,
        /** It is off from the mark before it by what was charged at an earlier one. */
        @JsonProperty("sameSlip")
        SAME_SLIP,
        /** It is what an earlier slip of a run makes of it. */
        @JsonProperty("earlierPlace")
        EARLIER_PLACE
    }

    /** How far a feature is. */
    public enum FeatureState {
        @JsonProperty("open")
        OPEN,
        @JsonProperty("read")
        READ,
        @JsonProperty("omitted")
        OMITTED,
        @JsonProperty("disputed")
        DISPUTED
    }

    /**
     * A reading as it was taken.
     *
     * @param value nothing if the feature was not measured; of a mark always from the end of the straight conduit, of an angle by level
     *     with the floor taken off
     * @param level what an angle was read as and over which floor; null where no floor is taken off
     * @param asFound whether the mark was found on the part-bent piece: then it is held to nothing
     * @param stage of the piece: 1 as first bent, one more after each time that it was bent again
     * @param from where a mark was measured from; null where nobody asked
     * @param takenAt as far as the clocks can be believed
     * @param clockWrongBySeconds by how much the device's clock was ahead, or behind if below 0; null where it was about right
     * @param omitted why it was not
     * @param reason why it corrects another
     * @param setAside why it does not count, and by whom that was decided
     */
    public record ReadingView(
            UUID id,
            @Nullable Double value,
            @Nullable ByLevel level,
            int stage,
            boolean asFound,
            String typed,
            @Nullable MarkDatum from,
            String takenBy,
            Instant takenAt,
            Instant receivedAt,
            @Nullable Long clockWrongBySeconds,
            TakenWith takenWith,
            @Nullable String instrument,
            @Nullable String omitted,
            @Nullable String reason,
            @Nullable String setAside) {}

    /** An angle as the level read it, and what it reads on the floor: degrees. */
    public record ByLevel(double readDeg, double floorDeg) {}

    /**
     * The score, once every feature is measured.
     *
     * @param failing what fails the piece whatever its points: features and points that are looked over, by id
     */
    public record ScoreView(
            double points,
            boolean passed,
            double passMark,
            double deductions,
            List<String> criticalOmitted,
            List<String> failing) {}

    static AttemptView of(Measured measured, Trainee trainee, LayoutAnswer plan, Names names) {
        Attempt attempt = measured.attempt();
        AttemptChange now = AttemptChange.of(measured, trainee, names);
        return new AttemptView(
                attempt.id(),
                attempt.assignmentId(),
                attempt.startedAt(),
                now.trainee(),
                new ExerciseView(
                        measured.exercise().id(),
                        measured.exercise().title(),
                        measured.exercise().conduitLabel(),
                        measured.exercise().benderLabel(),
                        measured.exercise().definition()),
                attempt.tolerances(),
                attempt.readings(),
                plan,
                now.features(),
                now.bench(),
                now.score(),
                now.made(),
                now.madeFirst(),
                now.drawnTimes(),
                now.edition());
    }
}
