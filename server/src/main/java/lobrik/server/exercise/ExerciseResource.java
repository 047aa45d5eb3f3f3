package lobrik.server.exercise;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.UUID;
import lobrik.server.account.SignedIn;
import lobrik.server.calc.LayoutRequest;
import lobrik.server.platform.TurnedDown;
import lobrik.server.shed.ToleranceFigures;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Setting exercises. */
@RestController
@Tag(name = "exercises")
class ExerciseResource {

    private static final int LONGEST_TEXT = 120;

    record NewExercise(
            @Nullable String title,
            @Nullable String conduitLabel,
            @Nullable String benderLabel,
            @Nullable LayoutRequest definition,
            @Nullable ToleranceInput tolerances,
            @Nullable Receiver giveTo) {}

    /** A set of tolerances in a request. */
    record ToleranceInput(
            @Nullable String preset,
            @Nullable Double lengthIn,
            @Nullable Double angleDeg,
            @Nullable Double dogLegDeg,
            @Nullable Double passMark) {}

    /** A whole cohort or one trainee. */
    record Receiver(@Nullable UUID cohortId, @Nullable UUID traineeId) {}

    record Given(UUID exerciseId, int trainees) {}

    private final Exercises exercises;

    ExerciseResource(Exercises exercises) {
        this.exercises = exercises;
    }

    @Operation(summary = "Set an exercise and give it out; repeating the request changes nothing")
    @PutMapping("/api/exercises/{id}")
    Given set(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @RequestBody NewExercise request) {
        Exercises.Draft draft = new Exercises.Draft(
                id,
                requireText("/title", request.title()),
                requireText("/conduitLabel", request.conduitLabel()),
                requireText("/benderLabel", request.benderLabel()),
                require("/definition", request.definition()),
                tolerances(require("/tolerances", request.tolerances())));
        Receiver receiver = require("/giveTo", request.giveTo());
        int given = exercises.setAndGive(who, draft, receiver.cohortId(), receiver.traineeId());
        return new Given(id, given);
    }

    private static ToleranceFigures tolerances(ToleranceInput input) {
        return new ToleranceFigures(
                requireText("/tolerances/preset", input.preset()),
                require("/tolerances/lengthIn", input.lengthIn()),
                require("/tolerances/angleDeg", input.angleDeg()),
                require("/tolerances/dogLegDeg", input.dogLegDeg()),
                require("/tolerances/passMark", input.passMark()));
    }

    private static <T> T require(String pointer, @Nullable T value) {
        if (value == null) {
            throw TurnedDown.badInput(pointer, "missing", "this is missing");
        }
        return value;
    }

    private static String requireText(String pointer, @Nullable String text) {
        String stripped = text == null ? "" : text.strip();
        if (stripped.isEmpty() || stripped.length() > LONGEST_TEXT || stripped.indexOf('\0') >= 0) {
            throw TurnedDown.badInput(pointer, "missing", "give a text of 1 to " + LONGEST_TEXT + " characters");
        }
        return stripped;
    }
}
