package lobrik.server.progress;

import com.fasterxml.jackson.annotation.JsonProperty;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.List;
import lobrik.progress.BenderComparison;
import lobrik.progress.Interval;
import lobrik.server.account.SignedIn;
import lobrik.server.attempt.Settled;
import lobrik.server.cohort.Cohorts;
import lobrik.server.platform.Needs;
import lobrik.server.platform.Right;
import lobrik.server.platform.TurnedDown;
import lobrik.verdict.DeviationKind;
import lobrik.wire.Numbers;
import lobrik.wire.Unit;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** The benders compared, and whether what one adds costs points. */
@RestController
@Settled
@Tag(name = "progress")
class BenderComparisonResource {

    /** Benders by one kind of deviation; inches or degrees. */
    record ComparisonView(String deviations, Unit unit, double worthTelling, List<EffectView> benders) {}

    /** What a bender adds, against the others. */
    record EffectView(
            String bender,
            int pieces,
            int people,
            @Nullable Double off,
            @Nullable Double from,
            @Nullable Double to,
            FindingName finding) {}

    /** What is said of a bender. */
    enum FindingName {
        @JsonProperty("likeTheOthers")
        LIKE_THE_OTHERS,
        @JsonProperty("off")
        OFF,
        @JsonProperty("oneOfTwo")
        ONE_OF_TWO,
        @JsonProperty("notComparable")
        NOT_COMPARABLE
    }

    /** Whether points of pieces that are begun from now on leave out what a bender is known to add. */
    record PointsChoice(boolean leftOut) {}

    record PointsToChoose(@Nullable Boolean leftOut) {}

    private final Benders benders;
    private final Cohorts cohorts;

    BenderComparisonResource(Benders benders, Cohorts cohorts) {
        this.benders = benders;
        this.cohorts = cohorts;
    }

    @Operation(
            summary = "The centre's benders compared by what comes out of them, whoever bends",
            description = "By the pieces of the last twelve weeks. Nobody is named.")
    @Needs(Right.READ)
    @GetMapping("/api/benders/comparison")
    List<ComparisonView> comparison(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who) {
        return benders.compared(who.centreId()).stream()
                .map(BenderComparisonResource::view)
                .toList();
    }

    private static ComparisonView view(BenderComparison comparison) {
        DeviationKind kind = comparison.kind();
        return new ComparisonView(
                kind.id(),
                kind == DeviationKind.ANGLES ? Unit.DEGREE : Unit.INCH,
                Numbers.of(kind.worthTelling()),
                comparison.effects().stream()
                        .map(effect -> new EffectView(
                                effect.bender(),
                                effect.pieces(),
                                effect.people(),
                                effect.off().map(Numbers::of).orElse(null),
                                effect.interval()
                                        .map(Interval::from)
                                        .map(Numbers::of)
                                        .orElse(null),
                                effect.interval()
                                        .map(Interval::to)
                                        .map(Numbers::of)
                                        .orElse(null),
                                FindingName.valueOf(effect.finding().name())))
                        .toList());
    }

    @Operation(summary = "Whether points leave out what a bender is known to add")
    @Needs(Right.READ)
    @GetMapping("/api/benders/points")
    PointsChoice points(@AuthenticationPrincipal @Parameter(hidden = true) SignedIn who) {
        return new PointsChoice(cohorts.leavesBenderOutOfPoints(who));
    }

    @Operation(
            summary = "Choose whether points leave out what a bender is known to add",
            description = "For the lead of the school. Pieces that were begun before keep the points that they have.")
    @Needs(Right.LEAD)
    @PutMapping("/api/benders/points")
    PointsChoice choose(
            @AuthenticationPrincipal @Parameter(hidden = true) SignedIn who, @RequestBody PointsToChoose choice) {
        if (choice.leftOut() == null) {
            throw TurnedDown.badInput("/leftOut", "missing", "say true or false");
        }
        cohorts.leaveBenderOutOfPoints(who, choice.leftOut());
        return points(who);
    }
}
