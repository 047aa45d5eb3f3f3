package lobrik.server.cohort;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import lobrik.server.account.SignedIn;
import lobrik.server.platform.Needs;
import lobrik.server.platform.Right;
import lobrik.server.platform.TurnedDown;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Cohorts and who is in them. */
@RestController
@Tag(name = "cohorts")
class CohortResource {

    private static final int LONGEST_NAME = 100;
    private static final int LARGEST_COHORT = 60;

    record NewCohort(@Nullable String name, @Nullable List<@Nullable String> trainees) {}

    /** A cohort with its trainees by bench, and its groups by name. */
    record CohortView(
            UUID id, String name, @Nullable LocalDate endsOn, List<TraineeView> trainees, List<GroupView> groups) {}

    /** A cohort's last day; none is known if null. */
    record CohortEnd(@Nullable LocalDate endsOn) {}

    record GroupView(UUID id, String name, List<UUID> traineeIds) {}

    record NewGroup(
            @Nullable UUID cohortId,
            @Nullable String name,
            @Nullable List<UUID> traineeIds) {}

    record TraineeView(UUID id, String fullName, int bench) {}

    private final Cohorts cohorts;

    CohortResource(Cohorts cohorts) {
        this.cohorts = cohorts;
    }

    @Operation(
            summary = "The cohorts one teaches, with their trainees; those of earlier years where they are asked for")
    @Needs(Right.READ)
    @GetMapping("/api/cohorts")
    List<CohortView> list(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @RequestParam(defaultValue = "false") boolean archived) {
        if (archived) {
            return cohorts.archived(who).stream()
                    .map(cohort -> view(cohort, cohorts.trainees(who, cohort.id()), List.of()))
                    .toList();
        }
        // A few questions for all of them: a lead sees hundreds.
        Map<UUID, List<Trainee>> trainees = cohorts.traineesByCohort(who);
        Map<UUID, List<TraineeGroup>> groups = cohorts.groupsByCohort(who);
        return cohorts.visibleTo(who).stream()
                .map(cohort -> view(
                        cohort,
                        trainees.getOrDefault(cohort.id(), List.of()),
                        groups.getOrDefault(cohort.id(), List.of())))
                .toList();
    }

    @Operation(summary = "Start a cohort; repeating the request changes nothing")
    @Needs(Right.TEACH)
    @PutMapping("/api/cohorts/{id}")
    CohortView start(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @RequestBody NewCohort request) {
        String name = requireName("/name", "the cohort", request.name());
        List<String> trainees = Objects.requireNonNullElse(request.trainees(), List.<@Nullable String>of()).stream()
                .map(trainee -> requireName("/trainees", "every trainee", trainee))
                .toList();
        if (trainees.isEmpty() || trainees.size() > LARGEST_COHORT) {
            throw TurnedDown.badInput(
                    "/trainees", "out-of-range", "a cohort has from 1 to " + LARGEST_COHORT + " trainees");
        }
        Cohort cohort = cohorts.start(who, id, name, trainees);
        return view(cohort, cohorts.trainees(who, id), cohorts.groups(who, id));
    }

    @Operation(
            summary = "Say which day is the cohort's last, or that none is known",
            description = "The keys to its trainees' own pages open nothing after it.")
    @Needs(Right.TEACH)
    @PutMapping("/api/cohorts/{id}/end")
    CohortEnd endOn(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @RequestBody CohortEnd end) {
        cohorts.endOn(who, id, end.endsOn());
        return end;
    }

    @Operation(summary = "Make a group of trainees, or change it")
    @Needs(Right.TEACH)
    @PutMapping("/api/groups/{id}")
    GroupView keepGroup(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @RequestBody NewGroup request) {
        String name = requireName("/name", "the group", request.name());
        List<UUID> trainees = Objects.requireNonNullElse(request.traineeIds(), List.of());
        if (request.cohortId() == null || trainees.isEmpty() || trainees.size() > LARGEST_COHORT) {
            throw TurnedDown.badInput("/traineeIds", "missing", "name the cohort and some of its trainees");
        }
        return view(cohorts.keepGroup(who, id, request.cohortId(), name, Set.copyOf(trainees)));
    }

    @Operation(summary = "Dissolve a group")
    @Needs(Right.TEACH)
    @DeleteMapping("/api/groups/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void dissolve(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @PathVariable UUID id) {
        cohorts.dissolve(who, id);
    }

    private static GroupView view(TraineeGroup group) {
        return new GroupView(
                group.id(), group.name(), group.trainees().stream().sorted().toList());
    }

    private static CohortView view(Cohort cohort, List<Trainee> trainees, List<TraineeGroup> groups) {
        return new CohortView(
                cohort.id(),
                cohort.name(),
                cohort.endsOn(),
                trainees.stream()
                        .map(trainee -> new TraineeView(trainee.id(), trainee.fullName(), trainee.bench()))
                        .toList(),
                groups.stream().map(CohortResource::view).toList());
    }

    private static String requireName(String pointer, String whose, @Nullable String name) {
        String stripped = name == null ? "" : name.strip();
        if (stripped.isEmpty() || stripped.length() > LONGEST_NAME || stripped.indexOf('\0') >= 0) {
            throw TurnedDown.badInput(
                    pointer, "missing", whose + " needs a name of 1 to " + LONGEST_NAME + " characters");
        }
        return stripped;
    }
}
