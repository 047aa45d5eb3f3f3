package lobrik.server.exercise;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.LinkedHashMap;
import java.util.Map;
import lobrik.server.account.SignedIn;
import lobrik.server.calc.Calculations;
import lobrik.server.exercise.ExerciseInput.ToleranceInput;
import lobrik.server.platform.Needs;
import lobrik.server.platform.Right;
import lobrik.server.platform.TurnedDown;
import lobrik.server.shed.JudgingPresets;
import lobrik.server.shed.ToleranceFigures;
import lobrik.verdict.Foresight;
import lobrik.verdict.Tolerances;
import lobrik.wire.LayoutRequest;
import lobrik.wire.Question;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** What is pointed out of an exercise before it is given out. */
@RestController
@Tag(name = "library")
class ForesightResource {

    /** An exercise as far as it decides what comes out, with what it is judged by. */
    record ForesightRequest(
            @Nullable LayoutRequest definition, @Nullable ToleranceInput tolerances) {}

    private final Calculations calculations;
    private final JudgingPresets presets;

    ForesightResource(Calculations calculations, JudgingPresets presets) {
        this.calculations = calculations;
        this.presets = presets;
    }

    @Operation(summary = "Where the right piece itself misses what is asked, and what could be changed; keeps nothing")
    @Needs(Right.READ)
    @PostMapping("/api/library/foresight")
    ForesightView foresight(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @RequestBody ForesightRequest request) {
        LayoutRequest definition = request.definition();
        if (definition == null) {
            throw TurnedDown.badInput("/definition", "missing", "this is missing");
        }
        ToleranceFigures judgedBy = Content.tolerances(request.tolerances());
        Map<String, Tolerances> others = new LinkedHashMap<>();
        for (ToleranceFigures other : presets.all(who)) {
            if (!other.preset().equals(judgedBy.preset())) {
                others.put(other.preset(), other.toCore());
            }
        }
        Question question = calculations.question(definition);
        return ForesightView.of(Foresight.of(question.layout().job(), question.obstacle(), judgedBy.toCore(), others));
    }
}
