package lobrik.server.bench;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import lobrik.layout.MarkDatum;
import lobrik.measure.LengthUnit;
import lobrik.server.attempt.AttemptView.CarriedName;
import lobrik.server.attempt.BenchStep;
import lobrik.server.attempt.Fact;
import lobrik.server.platform.Guesses;
import lobrik.server.platform.NeedsNoAccount;
import lobrik.server.platform.TurnedDown;
import lobrik.verdict.Judged;
import lobrik.wire.ExplanationAnswer;
import lobrik.wire.LayoutAnswer;
import lobrik.wire.PieceShape;
import lobrik.wire.ShownBendAnswer;
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

    /**
     * A sheet as its trainee sees it. Once the piece is judged it tells of the verdict alone, until an instructor begins another
     * try.
     *
     * @param job what is to be bent, as the sheet has it
     * @param marks how many there are to work out
     * @param backs for each mark the number of the bend from whose back it is taught; null where it is measured from the end
     * @param step what the trainee last said to be doing; nothing before the first
     * @param own the trainee's figures once they are in
     * @param answersShown whether the right figures are told after them; not where the piece is assessed
     * @param lookOver what is looked over before somebody is called
     * @param cut the length that the trainee would cut to, once it is in
     * @param checked once the piece was judged
     * @param judged whether the piece is done with
     * @param others what the trainee has in hand besides, in order
     */
    record BenchSheet(
            String title,
            String fullName,
            int bench,
            String conduitLabel,
            String benderLabel,
            SheetJob job,
            int marks,
            List<@Nullable Integer> backs,
            @Nullable BenchStep step,
            @Nullable Instant since,
            @Nullable List<OwnFigureAnswer> own,
            @Nullable OwnCutAnswer cut,
            List<LookPoint> lookOver,
            boolean answersShown,
            @Nullable CheckedAnswer checked,
            boolean judged,
            List<OtherSheet> others) {}

    /** Another sheet of the same trainee's. */
    record OtherSheet(String code, String title) {}

    /**
     * What is to be bent, without a word of its answer.
     *
     * @param unit of the exercise's tape
     * @param plan the piece in its place
     * @param cutAsked whether there is a length to cut to
     */
    record SheetJob(
            String kind,
            LengthUnit unit,
            double outsideDiameterIn,
            double divisionIn,
            LayoutAnswer plan,
            List<GivenSize> sizes,
            String method,
            boolean cutAsked) {}

    /**
     * A size that is given.
     *
     * @param input its name in the bend
     * @param said as it is given, with what goes into a fitting still to be added
     */
    record GivenSize(String input, String name, String said) {}

    /** A figure of the trainee's; with how near it is, where that is told. */
    record OwnFigureAnswer(int mark, String text, @Nullable MarkDatum from, Judged.@Nullable Band band) {}

    /** What the trainee would cut to; with how near it is, where that is told. */
    record OwnCutAnswer(String text, Judged.@Nullable Band band) {}

    /** A point that is looked over, as it should be; and whether the trainee found it so. */
    record LookPoint(String point, String words, @Nullable Boolean good) {}

    /** What the trainee found. */
    record OwnLookOver(@Nullable List<Fact.OwnLookPoint> points) {}

    /** What to think of where a figure is not right. */
    record Hint(String about, String words) {}

    /** The right figures, how each is worked out, and how the piece is bent: each bend as it is seen from where one stands. */
    record SheetAnswer(LayoutAnswer plan, List<ExplanationAnswer> why, List<ShownBendAnswer> bending) {}

    /**
     * A piece that was judged, in plain words.
     *
     * @param what happened
     * @param then what to do with this piece
     * @param next time
     */
    record CheckedAnswer(
            double points,
            boolean passed,
            String what,
            @Nullable String bender,
            @Nullable String then,
            @Nullable String next,
            LayoutAnswer plan,
            @Nullable PieceShape made,
            int drawnTimes,
            List<CheckedFeature> features) {}

    /**
     * A size of the piece that was judged.
     *
     * @param carried why it is held to another place than its own right one; null where it is held to that
     * @param carriedFrom earlier slips that it follows from, charged at their own place
     * @param backOf the bend that a mark was measured from the back of, from 1; null where it was from the end
     */
    record CheckedFeature(
            String id,
            @Nullable CarriedName carried,
            List<String> carriedFrom,
            @Nullable Integer backOf,
            lobrik.wire.Unit unit,
            double target,
            @Nullable Double value,
            @Nullable Double deviation,
            Judged.@Nullable Band band,
            double tolerance,
            double under) {}

    record StepSaid(@Nullable BenchStep step) {}

    /**
     * Figures as typed, in the order of the marks.
     *
     * @param cut the length to cut to; null where none is asked
     * @param from where each is measured from; wherever it fits if that is not said
     */
    record BenchFigures(
            @Nullable List<@Nullable String> texts,
            @Nullable List<@Nullable MarkDatum> from,
            @Nullable String cut,
            @Nullable LengthUnit bare) {}

    private final Benches benches;
    private final Guesses guesses;

    BenchResource(Benches benches, Guesses guesses) {
        this.benches = benches;
        this.guesses = guesses;
    }

    @Operation(summary = "The sheet with this code, for whoever holds it")
    @NeedsNoAccount
    @GetMapping("/api/benches/{code}")
    BenchSheet sheet(@PathVariable String code, @Parameter(hidden = true) HttpServletRequest request) {
        return asked(request, code, () -> benches.sheet(code));
    }

    @Operation(summary = "Say where one is with it: working out, bending, calling for checking, needing help")
    @NeedsNoAccount
    @PutMapping("/api/benches/{code}/steps/{key}")
    BenchSheet step(
            @PathVariable String code,
            @PathVariable UUID key,
            @RequestBody StepSaid step,
            @Parameter(hidden = true) HttpServletRequest request) {
        BenchStep said = step.step();
        if (said == null) {
            throw TurnedDown.badInput("/step", "missing", "name the step");
        }
        return asked(request, code, () -> benches.step(code, key, said));
    }

    @Operation(summary = "Give one's own figures for the marks, once")
    @NeedsNoAccount
    @PutMapping("/api/benches/{code}/figures/{key}")
    BenchSheet figures(
            @PathVariable String code,
            @PathVariable UUID key,
            @RequestBody BenchFigures figures,
            @Parameter(hidden = true) HttpServletRequest request) {
        List<@Nullable String> texts = Objects.requireNonNullElse(figures.texts(), List.of());
        if (texts.isEmpty() || texts.size() > Benches.MOST_MARKS) {
            throw TurnedDown.badInput("/texts", "missing", "give a figure for each mark");
        }
        List<@Nullable MarkDatum> from = Objects.requireNonNullElse(figures.from(), List.of());
        Fact.Figures own = new Fact.Figures(
                IntStream.range(0, texts.size())
                        .mapToObj(i ->
                                new Fact.OwnFigure(i + 1, texts.get(i), null, i < from.size() ? from.get(i) : null))
                        .toList(),
                new Fact.OwnCut(figures.cut(), null));
        return asked(request, code, () -> benches.figures(code, key, own, figures.bare()));
    }

    @Operation(summary = "Say what one found when looking the piece over; what is said last counts")
    @NeedsNoAccount
    @PutMapping("/api/benches/{code}/looks/{key}")
    BenchSheet look(
            @PathVariable String code,
            @PathVariable UUID key,
            @RequestBody OwnLookOver look,
            @Parameter(hidden = true) HttpServletRequest request) {
        List<Fact.OwnLookPoint> points = look.points();
        if (points == null) {
            throw TurnedDown.badInput("/points", "missing", "say what was looked at");
        }
        return asked(request, code, () -> benches.look(code, key, new Fact.OwnLook(points)));
    }

    @Operation(
            summary = "What to think of, for each figure that is asked",
            description = "Once the trainee's own figures are in; not where the piece is assessed.")
    @NeedsNoAccount
    @GetMapping("/api/benches/{code}/hints")
    List<Hint> hints(@PathVariable String code, @Parameter(hidden = true) HttpServletRequest request) {
        return asked(request, code, () -> benches.hints(code));
    }

    @Operation(
            summary = "The right figures, how they are worked out, and the steps of bending",
            description = "Once the trainee's own figures are in; not where the piece is assessed.")
    @NeedsNoAccount
    @GetMapping("/api/benches/{code}/answer")
    SheetAnswer answer(@PathVariable String code, @Parameter(hidden = true) HttpServletRequest request) {
        return asked(request, code, () -> benches.answer(code));
    }

    private <T> T asked(HttpServletRequest request, String code, Supplier<T> ask) {
        return guesses.ask(request.getRemoteAddr(), code, ask);
    }
}
