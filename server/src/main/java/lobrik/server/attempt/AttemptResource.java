package lobrik.server.attempt;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.List;
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
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** An attempt as a whole: opened, looked at, moved from step to step, verified. */
@RestController
@Tag(name = "attempts")
class AttemptResource {

    /** At what a trainee was given; without an assignment, at the first of what is in hand. */
    record OpenAttempt(@Nullable UUID traineeId, @Nullable UUID assignmentId) {}

    /** Where the trainee is with it. */
    record NewStep(@Nullable BenchStep step) {}

    /** Verified and locked, or open again and why. */
    record NewSeal(@Nullable Boolean sealed, @Nullable String reason) {}

    private final Attempts attempts;
    private final WorkInHand inHand;
    private final Keeping keeping;
    private final AttemptViews views;

    AttemptResource(Attempts attempts, WorkInHand inHand, Keeping keeping, AttemptViews views) {
        this.attempts = attempts;
        this.inHand = inHand;
        this.keeping = keeping;
        this.views = views;
    }

    @Operation(summary = "Open an attempt at what a trainee is on, or go on with the one that is not complete")
    @Needs(Right.MEASURE)
    @PutMapping("/api/attempts/{id}")
    AttemptView open(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @RequestBody OpenAttempt request) {
        if (request.traineeId() == null) {
            throw TurnedDown.badInput("/traineeId", "missing", "name the trainee");
        }
        return views.of(who, inHand.open(who, id, request.traineeId(), request.assignmentId()));
    }

    @Operation(
            summary =
                    "Take an exercise off the list of what its trainee has in hand, as long as nothing of it is measured",
            description = "Its sheet still opens it; whoever goes on with it has it in hand again.")
    @Needs(Right.TEACH)
    @DeleteMapping("/api/assignments/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void takeOff(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @PathVariable UUID id) {
        inHand.takeOff(who, id);
    }

    @Operation(summary = "An attempt with its readings and its verdict")
    @Needs(Right.READ)
    @GetMapping("/api/attempts/{id}")
    AttemptView get(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @PathVariable UUID id) {
        return views.of(who, attempts.get(who, id));
    }

    @Operation(
            summary = "What a tablet takes along in case that it loses the signal",
            description =
                    "For each exercise that a trainee of a cohort has in hand the attempt that is going on, or a blank one that "
                            + "can be opened under its id later.")
    @Needs(Right.READ)
    @GetMapping("/api/cohorts/{id}/kit")
    List<AttemptView> kit(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @PathVariable UUID id) {
        return inHand.kit(who, id).stream()
                .map(measured -> views.of(who, measured))
                .toList();
    }

    @Operation(summary = "Note where the trainee is with it, under a key made by the client")
    @Needs(Right.MEASURE)
    @PutMapping("/api/attempts/{id}/steps/{key}")
    AttemptChange step(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @PathVariable UUID key,
            @RequestBody NewStep request) {
        if (request.step() == null) {
            throw TurnedDown.badInput("/step", "missing", "name the step");
        }
        return views.of(keeping.step(who, id, key, request.step()));
    }

    @Operation(summary = "Verify it, which locks it, or open it again with a reason; under a key made by the client")
    @Needs(Right.MEASURE)
    @PutMapping("/api/attempts/{id}/seals/{key}")
    AttemptChange seal(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @PathVariable UUID key,
            @RequestBody NewSeal request) {
        boolean sealed = !Boolean.FALSE.equals(request.sealed());
        String reason = sealed ? "" : RecordResource.reason(request.reason(), "why it is opened again");
        return views.of(keeping.seal(who, id, key, sealed, reason));
    }
}
