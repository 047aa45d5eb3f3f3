package lobrik.server.floor;

import com.fasterxml.jackson.annotation.JsonProperty;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import lobrik.server.account.SignedIn;
import lobrik.server.attempt.AttemptView;
import lobrik.server.attempt.AttemptViews;
import lobrik.server.attempt.Measured;
import lobrik.server.attempt.StepRow;
import lobrik.server.attempt.WorkInHand;
import lobrik.server.attempt.WorkInHand.InHand;
import lobrik.server.cohort.Centre;
import lobrik.server.cohort.Cohort;
import lobrik.server.cohort.Cohorts;
import lobrik.server.cohort.Trainee;
import lobrik.server.exercise.Exercise;
import lobrik.server.exercise.Library;
import lobrik.server.giving.Assignment;
import lobrik.server.giving.Assignments;
import lobrik.server.giving.Giving;
import lobrik.server.live.Live;
import lobrik.server.platform.Needs;
import lobrik.server.platform.Right;
import lobrik.server.platform.TurnedDown;
import lobrik.server.rota.Attendance;
import lobrik.server.rota.FloorSession;
import lobrik.server.rota.Today;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Who of a cohort is at which bench, on what. */
@RestController
@Tag(name = "floor")
class FloorResource {

    /**
     * A cohort at its benches.
     *
     * @param now by the server's clock, for whoever shows how long something lasts
     * @param wall what the monitor on the wall tells of people
     * @param session that is on today; null where the calendar has none
     */
    record FloorView(
            UUID cohortId,
            String cohortName,
            Instant now,
            Centre.OnTheWall wall,
            @Nullable FloorSession session,
            List<BenchView> benches) {}

    /** Some of its benches, and what a tablet takes along of them where that is asked for. */
    record BenchesView(Instant now, List<BenchView> benches, List<AttemptView> kit) {}

    /** What the monitor on the wall is to tell of people. */
    record WallChoice(@Nullable Boolean scores, @Nullable Boolean initials) {}

    /**
     * A trainee at a bench with what they are on; the attempt is the last one at it.
     *
     * @param bench where they sit today
     * @param benderLabel what they bend on today, where the rota says so
     * @param presence whether they are there, as was noted or said beforehand; null where nobody knows
     * @param since when the state began; nothing where there is none
     * @param others what they have in hand besides, in the order in which somebody should look at it
     */
    record BenchView(
            UUID traineeId,
            String fullName,
            @Nullable Instant portraitAt,
            int bench,
            @Nullable String benderLabel,
            Attendance.@Nullable State presence,
            State state,
            @Nullable Instant since,
            @Nullable UUID assignmentId,
            @Nullable String exerciseTitle,
            @Nullable LocalDate dueOn,
            @Nullable AttemptSummary attempt,
            List<OtherView> others) {}

    /** Something else that a trainee has in hand. */
    record OtherView(
            UUID assignmentId,
            String exerciseTitle,
            State state,
            Instant since,
            @Nullable LocalDate dueOn) {}

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

    /** Where a trainee stands with something, in the order in which somebody should look at it. */
    enum State {
        @JsonProperty("called")
        CALLED,
        @JsonProperty("help")
        HELP,
        @JsonProperty("measuring")
        MEASURING,
        @JsonProperty("bending")
        BENDING,
        @JsonProperty("workingOut")
        WORKING_OUT,
        @JsonProperty("notStarted")
        NOT_STARTED,
        @JsonProperty("nothingGiven")
        NOTHING_GIVEN,
        @JsonProperty("done")
        DONE
    }

    /** Something in hand, where its trainee stands with it, and since when. */
    private record Stand(InHand work, State state, Instant since) {}

    private final Cohorts cohorts;
    private final Assignments assignments;
    private final Library library;
    private final WorkInHand work;
    private final AttemptViews views;
    private final Today today;
    private final Live live;
    private final Clock clock;

    FloorResource(
            Cohorts cohorts,
            Assignments assignments,
            Library library,
            WorkInHand work,
            AttemptViews views,
            Today today,
            Live live,
            Clock clock) {
        this.cohorts = cohorts;
        this.assignments = assignments;
        this.library = library;
        this.work = work;
        this.views = views;
        this.today = today;
        this.live = live;
        this.clock = clock;
    }

    @Operation(summary = "The floor of a cohort")
    @Needs(Right.READ)
    @GetMapping("/api/floor/{cohortId}")
    FloorView floor(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @PathVariable UUID cohortId) {
        Cohort cohort = cohorts.cohort(who, cohortId);
        List<Trainee> trainees = cohorts.trainees(who, cohortId);
        Today.Here here = today.of(who, cohortId, trainees);
        return new FloorView(
                cohort.id(),
                cohort.name(),
                clock.instant(),
                cohorts.onTheWall(who),
                here.session(),
                benches(here, trainees, inHand(trainees)));
    }

    private Map<UUID, List<InHand>> inHand(List<Trainee> trainees) {
        return work.of(trainees.stream().map(Trainee::id).toList());
    }

    @Operation(
            summary = "Some benches of the floor, for whoever was told that something changed there",
            description = "With `kit` also what a tablet takes along of them. Who is not in the cohort is left out.")
    @Needs(Right.READ)
    @GetMapping("/api/floor/{cohortId}/benches")
    BenchesView benches(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID cohortId,
            @RequestParam Set<UUID> trainees,
            @RequestParam(defaultValue = "false") boolean kit) {
        List<Trainee> chosen = cohorts.trainees(who, cohortId).stream()
                .filter(trainee -> trainees.contains(trainee.id()))
                .toList();
        Map<UUID, List<InHand>> inHand = inHand(chosen);
        return new BenchesView(
                clock.instant(),
                benches(today.of(who, cohortId, chosen), chosen, inHand),
                kit
                        ? work.kit(who, cohortId, inHand).stream()
                                .map(measured -> views.of(who, measured))
                                .toList()
                        : List.of());
    }

    private List<BenchView> benches(Today.Here here, List<Trainee> trainees, Map<UUID, List<InHand>> inHand) {
        List<Assignment> all = inHand.values().stream()
                .flatMap(List::stream)
                .map(InHand::assignment)
                .toList();
        Map<UUID, Giving.Terms> terms = all.isEmpty() ? Map.of() : assignments.terms(all);
        Map<UUID, Exercise> byId =
                library.byId(all.stream().map(Assignment::exerciseId).collect(Collectors.toSet()));
        return trainees.stream()
                .map(trainee ->
                        bench(trainee, here.of(trainee), inHand.getOrDefault(trainee.id(), List.of()), byId, terms))
                .sorted(Comparator.comparingInt(BenchView::bench).thenComparing(BenchView::fullName))
                .toList();
    }

    @Operation(
            summary = "Choose what the monitor on the wall tells of people",
            description = "For the lead of the school.")
    @Needs(Right.LEAD)
    @PutMapping("/api/wall")
    Centre.OnTheWall wall(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @RequestBody WallChoice choice) {
        if (choice.scores() == null || choice.initials() == null) {
            throw TurnedDown.badInput(
                    choice.scores() == null ? "/scores" : "/initials", "missing", "say true or false");
        }
        cohorts.show(who, new Centre.OnTheWall(choice.scores(), choice.initials()));
        cohorts.visibleTo(who).forEach(cohort -> live.changed(cohort.id()));
        return cohorts.onTheWall(who);
    }

    private static BenchView bench(
            Trainee trainee,
            Today.Sits sits,
            List<InHand> inHand,
            Map<UUID, Exercise> exercises,
            Map<UUID, Giving.Terms> terms) {
        List<Stand> stands = inHand.stream()
                .map(FloorResource::stand)
                .sorted(Comparator.comparing(Stand::state))
                .toList();
        if (stands.isEmpty()) {
            return new BenchView(
                    trainee.id(),
                    trainee.fullName(),
                    trainee.portraitAt(),
                    sits.bench(),
                    sits.benderLabel(),
                    sits.presence(),
                    State.NOTHING_GIVEN,
                    null,
                    null,
                    null,
                    null,
                    null,
                    List.of());
        }
        Stand first = stands.getFirst();
        Assignment assignment = first.work().assignment();
        Measured piece = first.work().piece();
        return new BenchView(
                trainee.id(),
                trainee.fullName(),
                trainee.portraitAt(),
                sits.bench(),
                sits.benderLabel() == null ? null : benderOf(assignment, exercises),
                sits.presence(),
                first.state(),
                first.since(),
                assignment.id(),
                title(assignment, exercises),
                dueOn(assignment, terms),
                piece == null ? null : summary(piece),
                stands.stream()
                        .skip(1)
                        .map(stand -> other(stand, exercises, terms))
                        .toList());
    }

    private static OtherView other(Stand stand, Map<UUID, Exercise> exercises, Map<UUID, Giving.Terms> terms) {
        Assignment assignment = stand.work().assignment();
        return new OtherView(
                assignment.id(), title(assignment, exercises), stand.state(), stand.since(), dueOn(assignment, terms));
    }

    private static @Nullable LocalDate dueOn(Assignment assignment, Map<UUID, Giving.Terms> terms) {
        return terms.getOrDefault(assignment.givingId(), Giving.Terms.OPEN).dueOn();
    }

    private static String title(Assignment assignment, Map<UUID, Exercise> exercises) {
        Exercise exercise = exercises.get(assignment.exerciseId());
        return exercise == null ? "" : exercise.title();
    }

    /** The one that its exercise is for, whatever the rota says: its marks are of that one. */
    private static @Nullable String benderOf(Assignment assignment, Map<UUID, Exercise> exercises) {
        Exercise exercise = exercises.get(assignment.exerciseId());
        return exercise == null ? null : exercise.benderLabel();
    }

    private static Stand stand(InHand work) {
        Measured piece = work.piece();
        if (piece == null) {
            return new Stand(work, State.NOT_STARTED, work.assignment().givenAt());
        }
        Instant begun = piece.attempt().startedAt();
        Instant read = piece.lastReadAt().orElse(null);
        if (piece.assessment().isComplete()) {
            return new Stand(work, State.DONE, read == null ? begun : read);
        }
        StepRow step = piece.lastStep().orElse(null);
        // Whoever calls again while the piece is being measured waits again.
        if (read != null && (step == null || piece.isReadSince(step))) {
            return new Stand(work, State.MEASURING, read);
        }
        return step == null
                ? new Stand(work, State.BENDING, begun)
                : new Stand(work, State.valueOf(step.step().name()), step.setAt());
    }

    private static AttemptSummary summary(Measured measured) {
        var score = measured.assessment().score();
        return new AttemptSummary(
                measured.attempt().id(),
                measured.attempt().startedAt(),
                measured.assessment().measured(),
                measured.assessment().features().size(),
                measured.assessment().isDisputed(),
                measured.isSealed(),
                score.map(s -> s.points()).orElse(null),
                score.map(s -> s.passed()).orElse(null));
    }
}
