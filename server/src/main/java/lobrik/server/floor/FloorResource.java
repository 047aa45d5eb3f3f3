package lobrik.server.floor;

import com.fasterxml.jackson.annotation.JsonProperty;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import lobrik.server.account.SignedIn;
import lobrik.server.attempt.Attempts;
import lobrik.server.attempt.Attempts.Measured;
import lobrik.server.attempt.StepRow;
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

    /**
     * A cohort at its benches.
     *
     * @param now by the server's clock, for whoever shows how long something lasts
     */
    record FloorView(UUID cohortId, String cohortName, Instant now, List<BenchView> benches) {}

    /**
     * A trainee at a bench with what they are on; the attempt is the last one at it.
     *
     * @param since when the state began; nothing where there is none
     */
    record BenchView(
            UUID traineeId,
            String fullName,
            int bench,
            State state,
            @Nullable Instant since,
            @Nullable UUID assignmentId,
            @Nullable String exerciseTitle,
            @Nullable LocalDate dueOn,
            @Nullable AttemptSummary attempt) {}

    /**
     * How far an attempt is; the score once it is complete.
     *
     * @param disputed whether two people read a feature differently, and nobody has decided yet
     * @param sealed whether it is verified and locked
     */
    record AttemptSummary(
            UUID id,
            Instant startedAt,
            long measured,
            int features,
            boolean disputed,
            boolean sealed,
            @Nullable Double points,
            @Nullable Boolean passed) {}

    /** Where a trainee stands with what was given last. */
    enum State {
        @JsonProperty("nothingGiven")
        NOTHING_GIVEN,
        @JsonProperty("notStarted")
        NOT_STARTED,
        @JsonProperty("workingOut")
        WORKING_OUT,
        @JsonProperty("bending")
        BENDING,
        @JsonProperty("called")
        CALLED,
        @JsonProperty("help")
        HELP,
        @JsonProperty("measuring")
        MEASURING,
        @JsonProperty("done")
        DONE
    }

    /** A state and when it began. */
    private record Stand(State state, @Nullable Instant since) {}

    private final Cohorts cohorts;
    private final Givings givings;
    private final Library library;
    private final Attempts attempts;
    private final Clock clock;

    FloorResource(Cohorts cohorts, Givings givings, Library library, Attempts attempts, Clock clock) {
        this.cohorts = cohorts;
        this.givings = givings;
        this.library = library;
        this.attempts = attempts;
        this.clock = clock;
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
                clock.instant(),
                trainees.stream()
                        .map(trainee -> bench(trainee, current.get(trainee.id()), byId, last))
                        .toList());
    }

    private BenchView bench(
            Trainee trainee,
            @Nullable Assignment assignment,
            Map<UUID, Exercise> exercises,
            Map<UUID, Measured> attempts) {
        Exercise exercise = assignment == null ? null : exercises.get(assignment.exerciseId());
        Measured measured = assignment == null ? null : attempts.get(assignment.id());
        Stand stand = stand(assignment, measured);
        return new BenchView(
                trainee.id(),
                trainee.fullName(),
                trainee.bench(),
                stand.state(),
                stand.since(),
                assignment == null ? null : assignment.id(),
                exercise == null ? null : exercise.title(),
                assignment == null ? null : givings.terms(assignment).dueOn(),
                measured == null ? null : summary(measured));
    }

    private static Stand stand(@Nullable Assignment assignment, @Nullable Measured measured) {
        if (assignment == null) {
            return new Stand(State.NOTHING_GIVEN, null);
        }
        if (measured == null) {
            return new Stand(State.NOT_STARTED, assignment.givenAt());
        }
        Instant read = measured.lastReadAt().orElse(null);
        if (measured.verdict().isComplete()) {
            return new Stand(State.DONE, read);
        }
        StepRow step = measured.lastStep().orElse(null);
        // Whoever calls again while the piece is being measured waits again.
        if (read != null && (step == null || read.isAfter(step.setAt()))) {
            return new Stand(State.MEASURING, read);
        }
        return step == null
                ? new Stand(State.BENDING, measured.attempt().startedAt())
                : new Stand(State.valueOf(step.step().name()), step.setAt());
    }

    private static AttemptSummary summary(Measured measured) {
        var score = measured.verdict().score();
        return new AttemptSummary(
                measured.attempt().id(),
                measured.attempt().startedAt(),
                measured.verdict().measured(),
                measured.verdict().features().size(),
                measured.verdict().isDisputed(),
                measured.isSealed(),
                score.map(s -> s.points()).orElse(null),
                score.map(s -> s.passed()).orElse(null));
    }
}
