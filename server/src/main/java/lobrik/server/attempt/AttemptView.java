package lobrik.server.attempt;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import lobrik.server.calc.LayoutAnswer;
import lobrik.server.calc.LayoutRequest;
import lobrik.server.calc.PieceShape;
import lobrik.server.cohort.Trainee;
import lobrik.server.platform.Numbers;
import lobrik.server.platform.Unit;
import lobrik.server.shed.ToleranceFigures;
import lobrik.verdict.Judged;
import org.jspecify.annotations.Nullable;

/**
 * An attempt as the screens show it.
 *
 * @param plan the exercise laid out: marks, features, the shape asked for
 * @param made the shape that the readings describe, once they describe one
 */
public record AttemptView(
        UUID id,
        Instant startedAt,
        AttemptTrainee trainee,
        ExerciseView exercise,
        ToleranceFigures tolerances,
        LayoutAnswer plan,
        List<FeatureView> features,
        @Nullable ScoreView score,
        @Nullable PieceShape made) {

    /** Whose attempt. */
    public record AttemptTrainee(UUID id, String fullName, int bench, UUID cohortId) {}

    /** At what. */
    public record ExerciseView(
            UUID id, String title, String conduitLabel, String benderLabel, LayoutRequest definition) {}

    /**
     * A feature with its target and, once measured, its reading, deviation and credit.
     *
     * @param signed whether a reading of it can be less than nothing
     * @param history of its readings, from the oldest
     */
    public record FeatureView(
            String id,
            Unit unit,
            double target,
            double tolerance,
            boolean critical,
            boolean signed,
            @Nullable ReadingView reading,
            @Nullable Double deviation,
            @Nullable Double credit,
            @Nullable Band band,
            List<ReadingView> history) {}

    /** Where a deviation lies in its tolerance. */
    public enum Band {
        @JsonProperty("close")
        CLOSE,
        @JsonProperty("within")
        WITHIN,
        @JsonProperty("outside")
        OUTSIDE
    }

    /** A reading as it was taken. */
    public record ReadingView(
            UUID id,
            double value,
            String typed,
            String takenBy,
            Instant takenAt,
            @Nullable String reason) {}

    /** The score, once every feature is measured. */
    public record ScoreView(double points, boolean passed, double passMark) {}

    static AttemptView of(Attempts.Measured measured, Trainee trainee, LayoutAnswer plan, Map<UUID, String> names) {
        Attempt attempt = measured.attempt();
        Verdict verdict = measured.verdict();
        return new AttemptView(
                attempt.id(),
                attempt.startedAt(),
                new AttemptTrainee(trainee.id(), trainee.fullName(), trainee.bench(), trainee.cohortId()),
                new ExerciseView(
                        measured.exercise().id(),
                        measured.exercise().title(),
                        measured.exercise().conduitLabel(),
                        measured.exercise().benderLabel(),
                        measured.exercise().definition()),
                attempt.tolerances(),
                plan,
                verdict.features().stream()
                        .map(feature -> feature(feature, measured.readings(), names))
                        .toList(),
                verdict.score()
                        .map(score -> new ScoreView(
                                score.points(),
                                score.passed(),
                                attempt.tolerances().passMark()))
                        .orElse(null),
                verdict.made().map(PieceShape::of).orElse(null));
    }

    private static FeatureView feature(
            Verdict.MeasuredFeature feature, List<ReadingRow> readings, Map<UUID, String> names) {
        List<ReadingView> history = readings.stream()
                .filter(row -> row.feature() == feature.id())
                .map(row -> new ReadingView(
                        row.id(),
                        Numbers.of(row.value()),
                        row.typed(),
                        names.getOrDefault(row.takenBy(), "somebody"),
                        row.takenAt(),
                        row.reason()))
                .toList();
        Judged judged = feature.judged().orElse(null);
        return new FeatureView(
                feature.id().id(),
                Unit.of(feature.id()),
                Numbers.of(feature.target()),
                Numbers.of(feature.tolerance()),
                feature.critical(),
                feature.id().isSigned(),
                history.isEmpty() ? null : history.getLast(),
                judged == null ? null : Numbers.of(judged.deviation()),
                judged == null ? null : judged.credit(),
                judged == null ? null : Band.valueOf(judged.band().name()),
                history);
    }
}
