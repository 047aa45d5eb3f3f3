package lobrik.server.transfer;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import lobrik.server.account.AuditTrail;
import lobrik.server.account.SignedIn;
import lobrik.server.attempt.Settled;
import lobrik.server.cohort.Cohort;
import lobrik.server.cohort.Cohorts;
import lobrik.server.cohort.Trainee;
import lobrik.server.platform.Needs;
import lobrik.server.platform.Right;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** Files out and in. They are written as they are read, so that no file is too large; see {@link Outgoing}. */
@RestController
@Settled
@Tag(name = "files")
class TransferResource {

    private static final String CSV = "text/csv;charset=UTF-8";
    private static final String XLSX = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet";

    /**
     * Who is erased, by the full name as typed, and why.
     *
     * @param bench where the one who is meant stands; asked for where somebody else has the same name
     */
    record ErasureRequest(
            @Nullable String fullName,
            @Nullable Integer bench,
            @Nullable String reason) {}

    /** How many pieces stay, without a name. */
    record Erased(int pieces) {}

    private final Cohorts cohorts;
    private final GradebookFile gradebook;
    private final ReadingsFile readings;
    private final PersonFile person;
    private final Statements statements;
    private final Roster roster;
    private final AuditFile audit;
    private final Outgoing outgoing;

    TransferResource(
            Cohorts cohorts,
            GradebookFile gradebook,
            ReadingsFile readings,
            PersonFile person,
            Statements statements,
            Roster roster,
            AuditFile audit,
            Outgoing outgoing) {
        this.audit = audit;
        this.cohorts = cohorts;
        this.gradebook = gradebook;
        this.readings = readings;
        this.person = person;
        this.statements = statements;
        this.roster = roster;
        this.outgoing = outgoing;
    }

    /** Text is written in UTF-8. */
    private static Writer text(OutputStream to) {
        return new OutputStreamWriter(to, StandardCharsets.UTF_8);
    }

    @Operation(summary = "A cohort's gradebook as CSV: a row for each trainee")
    @ApiResponse(responseCode = "200", content = @Content(mediaType = "text/csv", schema = @Schema(type = "string")))
    @Needs(Right.EXPORT)
    @GetMapping("/api/cohorts/{id}/gradebook.csv")
    void gradebook(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @Parameter(hidden = true) HttpServletRequest request,
            @Parameter(hidden = true) HttpServletResponse response)
            throws IOException {
        Cohort cohort = cohorts.cohort(who, id);
        outgoing.send(
                who,
                new Outgoing.Letter(
                        CSV, Files.named("Gradebook " + cohort.name(), ".csv"), "gradebook.csv, cohort " + id),
                to -> gradebook.csv(who, id, text(to)),
                request,
                response);
    }

    @Operation(summary = "A cohort's gradebook as a workbook, with every finished piece")
    @ApiResponse(
            responseCode = "200",
            content = @Content(mediaType = XLSX, schema = @Schema(type = "string", format = "binary")))
    @Needs(Right.EXPORT)
    @GetMapping("/api/cohorts/{id}/gradebook.xlsx")
    void workbook(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @Parameter(hidden = true) HttpServletRequest request,
            @Parameter(hidden = true) HttpServletResponse response)
            throws IOException {
        Cohort cohort = cohorts.cohort(who, id);
        outgoing.send(
                who,
                new Outgoing.Letter(
                        XLSX, Files.named("Gradebook " + cohort.name(), ".xlsx"), "gradebook.xlsx, cohort " + id),
                to -> gradebook.workbook(who, id, to),
                request,
                response);
    }

    @Operation(summary = "Every reading as CSV: of one cohort, or of all that one may see")
    @ApiResponse(responseCode = "200", content = @Content(mediaType = "text/csv", schema = @Schema(type = "string")))
    @Needs(Right.EXPORT)
    @GetMapping("/api/readings.csv")
    void readings(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @RequestParam(required = false) @Nullable UUID cohort,
            @Parameter(hidden = true) HttpServletRequest request,
            @Parameter(hidden = true) HttpServletResponse response)
            throws IOException {
        List<Cohort> of = readings.cohorts(who, cohort);
        outgoing.send(
                who,
                new Outgoing.Letter(
                        CSV, "Readings.csv", "readings.csv, " + (cohort == null ? "all cohorts" : "cohort " + cohort)),
                to -> readings.write(of, text(to)),
                request,
                response);
    }

    @Operation(summary = "The audit as CSV, the oldest first, with the hash of every entry")
    @ApiResponse(responseCode = "200", content = @Content(mediaType = "text/csv", schema = @Schema(type = "string")))
    @Needs(Right.READ_RECORDS)
    @GetMapping("/api/audit.csv")
    void audit(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @RequestParam(required = false) @Nullable String text,
            @RequestParam(required = false) @Nullable String what,
            @RequestParam(required = false) @Nullable String subject,
            @RequestParam(required = false) @Nullable LocalDate since,
            @RequestParam(required = false) @Nullable LocalDate until,
            @Parameter(hidden = true) HttpServletRequest request,
            @Parameter(hidden = true) HttpServletResponse response)
            throws IOException {
        AuditTrail.Wanted wanted = new AuditTrail.Wanted(text, what, subject, null, since, until);
        outgoing.send(
                who,
                new Outgoing.Letter(CSV, "Audit.csv", "audit.csv"),
                to -> audit.write(who, wanted, text(to)),
                request,
                response);
    }

    @Operation(summary = "What the columns of the readings mean, as CSV")
    @ApiResponse(responseCode = "200", content = @Content(mediaType = "text/csv", schema = @Schema(type = "string")))
    @Needs(Right.READ)
    @GetMapping("/api/readings-columns.csv")
    void dictionary(@Parameter(hidden = true) HttpServletResponse response) throws IOException {
        Files.announce(response, CSV, "Readings-columns.csv");
        ReadingsFile.dictionary(response.getWriter());
    }

    @Operation(summary = "Learning records of a cohort, as xAPI statements")
    @ApiResponse(
            responseCode = "200",
            content = @Content(mediaType = "application/json", schema = @Schema(type = "string")))
    @Needs(Right.EXPORT)
    @GetMapping("/api/cohorts/{id}/statements.json")
    void statements(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @Parameter(hidden = true) HttpServletRequest request,
            @Parameter(hidden = true) HttpServletResponse response)
            throws IOException {
        Cohort cohort = cohorts.cohort(who, id);
        String home = ServletUriComponentsBuilder.fromCurrentContextPath().toUriString();
        outgoing.send(
                who,
                new Outgoing.Letter(
                        MediaType.APPLICATION_JSON_VALUE,
                        Files.named("Statements " + cohort.name(), ".json"),
                        "statements.json, cohort " + id),
                to -> statements.write(who, cohort, home, to),
                request,
                response);
    }

    @Operation(summary = "Everything that is kept about a trainee")
    @ApiResponse(
            responseCode = "200",
            content = @Content(mediaType = "application/json", schema = @Schema(type = "string")))
    @Needs(Right.EXPORT)
    @GetMapping("/api/trainees/{id}/everything.json")
    void everything(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @Parameter(hidden = true) HttpServletRequest request,
            @Parameter(hidden = true) HttpServletResponse response)
            throws IOException {
        Trainee trainee = cohorts.trainee(who, id);
        outgoing.send(
                who,
                new Outgoing.Letter(
                        MediaType.APPLICATION_JSON_VALUE,
                        Files.named("Everything " + trainee.fullName(), ".json"),
                        "everything.json, trainee " + id),
                to -> person.write(trainee, to),
                request,
                response);
    }

    @Operation(
            summary = "Erase a person",
            description =
                    "Everything with the name and everything that leads to it goes; what pieces came to stays by month.")
    @Needs(Right.LEAD)
    @PutMapping("/api/trainees/{id}/erasures/{key}")
    Erased erase(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @PathVariable UUID key,
            @RequestBody ErasureRequest request) {
        return new Erased(person.erase(
                who,
                id,
                key,
                Objects.requireNonNullElse(request.fullName(), ""),
                request.bench(),
                Objects.requireNonNullElse(request.reason(), "")));
    }

    @Operation(summary = "What a roster would come to; keeps nothing")
    @Needs(Right.TEACH)
    @PostMapping("/api/roster/preview")
    Roster.RosterView preview(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @RequestBody Roster.RosterFile file) {
        return roster.preview(who, file);
    }

    @Operation(summary = "Take a roster in: all of it, or nothing if any row is wrong")
    @Needs(Right.TEACH)
    @PutMapping("/api/roster/{key}")
    Roster.RosterView add(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID key,
            @RequestBody Roster.RosterFile file) {
        return roster.add(who, key, file);
    }
}
