package lobrik.server.bench;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import java.util.stream.IntStream;
import lobrik.server.attempt.AttemptView.Band;
import lobrik.server.attempt.Fact;
import lobrik.server.attempt.Step;
import lobrik.server.calc.DatumName;
import lobrik.server.calc.QuantityRequest.BareUnit;
import lobrik.server.platform.Allowance;
import lobrik.server.platform.TurnedDown;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** What a trainee's phone may do with the code on the sheet. No account is needed, so little is told. */
@RestController
@Tag(name = "benches")
class BenchResource {

    /** All phones of a class may share one address. */
    private static final int CALLS_A_SECOND = 20;

    /**
     * A sheet as its trainee sees it.
     *
     * @param marks how many there are to work out
     * @param backs for each mark the number of the bend from whose back it is taught; null where it is measured from the end
     * @param step what the trainee last said to be doing; nothing before the first
     * @param own the trainee's figures once they are in
     * @param answersShown whether the right figures are told after them; not where the piece is assessed
     * @param checked once the piece was judged
     * @param others what the trainee has in hand besides, in order
     */
    record BenchSheet(
            String title,
            String fullName,
            int bench,
            String conduitLabel,
            String benderLabel,
            int marks,
            List<@Nullable Integer> backs,
            @Nullable Step step,
            @Nullable Instant since,
            @Nullable List<OwnFigureAnswer> own,
            boolean answersShown,
            @Nullable CheckedAnswer checked,
            List<OtherSheet> others) {}

    /** Another sheet of the same trainee's. */
    record OtherSheet(String code, String title) {}

    /** A figure of the trainee's; with the right one and how near it is, where answers are told. */
    record OwnFigureAnswer(
            int mark,
            String text,
            @Nullable DatumName from,
            @Nullable Double rightIn,
            @Nullable Band band) {}

    /** The score of a piece that was judged. */
    record CheckedAnswer(double points, boolean passed) {}

    record BenchStep(@Nullable Step step) {}

    /**
     * Figures as typed, in the order of the marks.
     *
     * @param from where each is measured from; wherever it fits if that is not said
     */
    record BenchFigures(
            @Nullable List<@Nullable String> texts,
            @Nullable List<@Nullable DatumName> from,
            @Nullable BareUnit bare) {}

    private final Benches benches;
    private final Allowance allowance = new Allowance(CALLS_A_SECOND, Duration.ofSeconds(1));

    BenchResource(Benches benches) {
        this.benches = benches;
    }

    @Operation(summary = "The sheet with this code, for whoever holds it")
    @GetMapping("/api/benches/{code}")
    BenchSheet sheet(@PathVariable String code, @Parameter(hidden = true) HttpServletRequest request) {
        requireAllowed(request);
        return benches.sheet(code);
    }

    @Operation(summary = "Say where one is with it: working out, bending, calling for checking, needing help")
    @PutMapping("/api/benches/{code}/steps/{key}")
    BenchSheet step(
            @PathVariable String code,
            @PathVariable UUID key,
            @RequestBody BenchStep step,
            @Parameter(hidden = true) HttpServletRequest request) {
        requireAllowed(request);
        if (step.step() == null) {
            throw TurnedDown.badInput("/step", "missing", "name the step");
        }
        return benches.step(code, key, step.step());
    }

    @Operation(summary = "Give one's own figures for the marks, once")
    @PutMapping("/api/benches/{code}/figures/{key}")
    BenchSheet figures(
            @PathVariable String code,
            @PathVariable UUID key,
            @RequestBody BenchFigures figures,
            @Parameter(hidden = true) HttpServletRequest request) {
        requireAllowed(request);
        List<@Nullable String> texts = Objects.requireNonNullElse(figures.texts(), List.of());
        if (texts.isEmpty() || texts.size() > Benches.MOST_MARKS) {
            throw TurnedDown.badInput("/texts", "missing", "give a figure for each mark");
        }
        List<@Nullable DatumName> from = Objects.requireNonNullElse(figures.from(), List.of());
        Fact.Figures own = new Fact.Figures(IntStream.range(0, texts.size())
                .mapToObj(i -> new Fact.OwnFigure(i + 1, texts.get(i), null, i < from.size() ? from.get(i) : null))
                .toList());
        return benches.figures(code, key, own, figures.bare());
    }

    private void requireAllowed(HttpServletRequest request) {
        if (!allowance.use(request.getRemoteAddr())) {
            throw TurnedDown.tooOften("Too many calls at once; wait a second and try again");
        }
    }
}
