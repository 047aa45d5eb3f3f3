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
import lobrik.progress.Family;
import lobrik.progress.SignOffRule;
import lobrik.server.account.Accounts;
import lobrik.server.account.SignedIn;
import lobrik.server.attempt.Settled;
import lobrik.server.platform.Needs;
import lobrik.server.platform.Right;
import lobrik.server.platform.TurnedDown;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Signing off: the rules, the signatures, and their withdrawals. */
@RestController
@Settled
@Tag(name = "sign-off")
class SignOffResource {

    /** What is signed; the remark is needed where the rule is not met. */
    record NewSignOff(@Nullable String family, @Nullable String remark) {}

    record Withdrawal(@Nullable String reason) {}

    /** A rule to keep; without a family it is for all that have none of their own. */
    record RuleToKeep(@Nullable String family, @Nullable SignOffFigures figures) {}

    /**
     * The rules.
     *
     * @param general for every family that has none of its own
     * @param mayChange whether the one who asks may
     */
    record RulesView(SignOffFigures general, List<FamilyRule> own, List<RuleChange> history, boolean mayChange) {}

    record FamilyRule(String family, SignOffFigures figures) {}

    /** Who wrote a rule, and when; without a family it was the general one. */
    record RuleChange(@Nullable String family, SignOffFigures figures, String by, Instant at) {}

    private final SignOffs signOffs;
    private final Rules rules;
    private final TraineePages pages;
    private final Accounts accounts;
    private final RuleEffects effects;

    SignOffResource(SignOffs signOffs, Rules rules, TraineePages pages, Accounts accounts, RuleEffects effects) {
        this.effects = effects;
        this.signOffs = signOffs;
        this.rules = rules;
        this.pages = pages;
        this.accounts = accounts;
    }

    @Operation(summary = "Sign a trainee off in a family of bends, on the evidence as it is now")
    @Needs(Right.SIGN)
    @PutMapping("/api/trainees/{id}/sign-offs/{key}")
    TraineeProgress sign(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @PathVariable UUID key,
            @RequestBody NewSignOff request) {
        Family family = Family.withId(String.valueOf(request.family()))
                .orElseThrow(() -> TurnedDown.badInput("/family", "unknown-value", "name a family of bends"));
        signOffs.sign(who, key, id, family, Objects.requireNonNullElse(request.remark(), ""));
        return pages.of(who, id);
    }

    @Operation(summary = "Withdraw a signature with a reason; both stay on record")
    @Needs(Right.SIGN)
    @PutMapping("/api/sign-offs/{id}/withdrawal")
    TraineeProgress withdraw(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @RequestBody Withdrawal request) {
        UUID trainee = signOffs.withdraw(who, id, Objects.requireNonNullElse(request.reason(), ""));
        return pages.of(who, trainee);
    }

    @Operation(summary = "What is asked before somebody is proposed for a sign-off")
    @Needs(Right.READ)
    @GetMapping("/api/sign-off-rules")
    RulesView rules(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who) {
        Map<String, SignOffRuleRow> written = rules.written(who.centreId());
        List<SignOffRuleRow> history = rules.history(who.centreId());
        Map<UUID, String> names =
                accounts.namesOf(history.stream().map(SignOffRuleRow::keptBy).collect(Collectors.toSet()));
        SignOffRuleRow general = written.get(SignOffRuleRow.ALL);
        return new RulesView(
                general == null ? SignOffFigures.of(SignOffRule.USUAL) : general.figures(),
                Family.all().stream()
                        .filter(family -> written.containsKey(family.id()))
                        .map(family -> new FamilyRule(
                                family.id(),
                                Objects.requireNonNull(written.get(family.id())).figures()))
                        .toList(),
                history.stream()
                        .map(row -> new RuleChange(
                                row.family().isEmpty() ? null : row.family(),
                                row.figures(),
                                names.getOrDefault(row.keptBy(), ""),
                                row.keptAt()))
                        .toList(),
                who.may(Right.LEAD));
    }

    @Operation(
            summary = "What a rule does: how likely who is called ready, and the smallest rule that keeps a risk",
            description = "Worked out exactly; pieces are taken to come out independently, and as the school bends.")
    @Needs(Right.READ)
    @PostMapping("/api/sign-off-rules/effect")
    RuleEffects.RuleEffect effect(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @RequestBody RuleEffects.EffectAsked asked) {
        return effects.of(who, asked);
    }

    @Operation(summary = "Write a rule that counts from now on; what was signed keeps its own")
    @Needs(Right.LEAD)
    @PutMapping("/api/sign-off-rules/{id}")
    RulesView keep(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @RequestBody RuleToKeep request) {
        if (request.figures() == null) {
            throw TurnedDown.badInput("/figures", "missing", "this is missing");
        }
        rules.keep(who, id, request.family(), request.figures());
        return rules(who);
    }
}
