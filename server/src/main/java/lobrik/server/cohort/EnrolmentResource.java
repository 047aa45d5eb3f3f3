package lobrik.server.cohort;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import lobrik.server.account.SignedIn;
import lobrik.server.platform.Needs;
import lobrik.server.platform.Right;
import lobrik.server.platform.TurnedDown;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Who is in which cohort, over the years. */
@RestController
@Tag(name = "cohorts")
class EnrolmentResource {

    private static final int MOST = 100;
    private static final int MOST_STEPS = 200;

    /** A cohort as it is kept; those that are archived stay as they were. */
    record KeptCohort(
            UUID id,
            String name,
            @Nullable LocalDate beginsOn,
            @Nullable LocalDate endsOn,
            @Nullable Instant archivedAt,
            int trainees,
            int edition) {}

    /** What a cohort is to be called, and when it begins and ends. */
    record CohortToKeep(
            @Nullable Integer edition,
            @Nullable String name,
            @Nullable LocalDate beginsOn,
            @Nullable LocalDate endsOn) {}

    /** Somebody to add; the next free bench where none is said. */
    record NewTrainee(
            @Nullable UUID cohortId,
            @Nullable String fullName,
            @Nullable Integer bench,
            @Nullable String number) {}

    /** What somebody is called and needs. */
    record TraineeToKeep(
            @Nullable Integer edition,
            @Nullable String fullName,
            @Nullable String number,
            @Nullable Boolean largerPrint,
            @Nullable Integer extraTimePct) {}

    /** Where somebody is from now on. */
    record TraineePlace(
            @Nullable Integer edition,
            @Nullable UUID cohortId,
            @Nullable Integer bench) {}

    /** Whether somebody is there. */
    record Leaving(
            @Nullable Integer edition,
            @Nullable Boolean left,
            @Nullable String reason) {}

    /** What becomes of a cohort; its people leave the school where no next one is named. */
    record YearStep(
            @Nullable UUID from,
            @Nullable UUID to,
            @Nullable String name,
            @Nullable LocalDate beginsOn,
            @Nullable LocalDate endsOn) {}

    /** The end of a year. */
    record YearChange(@Nullable List<YearStep> steps) {}

    private final Enrolments enrolments;
    private final Cohorts cohorts;

    EnrolmentResource(Enrolments enrolments, Cohorts cohorts) {
        this.enrolments = enrolments;
        this.cohorts = cohorts;
    }

    @Operation(summary = "The cohorts that one may see, those of earlier years at the end")
    @Needs(Right.READ)
    @GetMapping("/api/kept-cohorts")
    List<KeptCohort> all(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who) {
        List<Cohort> all = new ArrayList<>(cohorts.visibleTo(who));
        all.addAll(cohorts.archived(who));
        Map<UUID, Integer> sizes = enrolments.sizes(who);
        return all.stream()
                .map(cohort -> new KeptCohort(
                        cohort.id(),
                        cohort.name(),
                        cohort.beginsOn(),
                        cohort.endsOn(),
                        cohort.archivedAt(),
                        sizes.getOrDefault(cohort.id(), 0),
                        cohort.edition()))
                .toList();
    }

    @Operation(summary = "Give a cohort another name or other dates; turned down where somebody else changed it since")
    @Needs(Right.TEACH)
    @PutMapping("/api/cohorts/{id}/year")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void keep(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @RequestBody CohortToKeep cohort) {
        enrolments.keep(
                who,
                id,
                TurnedDown.required("/edition", cohort.edition()),
                Objects.requireNonNullElse(cohort.name(), ""),
                cohort.beginsOn(),
                cohort.endsOn());
    }

    @Operation(summary = "The trainees that one may see, by name; a hundred at a time")
    @Needs(Right.READ)
    @GetMapping("/api/trainees")
    Enrolments.EnrolledPage page(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @RequestParam(defaultValue = "") String text,
            @RequestParam(required = false) @Nullable UUID cohort,
            @RequestParam(defaultValue = "false") boolean left,
            @RequestParam(defaultValue = "0") int from) {
        return enrolments.page(who, text, cohort, left, Math.max(0, from), MOST);
    }

    @Operation(summary = "Add somebody to a cohort under an id made by the client; repeating the request adds nobody")
    @Needs(Right.TEACH)
    @PutMapping("/api/trainees/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void add(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @RequestBody NewTrainee trainee) {
        enrolments.add(
                who,
                id,
                TurnedDown.required("/cohortId", trainee.cohortId()),
                Objects.requireNonNullElse(trainee.fullName(), ""),
                trainee.bench(),
                trainee.number());
    }

    @Operation(summary = "Change what somebody is called and needs")
    @Needs(Right.TEACH)
    @PutMapping("/api/trainees/{id}/particulars")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void change(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @RequestBody TraineeToKeep chosen) {
        enrolments.change(
                who,
                id,
                TurnedDown.required("/edition", chosen.edition()),
                new Enrolments.Particulars(
                        Objects.requireNonNullElse(chosen.fullName(), ""),
                        chosen.number(),
                        new Trainee.Needs(
                                Boolean.TRUE.equals(chosen.largerPrint()),
                                Objects.requireNonNullElse(chosen.extraTimePct(), 0))));
    }

    @Operation(
            summary = "Move somebody to another cohort or bench, or let them come back there",
            description = "What they did goes with them; cohorts that are archived stay as they were.")
    @Needs(Right.TEACH)
    @PutMapping("/api/trainees/{id}/place")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void move(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @RequestBody TraineePlace place) {
        int seen = TurnedDown.required("/edition", place.edition());
        UUID cohort = TurnedDown.required("/cohortId", place.cohortId());
        int bench = TurnedDown.required("/bench", place.bench());
        if (cohorts.trainee(who, id).hasLeft()) {
            enrolments.comeBack(who, id, seen, cohort, bench);
        } else {
            enrolments.move(who, id, seen, cohort, bench);
        }
    }

    @Operation(summary = "Somebody leaves the school, or comes back to where they were; their record stays")
    @Needs(Right.TEACH)
    @PutMapping("/api/trainees/{id}/left")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void leave(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @RequestBody Leaving leaving) {
        enrolments.leave(
                who,
                id,
                TurnedDown.required("/edition", leaving.edition()),
                TurnedDown.required("/left", leaving.left()),
                Objects.requireNonNullElse(leaving.reason(), ""));
    }

    @Operation(
            summary = "End a year: cohorts are archived as they are, and their people move up or leave",
            description =
                    "All of it happens or nothing; repeating the request changes nothing. The staff of a cohort goes on with it.")
    @Needs(Right.LEAD)
    @PutMapping("/api/year-changes")
    List<KeptCohort> changeYear(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @RequestBody YearChange change) {
        List<YearStep> steps = Objects.requireNonNullElse(change.steps(), List.of());
        if (steps.isEmpty() || steps.size() > MOST_STEPS) {
            throw TurnedDown.badInput("/steps", "missing", "say what becomes of 1 to " + MOST_STEPS + " cohorts");
        }
        enrolments.changeYear(
                who,
                steps.stream()
                        .map(step -> new Enrolments.Step(
                                TurnedDown.required("/steps", step.from()),
                                step.to(),
                                step.name(),
                                step.beginsOn(),
                                step.endsOn()))
                        .toList());
        return all(who);
    }
}
