package lobrik.server.progress;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.stream.Collectors;
import lobrik.bend.BendKind;
import lobrik.progress.Curriculum;
import lobrik.progress.SignOffRule;
import lobrik.server.account.Accounts;
import lobrik.server.account.SignedIn;
import lobrik.server.attempt.Settled;
import lobrik.server.platform.TurnedDown;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Signing off: the rules, the signatures, and their withdrawals. */
@RestController
@Settled
@Tag(name = "sign-off")
class SignOffResource {

    /** What is signed; the remark is needed where the rule is not met. */
    record NewSignOff(@Nullable String kind, @Nullable String remark) {}

    record Withdrawal(@Nullable String reason) {}

    /** A rule to keep; without a kind it is for all that have none of their own. */
    record RuleToKeep(@Nullable String kind, @Nullable SignOffFigures figures) {}

    /**
     * The rules.
     *
     * @param general for every kind that has none of its own
     * @param mayChange whether the one who asks may
     */
    record RulesView(SignOffFigures general, List<KindRule> own, List<RuleChange> history, boolean mayChange) {}

    record KindRule(String kind, SignOffFigures figures) {}

    /** Who wrote a rule, and when; without a kind it was the general one. */
    record RuleChange(@Nullable String kind, SignOffFigures figures, String by, Instant at) {}

    private final SignOffs signOffs;
    private final Rules rules;
    private final TraineePages pages;
    private final Accounts accounts;

    SignOffResource(SignOffs signOffs, Rules rules, TraineePages pages, Accounts accounts) {
        this.signOffs = signOffs;
        this.rules = rules;
        this.pages = pages;
        this.accounts = accounts;
    }

    @Operation(summary = "Sign a trainee off in a kind of bend, on the evidence as it is now")
    @PutMapping("/api/trainees/{id}/sign-offs/{key}")
    TraineeProgress sign(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @PathVariable UUID key,
            @RequestBody NewSignOff request) {
        BendKind kind = BendKind.withId(String.valueOf(request.kind()))
                .orElseThrow(() -> TurnedDown.badInput("/kind", "unknown-value", "name a kind of bend"));
        signOffs.sign(who, key, id, kind, Objects.requireNonNullElse(request.remark(), ""));
        return pages.of(who, id);
    }

    @Operation(summary = "Withdraw a signature with a reason; both stay on record")
    @PutMapping("/api/sign-offs/{id}/withdrawal")
    TraineeProgress withdraw(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @RequestBody Withdrawal request) {
        UUID trainee = signOffs.withdraw(who, id, Objects.requireNonNullElse(request.reason(), ""));
        return pages.of(who, trainee);
    }

    @Operation(summary = "What is asked before somebody is proposed for a sign-off")
    @GetMapping("/api/sign-off-rules")
    RulesView rules(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who) {
        Map<String, SignOffRuleRow> written = rules.written(who.centreId());
        List<SignOffRuleRow> history = rules.history(who.centreId());
        Map<UUID, String> names =
                accounts.namesOf(history.stream().map(SignOffRuleRow::keptBy).collect(Collectors.toSet()));
        SignOffRuleRow general = written.get(SignOffRuleRow.ALL);
        return new RulesView(
                general == null ? SignOffFigures.of(SignOffRule.USUAL) : general.figures(),
                Curriculum.USUAL.kinds().stream()
                        .filter(kind -> written.containsKey(kind.id()))
                        .map(kind -> new KindRule(
                                kind.id(),
                                Objects.requireNonNull(written.get(kind.id())).figures()))
                        .toList(),
                history.stream()
                        .map(row -> new RuleChange(
                                row.kind().isEmpty() ? null : row.kind(),
                                row.figures(),
                                names.getOrDefault(row.keptBy(), ""),
                                row.keptAt()))
                        .toList(),
                who.isLead());
    }

    @Operation(summary = "Write a rule that counts from now on; what was signed keeps its own")
    @PutMapping("/api/sign-off-rules/{id}")
    RulesView keep(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @RequestBody RuleToKeep request) {
        if (request.figures() == null) {
            throw TurnedDown.badInput("/figures", "missing", "this is missing");
        }
        rules.keep(who, id, request.kind(), request.figures());
        return rules(who);
    }
}
