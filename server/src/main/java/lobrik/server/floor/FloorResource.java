package lobrik.server.floor;

import com.fasterxml.jackson.annotation.JsonProperty;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import lobrik.server.account.SignedIn;
import lobrik.server.attempt.Attempts;
import lobrik.server.attempt.Attempts.Measured;
import lobrik.server.cohort.Cohort;
import lobrik.server.cohort.Cohorts;
import lobrik.server.cohort.Trainee;
import lobrik.server.exercise.Exercise;
import lobrik.server.exercise.Library;
import lobrik.server.giving.Assignment;
import lobrik.server.giving.Givings;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** Who of a cohort is at which bench, on what. */
@RestController
@Tag(name = "floor")
class FloorResource {

    record FloorView(UUID cohortId, String cohortName, List<BenchView> benches) {}

    /** A trainee at a bench with what they are on; the attempt is the last one at it. */
    record BenchView(
            UUID traineeId,
            String fullName,
            int bench,
            State state,
            @Nullable String exerciseTitle,
            @Nullable AttemptSummary attempt) {}

    /** How far an attempt is; the score once it is complete. */
    record AttemptSummary(
            UUID id,
            Instant startedAt,
            long measured,
            int features,
            @Nullable Double points,
            @Nullable Boolean passed) {}

    /** Where a trainee stands with what was given last. */
    enum State {
        @JsonProperty("nothingGiven")
        NOTHING_GIVEN,
        @JsonProperty("bending")
        BENDING,
        @JsonProperty("measuring")
        MEASURING,
        @JsonProperty("judged")
        JUDGED
    }

    private final Cohorts cohorts;
    private final Givings givings;
    private final Library library;
    private final Attempts attempts;

    FloorResource(Cohorts cohorts, Givings givings, Library library, Attempts attempts) {
        this.cohorts = cohorts;
        this.givings = givings;
        this.library = library;
        this.attempts = attempts;
    }

    @Operation(summary = "The floor of a cohort")
    @GetMapping("/api/floor/{cohortId}")
    FloorView floor(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @PathVariable UUID cohortId) {
        Cohort cohort = cohorts.cohort(who, cohortId);
        List<Trainee> trainees = cohorts.trainees(who, cohortId);
        Map<UUID, Assignment> current =
                givings.currentOf(trainees.stream().map(Trainee::id).toList());
        Map<UUID, Exercise> byId = library.byId(
                current.values().stream().map(Assignment::exerciseId).collect(Collectors.toSet()));
        Map<UUID, Measured> last =
                attempts.lastAt(current.values().stream().map(Assignment::id).toList());
        return new FloorView(
                cohort.id(),
                cohort.name(),
                trainees.stream()
                        .map(trainee -> bench(trainee, current.get(trainee.id()), byId, last))
                        .toList());
    }

    private static BenchView bench(
            Trainee trainee,
            @Nullable Assignment assignment,
            Map<UUID, Exercise> exercises,
            Map<UUID, Measured> attempts) {
        Exercise exercise = assignment == null ? null : exercises.get(assignment.exerciseId());
        Measured measured = assignment == null ? null : attempts.get(assignment.id());
        return new BenchView(
                trainee.id(),
                trainee.fullName(),
                trainee.bench(),
                state(assignment, measured),
                exercise == null ? null : exercise.title(),
                measured == null ? null : summary(measured));
    }

    private static State state(@Nullable Assignment assignment, @Nullable Measured measured) {
        if (assignment == null) {
            return State.NOTHING_GIVEN;
        }
        if (measured == null) {
            return State.BENDING;
        }
        return measured.verdict().score().isPresent() ? State.JUDGED : State.MEASURING;
    }

    private static AttemptSummary summary(Measured measured) {
        var score = measured.verdict().score();
        return new AttemptSummary(
                measured.attempt().id(),
                measured.attempt().startedAt(),
                measured.verdict().measured(),
                measured.verdict().features().size(),
                score.map(s -> s.points()).orElse(null),
                score.map(s -> s.passed()).orElse(null));
    }
}
