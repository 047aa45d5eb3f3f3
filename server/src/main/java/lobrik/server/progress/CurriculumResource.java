package lobrik.server.progress;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import lobrik.progress.Curriculum;
import lobrik.server.account.Accounts;
import lobrik.server.account.SignedIn;
import lobrik.server.platform.Needs;
import lobrik.server.platform.Right;
import lobrik.server.platform.TurnedDown;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** In which order bends are learnt. */
@RestController
@Tag(name = "progress")
class CurriculumResource {

    /** An order to keep. */
    record CurriculumToKeep(@Nullable List<CurriculumStep> steps) {}

    /**
     * The order.
     *
     * @param usual what it is where no lead writes another
     * @param mayChange whether the one who asks may
     */
    record CurriculumView(
            List<CurriculumStep> steps,
            List<CurriculumStep> usual,
            List<CurriculumChange> history,
            boolean mayChange) {}

    /** Who wrote an order, when, and with how many steps. */
    record CurriculumChange(String by, Instant at, int steps) {}

    private final Curricula curricula;
    private final Accounts accounts;

    CurriculumResource(Curricula curricula, Accounts accounts) {
        this.curricula = curricula;
        this.accounts = accounts;
    }

    @Operation(summary = "In which order bends are learnt, and what has to be steady before each")
    @Needs(Right.READ)
    @GetMapping("/api/curriculum")
    CurriculumView curriculum(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who) {
        List<CurriculumRow> history = curricula.history(who.centreId());
        Map<UUID, String> names =
                accounts.namesOf(history.stream().map(CurriculumRow::keptBy).collect(Collectors.toSet()));
        List<CurriculumStep> usual = CurriculumStep.of(Curriculum.USUAL);
        return new CurriculumView(
                history.isEmpty() ? usual : history.getFirst().steps(),
                usual,
                history.stream()
                        .map(row -> new CurriculumChange(
                                names.getOrDefault(row.keptBy(), ""),
                                row.keptAt(),
                                row.steps().size()))
                        .toList(),
                who.may(Right.LEAD));
    }

    @Operation(summary = "Write an order that counts from now on; for the lead of the school")
    @Needs(Right.LEAD)
    @PutMapping("/api/curriculum/{id}")
    CurriculumView keep(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @RequestBody CurriculumToKeep request) {
        if (request.steps() == null) {
            throw TurnedDown.badInput("/steps", "missing", "this is missing");
        }
        curricula.keep(who, id, CurriculumStep.toCore(request.steps()));
        return curriculum(who);
    }
}
