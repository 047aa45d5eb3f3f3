package lobrik.server.judging;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.List;
import java.util.UUID;
import lobrik.assessment.Assessment;
import lobrik.server.account.SignedIn;
import lobrik.server.attempt.Measured;
import lobrik.server.platform.Needs;
import lobrik.server.platform.Right;
import lobrik.server.platform.TurnedDown;
import lobrik.server.shed.JudgingPresets;
import lobrik.server.shed.ToleranceFigures;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** The verdict on an attempt. */
@RestController
@Tag(name = "attempts")
class JudgementResource {

    private final Judging judging;
    private final JudgingPresets presets;

    JudgementResource(Judging judging, JudgingPresets presets) {
        this.judging = judging;
        this.presets = presets;
    }

    @Operation(
            summary = "How good a piece is, why, where its deviations came from and what to do about it",
            description = "Also of a piece that is not measured to the end: as far as its readings go.")
    @Needs(Right.READ)
    @GetMapping("/api/attempts/{id}/judgement")
    Judgement judgement(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @PathVariable UUID id) {
        return judging.judge(who, id).judgement();
    }

    @Operation(
            summary = "What it would have been under each set of tolerances that the centre judges by",
            description = "A comparison only: the verdict itself stays as it was judged.")
    @Needs(Right.READ)
    @GetMapping("/api/attempts/{id}/comparison")
    List<MarksheetView> comparison(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @PathVariable UUID id) {
        Measured measured = judging.judge(who, id).measured();
        if (!measured.assessment().isComplete()) {
            throw TurnedDown.conflict("not-complete", "the piece is not measured to the end yet, so it has no score");
        }
        return presets.all(who).stream().map(preset -> under(measured, preset)).toList();
    }

    private static MarksheetView under(Measured measured, ToleranceFigures preset) {
        Assessment assessment = measured.under(preset.toCore());
        MarksheetView view = MarksheetView.of(assessment, preset);
        if (view == null) {
            throw new IllegalStateException("complete under one set of tolerances and not under another");
        }
        return view;
    }
}
