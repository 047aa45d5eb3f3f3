package lobrik.server.retention;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;
import lobrik.server.account.SignedIn;
import lobrik.server.attempt.Settled;
import lobrik.server.platform.Needs;
import lobrik.server.platform.Right;
import lobrik.server.platform.TurnedDown;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** How long a school keeps data of each kind. */
@RestController
@Settled // What pieces came to stays when a person goes.
@Tag(name = "retention")
class RetentionResource {

    /**
     * How long data of a kind is kept.
     *
     * @param months null for ever
     * @param lastAt when some of it went last; null if none ever did
     */
    record Keeping(
            DataKind kind,
            @Nullable Integer months,
            boolean byCalendar,
            int edition,
            @Nullable Instant lastAt,
            @Nullable Integer lastTaken) {}

    /** How long it is to be kept; for ever if {@code months} is null. */
    record KeepingWanted(
            @Nullable Integer edition,
            @Nullable Integer months,
            @Nullable Boolean byCalendar) {}

    /** How much would go when somebody looked. */
    record RunWanted(@Nullable Integer seen) {}

    /** How much went. */
    record Gone(int count) {}

    private final Retention retention;

    RetentionResource(Retention retention) {
        this.retention = retention;
    }

    @Operation(summary = "How long data of each kind is kept")
    @Needs(Right.READ_RECORDS)
    @GetMapping("/api/retention")
    List<Keeping> all(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who) {
        return Stream.of(DataKind.values()).map(kind -> view(who, kind)).toList();
    }

    private Keeping view(SignedIn who, DataKind kind) {
        RetentionRule rule = retention.rule(who, kind).orElse(null);
        RetentionRun last = retention.lastRun(who.centreId(), kind).orElse(null);
        return new Keeping(
                kind,
                rule == null ? null : rule.months(),
                rule != null && rule.isByCalendar(),
                rule == null ? 0 : rule.edition(),
                last == null ? null : last.runAt(),
                last == null ? null : last.taken());
    }

    @Operation(summary = "What would go if data of a kind were kept for so many months; nothing does")
    @Needs(Right.LEAD)
    @GetMapping("/api/retention/{kind}/preview")
    Retention.WouldGo preview(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable DataKind kind,
            @RequestParam int months) {
        return retention.wouldGo(who, kind, months);
    }

    @Operation(
            summary = "Keep data of a kind for so many months, or for ever; by calendar it goes by itself, once a day")
    @Needs(Right.LEAD)
    @PutMapping("/api/retention/{kind}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void keep(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable DataKind kind,
            @RequestBody KeepingWanted wanted) {
        retention.keep(
                who,
                kind,
                Objects.requireNonNullElse(wanted.edition(), 0),
                wanted.months(),
                Boolean.TRUE.equals(wanted.byCalendar()));
    }

    @Operation(summary = "Take away what is older than the rule keeps it: as much as was seen, or nothing")
    @Needs(Right.LEAD)
    @PostMapping("/api/retention/{kind}/runs")
    Gone run(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable DataKind kind,
            @RequestBody RunWanted wanted) {
        return new Gone(retention.run(who, kind, TurnedDown.required("/seen", wanted.seen())));
    }
}
