package lobrik.server.shed;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import lobrik.measure.Length;
import lobrik.server.account.Accounts;
import lobrik.server.account.SignedIn;
import lobrik.server.platform.Needs;
import lobrik.server.platform.Right;
import lobrik.server.platform.TurnedDown;
import lobrik.shop.ToolKind;
import lobrik.wire.BenderInput;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The benders of a centre, each with its card. */
@RestController
@Tag(name = "shed")
class BenderCardResource {

    /** What a bender was from some time on. */
    record BenderRevisionView(
            UUID id,
            int revision,
            BenderInput figures,
            @Nullable String madeBy,
            Instant madeAt,
            String reason) {}

    /**
     * A bender.
     *
     * @param revisions the newest first
     */
    record BenderCard(
            UUID id,
            String label,
            UUID conduitId,
            String conduitLabel,
            double outsideDiameterIn,
            ToolKind kind,
            BenderState state,
            String stateReason,
            int edition,
            List<BenderRevisionView> revisions) {}

    /** A size of conduit, and whether it is offered no longer. */
    record ConduitCard(UUID id, String label, double outsideDiameterIn, boolean putAway) {}

    /** All that is bent with, and what is bent. */
    record BenderCardsView(List<BenderCard> benders, List<ConduitCard> conduits) {}

    /** A bender to add. */
    record NewBender(
            @Nullable String label,
            @Nullable UUID conduitId,
            @Nullable BenderInput figures,
            @Nullable String reason) {}

    /** What a bender is called, and whether it is bent on. */
    record BenderToKeep(
            @Nullable Integer edition,
            @Nullable String label,
            @Nullable BenderState state,
            @Nullable String reason) {}

    /** Conduit of one's own. */
    record NewConduit(@Nullable String label, @Nullable Double outsideDiameterIn) {}

    /** Whether it is offered no longer. */
    record ConduitAway(@Nullable Boolean putAway) {}

    private final BenderCards cards;
    private final Accounts accounts;

    BenderCardResource(BenderCards cards, Accounts accounts) {
        this.cards = cards;
        this.accounts = accounts;
    }

    @Operation(
            summary = "The card of every bender, with everything that its figures ever were, and the sizes of conduit")
    @Needs(Right.READ)
    @GetMapping("/api/benders")
    BenderCardsView all(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who) {
        List<BenderCards.Card> all = cards.all(who);
        Map<UUID, String> names = accounts.namesOf(all.stream()
                .flatMap(card -> card.revisions().stream())
                .map(BenderRevision::madeBy)
                .filter(Objects::nonNull)
                .distinct()
                .toList());
        return new BenderCardsView(
                all.stream().map(card -> view(card, names)).toList(),
                cards.conduits(who).stream()
                        .map(conduit -> new ConduitCard(
                                conduit.id(),
                                conduit.label(),
                                conduit.outsideDiameter().inches(),
                                conduit.isPutAway()))
                        .toList());
    }

    private static BenderCard view(BenderCards.Card card, Map<UUID, String> names) {
        Bender bender = card.bender();
        return new BenderCard(
                bender.id(),
                bender.label(),
                card.conduit().id(),
                card.conduit().label(),
                card.conduit().outsideDiameter().inches(),
                card.revisions().getFirst().tool().kind(),
                bender.state(),
                bender.stateReason(),
                bender.edition(),
                card.revisions().stream()
                        .map(revision -> new BenderRevisionView(
                                revision.id(),
                                revision.revision(),
                                BenderInput.of(revision.tool()),
                                revision.madeBy() == null ? null : names.get(revision.madeBy()),
                                revision.madeAt(),
                                revision.reason()))
                        .toList());
    }

    @Operation(summary = "Add a bender under an id made by the client; repeating the request adds none")
    @Needs(Right.LEAD)
    @PutMapping("/api/benders/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void add(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @RequestBody NewBender bender) {
        cards.add(
                who,
                id,
                Objects.requireNonNullElse(bender.label(), ""),
                TurnedDown.required("/conduitId", bender.conduitId()),
                TurnedDown.required("/figures", bender.figures()),
                Objects.requireNonNullElse(bender.reason(), ""));
    }

    @Operation(summary = "Call a bender otherwise, doubt it, take it out of use or into it again")
    @Needs(Right.TEACH)
    @PutMapping("/api/benders/{id}/state")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void keep(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @RequestBody BenderToKeep bender) {
        cards.keep(
                who,
                id,
                TurnedDown.required("/edition", bender.edition()),
                Objects.requireNonNullElse(bender.label(), ""),
                TurnedDown.required("/state", bender.state()),
                Objects.requireNonNullElse(bender.reason(), ""));
    }

    @Operation(summary = "Add a size of conduit of one's own; repeating the request adds none")
    @Needs(Right.LEAD)
    @PutMapping("/api/conduits/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void addConduit(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @RequestBody NewConduit conduit) {
        double diameter = TurnedDown.required("/outsideDiameterIn", conduit.outsideDiameterIn());
        if (!Double.isFinite(diameter) || Math.abs(diameter) > 1000) {
            throw TurnedDown.badInput("/outsideDiameterIn", "out-of-range", "this is no diameter");
        }
        cards.addConduit(who, id, Objects.requireNonNullElse(conduit.label(), ""), Length.ofInches(diameter));
    }

    @Operation(summary = "Offer a size of conduit no longer, or again")
    @Needs(Right.LEAD)
    @PutMapping("/api/conduits/{id}/put-away")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void putAway(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @RequestBody ConduitAway away) {
        cards.putConduitAway(who, id, TurnedDown.required("/putAway", away.putAway()));
    }
}
