package lobrik.server.shed;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.stream.Stream;
import lobrik.server.account.Accounts;
import lobrik.server.account.SignedIn;
import lobrik.server.platform.InputError;
import lobrik.server.platform.Needs;
import lobrik.server.platform.Right;
import lobrik.server.platform.TurnedDown;
import lobrik.verdict.InspectionPoint;
import lobrik.verdict.Scheme;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** What pieces are judged by. */
@RestController
@Tag(name = "judging")
class JudgingPresetResource {

    /**
     * A set of the centre's own.
     *
     * @param mayChange whoever made it, and the lead
     */
    record OwnPreset(UUID id, ToleranceFigures figures, String madeBy, boolean mayChange) {}

    /** What a set was from some time on. */
    record PresetVersion(int version, ToleranceFigures figures, boolean putAway, String keptBy, Instant keptAt) {}

    /**
     * All sets, with everything written out: the usual ones cannot be changed, the own ones can.
     *
     * @param faults what can be found when a piece is looked over
     */
    record Presets(List<ToleranceFigures> usual, List<OwnPreset> own, List<FaultName> faults) {}

    /** A fault of workmanship, in words. */
    record FaultName(String point, String fault) {}

    /** A set to keep. */
    record PresetToKeep(
            @Nullable String preset,
            @Nullable Double lengthIn,
            @Nullable Double angleDeg,
            @Nullable Double dogLegDeg,
            @Nullable Double passMark,
            @Nullable Scheme scheme,
            @Nullable Map<String, Double> weights,
            @Nullable Map<String, Boolean> critical,
            @Nullable Map<String, RuleFigures> workmanship,
            @Nullable RebendingFigures rebending,
            @Nullable Map<String, LimitFigures> limits,
            @Nullable EnteringFigures entering) {

        ToleranceFigures figures() {
            requireAll();
            return new ToleranceFigures(
                    Objects.requireNonNull(preset),
                    Objects.requireNonNull(lengthIn),
                    Objects.requireNonNull(angleDeg),
                    Objects.requireNonNull(dogLegDeg),
                    Objects.requireNonNull(passMark),
                    workmanship == null ? ToleranceFigures.usualWorkmanship("site") : workmanship,
                    scheme == null ? Scheme.GRADED : scheme,
                    weights == null ? Map.of() : weights,
                    critical == null ? Map.of() : critical,
                    rebending,
                    limits,
                    entering);
        }

        private void requireAll() {
            List<InputError> missing = Stream.of(
                            missing("/preset", preset),
                            missing("/lengthIn", lengthIn),
                            missing("/angleDeg", angleDeg),
                            missing("/dogLegDeg", dogLegDeg),
                            missing("/passMark", passMark))
                    .flatMap(List::stream)
                    .toList();
            if (!missing.isEmpty()) {
                throw TurnedDown.badInputs(missing);
            }
        }

        private static List<InputError> missing(String pointer, @Nullable Object value) {
            return value == null ? List.of(new InputError(pointer, "missing", "this is missing")) : List.of();
        }
    }

    private final JudgingPresets presets;
    private final Accounts accounts;

    JudgingPresetResource(JudgingPresets presets, Accounts accounts) {
        this.presets = presets;
        this.accounts = accounts;
    }

    @Operation(summary = "The sets of tolerances: the usual ones and the centre's own")
    @Needs(Right.READ)
    @GetMapping("/api/judging-presets")
    Presets presets(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who) {
        List<JudgingPreset> own = presets.own(who);
        Map<UUID, String> names =
                accounts.namesOf(own.stream().map(JudgingPreset::madeBy).toList());
        return new Presets(
                JudgingPresets.usual().stream().map(ToleranceFigures::complete).toList(),
                own.stream()
                        .map(preset -> new OwnPreset(
                                preset.id(),
                                preset.figures().complete(),
                                names.getOrDefault(preset.madeBy(), ""),
                                who.mayChangeWhatWasMadeBy(preset.madeBy())))
                        .toList(),
                Stream.of(InspectionPoint.values())
                        .map(point -> new FaultName(point.id(), point.fault()))
                        .toList());
    }

    @Operation(
            summary = "Keep a set of the centre's own under an id made by the client",
            description = "What was set or measured by it before keeps the figures that it had then.")
    @Needs(Right.TEACH)
    @PutMapping("/api/judging-presets/{id}")
    Presets keep(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who,
            @PathVariable UUID id,
            @RequestBody PresetToKeep preset) {
        presets.keep(who, id, preset.figures());
        return presets(who);
    }

    @Operation(summary = "Everything that a set of the centre's own ever was, the newest first")
    @Needs(Right.READ)
    @GetMapping("/api/judging-presets/{id}/versions")
    List<PresetVersion> versions(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @PathVariable UUID id) {
        List<JudgingPresetVersion> versions = presets.versions(who, id);
        Map<UUID, String> names = accounts.namesOf(
                versions.stream().map(JudgingPresetVersion::keptBy).distinct().toList());
        return versions.stream()
                .map(each -> new PresetVersion(
                        each.version(),
                        each.figures().complete(),
                        each.isPutAway(),
                        names.getOrDefault(each.keptBy(), ""),
                        each.keptAt()))
                .toList();
    }

    @Operation(summary = "Offer a set no longer")
    @Needs(Right.TEACH)
    @DeleteMapping("/api/judging-presets/{id}")
    Presets putAway(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @PathVariable UUID id) {
        presets.putAway(who, id);
        return presets(who);
    }
}
