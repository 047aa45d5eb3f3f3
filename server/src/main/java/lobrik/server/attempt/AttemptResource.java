package lobrik.server.attempt;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.List;
import java.util.UUID;
import lobrik.server.account.SignedIn;
import lobrik.server.platform.TurnedDown;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** An attempt as a whole: opened, looked at, moved from step to step, verified. */
@RestController
@Tag(name = "attempts")
class AttemptResource {

    /** At what a trainee was given; without an assignment, at what was given last. */
    record OpenAttempt(@Nullable UUID traineeId, @Nullable UUID assignmentId) {}

    /** Where the trainee is with it. */
    record NewStep(@Nullable Step step) {}

    /** Verified and locked, or open again and why. */
    record NewSeal(@Nullable Boolean sealed, @Nullable String reason) {}

    private final Attempts attempts;
    private final Keeping keeping;
    private final AttemptViews views;

    AttemptResource(Attempts attempts, Keeping keeping, AttemptViews views) {
        this.attempts = attempts;
        this.keeping = keeping;
        this.views = views;
    }

    @Operation(summary = "Open an attempt at what a trainee is on, or go on with the one that is not complete")
    @PutMapping("/api/attempts/{id}")
    AttemptView open(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @RequestBody OpenAttempt request) {
        if (request.traineeId() == null) {
            throw TurnedDown.badInput("/traineeId", "missing", "name the trainee");
        }
        return views.of(who, attempts.open(who, id, request.traineeId(), request.assignmentId()));
    }

    @Operation(summary = "An attempt with its readings and its verdict")
    @GetMapping("/api/attempts/{id}")
    AttemptView get(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @PathVariable UUID id) {
        return views.of(who, attempts.get(who, id));
    }

    @Operation(
            summary = "What a tablet takes along in case that it loses the signal",
            description =
                    "For each trainee of a cohort the attempt that is going on, or a blank one that can be opened "
                            + "under its id later.")
    @GetMapping("/api/cohorts/{id}/kit")
    List<AttemptView> kit(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @PathVariable UUID id) {
        return attempts.kit(who, id).stream()
                .map(measured -> views.of(who, measured))
                .toList();
    }

    @Operation(summary = "Note where the trainee is with it, under a key made by the client")
    @PutMapping("/api/attempts/{id}/steps/{key}")
    AttemptView step(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @PathVariable UUID key,
            @RequestBody NewStep request) {
        if (request.step() == null) {
            throw TurnedDown.badInput("/step", "missing", "name the step");
        }
        return views.of(who, keeping.step(who, id, key, request.step()));
    }

    @Operation(summary = "Verify it, which locks it, or open it again with a reason; under a key made by the client")
    @PutMapping("/api/attempts/{id}/seals/{key}")
    AttemptView seal(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @PathVariable UUID key,
            @RequestBody NewSeal request) {
        boolean sealed = !Boolean.FALSE.equals(request.sealed());
        String reason = sealed ? "" : RecordResource.reason(request.reason(), "why it is opened again");
        return views.of(who, keeping.seal(who, id, key, sealed, reason));
    }
}
