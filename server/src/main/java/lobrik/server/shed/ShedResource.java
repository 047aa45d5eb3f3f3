package lobrik.server.shed;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.persistence.EntityManager;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import lobrik.layout.Caution;
import lobrik.server.account.SignedIn;
import lobrik.server.calc.BenderInput;
import lobrik.server.calc.ConduitInput;
import lobrik.shop.Conduit;
import lobrik.shop.Shoe;
import lobrik.shop.Tooling;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** What there is to bend with. */
@RestController
@Tag(name = "shed")
class ShedResource {

    /** Conduit, benders, tolerances and cautions: all that the setting desk offers. */
    record Shed(
            List<ConduitView> conduits,
            List<BenderView> benders,
            List<ToleranceFigures> tolerances,
            List<String> cautions) {}

    record ConduitView(UUID id, String label, ConduitInput figures) {}

    /** A bender with its figures as the calculation interface takes them, and what follows from them. */
    record BenderView(UUID id, UUID conduitId, String label, BenderInput figures, double gainIn, double arrowLeadIn) {}

    private final EntityManager entities;

    private final JudgingPresets presets;

    ShedResource(EntityManager entities, JudgingPresets presets) {
        this.entities = entities;
        this.presets = presets;
    }

    @Operation(summary = "Conduit, benders, tolerance presets and cautions of the centre")
    @GetMapping("/api/shed")
    Shed shed(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who) {
        List<ConduitSize> conduits = entities.createQuery(
                        "from ConduitSize where centreId = :centre order by outsideDiameterPm", ConduitSize.class)
                .setParameter("centre", who.centreId())
                .getResultList();
        List<BenderProfile> benders = entities.createQuery(
                        "from BenderProfile where centreId = :centre order by label", BenderProfile.class)
                .setParameter("centre", who.centreId())
                .getResultList();
        return new Shed(
                conduits.stream().map(ShedResource::view).toList(),
                benders.stream().map(bender -> view(bender, conduits)).toList(),
                presets.all(who),
                Stream.of(Caution.values()).map(Caution::text).toList());
    }

    private static ConduitView view(ConduitSize conduit) {
        return new ConduitView(
                conduit.id(),
                conduit.label(),
                new ConduitInput(conduit.outsideDiameter().inches()));
    }

    private static BenderView view(BenderProfile bender, List<ConduitSize> conduits) {
        Shoe figures = bender.figures();
        ConduitSize conduit = conduits.stream()
                .filter(size -> size.id().equals(bender.conduitId()))
                .findFirst()
                .orElseThrow();
        Tooling tooling = new Tooling(new Conduit(conduit.outsideDiameter()), figures);
        return new BenderView(
                bender.id(),
                bender.conduitId(),
                bender.label(),
                input(figures),
                tooling.gain().inches(),
                tooling.shoe().arrowLead().inches());
    }

    private static BenderInput input(Shoe figures) {
        return new BenderInput(
                figures.takeUp().inches(),
                figures.radius().inches(),
                figures.minSpacing().inches(),
                figures.minStub().inches(),
                figures.minStanding().inches(),
                figures.springback().degrees());
    }
}
