package lobrik.server.account;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import lobrik.server.platform.Needs;
import lobrik.server.platform.Right;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Who came in, who tried, what was taken out and what was changed, for the lead and auditors. */
@RestController
@Tag(name = "records")
class AuditResource {

    private static final int MOST = 100;

    private final AuditTrail trail;

    AuditResource(AuditTrail trail) {
        this.trail = trail;
    }

    @Operation(
            summary = "Sign-ins, failed tries, files taken out and changes, the newest first; a hundred at a time",
            description = "For the next hundred name the number of the last entry that is known.")
    @Needs(Right.READ_RECORDS)
    @GetMapping("/api/audit")
    List<AuditTrail.AuditEntry> newest(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @RequestParam(required = false) @Nullable String text,
            @RequestParam(required = false) @Nullable String what,
            @RequestParam(required = false) @Nullable String subject,
            @RequestParam(required = false) @Nullable UUID subjectId,
            @RequestParam(required = false) @Nullable LocalDate since,
            @RequestParam(required = false) @Nullable LocalDate until,
            @RequestParam(required = false) @Nullable Long before) {
        return trail.newest(who, new AuditTrail.Wanted(text, what, subject, subjectId, since, until), before, MOST);
    }

    @Operation(summary = "Whether the audit is whole: every entry holds the hash of the one before")
    @Needs(Right.READ_RECORDS)
    @GetMapping("/api/audit/chain")
    List<AuditChain.ChainFound> chain(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who) {
        return trail.check(who);
    }
}
