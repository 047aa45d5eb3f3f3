package lobrik.server.gauge;

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
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Gauges, and which screen has them. What a claimed gauge shows comes over the screen's stream. */
@RestController
@Tag(name = "gauges")
class GaugeResource {

    /** For which screen; taken over from another one only if that is said. */
    record GaugeClaim(@Nullable UUID screen, @Nullable Boolean takeOver) {}

    private final Gauges gauges;

    GaugeResource(Gauges gauges) {
        this.gauges = gauges;
    }

    @Operation(summary = "The gauges of the shed, as they are right now")
    @Needs(Right.READ)
    @GetMapping("/api/gauges")
    List<GaugeView> all(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @RequestParam UUID screen) {
        return gauges.all(who, screen);
    }

    @Operation(summary = "Claim a gauge for a screen")
    @Needs(Right.MEASURE)
    @PutMapping("/api/gauges/{id}/claim")
    GaugeView claim(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable String id,
            @RequestBody GaugeClaim claim) {
        if (claim.screen() == null) {
            throw TurnedDown.badInput("/screen", "missing", "name the screen");
        }
        return gauges.claim(who, id, claim.screen(), Boolean.TRUE.equals(claim.takeOver()));
    }

    @Operation(summary = "Give a gauge back")
    @Needs(Right.MEASURE)
    @DeleteMapping("/api/gauges/{id}/claim")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void release(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable String id,
            @RequestParam UUID screen) {
        gauges.release(who, id, screen);
    }
}
