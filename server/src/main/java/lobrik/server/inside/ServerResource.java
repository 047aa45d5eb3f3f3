package lobrik.server.inside;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import lobrik.server.account.SignedIn;
import lobrik.server.platform.Needs;
import lobrik.server.platform.Right;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** How the server stands, for the lead of the school. */
@RestController
@Tag(name = "server")
class ServerResource {

    private final ServerStand stand;

    ServerResource(ServerStand stand) {
        this.stand = stand;
    }

    @Operation(summary = "How the server stands: whether it is well, how full its disk is, and who is connected")
    @Needs(Right.LEAD)
    @GetMapping("/api/server")
    ServerStand.ServerStanding server(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who) {
        return stand.now(who);
    }
}
