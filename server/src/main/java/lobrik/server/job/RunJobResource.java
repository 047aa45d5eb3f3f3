package lobrik.server.job;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import lobrik.server.account.SignedIn;
import lobrik.server.cohort.Trainee;
import lobrik.server.exercise.Content;
import lobrik.server.exercise.ExerciseInput;
import lobrik.server.job.JobView.JobListed;
import lobrik.server.job.JobView.JobOfPiece;
import lobrik.server.platform.Needs;
import lobrik.server.platform.Right;
import lobrik.server.platform.TurnedDown;
import lobrik.server.sheet.Paper;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Runs that are bent by several, a piece each. */
@RestController
@Tag(name = "jobs")
class RunJobResource {

    /**
     * A run to give out piece by piece.
     *
     * @param libraryId the entry that the whole run is saved as; it may be a new one
     * @param basedOn version of the entry that was opened, if one was
     * @param exercise the whole run
     * @param rules what it is cut from and how it is fastened; the school's where nothing is said
     * @param pieces who bends which; each piece that has a ninety needs somebody
     */
    record NewJob(
            @Nullable UUID libraryId,
            @Nullable Integer basedOn,
            @Nullable ExerciseInput exercise,
            @Nullable JobRules rules,
            @Nullable List<PieceFor> pieces) {}

    record PieceFor(@Nullable Integer number, @Nullable UUID traineeId) {}

    /**
     * What the school cuts and fastens its runs by.
     *
     * @param mayChange whether the one who asks may change more than what is left over
     */
    record RunRulesView(JobRules rules, boolean mayChange) {}

    private final RunJobs jobs;
    private final JobViews views;
    private final RunRules rules;

    RunJobResource(RunJobs jobs, JobViews views, RunRules rules) {
        this.jobs = jobs;
        this.views = views;
        this.rules = rules;
    }

    @Operation(summary = "What the school cuts and fastens its runs by, and what it has left over")
    @Needs(Right.READ)
    @GetMapping("/api/run-rules")
    RunRulesView rules(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who) {
        return new RunRulesView(rules.of(who), who.may(Right.LEAD));
    }

    @Operation(
            summary = "Keep what the school cuts and fastens its runs by",
            description = "For the lead of the school; what is left over, for everybody who teaches.")
    @Needs(Right.TEACH)
    @PutMapping("/api/run-rules")
    RunRulesView keepRules(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @RequestBody JobRules kept) {
        rules.keep(who, kept);
        return rules(who);
    }

    @Operation(
            summary = "Give a run out piece by piece; repeating the request changes nothing",
            description =
                    "The whole run is saved in the library, and each piece that has a ninety is given as an exercise of its own.")
    @Needs(Right.TEACH)
    @PutMapping("/api/jobs/{id}")
    JobView give(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @RequestBody NewJob request) {
        if (request.exercise() == null) {
            throw TurnedDown.badInput("/exercise", "missing", "this is missing");
        }
        Map<Integer, UUID> trainees = new HashMap<>();
        if (request.pieces() != null) {
            request.pieces().forEach(piece -> {
                if (piece.number() != null && piece.traineeId() != null) {
                    trainees.put(piece.number(), piece.traineeId());
                }
            });
        }
        JobRules by = request.rules() == null ? rules.of(who) : request.rules();
        UUID entry = request.libraryId() == null ? UUID.randomUUID() : request.libraryId();
        jobs.give(who, new RunJobs.Order(id, entry, request.basedOn(), Content.of(request.exercise()), by, trainees));
        return job(who, id);
    }

    @Operation(summary = "A run that was given out piece by piece, and what was made of it")
    @Needs(Right.READ)
    @GetMapping("/api/jobs/{id}")
    JobView job(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @PathVariable UUID id) {
        return views.of(who, jobs.standing(who, id));
    }

    @Operation(summary = "The job that a piece was given out with, by its assignment")
    @Needs(Right.READ)
    @GetMapping("/api/jobs/of/{assignmentId}")
    JobOfPiece of(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @PathVariable UUID assignmentId) {
        return new JobOfPiece(jobs.ofAssignment(who, assignmentId).orElse(null));
    }

    @Operation(summary = "The page of a whole job: its pieces, the cut list, and what is needed besides")
    @Needs(Right.READ)
    @GetMapping("/api/jobs/{id}/page.pdf")
    ResponseEntity<byte[]> page(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @RequestParam(required = false) @Nullable String paper) {
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"job.pdf\"")
                .body(views.page(who, jobs.standing(who, id), "a4".equals(paper) ? Paper.A4 : Paper.LETTER));
    }

    @Operation(summary = "The last 30 runs that were given out piece by piece, the newest first")
    @Needs(Right.READ)
    @GetMapping("/api/jobs")
    List<JobListed> recent(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who) {
        return jobs.recent(who).stream()
                .map(listed -> new JobListed(
                        listed.job().id(),
                        listed.whole().title(),
                        listed.job().givenAt(),
                        listed.trainees().stream().map(Trainee::fullName).toList()))
                .toList();
    }
}
