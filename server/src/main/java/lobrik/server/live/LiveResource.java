package lobrik.server.live;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.servlet.http.HttpSession;
import java.util.UUID;
import lobrik.server.account.Sessions;
import lobrik.server.account.SignedIn;
import lobrik.server.cohort.Cohorts;
import lobrik.server.platform.Needs;
import lobrik.server.platform.Right;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** The streams of the screens. */
@RestController
@Tag(name = "live")
class LiveResource {

    private final Live live;
    private final Cohorts cohorts;

    LiveResource(Live live, Cohorts cohorts) {
        this.live = live;
        this.cohorts = cohorts;
    }

    @Operation(
            summary = "What changes in a cohort, as server-sent events",
            description =
                    "`hello` when the stream is open; `changed`, at most twice a second, with the cohort, the trainees whose benches "
                            + "changed (null for anybody's) and the attempts that other windows wrote at; and `gauge` with what a "
                            + "gauge shows that this screen has claimed.")
    @Needs(Right.READ)
    @GetMapping(path = "/api/live", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter listen(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @RequestParam UUID screen,
            @RequestParam UUID cohort,
            @Parameter(hidden = true) HttpSession session) {
        return live.open(
                screen,
                cohorts.cohort(who, cohort).id(),
                new Screen.Listener(who.accountId(), Sessions.named(session.getId())));
    }
}
