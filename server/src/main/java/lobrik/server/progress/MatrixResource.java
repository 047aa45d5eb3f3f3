package lobrik.server.progress;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.time.LocalDate;
import java.util.UUID;
import lobrik.server.account.SignedIn;
import lobrik.server.attempt.Settled;
import lobrik.server.platform.Needs;
import lobrik.server.platform.Right;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** A cohort at a glance. */
@RestController
@Settled
@Tag(name = "progress")
class MatrixResource {

    private final Matrix matrix;

    MatrixResource(Matrix matrix) {
        this.matrix = matrix;
    }

    @Operation(
            summary = "Trainees by families of bends: where everybody stands, with their last pieces",
            description = "A filter picks the pieces that are shown; where somebody stands follows from all of them.")
    @Needs(Right.READ)
    @GetMapping("/api/cohorts/{id}/matrix")
    MatrixView matrix(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @RequestParam(required = false) @Nullable LocalDate from,
            @RequestParam(required = false) @Nullable LocalDate to,
            @RequestParam(required = false) @Nullable UUID bender,
            @RequestParam(required = false) @Nullable String conduit,
            @RequestParam(required = false) @Nullable String preset) {
        return matrix.of(who, id, new Outcomes.Filter(from, to, bender, blank(conduit), blank(preset)));
    }

    private static @Nullable String blank(@Nullable String text) {
        return text == null || text.isBlank() ? null : text;
    }
}
