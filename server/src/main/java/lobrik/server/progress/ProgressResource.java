package lobrik.server.progress;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.servlet.http.HttpServletRequest;
import java.time.LocalDate;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import lobrik.server.account.SignedIn;
import lobrik.server.attempt.Settled;
import lobrik.server.platform.Guesses;
import lobrik.server.platform.Needs;
import lobrik.server.platform.NeedsNoAccount;
import lobrik.server.platform.Right;
import lobrik.server.platform.TurnedDown;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** A trainee's page, and what comes next. */
@RestController
@Settled
@Tag(name = "progress")
class ProgressResource {

    /** Who is to bend what. */
    record PlanPart(
            @Nullable UUID entryId,
            @Nullable List<UUID> traineeIds,
            @Nullable Boolean varied) {}

    record PlanToGive(
            @Nullable List<PlanPart> parts, @Nullable LocalDate dueOn) {}

    /** What was given, by the id under which each part can be found again. */
    record PlanGiven(List<UUID> givingIds) {}

    private final TraineePages pages;
    private final TraineeKeys keys;
    private final Planning planning;
    private final Guesses guesses;

    ProgressResource(TraineePages pages, TraineeKeys keys, Planning planning, Guesses guesses) {
        this.pages = pages;
        this.keys = keys;
        this.planning = planning;
        this.guesses = guesses;
    }

    @Operation(summary = "A trainee's progress: families of bends, habits, sign-offs, what comes next")
    @Needs(Right.READ)
    @GetMapping("/api/trainees/{id}/progress")
    TraineeProgress ofTrainee(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @PathVariable UUID id) {
        return pages.of(who, id);
    }

    @Operation(summary = "Make a key to the trainee's own page; an older one opens nothing any more")
    @Needs(Right.TEACH)
    @PutMapping("/api/trainees/{id}/keys/{key}")
    TraineeProgress makeKey(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @PathVariable UUID key) {
        keys.make(who, id, key);
        return pages.of(who, id);
    }

    @Operation(summary = "Take the key to the trainee's own page back")
    @Needs(Right.TEACH)
    @DeleteMapping("/api/trainees/{id}/keys")
    TraineeProgress endKey(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @PathVariable UUID id) {
        keys.end(who, id);
        return pages.of(who, id);
    }

    @Operation(summary = "A trainee's own page, for whoever holds its key")
    @NeedsNoAccount
    @GetMapping("/api/own/{code}")
    OwnView own(@PathVariable String code, @Parameter(hidden = true) HttpServletRequest request) {
        return guesses.ask(request.getRemoteAddr(), code, () -> pages.own(code));
    }

    @Operation(summary = "One's own page, for a trainee who has an account")
    @Needs(Right.OWN_PAGE)
    @GetMapping("/api/me/page")
    OwnView ownPage(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who) {
        return pages.own(who);
    }

    @Operation(summary = "What each of a cohort bends next, and why")
    @Needs(Right.READ)
    @GetMapping("/api/cohorts/{id}/plan")
    PlanView plan(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @PathVariable UUID id) {
        return planning.plan(who, id);
    }

    @Operation(summary = "Give a plan out in one step; repeating the request changes nothing")
    @Needs(Right.TEACH)
    @PutMapping("/api/cohorts/{id}/plans/{key}")
    PlanGiven give(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @PathVariable UUID key,
            @RequestBody PlanToGive plan) {
        List<PlanPart> parts = Objects.requireNonNullElse(plan.parts(), List.of());
        Set<UUID> entries = new HashSet<>();
        for (PlanPart part : parts) {
            if (part.entryId() == null
                    || part.traineeIds() == null
                    || part.traineeIds().isEmpty()) {
                throw TurnedDown.badInput("/parts", "missing", "each part names an exercise and who bends it");
            }
            if (!entries.add(part.entryId())) {
                throw TurnedDown.badInput(
                        "/parts", "duplicate", "name each exercise once, with everybody who bends it");
            }
        }
        if (parts.isEmpty()) {
            throw TurnedDown.badInput("/parts", "missing", "there is nothing to give out");
        }
        return new PlanGiven(planning.give(
                who,
                id,
                key,
                parts.stream()
                        .map(part -> new Planning.Part(
                                Objects.requireNonNull(part.entryId()),
                                Objects.requireNonNull(part.traineeIds()),
                                Boolean.TRUE.equals(part.varied())))
                        .toList(),
                plan.dueOn(),
                Map.of()));
    }
}
