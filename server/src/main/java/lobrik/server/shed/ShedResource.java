package lobrik.server.shed;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.persistence.EntityManager;
import java.util.List;
import java.util.UUID;
import lobrik.measure.Length;
import lobrik.measure.LengthUnit;
import lobrik.server.account.SignedIn;
import lobrik.server.cohort.Centre;
import lobrik.server.cohort.School;
import lobrik.server.platform.Needs;
import lobrik.server.platform.Right;
import lobrik.server.platform.TurnedDown;
import lobrik.shop.ShoeFigures;
import lobrik.shop.Tooling;
import lobrik.wire.BenderInput;
import lobrik.wire.ConduitInput;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** What there is to bend with. */
@RestController
@Tag(name = "shed")
class ShedResource {

    /** Conduit, benders, and tolerances: all that the setting desk offers, and how it begins. */
    record Shed(
            List<ConduitView> conduits, List<BenderView> benders, List<ToleranceFigures> tolerances, UsualDesk usual) {}

    /** How a new exercise begins at this school: the division of the tape, of those who like that unit, and the tolerances. */
    record UsualDesk(LengthUnit unit, double divisionIn, String preset) {}

    record ConduitView(UUID id, String label, ConduitInput figures) {}

    /**
     * A bender with its figures as the calculation interface takes them, and what follows from them.
     *
     * @param arrowLeadIn null for a tool without a shoe
     * @param doubtful whether somebody thinks that it is off
     * @param revision how often its figures were changed, and one
     */
    record BenderView(
            UUID id,
            UUID conduitId,
            String label,
            boolean doubtful,
            int revision,
            BenderInput figures,
            double gainIn,
            @Nullable Double arrowLeadIn) {}

    private static final int LONGEST_REASON = 300;

    private final EntityManager entities;
    private final Rack rack;
    private final JudgingPresets presets;
    private final School school;

    ShedResource(EntityManager entities, Rack rack, JudgingPresets presets, School school) {
        this.school = school;
        this.entities = entities;
        this.rack = rack;
        this.presets = presets;
    }

    @Operation(summary = "Conduit, benders and tolerance presets of the centre")
    @Needs(Right.READ)
    @GetMapping("/api/shed")
    Shed shed(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who) {
        List<ConduitSize> conduits = entities.createQuery(
                        "from ConduitSize where centreId = :centre and not putAway order by outsideDiameterPm",
                        ConduitSize.class)
                .setParameter("centre", who.centreId())
                .getResultList();
        return new Shed(
                conduits.stream().map(ShedResource::view).toList(),
                rack.all(who).stream().map(ShedResource::view).toList(),
                presets.all(who),
                usual(who));
    }

    private UsualDesk usual(SignedIn who) {
        Centre.SetUp setUp = school.setUp(who);
        return new UsualDesk(setUp.unit(), setUp.division().inches(), setUp.preset());
    }

    /** Figures that a bender has from now on, and why. */
    record NewRevision(
            @Nullable BenderInput figures, @Nullable String reason) {}

    @Operation(
            summary = "Give a bender other figures, under a key made by the client",
            description =
                    "What was set and measured with the earlier ones keeps them. Only the centre lead changes benders.")
    @Needs(Right.LEAD)
    @PutMapping("/api/benders/{id}/revisions/{key}")
    BenderView revise(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @PathVariable UUID key,
            @RequestBody NewRevision request) {
        String reason = request.reason() == null ? "" : request.reason().strip();
        if (reason.isEmpty() || reason.length() > LONGEST_REASON) {
            throw TurnedDown.badInput(
                    "/reason",
                    "missing",
                    "say in 1 to " + LONGEST_REASON + " characters where these figures come from");
        }
        if (request.figures() == null) {
            throw TurnedDown.badInput("/figures", "missing", "give the bender's figures");
        }
        return view(rack.revise(who, id, key, request.figures(), reason));
    }

    private static ConduitView view(ConduitSize conduit) {
        return new ConduitView(
                conduit.id(),
                conduit.label(),
                new ConduitInput(conduit.outsideDiameter().inches()));
    }

    private static BenderView view(Rack.Racked racked) {
        Tooling tooling = racked.tooling();
        return new BenderView(
                racked.bender().id(),
                racked.bender().conduitId(),
                racked.bender().label(),
                racked.bender().state() == BenderState.DOUBTFUL,
                racked.revision().revision(),
                BenderInput.of(tooling.tool()),
                tooling.gain().inches(),
                tooling.shoe().map(ShoeFigures::arrowLead).map(Length::inches).orElse(null));
    }
}
