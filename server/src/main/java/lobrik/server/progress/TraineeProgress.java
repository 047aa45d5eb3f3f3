package lobrik.server.progress;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import lobrik.wire.Unit;
import org.jspecify.annotations.Nullable;

/**
 * A trainee's progress.
 *
 * @param habits the plainest first
 * @param families of bends that were tried, in the order in which they are learnt
 * @param signOffs every signature that was ever given, from the oldest
 * @param ownPage code of the trainee's own page, where there is one
 */
record TraineeProgress(
        UUID traineeId,
        String fullName,
        int bench,
        @Nullable String number,
        @Nullable Instant portraitAt,
        UUID cohortId,
        String cohortName,
        int pieces,
        int passes,
        double usedIn,
        double wastedIn,
        List<HabitView> habits,
        NextView next,
        List<FamilyView> families,
        List<SignOffView> signOffs,
        @Nullable String ownPage) {

    /**
     * What the hands do on the whole.
     *
     * @param persists whether the last pieces still show it
     * @param feature that is off; null where it is a slip
     * @param cause that comes back; null where it is a bias
     */
    record HabitView(
            String family,
            String sentence,
            String evidence,
            boolean persists,
            @Nullable String feature,
            @Nullable String cause) {}

    /** Why a bend comes next. */
    enum ReasonName {
        @JsonProperty("habit")
        HABIT,
        @JsonProperty("first")
        FIRST,
        @JsonProperty("next")
        NEXT,
        @JsonProperty("passedOver")
        PASSED_OVER,
        @JsonProperty("notSteady")
        NOT_STEADY,
        @JsonProperty("refresh")
        REFRESH
    }

    /** What comes next, and why in a sentence. */
    record NextView(String family, ReasonName reason, String sentence) {}

    /** One thing that a sign-off asks: {@code 2 of 3 passes}. */
    record ConditionView(String words, boolean met) {}

    /**
     * A kind of bend with a sort of tool.
     *
     * @param id of the family
     * @param conditions what a sign-off asks, and how far it is there
     * @param evidence the pieces that a sign-off would be given on now
     * @param pieces in all; the history has the last of them, from the oldest
     * @param typicalMinutes the middle one of the history's
     * @param scores the level of the score after each piece of the history
     */
    record FamilyView(
            String id,
            StandingName standing,
            List<ConditionView> conditions,
            List<UUID> evidence,
            int pieces,
            int passes,
            double usedIn,
            double wastedIn,
            @Nullable Integer typicalMinutes,
            List<PieceView> history,
            List<Double> scores,
            @Nullable LevelStep scoreStep,
            List<FeatureTrend> features) {}

    /**
     * A piece.
     *
     * @param slip its cause, where one is clear
     * @param deviations by feature, in the order of the family's; null for what was not read
     * @param tolerances likewise
     * @param within likewise; on the limit is within
     * @param furthestOff the two features that took up most of their tolerance
     */
    record PieceView(
            UUID attemptId,
            Instant measuredAt,
            String title,
            String benderLabel,
            String conduitLabel,
            String preset,
            double points,
            boolean passed,
            double passMark,
            int rebent,
            @Nullable Integer minutes,
            @Nullable SlipName slip,
            List<@Nullable Double> deviations,
            List<@Nullable Double> tolerances,
            List<@Nullable Boolean> within,
            List<String> furthestOff) {}

    /** A cause by id and name. */
    record SlipName(String cause, String title) {}

    /** From here on it was clearly different; the middle before and after. */
    record LevelStep(UUID attemptId, double before, double after) {}

    /**
     * How far a feature is off on the whole, as judged: inches or degrees.
     *
     * @param bias mean with its 95 % interval; spread is the standard deviation with its own
     * @param levels after each piece of the history that has it
     */
    record FeatureTrend(
            String feature,
            Unit unit,
            int count,
            double bias,
            @Nullable Double biasFrom,
            @Nullable Double biasTo,
            @Nullable Double spread,
            @Nullable Double spreadFrom,
            @Nullable Double spreadTo,
            List<@Nullable Double> levels,
            @Nullable LevelStep step) {}
}
