package lobrik.server.account;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.List;
import lobrik.server.platform.TurnedDown;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** Who came in, who tried, and what was taken out, for the lead. */
@RestController
@Tag(name = "session")
class AuditResource {

    private static final int MOST = 500;

    private final Audit audit;

    AuditResource(Audit audit) {
        this.audit = audit;
    }

    @Operation(summary = "The newest sign-ins, failed tries and files taken out; for the lead of the school")
    @GetMapping("/api/audit")
    List<Audit.Entry> newest(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who) {
        if (!who.isLead()) {
            throw TurnedDown.forbidden("The lead of the school may see this");
        }
        return audit.newest(who, MOST);
    }
}
