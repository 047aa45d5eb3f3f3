package lobrik.server.giving;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import lobrik.exercise.ConduitPlan;
import lobrik.layout.Mark;
import lobrik.measure.Length;
import lobrik.server.account.SignedIn;
import lobrik.server.cohort.Cohorts;
import lobrik.server.cohort.Trainee;
import lobrik.server.exercise.Content;
import lobrik.server.exercise.ExerciseInput;
import lobrik.server.exercise.ExerciseInput.ToleranceInput;
import lobrik.server.exercise.ForesightView;
import lobrik.server.platform.Needs;
import lobrik.server.platform.Right;
import lobrik.server.platform.TurnedDown;
import lobrik.server.stock.Stockroom;
import lobrik.verdict.MethodShare;
import lobrik.verdict.Tolerances;
import lobrik.wire.BendInput;
import lobrik.wire.LayoutRequest;
import lobrik.wire.VariationInput;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Giving exercises out. */
@RestController
@Tag(name = "givings")
class GivingResource {

    private static final int MOST_TRIES = 20;
    private static final int MOST_SHEET_DAYS = 366;

    /**
     * An exercise to give out.
     *
     * @param libraryId the entry that it is saved as; it may be a new one
     * @param basedOn version of the entry that was opened, if one was
     * @param varied whether each trainee gets a variant by the exercise's variation
     */
    record NewGiving(
            @Nullable UUID libraryId,
            @Nullable Integer basedOn,
            @Nullable ExerciseInput exercise,
            @Nullable Boolean varied,
            Givings.@Nullable Receivers giveTo,
            @Nullable LocalDate dueOn,
            @Nullable Integer tries) {}

    /** What was given. */
    record GivenView(
            UUID id,
            UUID libraryId,
            int version,
            String title,
            String kind,
            boolean varied,
            Instant givenAt,
            @Nullable LocalDate dueOn,
            @Nullable Integer tries,
            List<SheetView> sheets) {}

    /** One trainee's part of it; the code stands on the sheet. */
    record SheetView(UUID assignmentId, String code, UUID traineeId, String fullName, int bench, UUID cohortId) {}

    /** For how many days after its session the code on a sheet works; whoever leads the school may change it. */
    record SheetCodes(int days, boolean mayChange) {}

    record SheetCodesToKeep(@Nullable Integer days) {}

    /**
     * What would be given to whom.
     *
     * @param conduitLabel of the conduit on the rack that it is cut from
     * @param tolerances that it is judged by; without them nothing is said of what the method misses
     */
    record PreviewRequest(
            @Nullable LayoutRequest definition,
            @Nullable String conduitLabel,
            @Nullable VariationInput variation,
            Givings.@Nullable Receivers giveTo,
            @Nullable Double stickIn,
            @Nullable ToleranceInput tolerances) {}

    record Preview(List<DealtView> dealt, SticksView conduit) {}

    /**
     * One trainee's bend with its marks, what is cut for it, and how hard it is.
     *
     * @param worst how much the set method misses of what is asked of this one
     */
    record DealtView(
            UUID traineeId,
            String fullName,
            int bench,
            BendInput bend,
            List<Double> marksIn,
            double conduitIn,
            double hardness,
            ForesightView.@Nullable GradeName worst) {}

    /**
     * The sticks that it uses up; cuts name the place of the trainee among the dealt.
     *
     * @param onRack whole sticks that are there; null where nothing is kept of this conduit
     * @param fewestOnRack so many are too few
     */
    record SticksView(
            double stickIn,
            double kerfIn,
            int fewest,
            double usedIn,
            double offcutsIn,
            List<StickView> sticks,
            @Nullable Integer onRack,
            @Nullable Integer fewestOnRack) {}

    /** A stick, or a left-over of earlier work, with what is cut from it. */
    record StickView(double lengthIn, boolean leftOver, List<CutView> cuts, double offcutIn) {}

    record CutView(int owner, double lengthIn) {}

    private final Givings givings;
    private final Dealing dealing;
    private final Cohorts cohorts;
    private final Stockroom stockroom;

    GivingResource(Givings givings, Dealing dealing, Cohorts cohorts, Stockroom stockroom) {
        this.stockroom = stockroom;
        this.givings = givings;
        this.dealing = dealing;
        this.cohorts = cohorts;
    }

    @Operation(summary = "What each of some trainees would be given, and the conduit that it takes; keeps nothing")
    @Needs(Right.TEACH)
    @PostMapping("/api/givings/preview")
    Preview preview(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @RequestBody PreviewRequest request) {
        List<Trainee> trainees = givings.receivers(who, require("/giveTo", request.giveTo()));
        LayoutRequest definition = require("/definition", request.definition());
        List<Dealing.Dealt> dealt = dealing.deal(definition, request.variation(), trainees);
        Stockroom.OnRack rack =
                stockroom.called(who.centreId(), request.conduitLabel()).orElse(null);
        Optional<Tolerances> judgedBy = Optional.ofNullable(request.tolerances())
                .map(input -> Content.tolerances(input).toCore());
        return new Preview(
                dealt.stream()
                        .map(each -> view(
                                each,
                                judgedBy.map(tolerances -> dealing.worst(each, tolerances))
                                        .orElse(null)))
                        .toList(),
                view(Dealing.conduit(dealt, request.stickIn(), rack), rack));
    }

    @Operation(summary = "Save an exercise and give it out; repeating the request changes nothing")
    @Needs(Right.TEACH)
    @PutMapping("/api/givings/{id}")
    GivenView give(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @RequestBody NewGiving request) {
        Content content = Content.of(require("/exercise", request.exercise()));
        boolean varied = Boolean.TRUE.equals(request.varied());
        if (varied && content.variation() == null) {
            throw TurnedDown.badInput("/exercise/variation", "missing", "say how the variants differ");
        }
        if (request.tries() != null && (request.tries() < 1 || request.tries() > MOST_TRIES)) {
            throw TurnedDown.badInput("/tries", "out-of-range", "give from 1 to " + MOST_TRIES + " tries, or none");
        }
        return view(givings.give(
                who,
                new Givings.Order(
                        id,
                        request.libraryId() == null ? UUID.randomUUID() : request.libraryId(),
                        request.basedOn(),
                        content,
                        varied,
                        require("/giveTo", request.giveTo()),
                        new Giving.Terms(request.dueOn(), request.tries()))));
    }

    @Operation(
            summary = "What was given out last, the newest first, 30 at once",
            description = "With the id of the last of a page as `before`, those that were given out before it.")
    @Needs(Right.READ)
    @GetMapping("/api/givings")
    List<GivenView> recent(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @RequestParam(required = false) @Nullable UUID before) {
        return givings.recent(who, before).stream().map(GivingResource::view).toList();
    }

    @Operation(summary = "What was given out under an id")
    @Needs(Right.READ)
    @GetMapping("/api/givings/{id}")
    GivenView given(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @PathVariable UUID id) {
        return view(givings.given(who, id));
    }

    @Operation(
            summary = "Take back what was given out, as long as nothing of it was measured",
            description = "Answers with what is still given out, the newest first.")
    @Needs(Right.TEACH)
    @DeleteMapping("/api/givings/{id}")
    List<GivenView> takeBack(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @PathVariable UUID id) {
        givings.takeBack(who, id);
        return recent(who, null);
    }

    @Operation(summary = "Whose sheet has this code")
    @Needs(Right.READ)
    @GetMapping("/api/sheets/{code}")
    SheetView sheet(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @PathVariable String code) {
        return view(givings.sheet(who, code));
    }

    @Operation(summary = "For how many days after its session the code on a sheet works")
    @Needs(Right.READ)
    @GetMapping("/api/sheet-codes")
    SheetCodes sheetCodes(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who) {
        return new SheetCodes(cohorts.sheetDays(who), who.may(Right.LEAD));
    }

    @Operation(
            summary = "Choose for how many days after its session the code on a sheet works",
            description =
                    "For the lead of the school. A session is the last day on which it was given, due or worked at.")
    @Needs(Right.LEAD)
    @PutMapping("/api/sheet-codes")
    SheetCodes keepSheetsFor(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @RequestBody SheetCodesToKeep chosen) {
        int days = require("/days", chosen.days());
        if (days < 1 || days > MOST_SHEET_DAYS) {
            throw TurnedDown.badInput("/days", "out-of-range", "give from 1 to " + MOST_SHEET_DAYS + " days");
        }
        cohorts.keepSheetsFor(who, days);
        return sheetCodes(who);
    }

    private static <T> T require(String pointer, @Nullable T value) {
        if (value == null) {
            throw TurnedDown.badInput(pointer, "missing", "this is missing");
        }
        return value;
    }

    private static GivenView view(Givings.Given given) {
        return new GivenView(
                given.giving().id(),
                given.exercise().entryId(),
                given.exercise().version(),
                given.exercise().title(),
                given.exercise().kind(),
                given.giving().isVaried(),
                given.giving().givenAt(),
                given.giving().terms().dueOn(),
                given.giving().terms().tries(),
                given.sheets().stream().map(GivingResource::view).toList());
    }

    private static SheetView view(Givings.Sheet sheet) {
        return new SheetView(
                sheet.assignment().id(),
                SheetCode.printed(sheet.assignment().code()),
                sheet.trainee().id(),
                sheet.trainee().fullName(),
                sheet.trainee().bench(),
                sheet.trainee().cohortId());
    }

    private static DealtView view(Dealing.Dealt dealt, MethodShare.@Nullable Grade worst) {
        return new DealtView(
                dealt.trainee().id(),
                dealt.trainee().fullName(),
                dealt.trainee().bench(),
                require("/definition/bend", dealt.definition().bend()),
                dealt.layout().marks().stream()
                        .map(Mark::position)
                        .map(Length::inches)
                        .toList(),
                dealt.conduit().inches(),
                dealt.hardness(),
                worst == null ? null : ForesightView.GradeName.of(worst));
    }

    private static SticksView view(ConduitPlan plan, Stockroom.@Nullable OnRack rack) {
        return new SticksView(
                plan.stick().inches(),
                plan.kerf().inches(),
                plan.fewest(),
                plan.used().inches(),
                plan.offcuts().inches(),
                plan.sticks().stream()
                        .map(stick -> new StickView(
                                stick.length().inches(),
                                stick.isLeftOver(),
                                stick.cuts().stream()
                                        .map(cut -> new CutView(
                                                cut.owner(), cut.length().inches()))
                                        .toList(),
                                stick.offcut().inches()))
                        .toList(),
                rack == null ? null : rack.sticks(),
                rack == null ? null : rack.conduit().keeping().fewestSticks());
    }
}
