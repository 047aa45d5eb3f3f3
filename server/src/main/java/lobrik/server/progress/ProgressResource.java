package lobrik.server.progress;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import lobrik.measure.Quantity;
import lobrik.progress.Tendency;
import lobrik.server.account.SignedIn;
import lobrik.server.attempt.Attempts;
import lobrik.server.attempt.Attempts.Measured;
import lobrik.server.attempt.Verdict.MeasuredFeature;
import lobrik.server.cohort.Cohorts;
import lobrik.server.cohort.Trainee;
import lobrik.server.platform.Numbers;
import lobrik.server.platform.Unit;
import lobrik.shape.FeatureId;
import lobrik.verdict.Judged;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** A trainee's attempts over time, and a cohort at a glance. */
@RestController
@Tag(name = "progress")
class ProgressResource {

    /** A trainee's stub nineties, from the oldest; only complete attempts count. */
    record TraineeProgress(
            UUID traineeId,
            String fullName,
            UUID cohortId,
            int attempts,
            int passes,
            List<TendencyView> tendencies,
            List<AttemptPoint> history) {}

    /** Where the deviations of a feature lie: their mean and, with two or more, their standard deviation. */
    record TendencyView(
            String feature,
            Unit unit,
            int count,
            double bias,
            @Nullable Double spread) {}

    /** One attempt as a point in time. */
    record AttemptPoint(
            UUID attemptId,
            Instant startedAt,
            String exerciseTitle,
            String benderLabel,
            double points,
            boolean passed,
            double passMark,
            List<DeviationPoint> deviations) {}

    /** The deviation of a feature, and whether it lay within the tolerance that it was judged by. */
    record DeviationPoint(String feature, Unit unit, double deviation, double tolerance, boolean within) {}

    /** A cohort: its trainees by bench. */
    record CohortProgress(UUID cohortId, String cohortName, List<Row> trainees) {}

    /** A trainee at a glance: the points of the latest attempts, from the oldest. */
    record Row(UUID traineeId, String fullName, int bench, int attempts, int passes, List<RecentScore> recent) {}

    record RecentScore(UUID attemptId, double points, boolean passed) {}

    private static final int RECENT = 8;

    private final Cohorts cohorts;
    private final Attempts attempts;

    ProgressResource(Cohorts cohorts, Attempts attempts) {
        this.cohorts = cohorts;
        this.attempts = attempts;
    }

    @Operation(summary = "A trainee's attempts over time")
    @GetMapping("/api/trainees/{id}/progress")
    TraineeProgress ofTrainee(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @PathVariable UUID id) {
        Trainee trainee = cohorts.trainee(who, id);
        List<Measured> complete = complete(attempts.of(List.of(id)));
        return new TraineeProgress(
                trainee.id(),
                trainee.fullName(),
                trainee.cohortId(),
                complete.size(),
                passes(complete),
                tendencies(complete),
                complete.stream().map(ProgressResource::point).toList());
    }

    @Operation(summary = "A cohort at a glance")
    @GetMapping("/api/cohorts/{id}/progress")
    CohortProgress ofCohort(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @PathVariable UUID id) {
        List<Trainee> trainees = cohorts.trainees(who, id);
        Map<UUID, List<Measured>> byTrainee =
                complete(attempts.of(trainees.stream().map(Trainee::id).toList())).stream()
                        .collect(Collectors.groupingBy(
                                measured -> measured.attempt().traineeId()));
        return new CohortProgress(
                id,
                cohorts.cohort(who, id).name(),
                trainees.stream()
                        .map(trainee -> row(trainee, byTrainee.getOrDefault(trainee.id(), List.of())))
                        .toList());
    }

    private static Row row(Trainee trainee, List<Measured> complete) {
        List<RecentScore> recent = complete.stream()
                .skip(Math.max(0, complete.size() - RECENT))
                .map(ProgressResource::point)
                .map(point -> new RecentScore(point.attemptId(), point.points(), point.passed()))
                .toList();
        return new Row(trainee.id(), trainee.fullName(), trainee.bench(), complete.size(), passes(complete), recent);
    }

    private static List<Measured> complete(List<Measured> all) {
        return all.stream().filter(measured -> measured.verdict().isComplete()).toList();
    }

    private static int passes(List<Measured> complete) {
        return (int) complete.stream()
                .filter(measured -> measured.verdict().score().orElseThrow().passed())
                .count();
    }

    private static AttemptPoint point(Measured measured) {
        var score = measured.verdict().score().orElseThrow();
        List<DeviationPoint> deviations = measured.verdict().features().stream()
                .flatMap(feature -> feature.judged().map(judged -> deviation(feature, judged)).stream())
                .toList();
        return new AttemptPoint(
                measured.attempt().id(),
                measured.attempt().startedAt(),
                measured.exercise().title(),
                measured.exercise().benderLabel(),
                score.points(),
                score.passed(),
                measured.attempt().tolerances().passMark(),
                deviations);
    }

    private static DeviationPoint deviation(MeasuredFeature feature, Judged judged) {
        return new DeviationPoint(
                feature.id().id(),
                Unit.of(feature.id()),
                Numbers.of(judged.deviation()),
                Numbers.of(feature.tolerance()),
                judged.band() != Judged.Band.OUTSIDE);
    }

    private static List<TendencyView> tendencies(List<Measured> complete) {
        Map<FeatureId, List<Quantity>> deviations = new LinkedHashMap<>();
        for (Measured measured : complete) {
            for (MeasuredFeature feature : measured.verdict().features()) {
                // A feature that was not measured says nothing.
                feature.judged()
                        .ifPresent(judged -> deviations
                                .computeIfAbsent(feature.id(), id -> new ArrayList<>())
                                .add(judged.deviation()));
            }
        }
        return deviations.entrySet().stream()
                .map(entry ->
                        tendency(entry.getKey(), Tendency.of(entry.getValue()).orElseThrow()))
                .toList();
    }

    private static TendencyView tendency(FeatureId feature, Tendency tendency) {
        Optional<Double> spread = tendency.spread().map(Numbers::of);
        return new TendencyView(
                feature.id(), Unit.of(feature), tendency.count(), Numbers.of(tendency.bias()), spread.orElse(null));
    }
}
