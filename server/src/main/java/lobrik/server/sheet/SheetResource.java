package lobrik.server.sheet;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.servlet.http.HttpServletRequest;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import lobrik.server.account.Accounts;
import lobrik.server.account.SignedIn;
import lobrik.server.attempt.Settled;
import lobrik.server.cohort.Cohorts;
import lobrik.server.cohort.School;
import lobrik.server.exercise.Content;
import lobrik.server.exercise.ExerciseInput;
import lobrik.server.giving.Givings;
import lobrik.server.judging.Judging;
import lobrik.server.platform.Allowance;
import lobrik.server.platform.Days;
import lobrik.server.platform.Guesses;
import lobrik.server.platform.Needs;
import lobrik.server.platform.NeedsNoAccount;
import lobrik.server.platform.PublicAddress;
import lobrik.server.platform.Right;
import lobrik.server.platform.TurnedDown;
import lobrik.server.progress.Achievement;
import lobrik.server.progress.TraineePages;
import lobrik.server.rota.Today;
import lobrik.server.shed.Rack;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Printing. */
@RestController
@Tag(name = "sheets")
class SheetResource {

    private static final int OWN_RECORDS_A_SECOND = 5;

    /**
     * What to print.
     *
     * @param assignmentIds only these of it; all if null
     */
    record PrintRequest(
            @Nullable Paper paper,
            @Nullable Boolean answers,
            @Nullable List<UUID> assignmentIds) {}

    record BlankRequest(
            @Nullable ExerciseInput exercise,
            @Nullable Paper paper,
            @Nullable Boolean answers) {}

    /** How far a printing is; its file is there once it is finished. */
    record PrintView(UUID id, int done, int pages, boolean finished, boolean failed) {

        static PrintView of(PrintJobs.Job job) {
            return new PrintView(job.id(), job.done(), job.pages(), job.finished(), job.failed());
        }
    }

    private final Givings givings;
    private final Printing printing;
    private final PrintJobs jobs;
    private final School school;
    private final Rack rack;
    private final Judging judging;
    private final Cohorts cohorts;
    private final Accounts accounts;
    private final TraineePages pages;
    private final Guesses guesses;
    private final Clock clock;
    private final PublicAddress address;
    private final Allowance ownRecords = new Allowance(OWN_RECORDS_A_SECOND, Duration.ofSeconds(1));

    private final Today today;

    SheetResource(
            Givings givings,
            Printing printing,
            PrintJobs jobs,
            School school,
            Rack rack,
            Judging judging,
            Cohorts cohorts,
            Accounts accounts,
            TraineePages pages,
            Guesses guesses,
            Clock clock,
            PublicAddress address,
            Today today) {
        this.today = today;
        this.givings = givings;
        this.printing = printing;
        this.jobs = jobs;
        this.school = school;
        this.rack = rack;
        this.judging = judging;
        this.cohorts = cohorts;
        this.accounts = accounts;
        this.pages = pages;
        this.guesses = guesses;
        this.clock = clock;
        this.address = address;
    }

    @Operation(summary = "Begin to print the sheets of what was given out")
    @Needs(Right.READ)
    @PostMapping("/api/givings/{id}/prints")
    PrintView print(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @RequestBody PrintRequest request) {
        Givings.Given given = givings.given(who, id);
        List<Givings.Sheet> chosen = given.sheets().stream()
                .filter(sheet -> request.assignmentIds() == null
                        || request.assignmentIds().contains(sheet.assignment().id()))
                .toList();
        if (chosen.isEmpty()) {
            throw TurnedDown.badInput("/assignmentIds", "missing", "name at least one sheet of it");
        }
        String base = address.base();
        Paper paper = paper(request.paper());
        boolean answers = Boolean.TRUE.equals(request.answers());
        School.Letterhead head = school.letterhead(who);
        Map<UUID, Integer> benches = today.benches(
                chosen.stream().map(Givings.Sheet::trainee).toList(),
                Days.of(given.giving().givenAt()));
        PrintJobs.Job started = jobs.start(
                who,
                fileName(given.exercise().title(), answers),
                chosen.size(),
                going -> printing.sheets(
                        given, chosen, benches, base, paper, answers, head, going::done, going::isStopped));
        return PrintView.of(started);
    }

    @Operation(summary = "How far a printing is")
    @Needs(Right.READ)
    @GetMapping("/api/prints/{id}")
    PrintView progress(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @PathVariable UUID id) {
        return PrintView.of(jobs.job(who, id));
    }

    @Operation(summary = "The file of a printing that is finished")
    @Needs(Right.READ)
    @GetMapping("/api/prints/{id}/file")
    ResponseEntity<byte[]> file(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @PathVariable UUID id) {
        PrintJobs.Job job = jobs.job(who, id);
        byte[] file = jobs.file(job);
        if (file == null) {
            throw TurnedDown.conflict("not-finished", "It is still being printed");
        }
        return pdf(file, job.fileName());
    }

    @Operation(summary = "Stop a printing")
    @Needs(Right.READ)
    @DeleteMapping("/api/prints/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void stop(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @PathVariable UUID id) {
        jobs.stop(who, id);
    }

    @Operation(summary = "The sheet of an exercise without a name, to look at or to fill in by hand")
    @Needs(Right.READ)
    @PostMapping("/api/sheets/blank")
    ResponseEntity<byte[]> blank(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @RequestBody BlankRequest request) {
        if (request.exercise() == null) {
            throw TurnedDown.badInput("/exercise", "missing", "this is missing");
        }
        Content content = Content.of(request.exercise());
        boolean answers = Boolean.TRUE.equals(request.answers());
        return pdf(
                printing.blank(content, paper(request.paper()), answers, school.letterhead(who)),
                fileName(content.title(), answers));
    }

    @Operation(
            summary =
                    "Labels to stick on benders, each with a code that leads to its card: of one, or of all that are bent on")
    @Needs(Right.READ)
    @GetMapping("/api/shed/labels.pdf")
    ResponseEntity<byte[]> labels(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @RequestParam(required = false) @Nullable UUID bender,
            @RequestParam(required = false) @Schema(implementation = Paper.class) @Nullable String paper) {
        List<Rack.Racked> benders = bender == null ? rack.all(who) : List.of(rack.bender(who, bender));
        if (benders.isEmpty()) {
            throw TurnedDown.notFound("bender");
        }
        Paper on = "a4".equals(paper) ? Paper.A4 : Paper.LETTER;
        return pdf(
                BenderLabels.pdf(benders, address.base(), on, accounts.unitOf(who)),
                fileName("Labels of benders", false));
    }

    @Operation(summary = "A pocket card of multipliers, take-up and gain for a bender; four to the page")
    @Needs(Right.READ)
    @GetMapping("/api/shed/benders/{id}/card")
    ResponseEntity<byte[]> card(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @RequestParam(required = false) @Schema(implementation = Paper.class) @Nullable String paper) {
        Rack.Racked racked = rack.bender(who, id);
        Paper on = "a4".equals(paper) ? Paper.A4 : Paper.LETTER;
        return pdf(
                PocketCard.pdf(racked, on, accounts.unitOf(who)),
                fileName("Card " + racked.bender().label(), false));
    }

    @Operation(summary = "The verdict on an attempt, on one page")
    @Needs(Right.READ)
    @GetMapping("/api/attempts/{id}/verdict.pdf")
    ResponseEntity<byte[]> verdict(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @RequestParam(required = false) @Schema(implementation = Paper.class) @Nullable String paper) {
        Judging.Judged judged = judging.of(who, id);
        String trainee =
                cohorts.trainee(who, judged.measured().attempt().traineeId()).fullName();
        return pdf(
                VerdictPage.pdf(judged, trainee, "a4".equals(paper) ? Paper.A4 : Paper.LETTER),
                fileName("Verdict " + trainee, false));
    }

    @Operation(summary = "A trainee's record of achievement, with the evidence of every signature")
    @Settled
    @Needs(Right.READ)
    @GetMapping("/api/trainees/{id}/record.pdf")
    ResponseEntity<byte[]> record(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @RequestParam(required = false) @Schema(implementation = Paper.class) @Nullable String paper) {
        return record(pages.achievement(who, id), paper);
    }

    @Operation(summary = "The record of achievement of whoever holds this key")
    @Settled
    @NeedsNoAccount
    @GetMapping("/api/own/{code}/record.pdf")
    ResponseEntity<byte[]> ownRecord(
            @PathVariable String code,
            @RequestParam(required = false) @Schema(implementation = Paper.class) @Nullable String paper,
            @Parameter(hidden = true) HttpServletRequest request) {
        if (!ownRecords.use(request.getRemoteAddr())) {
            throw TurnedDown.tooOften("Too many calls at once; wait a second and try again");
        }
        return record(guesses.ask(request.getRemoteAddr(), code, () -> pages.ownAchievement(code)), paper);
    }

    @Operation(summary = "One's own record of achievement, for a trainee who has an account")
    @Settled
    @Needs(Right.OWN_PAGE)
    @GetMapping("/api/me/record.pdf")
    ResponseEntity<byte[]> recordOfMine(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @RequestParam(required = false) @Schema(implementation = Paper.class) @Nullable String paper) {
        return record(pages.ownAchievement(who), paper);
    }

    private ResponseEntity<byte[]> record(Achievement achievement, @Nullable String paper) {
        return pdf(
                RecordPages.pdf(achievement, clock.instant(), "a4".equals(paper) ? Paper.A4 : Paper.LETTER),
                fileName("Record of achievement " + achievement.fullName(), false));
    }

    private static Paper paper(@Nullable Paper paper) {
        return paper == null ? Paper.LETTER : paper;
    }

    private static String fileName(String title, boolean answers) {
        return title.replaceAll("[^\\p{L}\\p{N} ]", "").strip().replace(' ', '-') + (answers ? "-answers" : "")
                + ".pdf";
    }

    private static ResponseEntity<byte[]> pdf(byte[] file, String name) {
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(name, StandardCharsets.UTF_8)
                                .build()
                                .toString())
                .body(file);
    }
}
